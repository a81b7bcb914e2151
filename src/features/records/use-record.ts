import { useCallback, useEffect, useState } from 'react';
import type { RecordAsked, RecordRow, Taught } from '../../core/record';
import { queryOf } from './query';

/** Typing goes on for so long before anything is asked, in milliseconds. */
const SETTLED = 180;

interface Page {
  count: number;
  rows: RecordRow[];
}

/** Asks the server; its answer, or why there is none in words. */
async function ask<T>(url: string, signal: AbortSignal): Promise<T | string> {
  try {
    const res = await fetch(url, { signal });
    const data = await res.json();
    return res.ok
      ? (data as T)
      : ((data as { detail?: string }).detail ?? `the server answered ${res.status}`);
  } catch {
    return signal.aborted
      ? ''
      : 'No connection to the server: what stands here is what was asked for before.';
  }
}

/** What the record answers to what is asked, as it is asked. */
export function useRecord(
  asked: RecordAsked,
  shows: 'jobs' | 'figures',
  first: { asked: RecordAsked; jobs: Page; figures: Taught | null },
) {
  const [jobs, setJobs] = useState(first.jobs);
  const [figures, setFigures] = useState(first.figures);
  const [busy, setBusy] = useState(false);
  const [wrong, setWrong] = useState('');
  // What stands here was asked for so.
  const [jobsFor, setJobsFor] = useState(queryOf(first.asked));
  const [figuresFor, setFiguresFor] = useState(first.figures ? queryOf(first.asked) : null);
  // The query is all that it depends on.
  const query = queryOf(asked);
  useEffect(() => {
    const stale = { jobs: jobsFor !== query, figures: figuresFor !== query };
    if (!stale.jobs && !(shows === 'figures' && stale.figures)) return setBusy(false);
    const stop = new AbortController();
    setBusy(true);
    const timer = setTimeout(async () => {
      const [page, taught] = await Promise.all([
        stale.jobs ? ask<Page>(`/api/records${query}`, stop.signal) : null,
        shows === 'figures' && stale.figures
          ? ask<Taught>(`/api/records/figures${query}`, stop.signal)
          : null,
      ]);
      if (stop.signal.aborted) return;
      setBusy(false);
      setWrong([page, taught].find((x) => typeof x === 'string') ?? '');
      if (page !== null && typeof page !== 'string') {
        setJobs(page);
        setJobsFor(query);
      }
      if (taught !== null && typeof taught !== 'string') {
        setFigures(taught);
        setFiguresFor(query);
      }
    }, SETTLED);
    return () => {
      clearTimeout(timer);
      stop.abort();
    };
  }, [query, shows, jobsFor, figuresFor]);
  /** Asks for the figures again. */
  const again = useCallback(() => setFiguresFor(null), []);
  return { jobs, figures, busy, wrong, again };
}
