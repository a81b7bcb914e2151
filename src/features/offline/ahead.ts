import type { JobSummary } from '../../core/job';
import { PAGES } from '../../offline/kept';
import { jobPath } from '../../schemas/job-path';
import { kept } from '../../ui/kept';

/** Jobs kept ahead of being opened. */
const MOST_JOBS = 20;
/** Views that belong to no job. */
const VIEWS = ['/', '/sums', '/cables', '/batteries', '/units'];
/** How long what was kept is good for while nothing says otherwise. */
const GOOD_MS = 3_600_000;
const KEY = 'mulch-ahead';

/** When a page was kept, and what the bench said of it then. */
type Marks = Record<string, { at: number; of: string }>;

/** What of these is to be fetched: what is not kept, was kept long ago, or is not what it was. */
export function due(
  pages: { path: string; of: string }[],
  marks: Marks,
  there: ReadonlySet<string>,
  now: number,
): string[] {
  return pages
    .filter(({ path, of }) => {
      const mark = there.has(path) ? marks[path] : undefined;
      return !mark || mark.of !== of || now - mark.at > GOOD_MS;
    })
    .map((p) => p.path);
}

/** Has the worker keep what may be needed without a network: the views, and the jobs in hand as the bench shows them. */
export async function ahead(): Promise<void> {
  if (window.location.pathname !== '/') return;
  const reg = await navigator.serviceWorker.ready;
  const res = await fetch('/api/jobs?handedOver=no').catch(() => null);
  const jobs = res?.ok ? ((await res.json()) as JobSummary[]).slice(0, MOST_JOBS) : [];
  const pages = [
    ...VIEWS.map((path) => ({ path, of: '' })),
    ...jobs.flatMap((j) => {
      const of = JSON.stringify(j);
      return [
        { path: jobPath(j.id, j.stop), of },
        { path: `/jobs/${j.id}/plugs`, of },
      ];
    }),
  ];
  const now = Date.now();
  const marks = kept.read<Marks>(KEY) ?? {};
  const there = await (await caches.open(PAGES)).keys();
  const keep = due(pages, marks, new Set(there.map((r) => new URL(r.url).pathname)), now);
  const wanted = new Set(keep);
  kept.write(
    KEY,
    Object.fromEntries(pages.map(({ path, of }) => [path, wanted.has(path) ? { at: now, of } : marks[path]])),
  );
  if (keep.length) reg.active?.postMessage({ keep });
}
