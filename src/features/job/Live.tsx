import { liveLines } from '../../core/hazard';
import { inUseWords, openAccess, stillFed, USES } from '../../core/job';
import { formatReading } from '../../core/unit';
import { Second } from '../../ui/Action';
import { Clock } from '../../ui/Clock';
import { HazardGlyph } from '../../ui/HazardGlyph';
import { TickBox } from '../../ui/Signs';
import { useJob } from './use-job';

/** More than these are named only: that all are in sight comes before what is said of each. */
const TOLD = 3;
/** More than these are told in a line each. */
const BRIEF = 2;

/** What is live now, in every view of a job. It says what was read and when, never that a thing is harmless. */
export function Live() {
  const { job, record } = useJob();
  const lines = liveLines(job.map.hazards, job.hazards, openAccess(job));
  const live = lines.filter((l) => l.state.status === 'live');
  const unknown = lines.filter((l) => l.state.status === 'unknown');
  const fed = stillFed(job);
  const title =
    live.length || job.inUse.length
      ? 'Live now'
      : unknown.length
        ? 'Not known yet'
        : fed.length
          ? 'Fed by its battery'
          : 'Nothing live is known';
  const look = live.length || job.inUse.length ? '' : unknown.length || fed.length ? 'unknown' : 'none';
  return (
    <section className={`live ${look}`} aria-label="Live now" aria-live="polite">
      <h2>{title}</h2>
      {job.inUse.map((u) => (
        <p key={u.id} className="flex flex-wrap gap-x-2 items-center text-[14px] leading-[1.2]">
          <b className="text-brick">{inUseWords(u)}</b>
          <Second small onClick={() => record('use.ended', { use: u.id })}>
            {USES[u.use].ends}
          </Second>
        </p>
      ))}
      <ul>
        {lines.map(({ hazard, state }) => (
          <li
            key={hazard.id}
            title={hazard.detail}
            className={
              state.status === 'made safe' ? 'text-bark' : look === 'unknown' ? 'text-ochre' : 'text-brick'
            }
          >
            {state.status === 'made safe' ? <TickBox size={16} /> : <HazardGlyph kind={hazard.kind} />}
            <span className="text-bark">
              <b>{hazard.name}</b>{' '}
              {state.status === 'made safe' && state.proof ? (
                <>
                  {state.proof.reading === undefined
                    ? 'done'
                    : `${lines.length > BRIEF ? '' : 'read '}${formatReading(state.proof.reading, state.proof.unit ?? '')}`}
                  {lines.length <= TOLD && (
                    <>
                      , <Clock at={state.proof.at} />
                    </>
                  )}
                </>
              ) : (
                <>
                  {lines.length > TOLD ? null : hazard.detail}
                  {state.armed && state.status === 'live' && ', live again'}
                </>
              )}
            </span>
          </li>
        ))}
      </ul>
      {fed.map(({ battery, feeds }) => (
        <p key={battery.id} className="text-[14px] leading-[1.2]">
          <b>
            {battery.id} {battery.name}
          </b>{' '}
          feeds {feeds.join(', ')}, plug out or not
        </p>
      ))}
    </section>
  );
}
