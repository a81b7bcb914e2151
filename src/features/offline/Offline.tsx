import { useEffect, useState } from 'react';
import { ahead } from './ahead';
import { FULL_WORDS, useNearlyFull } from './nearly-full';

/** Mulch without a network: kept by a worker of the browser, renewed when somebody asks for it. */
export function Offline() {
  const [newer, setNewer] = useState<ServiceWorker | null>(null);
  const full = useNearlyFull();
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
      {full && <span>{FULL_WORDS}</span>}
    </aside>
  );
}
