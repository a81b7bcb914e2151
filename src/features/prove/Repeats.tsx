import { goodInARow, repeatsWanted } from '../../core/job';
import { useJob } from '../job/use-job';

/** Good repeats in a row so far, and how many a fault of this pattern asks for. */
export function Repeats() {
  const { job } = useJob();
  const wanted = repeatsWanted(job);
  if (wanted <= 1) return null;
  const good = goodInARow(job);
  return (
    <div className="border-t border-rule pt-3">
      <h3 className="sec pb-1">It came {job.intake?.pattern}</h3>
      <p>
        <b className="big text-[27px]">{good}</b> of {wanted} good repeats in a row
      </p>
      <p className="note">
        One good try proves little here: with {wanted} in a row a fault still there would have shown itself
        with 95&nbsp;% certainty. Reckoned from how often it came.
      </p>
    </div>
  );
}
