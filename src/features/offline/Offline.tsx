import { useEffect, useState } from 'react';
import { ahead } from './ahead';

/** Share of what a browser may keep from which on it is said. */
const NEARLY_FULL = 0.9;

/** Whether the browser has hardly room left for what waits and what is kept. */
async function nearlyFull(): Promise<boolean> {
  const { usage = 0, quota = 0 } = (await navigator.storage?.estimate?.()) ?? {};
  return quota > 0 && usage / quota > NEARLY_FULL;
}

/** Mulch without a network: kept by a worker of the browser, renewed when somebody asks for it. */
export function Offline() {
  const [newer, setNewer] = useState<ServiceWorker | null>(null);
  const [full, setFull] = useState(false);
  const [inJob, setInJob] = useState(true);
  useEffect(() => {
    setInJob(window.location.pathname.startsWith('/jobs/'));
    // It needs an encrypted way, or the machine itself.
    if (!('serviceWorker' in navigator)) return;
    let away = false;
    const waits = (reg: ServiceWorkerRegistration) => {
      // The first one has nobody to wait for.
      if (reg.waiting && navigator.serviceWorker.controller && !away) setNewer(reg.waiting);
    };
    void navigator.serviceWorker
      .register('/sw.js')
      .then((reg) => {
        waits(reg);
        reg.addEventListener('updatefound', () => {
          const coming = reg.installing;
          coming?.addEventListener('statechange', () => waits(reg));
        });
      })
      // A browser that keeps nothing has no worker either.
      .catch(() => {});
    void ahead();
    void nearlyFull().then((yes) => !away && setFull(yes));
    return () => {
      away = true;
    };
  }, []);
  const take = () => {
    navigator.serviceWorker.addEventListener('controllerchange', () => window.location.reload(), {
      once: true,
    });
    newer?.postMessage({ takeOver: true });
  };
  // Over a job in hand nothing is offered: it would lie upon its tray.
  if (inJob || (!newer && !full)) return null;
  return (
    <aside className="unsent no-print" aria-live="polite" aria-label="This device">
      {newer && (
        <>
          <b>A newer Mulch is here.</b>
          <button type="button" className="act-2 small" onClick={take}>
            Take it
          </button>
          <button type="button" className="act-2 small" onClick={() => setNewer(null)}>
            Later
          </button>
        </>
      )}
      {full && <span>This browser has hardly room left: what cannot be sent may not be kept.</span>}
    </aside>
  );
}
