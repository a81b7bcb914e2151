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
    const res = await fetch(address, signal ? { signal } : {}).catch(() => null);
    if (signal?.aborted) return;
    setAway(!res?.ok);
    if (res?.ok) setData((await res.json()) as T);
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
