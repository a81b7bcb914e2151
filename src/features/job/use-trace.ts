import { useEffect, useMemo, useRef, useState } from 'react';
import { type JobState, type TraceView, traceRequest, traceView } from '../../core/job';
import { momentsOf, type TraceAnswer, type TraceRequest, trace } from '../../core/trace';
import { beside } from '../../workers/beside';
import type { TraceWorker } from '../../workers/trace.worker';

const reckon = beside<TraceWorker>(
  () => new Worker(new URL('../../workers/trace.worker.ts', import.meta.url), { type: 'module' }),
);

/** Elements up to which the page itself looks two checks ahead at once. */
const MOST_AT_ONCE = 150;
/** Moments up to which the page itself looks at every way on. */
const MOST_MOMENTS_AT_ONCE = 2000;
/** A request that the page can answer before it is drawn: on a long map, one check ahead. */
const quick = (r: TraceRequest): TraceRequest =>
  r.elements.length > MOST_AT_ONCE
    ? { ...r, options: { ...r.options, lookahead: 1, exact: false } }
    : momentsOf(r) > MOST_MOMENTS_AT_ONCE
      ? { ...r, options: { ...r.options, exact: false } }
      : r;

/**
 * Suspicion and next actions of a job. The first answer is there at once, so that the page comes
 * whole; later ones are worked out beside it, and `reckoning` says that one is under way.
 */
export function useTrace(job: JobState): { view: TraceView; reckoning: boolean } {
  const request = useMemo(() => traceRequest(job), [job]);
  const key = useMemo(() => JSON.stringify(request), [request]);
  const first = useRef<{ key: string; answer: TraceAnswer } | null>(null);
  first.current ??= { key: quick(request) === request ? key : '', answer: trace(quick(request)) };
  const [known, setKnown] = useState(first.current);
  useEffect(() => {
    if (known.key === key) return;
    let stale = false;
    void reckon()
      .trace(request)
      .then((answer) => {
        if (!stale) setKnown({ key, answer });
      });
    return () => {
      stale = true;
    };
  }, [key, known, request]);
  const view = useMemo(() => traceView(job, known.answer), [job, known]);
  return { view, reckoning: known.key !== key };
}
