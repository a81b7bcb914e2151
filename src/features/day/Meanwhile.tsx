import { format } from 'date-fns';
import { useMemo } from 'react';
import { type DaySheet, meanwhile } from '../../core/day-plan';
import { jobPath } from '../../schemas/job-path';
import { useFetched } from '../sheet/use-fetched';

/** A wait under so many minutes is waited for. Common practice, no source. */
const SHORTEST = 10;

/** What fits into a wait of a job in hand: the next task of another job that is over by then. */
export function Meanwhile({ minutes, job, place }: { minutes: number; job: string; place: string }) {
  const long = minutes >= SHORTEST;
  const today = useMemo(() => format(new Date(), 'yyyy-MM-dd'), []);
  const { data } = useFetched<DaySheet>(long ? `/api/days/${today}` : null);
  if (!data || !long) return null;
  const fits = meanwhile(minutes, { job, place }, data.offers, data.house).slice(0, 2);
  if (fits.length === 0) return null;
  return (
    <span className="block leading-[1.3]">
      Meanwhile:{' '}
      {fits.map((f, i) => {
        const offer = data.offers.find((o) => o.job === f.job);
        return (
          <span key={f.job}>
            {i > 0 && ', or '}
            <a href={jobPath(f.job, offer?.stop ?? 'trace')}>
              <span className="mono">{f.tag}</span>
            </a>{' '}
            {f.words}, {Math.round(f.minutes)}&nbsp;min
            {f.elsewhere && ', if it may stand alone'}
          </span>
        );
      })}
    </span>
  );
}
