import { useState } from 'react';
import { handHeldBy, heldBy } from '../../core/job';
import {
  backWords,
  beforeTurn,
  joint,
  placeWords,
  type QuickLine,
  readLine,
  sideUpWords,
  specOf,
} from '../../core/ledger';
import type { WayIn } from '../../core/recipe';
import type { MapMove } from '../../core/unit';
import { Action, Second } from '../../ui/Action';
import { Wrong } from '../../ui/Field';
import { Foot } from '../../ui/Foot';
import { Flip, Posts, Warn } from '../../ui/Signs';
import { PlugFacts } from '../job/PlugFacts';
import { ItemPicture } from '../job/Tray';
import { useJob } from '../job/use-job';
import { usePlug } from '../job/use-plug';
import { useLine } from './use-line';

const minutes = (m: number) => Number(m.toFixed(m < 10 ? 1 : 0));

/** The words of a move: how many of what, or the line as somebody wrote it. */
function titleOf({ item, text }: QuickLine): string {
  if (!item) return text;
  return item.kind === 'fastener'
    ? `${item.count ?? 'several'} × ${specOf(item)}`
    : `${text.split(' > ')[0]}`;
}

/** Whether a move waits for none of the others that are still to come. */
const mayBeNow = (way: WayIn, m: MapMove): boolean => {
  const left = new Set(way.steps.map((s) => s.id));
  return !(m.after ?? []).some((id) => left.has(id));
};

/** Following a way in that somebody found before: the next move, large, and what it takes. */
export function Follow({
  way,
  wrong,
  reckoning,
  onOtherwise,
}: {
  way: WayIn | null;
  wrong: string | null;
  /** a quicker order is being looked for */
  reckoning: boolean;
  onOtherwise(text: string): void;
}) {
  const { job, record, go } = useJob();
  const { read, say } = useLine();
  const [refused, setRefused] = useState<string | null>(null);
  const [turn, setTurn] = useState<string | null>(null);
  const first = way?.steps[0];
  const next = way && first ? (way.steps.find((m) => m.id === turn && mayBeNow(way, m)) ?? first) : null;
  const line = next && read(next.text);
  const plug = line?.item?.kind === 'plug' ? line.item.name : undefined;
  const known = usePlug(plug);
  if (wrong)
    return (
      <div className="pad border-b border-rule-strong">
        <Wrong>The way in cannot be followed: {wrong}. Its map says which moves.</Wrong>
      </div>
    );
  if (!way || !next || !line) return null;
  const flip = next.sideUp !== null && next.sideUp !== way.sideUp;
  const done = (e: React.FormEvent) => {
    e.preventDefault();
    if (flip) {
      const turned = record('move.recorded', {
        verb: 'flip',
        text: `flip ${next.sideUp}`,
        item: null,
        sideUp: next.sideUp as string,
      });
      if (turned) return setRefused(turned.reason);
    }
    setRefused(say(line, next.id).refused?.reason ?? null);
  };
  const lead = plug ? joint(heldBy(job, line.verb, plug)) : null;
  const cover = way.steps.find((m) => m.opens)?.opens;
  const held = handHeldBy(job, { cover });
  const n = job.followed.length + 1;
  return (
    <form
      onSubmit={done}
      id="follow"
      aria-label="Next move"
      className="grid grid-cols-[minmax(0,1fr)_300px] max-[1000px]:grid-cols-1 border-b border-rule-strong"
    >
      <div className="pad grid grid-cols-[84px_minmax(0,1fr)] gap-4 items-start">
        <div className="text-center">
          <span className="big text-[56px] leading-[.85] block">{n}</span>
          <span className="note">of {n + way.steps.length - 1}</span>
        </div>
        <div className="grid gap-2">
          {flip && (
            <p className="flex gap-2 items-center bg-kraft px-2 py-1">
              <Flip /> <b>Turn it: {sideUpWords(next.sideUp ?? '')}</b>
              {beforeTurn(job.ledger) && <span>{beforeTurn(job.ledger)}</span>}
            </p>
          )}
          <h2 className="headline leading-[1.05]">{titleOf(line)}</h2>
          <p className="flex flex-wrap gap-x-4 gap-y-1 items-center">
            {line.item && (
              <span className="max-h-[34px] overflow-hidden" aria-hidden="true">
                <ItemPicture item={{ ...line.item, count: line.item.count ?? 3 }} />
              </span>
            )}
            <span>
              <b>{next.tool ?? 'bare hand'}</b>
            </span>
            {line.item?.from && <span>from {line.item.from}</span>}
            {line.item && <span>{placeWords(line.item.place)}</span>}
            <span className="note">about {minutes(next.minutes)} min</span>
          </p>
          {next.caution && (
            <p className="flex gap-2 text-brick font-[600]">
              <Warn /> {next.caution}
            </p>
          )}
          {known && <PlugFacts known={known} going="out" />}
          {lead && (
            <p>
              {lead.id === 'plug' ? '' : `${lead.id}: `}
              {lead.off}.
            </p>
          )}
          {next.back && <p className="note">Going back: {backWords(next.back)}</p>}
          {next.handsOff !== undefined && (
            <p className="note">Then it takes {minutes(next.handsOff)}&nbsp;min by itself; a timer starts.</p>
          )}
          {held.length > 0 && (
            <p className="grid grid-cols-[30px_1fr_auto] gap-3 items-center border border-bark p-2">
              <Posts size={26} />
              <b>
                Held by {held.map((h) => h.name).join(', ')}, before the {cover} comes off
              </b>
              <Second small onClick={() => go('make safe')}>
                Make safe
              </Second>
            </p>
          )}
          {refused && <Wrong>{refused}</Wrong>}
          <Foot>
            <Action type="submit" form="follow" keyName="Enter" className="min-h-[56px]!">
              {line.item ? 'It is off' : 'Done'}
            </Action>
            <Second onClick={() => onOtherwise(next.text)}>It is otherwise here</Second>
            <Second onClick={() => setRefused(record('move.skipped', { move: next.id })?.reason ?? null)}>
              Leave it out
            </Second>
          </Foot>
        </div>
      </div>
      <Ahead way={way} now={next} reckoning={reckoning} onNow={setTurn} />
    </form>
  );
}

/** What is still to come, what it takes, and the tools to lay out. */
function Ahead({
  way,
  now,
  reckoning,
  onNow,
}: {
  way: WayIn;
  now: MapMove;
  reckoning: boolean;
  onNow(id: string): void;
}) {
  const others = way.steps.filter((m) => m !== now);
  const rest = others.slice(0, 5);
  const words = (m: MapMove) => titleOf(readLine(m.text));
  return (
    <section className="pad border-l border-rule grid gap-2 content-start" aria-label="Still to come">
      <p>
        <b className="big text-[22px]">{minutes(way.minutes)} min</b> to go, {way.flips}{' '}
        {way.flips === 1 ? 'flip' : 'flips'}, {way.toolChanges} {way.toolChanges === 1 ? 'change' : 'changes'}{' '}
        of tool
      </p>
      <p className="note">
        {way.optimal
          ? 'No order of these moves is quicker.'
          : `At least ${minutes(way.lowerBound)} min in any order.${reckoning ? ' Looking for a quicker one.' : ''}`}
        {way.asFound !== null && ` In the order they were found: ${minutes(way.asFound)} min.`}
      </p>
      {way.waiting > 0.05 && (
        <p className="note">
          {minutes(way.waiting)}&nbsp;min of waits that nothing can be done over; the rest are overlapped.
        </p>
      )}
      <p>
        <b>Lay out:</b> {way.tools.length ? way.tools.join(', ') : 'nothing, it comes by hand'}
      </p>
      {rest.length > 0 && (
        <ol className="text-[14px] list-none grid gap-1 border-t border-rule pt-2">
          {rest.map((m) => (
            <li key={m.id} className="flex gap-2 items-center min-h-[44px]">
              <span className="flex-1">
                {words(m)}
                {m.sideUp && m.sideUp !== way.sideUp && (
                  <span className="note"> {sideUpWords(m.sideUp)}</span>
                )}
              </span>
              {mayBeNow(way, m) && (
                <Second small aria-label={`Now: ${words(m)}`} onClick={() => onNow(m.id)}>
                  Now
                </Second>
              )}
            </li>
          ))}
          {others.length > rest.length && <li className="note">and {others.length - rest.length} more</li>}
        </ol>
      )}
    </section>
  );
}
