import { useEffect, useState } from 'react';
import type { Found } from '../../core/search';

/** Milliseconds without a key after which it is looked for. */
const PAUSE_MS = 150;
const LEAST = 2;

/** Jobs and units by what is typed; nothing without the server. */
export function useFound(typed: string): Found[] {
  const [found, setFound] = useState<Found[]>([]);
  const asked = typed.trim();
  useEffect(() => {
    if (asked.length < LEAST) return setFound([]);
    let gone = false;
    const timer = setTimeout(() => {
      fetch(`/api/search?most=8&q=${encodeURIComponent(asked)}`)
        .then(async (res) => {
          const list = res.ok ? ((await res.json()) as Found[]) : [];
          if (!gone) setFound(list);
        })
        .catch(() => !gone && setFound([]));
    }, PAUSE_MS);
    return () => {
      gone = true;
      clearTimeout(timer);
    };
  }, [asked]);
  return found;
}
