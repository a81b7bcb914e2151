import { useEffect, useState } from 'react';
import { fileOfWaiting } from './save-waiting';
import { sendWaiting, type Waiting } from './send-waiting';

const LOOK_EVERY_MS = 15_000;

const many = (n: number) => `${n} ${n === 1 ? 'entry waits' : 'entries wait'} for the server`;

/** What waits for the server is sent from any page, and counted there while it waits. */
export function Unsent() {
  const [waiting, setWaiting] = useState<Waiting[]>([]);
  const [ofJob, setOfJob] = useState(true);
  useEffect(() => {
    const job = /^\/jobs\/([^/]+)\/(?!plugs)/.exec(window.location.pathname)?.[1] ?? null;
    setOfJob(job !== null);
    let busy = false;
    const look = async () => {
      if (busy) return;
      busy = true;
      // A browser that keeps nothing has nothing waiting.
      setWaiting(await sendWaiting(job).catch(() => []));
      busy = false;
    };
    void look();
    const timer = setInterval(look, LOOK_EVERY_MS);
    window.addEventListener('online', look);
    return () => {
      clearInterval(timer);
      window.removeEventListener('online', look);
    };
  }, []);
  if (ofJob || waiting.length === 0) return null;
  return (
    <aside className="unsent no-print" aria-live="polite" aria-label="Not sent yet">
      <b>{many(waiting.reduce((n, w) => n + w.events.length, 0))}</b>
      {waiting.map(({ job, events, unknown }, k) =>
        unknown ? (
          <a key={job} download="unsent entries.json" href={fileOfWaiting(job, events)}>
            Save as a file: the server does not know the job
          </a>
        ) : (
          <a key={job} href={`/jobs/${job}`}>
            {waiting.length === 1 ? 'Open its job' : `Open job ${k + 1}`}
          </a>
        ),
      )}
    </aside>
  );
}
