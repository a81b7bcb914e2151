import { replaceBy } from '../../core/fit';
import { useJob } from '../job/use-job';

/** The day by which a fitted battery is usually replaced, for the owner’s calendar. */
export function ReplaceBy() {
  const { job } = useJob();
  const { fix } = job;
  if (!fix || job.map.elements.find((e) => e.id === fix.element)?.kind !== 'battery') return null;
  const compared = job.batteries[fix.element];
  const due = replaceBy(compared?.request.new, fix.at, compared?.request.rows);
  return (
    <div className="pad grid gap-2 border-t border-rule">
      <h3 className="sec">Replace by</h3>
      {due ? (
        <>
          <p>
            <b>{due.date}</b>, {due.years} years: usual for {due.chemistry}. Common practice; heat and deep
            discharge shorten it.
          </p>
          <a className="act-2 small justify-self-start" href={`/api/jobs/${job.id}/replace-by`} download>
            For the calendar
          </a>
        </>
      ) : (
        <p className="note">
          Its chemistry is not known: compare old and new in Plan, and the date for the owner’s calendar
          follows.
        </p>
      )}
    </div>
  );
}
