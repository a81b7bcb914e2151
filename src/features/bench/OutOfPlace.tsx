import type { JobSummary } from '../../core/job';
import { placeWords } from '../../core/ledger';
import { jobPath } from '../../schemas/job-path';
import { FreePlace, Place } from '../../ui/Place';
import { Screw } from '../../ui/Screw';
import { ScrollRow } from '../../ui/ScrollRow';

/** So many jobs are told in a line each; of more the tag is named. */
const MOST = 3;

/** Things of all jobs that are not where they should be, and what is live on any of them. */
export function OutOfPlace({ jobs }: { jobs: JobSummary[] }) {
  const here = jobs.filter((j) => !j.handedOver);
  const lost = here.flatMap((j) => j.missing.map((m) => ({ job: j, ...m })));
  const live = here.filter((j) => j.live.length).map((job) => ({ job, words: job.live.join(', ') }));
  const fed = here
    .filter((j) => j.fed?.length && !j.live.length)
    .map((job) => ({ job, words: `fed by ${job.fed?.join(', ')}` }));
  const told = [...live, ...fed];
  const pieces = lost.reduce((n, m) => n + m.count, 0);
  return (
    <div className="band">
      <section className={`live ${live.length ? '' : fed.length ? 'unknown' : 'none'}`} aria-label="Live now">
        <h2>{live.length ? 'Live now' : fed.length ? 'Fed by its battery' : 'Nothing live is known'}</h2>
        <ul>
          {told.slice(0, MOST).map(({ job, words }) => (
            <li key={job.id} className="grid-cols-[1fr]!">
              <a href={jobPath(job.id, 'make safe')}>
                <b>{job.tag}</b>, {words}
              </a>
            </li>
          ))}
          {told.length > MOST && (
            <li className="grid-cols-[1fr]!">
              <span>
                and {told.length - MOST} more:{' '}
                {told.slice(MOST).map(({ job }, i) => (
                  <span key={job.id}>
                    {i > 0 && ', '}
                    <a href={jobPath(job.id, 'make safe')}>{job.tag}</a>
                  </span>
                ))}
              </span>
            </li>
          )}
        </ul>
      </section>
      <section className="tray" aria-labelledby="lost-title">
        <div className="tray-lip">
          <span>
            <h2 id="lost-title">Out of place</h2>
            {pieces === 0
              ? 'every piece is where it was put'
              : pieces === 1
                ? 'one thing is not where it should be'
                : `${pieces} things are not where they should be`}
          </span>
          <span>no job closes while one of its things is here</span>
        </div>
        <ScrollRow className="tray-row" label="Things out of place">
          {lost.length === 0 && <FreePlace>nothing lost</FreePlace>}
          {lost.map((m) => (
            <div key={`${m.job.id} ${m.spec} ${m.place}`} className="flex gap-3">
              <Place
                kind={m.kept?.kind ?? 'cup'}
                label={m.kept?.label}
                look="missing"
                figure={m.of - m.count}
                word={<span>of {m.of}</span>}
                picture={<Screw thread={m.thread} lengthMm={m.lengthMm} drive={m.drive} count={0} />}
                spec={m.spec}
                from={m.job.tag}
                spoken={`${m.count} of ${m.of} ${m.spec} missing, last kept ${m.place}, ${m.job.tag}`}
              />
              <div className="max-w-[300px] text-[15px] leading-[1.25] pt-1">
                <b>
                  {m.count} × {m.spec}, last seen {m.kept ? placeWords(m.kept) : `in ${m.place}`}
                </b>
                <span className="block">
                  Look under the unit, along the mat, on the magnet. Until it is found or written off,{' '}
                  {m.job.tag} stays open.
                </span>
                <a
                  href={jobPath(m.job.id, 'close up')}
                  className="inline-flex items-center min-h-[44px] font-[600] underline"
                >
                  To its tray
                </a>
              </div>
            </div>
          ))}
        </ScrollRow>
      </section>
    </div>
  );
}
