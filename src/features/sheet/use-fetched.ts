import { useCallback, useEffect, useState } from 'react';

/** What an address of the server answers. */
export interface Fetched<T> {
  /** null until it came, and while nothing is asked; what came last stays */
  data: T | null;
  /** the server did not answer the last time */
  away: boolean;
  again(): Promise<void>;
}

/**
 * Asks the server for something when a view is drawn, and again when the address changes or it is told to.
 *
 * @param url of it; null for nothing
 */
export function useFetched<T>(url: string | null): Fetched<T> {
  const [data, setData] = useState<T | null>(null);
  const [away, setAway] = useState(false);
  const ask = useCallback(async (address: string, signal?: AbortSignal) => {
    // Given up, it ends at either of the two: while it is asked, or while the answer comes in.
    const body = await fetch(address, signal ? { signal } : {})
      .then(async (res) => (res.ok ? ((await res.json()) as T) : null))
      .catch(() => null);
    if (signal?.aborted) return;
    setAway(body === null);
    if (body !== null) setData(body);
  }, []);
  useEffect(() => {
    if (url === null) return;
    const stop = new AbortController();
    void ask(url, stop.signal);
    return () => stop.abort();
  }, [url, ask]);
  const again = useCallback(async () => {
    if (url !== null) await ask(url);
  }, [url, ask]);
  return { data, away, again };
}
