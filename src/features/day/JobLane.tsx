import { useSortable } from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import {
  clockIn,
  type DayHouse,
  type DayOffer,
  type DayPlan,
  meanwhile,
  minutesIn,
  type PlannedJob,
  type WorkedOut,
} from '../../core/day-plan';
import { Grip } from '../../ui/Signs';
import type { Axis } from './axis';
import { Lane, type Piece } from './Lane';

const span = (plan: DayPlan, from: number, until: number) =>
  `${clockIn(plan, from)} to ${clockIn(plan, until)}`;

/** Hands and waits of one job. */
function piecesOf(plan: DayPlan, offer: DayOffer, out: WorkedOut): Piece[] {
  return out.tasks
    .filter((t) => t.job === offer.job)
    .flatMap((t): Piece[] => {
      const task = offer.tasks.find((x) => x.id === t.task);
      const { start, over, end } = t;
      const hands: Piece = {
        kind: 'hands',
        from: start,
        until: over,
        words: `${task?.words ?? t.task}, ${span(plan, start, over)}`,
      };
      const wait: Piece = {
        kind: 'wait',
        from: over,
        until: end,
        words: `${task?.wait ?? 'it waits'}, ${span(plan, over, end)}`,
      };
      return [hands, wait].filter((p) => p.until > p.from);
    });
}

/** One job of the day: its tag, where it is, its strip, and what fits into its waits. */
export function JobLane({
  plan,
  planned,
  offer,
  out,
  axis,
  now,
  offers,
  house,
  left,
  chosen,
  onPick,
  children,
}: {
  plan: DayPlan;
  planned: PlannedJob;
  offer: DayOffer;
  out: WorkedOut | null;
  axis: Axis;
  now: number | null;
  offers: DayOffer[];
  house: DayHouse;
  /** why it is not in the day */
  left: string | undefined;
  chosen: boolean;
  onPick(): void;
  children?: React.ReactNode;
}) {
  const {
    attributes: _attributes,
    listeners,
    setNodeRef,
    transform,
    transition,
    isDragging,
  } = useSortable({
    id: planned.job,
  });
  const pieces = out ? piecesOf(plan, offer, out) : [];
  const visits = (out?.answer.visits ?? []).filter((v) => v.job === planned.job);
  const place = planned.place || offer.place;
  const inPlan = new Set(plan.jobs.map((j) => j.job));
  const waits = pieces.filter((p) => p.kind === 'wait');
  const fits = waits.flatMap((p) =>
    meanwhile(
      p.until - p.from,
      { job: offer.job, place },
      offers.filter((o) => !inPlan.has(o.job)),
      house,
    )
      // What may not stand alone is stood by.
      .filter((f) => planned.mayLeave || !f.elsewhere)
      .slice(0, 1),
  )[0];
  const posts = [planned.from, planned.until].flatMap((t) => {
    if (!/^\d\d:\d\d$/.test(t ?? '')) return [];
    return [minutesIn(plan, t as string, '')];
  });
  const said = [
    place || 'place not said',
    planned.from && `not before ${planned.from}`,
    planned.until && `over by ${planned.until}`,
    planned.mayLeave && waits.length > 0 && 'may be left alone',
  ].filter(Boolean);
  const words = offer.over
    ? 'handed over'
    : left
      ? `left: ${left}`
      : pieces.length
        ? pieces.map((p) => p.words).join('; ')
        : 'not worked out yet';
  return (
    <li
      ref={setNodeRef}
      style={{ transform: CSS.Translate.toString(transform), transition }}
      className={`border-t border-rule ${isDragging ? 'relative z-2 bg-slate-wash' : chosen ? 'bg-slate-wash' : ''}`}
    >
      <div className="day-grid min-h-[62px] py-1">
        <span className="grid grid-cols-[44px_minmax(0,1fr)] items-center">
          <span
            {...listeners}
            className="grid place-items-center w-11 h-11 cursor-grab touch-none text-bark-2"
            data-grip={offer.tag}
            title="drag it to another place in the order"
            aria-hidden="true"
          >
            <Grip />
          </span>
          <button
            type="button"
            data-row={planned.job}
            aria-expanded={chosen}
            onClick={onPick}
            className="text-left min-h-11 leading-[1.2]"
          >
            <span className="mono text-[15px]">{offer.tag}</span>
            {planned.must && <b className="text-[13px]"> must</b>}
            <b className="block">{offer.unit}</b>
            <span className="note">{said.join(', ')}</span>
          </button>
        </span>
        <span className="grid gap-[2px]">
          {offer.over ? (
            <span className="note">handed over</span>
          ) : left ? (
            <span className="text-ochre leading-[1.2]">
              <b>left for another day</b>: {left}
            </span>
          ) : (
            <Lane axis={axis} pieces={pieces} now={now} posts={posts} label={`${offer.tag}: ${words}`} />
          )}
          {visits[0] && !left && (
            <span className="note flex flex-wrap gap-x-3">
              {visits.map((v) => (
                <span key={v.arrive}>{span(plan, v.arrive, v.leave)}</span>
              ))}
              {fits && (
                <span className="text-slate">
                  into its wait fits {fits.tag}, {fits.words}, {Math.round(fits.minutes)}&nbsp;min
                </span>
              )}
            </span>
          )}
        </span>
      </div>
      {chosen && children}
    </li>
  );
}
