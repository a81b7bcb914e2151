import { firstLooksFound, firstLooksLeft, symptomProof } from '../../core/job';
import { Second } from '../../ui/Action';
import { Wrong } from '../../ui/Field';
import { TickBox, Warn } from '../../ui/Signs';
import { useJob } from '../job/use-job';
import { useRefusal } from '../job/use-refusal';

/** What is asked before anything is measured or opened: one at a time, each in one tap. */
export function FirstLooks() {
  const { job, record, go } = useJob();
  const [wrong, setWrong] = useRefusal();
  const left = firstLooksLeft(job);
  const found = firstLooksFound(job);
  const [next] = left;
  const failed = symptomProof(job)?.outcome === 'bad';
  if (!next && found.length === 0) return null;
  const say = (yes: boolean) =>
    next && setWrong(record('look.answered', { look: next.id, found: yes })?.reason ?? null);
  return (
    <section aria-label="Asked first" className="border-b border-rule-strong bg-inset px-4 py-2 grid gap-1">
      {found.map((l) => (
        <p key={l.id} className="flex flex-wrap gap-x-3 gap-y-1 items-center min-h-[44px]">
          <Warn />
          <span className="flex-1 min-w-[240px]">
            <b>{l.found}.</b> {l.mends && failed ? 'It was put right, and it still fails.' : l.then}
          </span>
          {l.mends && !failed && !job.plan && (
            <Second small onClick={() => go('prove')}>
              Prove it
            </Second>
          )}
        </p>
      ))}
      {next && (
        <div className="flex flex-wrap gap-x-3 gap-y-1 items-center">
          <span className="flex-1 min-w-[240px] leading-[1.2]">
            <span className="note">
              Asked first, {job.looked.length + 1} of {job.looked.length + left.length}:
            </span>{' '}
            <b>{next.ask}</b>
          </span>
          <Second small onClick={() => say(false)}>
            <span className="flex gap-2 items-center">
              <TickBox /> {next.clear}
            </span>
          </Second>
          <Second small onClick={() => say(true)}>
            <span className="flex gap-2 items-center">
              <Warn /> {next.found}
            </span>
          </Second>
        </div>
      )}
      {wrong && <Wrong>{wrong}</Wrong>}
    </section>
  );
}
