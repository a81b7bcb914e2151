import { Warn } from '../../ui/Signs';
import { useJob } from './use-job';

/** What the whole job view has to say: parked, unsent, turned back. */
export function Notices({ refusal, onDismiss }: { refusal: string | null; onDismiss(): void }) {
  const { job, snapshot, record, dismiss } = useJob();
  return (
    <div aria-live="polite" className="no-print">
      {job.parked && (
        <div className="notice parked">
          <span className="mono">P</span>
          <span>
            Parked: {job.parked.why}
            {job.parked.until && `, ${job.parked.until}`}
          </span>
          <button type="button" onClick={() => record('job.resumed', {})}>
            Take it up
          </button>
        </div>
      )}
      {snapshot.turnedBack && (
        <div className="notice" role="alert">
          <Warn />
          <span>An entry was taken back: {snapshot.turnedBack.reason}</span>
          <button type="button" onClick={dismiss}>
            Read
          </button>
        </div>
      )}
      {refusal && (
        <div className="notice" role="alert">
          <Warn />
          <span>{refusal}</span>
          <button type="button" onClick={onDismiss}>
            Read
          </button>
        </div>
      )}
      {snapshot.offline && (
        <div className="notice">
          <Warn />
          <span>
            No connection.{' '}
            {snapshot.unsent
              ? `${snapshot.unsent} ${snapshot.unsent === 1 ? 'entry is' : 'entries are'} kept here and sent when it is back.`
              : 'Go on: entries are kept here.'}
          </span>
          <span />
        </div>
      )}
    </div>
  );
}
