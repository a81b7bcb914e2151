import { useCallback, useEffect, useState } from 'react';
import { kept } from './kept';

/** A choice of how a view is shown, kept in this browser. The first drawing shows the default. */
export function useKept<T extends string>(key: string, first: T): [T, (v: T) => void] {
  const [value, setValue] = useState<T>(first);
  useEffect(() => {
    const had = kept.read<T>(key);
    if (had) setValue(had);
  }, [key]);
  const keep = (v: T) => {
    setValue(v);
    kept.write(key, v);
  };
  return [value, keep];
}

/** What was typed on one sheet, kept in this browser over a reload until it is dropped. */
export function useTyped<T extends object>(
  name: string,
  empty: T,
): [T, (more: Partial<T>) => void, () => void] {
  const key = `mulch-typed-${name}`;
  const [typed, setTyped] = useState(empty);
  useEffect(() => {
    const had = kept.read<Partial<T>>(key);
    if (had) setTyped((t) => ({ ...t, ...had }));
  }, [key]);
  const put = useCallback(
    (more: Partial<T>) =>
      setTyped((t) => {
        const next = { ...t, ...more };
        kept.write(key, next);
        return next;
      }),
    [key],
  );
  const drop = useCallback(() => kept.drop(key), [key]);
  return [typed, put, drop];
}
