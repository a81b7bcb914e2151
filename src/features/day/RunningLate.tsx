import { useState } from 'react';
import { clockIn, type WorkedOut } from '../../core/day-plan';
import { Second } from '../../ui/Action';
import { SelectField } from '../../ui/Field';
import type { DayLink } from './use-day';

/** A share of days as people say it: none is sure. */
export const inHundred = (share: number): string =>
  share > 0.99 ? 'over 99 of 100' : share < 0.01 ? 'under 1 of 100' : `${Math.round(share * 100)} of 100`;

/** What a day comes to, planning it anew from now, and whom to tell of what no longer fits. */
export function RunningLate({
  link: { plan, offers, change },
  out,
  now,
}: {
  link: DayLink;
  out: WorkedOut | null;
  now: number | null;
}) {
  const by = new Map(offers.map((o) => [o.job, o]));
  const places = [
    ...new Set([
      plan.since?.place ?? '',
      plan.start.place,
      ...plan.jobs.map((j) => j.place || by.get(j.job)?.place || ''),
      plan.end.place ?? '',
    ]),
  ].filter(Boolean);
  // Where one should be by the plan, now.
  const here = out?.answer.visits.findLast((v) => now !== null && v.arrive <= now)?.place;
  const [said, setSaid] = useState('');
  const place = said || plan.since?.place || here || plan.start.place;
  const left = out?.left ?? [];
  const { holds, optimal } = out?.answer ?? {};
  // A day goes on into the next morning at most.
  const isToday = now !== null && now >= 0 && now < 36 * 60;
  const late = () => {
    if (now === null || !isToday) return;
    change({ since: { place, at: clockIn(plan, now) } });
  };
  return (
    <section aria-label="How it stands" className="grid gap-2">
      <h2 className="sec">How it stands</h2>
      {out && plan.jobs.length > 0 && (
        <p className="leading-[1.3]">
          {left.length === 0 ? 'All of it fits.' : `${left.length} of ${plan.jobs.length} do not fit.`}
          {holds !== undefined && (
            <>
              {' '}
              The times are kept in <b>{inHundred(holds)}</b> such days.
            </>
          )}
          {optimal === false && <span className="note"> The best of many orders that were tried.</span>}
        </p>
      )}
      {plan.since && (
        <p className="note">
          Planned anew at {plan.since.at} from {plan.since.place || plan.start.place}.
        </p>
      )}
      {left.length > 0 && (
        <ul aria-label="Whom to tell" className="grid gap-1">
          {left.map((l) => {
            const o = by.get(l.job);
            const whom = [o?.owner, o?.reach].filter(Boolean).join(', ');
            return (
              <li key={l.job} className="leading-[1.3]">
                <b className="mono">{o?.tag}</b> {l.why}.{' '}
                {!l.unknown && <b>{whom ? `Tell ${whom}` : 'Nobody to tell is written down'}</b>}
              </li>
            );
          })}
        </ul>
      )}
      <div className="grid grid-cols-[minmax(0,1fr)_auto] gap-2 items-end">
        <SelectField label="You are at" value={place} onChange={(e) => setSaid(e.target.value)}>
          {places.length === 0 && <option value="">no place yet</option>}
          {places.map((p) => (
            <option key={p} value={p}>
              {p}
            </option>
          ))}
        </SelectField>
        <Second
          keyName="R"
          data-key="late"
          onClick={late}
          disabled={!isToday || places.length === 0}
          title={isToday ? undefined : 'on the day itself'}
        >
          Running late
        </Second>
      </div>
      {plan.since && (
        <Second small className="justify-self-start" onClick={() => change({ since: undefined })}>
          As it was in the morning
        </Second>
      )}
    </section>
  );
}
