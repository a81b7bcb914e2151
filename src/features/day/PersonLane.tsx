import type { DayAnswer } from '../../core/day';
import { clockIn, type DayPlan, minutesIn, type WorkedOut } from '../../core/day-plan';
import type { Axis } from './axis';
import { Lane, type Piece } from './Lane';

const hours = (minutes: number): string => {
  const m = Math.round(minutes);
  return m < 60 ? `${m}\u00a0min` : `${Math.floor(m / 60)}\u00a0h ${String(m % 60).padStart(2, '0')}`;
};

/** Where a technician is on the way: between leaving one place and arriving at the next. */
function ways(answer: DayAnswer, plan: DayPlan): Piece[] {
  const span = (a: number, b: number) => `${clockIn(plan, a)} to ${clockIn(plan, b)}`;
  const pieces: Piece[] = [];
  let leave: number | null = null;
  let place = '';
  for (const v of answer.visits) {
    if (leave !== null && v.place !== place)
      pieces.push({
        kind: 'way',
        from: leave,
        until: v.arrive,
        words: `to ${v.place}, ${span(leave, v.arrive)}`,
      });
    if (leave === null && v.place !== (plan.since?.place ?? plan.start.place)) {
      const from = plan.since ? minutesIn(plan, plan.since.at, '') : minutesIn(plan, plan.start.at, '');
      pieces.push({ kind: 'way', from, until: v.arrive, words: `to ${v.place}, ${span(from, v.arrive)}` });
    }
    leave = v.leave;
    place = v.place;
  }
  if (leave !== null && plan.end.place && answer.finish > leave)
    pieces.push({
      kind: 'way',
      from: leave,
      until: answer.finish,
      words: `to ${plan.end.place}, ${span(leave, answer.finish)}`,
    });
  return pieces;
}

/** A technician’s own strip: hands on, on the way, busy elsewhere, and what is free between them. */
export function PersonLane({
  plan,
  axis,
  out,
  now,
  own,
}: {
  plan: DayPlan;
  axis: Axis;
  out: WorkedOut | null;
  now: number | null;
  /** it is the one that is planned here */
  own?: boolean;
}) {
  const clock = /^\d\d:\d\d$/;
  const busy = plan.busy
    .filter((b) => clock.test(b.from) && clock.test(b.until))
    .map(
      (b): Piece => ({
        kind: 'busy',
        from: minutesIn(plan, b.from, ''),
        until: minutesIn(plan, b.until, ''),
        words: `${b.what || 'busy'}, ${b.from} to ${b.until}`,
      }),
    );
  const answer = out?.answer;
  const hands = (out?.tasks ?? []).flatMap((t): Piece[] =>
    t.over > t.start
      ? [{ kind: 'hands', from: t.start, until: t.over, words: `${clockIn(plan, t.start)} at work` }]
      : [],
  );
  const atWork = hands.reduce((n, p) => n + p.until - p.from, 0);
  const about = answer
    ? `${hours(atWork)} hands on, ${hours(answer.travelMinutes)} on the way, done ${clockIn(plan, answer.finish)}`
    : 'being worked out';
  return (
    <div className="day-grid min-h-[56px] py-1 border-t border-rule-strong">
      <span className="leading-[1.2]">
        <b className="block">{plan.person}</b>
        {own ? (
          <span className="note">{about}</span>
        ) : (
          <a
            href={`/day?day=${plan.day}&person=${encodeURIComponent(plan.person)}`}
            className="note inline-block min-h-11 content-center"
          >
            {about}
          </a>
        )}
      </span>
      <Lane
        axis={axis}
        now={now}
        pieces={[...(answer ? ways(answer, plan) : []), ...hands, ...busy]}
        label={`${plan.person}: ${about}`}
      />
    </div>
  );
}
