import { useEffect, useState } from 'react';

/** A choice of how a view is shown, kept in this browser. The first drawing shows the default. */
export function useKept<T extends string>(key: string, first: T): [T, (v: T) => void] {
  const [value, setValue] = useState<T>(first);
  useEffect(() => {
    try {
      const kept = window.localStorage.getItem(key);
      if (kept) setValue(kept as T);
    } catch {
      // A browser that keeps nothing shows the default.
    }
  }, [key]);
  const keep = (v: T) => {
    setValue(v);
    try {
      window.localStorage.setItem(key, v);
    } catch {
      // as above
    }
  };
  return [value, keep];
}
