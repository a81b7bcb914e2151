import type { Remote } from 'comlink';
import { useEffect, useMemo, useRef, useState } from 'react';
import type { JobState } from '../../core/job';
import { beside } from '../../workers/beside';
import type { WaysWorker } from '../../workers/ways.worker';

const reckon = beside<WaysWorker>(
  () => new Worker(new URL('../../workers/ways.worker.ts', import.meta.url), { type: 'module' }),
);

/** How long the page itself looks for an order before it leaves it to the worker, ms. */
const AT_ONCE_MS = 25;
/** How long the worker looks, ms. */
const BESIDE_MS = 1500;

/**
 * An order of moves for a job. The page shows what it finds at once; where that is not proven the
 * quickest, a worker goes on looking, and its answer takes the place when it comes.
 */
export function useWays<A extends { optimal: boolean }>(
  job: JobState,
  at: (job: JobState, timeLimitMs: number) => A | null,
  reckoned: (w: Remote<WaysWorker>, job: JobState, timeLimitMs: number) => Promise<A | null>,
): { answer: A | null; reckoning: boolean } {
  const first = useMemo(() => at(job, AT_ONCE_MS), [job, at]);
  const [better, setBetter] = useState<{ for: A; answer: A | null } | null>(null);
  const ask = useRef(reckoned);
  const open = first !== null && !first.optimal;
  useEffect(() => {
    if (!open || !first) return;
    let stale = false;
    void ask
      .current(reckon(), job, BESIDE_MS)
      .then((answer) => {
        if (!stale) setBetter({ for: first, answer });
      })
      // What the page found stands where the worker cannot be had.
      .catch(() => !stale && setBetter({ for: first, answer: first }));
    return () => {
      stale = true;
    };
  }, [open, first, job]);
  const known = better && better.for === first ? better.answer : first;
  return { answer: known, reckoning: open && better?.for !== first };
}
