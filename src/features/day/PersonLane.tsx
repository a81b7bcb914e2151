import { clockIn, type DayPlan, minutesIn, type WorkedOut } from '../../core/day-plan';
import type { Axis } from './axis';
import { Lane, type Piece } from './Lane';

const hours = (minutes: number): string => {
  const m = Math.round(minutes);
  return m < 60 ? `${m}\u00a0min` : `${Math.floor(m / 60)}\u00a0h ${String(m % 60).padStart(2, '0')}`;
};

/** A technician’s own strip: hands on, on the way, busy elsewhere, and what is free between them. */
export function PersonLane({
  plan,
  axis,
  out,
  now,
  busy: busyNow,
  own,
}: {
  plan: DayPlan;
  axis: Axis;
  out: WorkedOut | null;
  now: number | null;
  /** it is being worked out */
  busy: boolean;
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
  const ways = (out?.ways ?? []).map(
    (w): Piece => ({
      kind: 'way',
      from: w.leave,
      until: w.arrive,
      words: `to ${w.to}, ${clockIn(plan, w.leave)} to ${clockIn(plan, w.arrive)}`,
    }),
  );
  const atWork = hands.reduce((n, p) => n + p.until - p.from, 0);
  const about = answer
    ? `${hours(atWork)} hands on, ${hours(answer.travelMinutes)} on the way, done ${clockIn(plan, answer.finish)}`
    : busyNow
      ? 'being worked out'
      : 'cannot be worked out yet';
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
      <Lane axis={axis} now={now} pieces={[...ways, ...hands, ...busy]} label={`${plan.person}: ${about}`} />
    </div>
  );
}
