/** Jobs kept ahead of being opened. */
const MOST_JOBS = 20;
/** Views that belong to no job. */
const VIEWS = ['/', '/sums', '/cables', '/batteries', '/units'];

interface Job {
  id: string;
  stop: string;
}

/** Has the worker keep what may be needed without a network: the views, and the jobs in hand as the bench shows them. */
export async function ahead(): Promise<void> {
  if (window.location.pathname !== '/') return;
  const reg = await navigator.serviceWorker.ready;
  const res = await fetch('/api/jobs?handedOver=no').catch(() => null);
  const jobs = res?.ok ? ((await res.json()) as Job[]) : [];
  reg.active?.postMessage({
    keep: [
      ...VIEWS,
      ...jobs
        .slice(0, MOST_JOBS)
        .flatMap((j) => [`/jobs/${j.id}/${j.stop.replaceAll(' ', '-')}`, `/jobs/${j.id}/plugs`]),
    ],
  });
}
