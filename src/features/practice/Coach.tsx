import { useJob } from '../job/use-job';
import { useStory } from './use-story';
import { actWords, minutes } from './words';

/** After a decision: the best there was, and what the choice cost beside it. */
export function Coach() {
  const { job } = useJob();
  const { story, share } = useStory(job);
  if (!story) return <p className="note">The coach is reckoning, {Math.round(share * 100)} %</p>;
  const last = story.lines.at(-1);
  if (!last) return <p className="note">The coach says after each decision what the best one was.</p>;
  const good = last.regret < 0.05;
  return (
    <section className="border-t border-rule pt-2 grid gap-1" aria-label="Coach">
      <h3 className="sec">Your last decision</h3>
      <p>
        {good ? (
          <>
            <b>{actWords(job.map, last.own)}</b>: nothing was better.
          </>
        ) : (
          <>
            Better: <b>{actWords(job.map, last.best)}</b>, mended in {minutes(last.best.minutes)} instead of{' '}
            {minutes(last.own.minutes)}. It cost <b>{minutes(last.regret)}</b>.
          </>
        )}
      </p>
      {last.bits !== undefined && (
        <p className="note">
          It could tell {last.bits.toFixed(2)} bits.{' '}
          {last.method === 'exact' ? 'Every way on was looked at.' : 'Looked two checks ahead.'}
        </p>
      )}
    </section>
  );
}
