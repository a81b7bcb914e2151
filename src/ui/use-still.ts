import { useEffect, useRef, useState } from 'react';

/**
 * What is worked out beside, held as it is while a pointer is down: an answer that comes between press and
 * release would move what is pressed, and the press would be lost.
 */
export function useStill<T>(value: T): T {
  const [pressed, setPressed] = useState(false);
  const shown = useRef(value);
  useEffect(() => {
    let timer: ReturnType<typeof setTimeout> | undefined;
    const down = () => {
      clearTimeout(timer);
      setPressed(true);
    };
    // The press itself is told first.
    const up = () => {
      timer = setTimeout(() => setPressed(false));
    };
    const off = new AbortController();
    const { signal } = off;
    window.addEventListener('pointerdown', down, { capture: true, signal });
    for (const type of ['pointerup', 'pointercancel'])
      window.addEventListener(type, up, { capture: true, signal });
    // Of the window itself: a release over another one is told to nobody here.
    window.addEventListener('blur', up, { signal });
    return () => {
      off.abort();
      clearTimeout(timer);
    };
  }, []);
  if (!pressed) shown.current = value;
  return shown.current;
}
