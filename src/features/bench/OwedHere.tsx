import type { JobSummary } from '../../core/job';
import { jobPath } from '../../schemas/job-path';

/** So many stand here; the others follow when these are ticked. */
const MOST = 3;

/** What is owed from jobs, here and handed over: what is due first stands first. */
export function OwedHere({ jobs, today }: { jobs: JobSummary[]; today: string }) {
  const owed = jobs
    .flatMap((job) => (job.owing ?? []).map((o) => ({ ...o, job })))
    .sort((a, b) => ((a.due ?? '9') < (b.due ?? '9') ? -1 : 1));
  if (owed.length === 0) return null;
  const overdue = owed.filter((o) => o.due && o.due < today).length;
  return (
    <section className="pad grid gap-2 border-b border-rule-strong" aria-label="Owed">
      <div className="lead">
        <h2 className="sec">Owed</h2>
        <span className="note">{overdue > 0 ? `${overdue} overdue` : `${owed.length} open`}</span>
      </div>
      <ul className="rows">
        {owed.slice(0, MOST).map((o) => (
          <li key={o.id}>
            <a href={jobPath(o.job.id, 'hand over')} className="no-underline block leading-[1.25]">
              <b>{o.what}</b>
              <span className="note block">
                {o.job.tag} {o.job.unit}
                {o.due && `, by ${o.due}`}
                {o.due && o.due < today && <b className="text-ochre"> overdue</b>}
              </span>
            </a>
          </li>
        ))}
      </ul>
      {owed.length > MOST && <p className="note">and {owed.length - MOST} more</p>}
    </section>
  );
}
