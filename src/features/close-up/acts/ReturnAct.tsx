import { type Item, type JointId, joint } from '../../../core/ledger';
import { Action, Second } from '../../../ui/Action';
import { AskLine } from '../../../ui/AskLine';
import { Foot } from '../../../ui/Foot';
import { useJob } from '../../job/use-job';
import type { ActProps } from './act';

/** A thing that is new every time: new ones are in, or why the old ones go in again. */
function OnceAct({ step, onRefused }: ActProps) {
  const { record } = useJob();
  const { item, to } = step;
  if (!item || !to) return null;
  const say = (once: string) => {
    const refused = record('item.returned', { item: item.id, count: step.left, state: to, once });
    onRefused(refused);
    return refused?.reason ?? null;
  };
  return (
    <div className="grid gap-3">
      <p className="font-[600]">New every time. The old {step.left > 1 ? 'ones stay' : 'one stays'} out.</p>
      <Foot>
        <Action className="min-h-[56px]! text-[18px]" onClick={() => say('new ones went in')}>
          {step.left > 1 ? `${step.left} new ones are in` : 'A new one is in'}
        </Action>
      </Foot>
      <AskLine
        small
        label="Or the old one goes in again, because"
        hint="It stands in the report."
        button="The old one is in"
        onSay={(why) => (why.trim() ? say(`the old one went in again: ${why.trim()}`) : 'say why')}
      />
    </div>
  );
}

const doneWords = (kind: Item['kind'], held: JointId | undefined) =>
  kind === 'plug' ? joint(held).done : kind === 'fastener' ? 'It is tight' : 'It is on';

/** Something goes back: one, several, or in but not tight yet. */
export function ReturnAct(p: ActProps) {
  const { step, screws, onBack, fewer, onRefused } = p;
  const { record } = useJob();
  const { item } = step;
  if (!item) return null;
  if (item.back?.fresh && !item.fresh && !item.once) return <OnceAct {...p} />;
  if (step.left <= 0)
    return (
      <p className="note">
        Touch its place in the tray: there it is found again, or written off with what takes its place.
      </p>
    );
  const put = (count: number, state: 'loose' | 'half tight') =>
    onRefused(record('item.returned', { item: item.id, count, state }));
  const off = (item.by.off ?? 0) + (item.by['in its own hole'] ?? 0) - (item.missing ?? 0);
  const loose = off + (item.by.loose ?? 0);
  return (
    <Foot>
      <Action className="min-h-[56px]! text-[18px]" keyName="Space" data-next onClick={() => onBack(1)}>
        {screws ? 'One more is tight' : doneWords(item.kind, item.joint)}
      </Action>
      {screws && step.left > 1 && (
        <Second className="min-h-[56px]!" onClick={() => onBack(step.left)}>
          All {step.left} are tight
        </Second>
      )}
      {screws && off > 0 && (
        <Second className="min-h-[56px]!" onClick={() => put(off, 'loose')}>
          All in, still loose
        </Second>
      )}
      {screws && loose > 0 && (
        <Second className="min-h-[56px]!" onClick={() => put(loose, 'half tight')}>
          All half tight
        </Second>
      )}
      {fewer && (
        <Second className="min-h-[56px]!" keyName="Shift Space" onClick={fewer}>
          One fewer
        </Second>
      )}
    </Foot>
  );
}
