import { Warn } from '../../ui/Signs';
import { useJob } from './use-job';

/** What the whole job view has to say: unsent, turned back. */
export function Notices({ refusal, onDismiss }: { refusal: string | null; onDismiss(): void }) {
  const { snapshot, dismiss } = useJob();
  return (
    <div aria-live="polite" className="no-print">
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
