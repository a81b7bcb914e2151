import { useEffect, useState } from 'react';

/** What was typed on one sheet of a bench, kept in this browser over a reload. */
export function useTyped<T extends object>(name: string, empty: T): [T, (more: Partial<T>) => void] {
  const key = `mulch-typed-${name}`;
  const [typed, setTyped] = useState(empty);
  useEffect(() => {
    try {
      const kept = JSON.parse(localStorage.getItem(key) ?? 'null') as Partial<T> | null;
      if (kept) setTyped((t) => ({ ...t, ...kept }));
    } catch {
      // What cannot be read is begun anew.
    }
  }, [key]);
  const put = (more: Partial<T>) =>
    setTyped((t) => {
      const next = { ...t, ...more };
      localStorage.setItem(key, JSON.stringify(next));
      return next;
    });
  return [typed, put];
}
