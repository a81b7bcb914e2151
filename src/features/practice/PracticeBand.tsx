import { useMemo } from 'react';
import { practiceClock } from '../../core/job';
import { Second } from '../../ui/Action';
import { useJob } from '../job/use-job';
import { minutes } from './words';

/** Always in sight on every stop of a practice job: that it is none, and its clock. */
export function PracticeBand() {
  const { job, record } = useJob();
  const { practice, practiceOver, intake } = job;
  const clock = useMemo(() => (practice && intake ? practiceClock(job) : null), [job, practice, intake]);
  if (!practice) return null;
  return (
    <section className="practice-band" aria-label="Practice">
      <b className="practice-mark">Practice</b>
      <span className="big text-[20px]">{minutes(clock?.total ?? 0)}</span>
      <span className="note">
        simulated; a simulated unit, seed {practice.seed}. Nothing of it is counted or learned
      </span>
      {practiceOver ? (
        <a className="act-2 small" href={`/practice/${practice.exercise}`}>
          Its story
        </a>
      ) : (
        <Second small onClick={() => record('practice.ended', { how: 'left' })}>
          Leave it
        </Second>
      )}
    </section>
  );
}
