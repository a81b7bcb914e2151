import { useEffect, useRef } from 'react';

/**
 * Keeps the place of somebody working by key: when what had the focus has gone with the change of
 * `key`, the element with the returned ref takes it.
 */
export function useFocusKept<T extends HTMLElement>(key: unknown) {
  const ref = useRef<T>(null);
  const last = useRef(key);
  useEffect(() => {
    if (last.current === key) return;
    last.current = key;
    if (document.activeElement === document.body) ref.current?.focus({ preventScroll: true });
  }, [key]);
  return ref;
}
