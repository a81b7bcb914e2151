import { useCallback, useMemo, useState } from 'react';
import { picturesOf, ticksOfItem } from '../../core/job';
import { tally, type WayBackStep } from '../../core/ledger';
import { Wrong } from '../../ui/Field';
import { useKeys } from '../../ui/Keys';
import { PlugFacts } from '../job/PlugFacts';
import type { Refused } from '../job/store';
import { TickList } from '../job/Ticks';
import { useJob } from '../job/use-job';
import { usePlug } from '../job/use-plug';
import { Thumbs } from '../photos/Thumbs';
import { StepAct } from './acts';
import { LengthCheck } from './LengthCheck';
import { Lid } from './Lid';

/** Screws from which on their order is worth drawing. */
const FEW = 3;

/** The step in hand: what to do, what to mind, and the acts that do it. */
export function NextStep({ step }: { step: WayBackStep }) {
  const { job, record } = useJob();
  const [wrong, setWrong] = useState<Refused | null>(null);
  const { item } = step;
  const t = item ? tally(item) : null;
  const plug = usePlug(item?.kind === 'plug' ? item.name : undefined);
  const screws = step.kind === 'return' && item?.kind === 'fastener' && (t?.taken ?? 0) > 1;
  const back = useCallback(
    (n: number) =>
      item && step.to && setWrong(record('item.returned', { item: item.id, count: n, state: step.to })),
    [item, step.to, record],
  );
  const fewer = useCallback(
    () => item && setWrong(record('item.taken', { item: item.id, count: 1 })),
    [item, record],
  );
  const keys = useMemo(() => {
    const none: Record<string, () => void> = {};
    return step.kind === 'return' && step.left > 0 ? { 'Shift+Space': () => void fewer() } : none;
  }, [step.kind, step.left, fewer]);
  useKeys(keys);
  const home = item ? (item.by.tight ?? 0) : 0;

  return (
    <div className="grid gap-3">
      <div className="flex flex-wrap gap-x-7 gap-y-3 items-center">
        {screws && t && (
          <div className="flex items-end gap-3 border-r border-rule pr-6">
            <span className="big text-[104px] leading-[.82]! tracking-[-.05em]" aria-live="polite">
              {home}
            </span>
            <span className="font-[650] text-[20px] leading-[1.1]">
              of {t.taken - t.writtenOff}
              <br />
              tight
            </span>
          </div>
        )}
        <div className="flex-1 min-w-[240px] grid gap-1">
          <h2 className="text-[30px]">{step.text}</h2>
          {step.note && <p className="text-bark-2">{step.note}</p>}
          {item?.altered && <p className="text-ochre">Altered: {item.altered}</p>}
        </div>
      </div>
      {plug && (
        <div className="border-l-4 border-slate-fill bg-slate-wash px-3 py-2">
          <PlugFacts known={plug} going="home" />
          <p>
            {plug.mark && 'Contact 1 to the dot, '}
            {plug.contacts} of {plug.contacts} seated, latch down, a tug.
          </p>
          {plug.worst && <p className="text-[14px] text-brick font-[600]">{plug.worst}.</p>}
        </div>
      )}
      {item && <Thumbs photos={picturesOf(job, item)} label="Pictures of it" />}
      {item && <TickList ticks={ticksOfItem(job, item.id)} />}
      {item && step.kind === 'return' && <LengthCheck key={`length ${item.id}`} item={item} />}
      {step.kind === 'return' && item?.kind === 'tape' && (
        <p className="note">Old tape rarely sticks again: write it off from the tray and name the new one.</p>
      )}
      <StepAct
        step={step}
        onBack={back}
        onRefused={setWrong}
        screws={screws}
        fewer={home > 0 ? fewer : undefined}
      />
      {wrong && <Wrong>{wrong.reason}</Wrong>}
      {screws && item && t && t.taken - t.writtenOff >= FEW && (
        <Lid key={`lid ${item.id}`} item={item} count={t.taken - t.writtenOff} home={home} />
      )}
    </div>
  );
}
