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
    const held = (is: boolean) => {
      clearTimeout(timer);
      if (is) setPressed(true);
      // The press itself is told first.
      else timer = setTimeout(() => setPressed(false));
    };
    const up = () => held(false);
    const off = new AbortController();
    const { signal } = off;
    window.addEventListener('pointerdown', () => held(true), { capture: true, signal });
    for (const type of ['pointerup', 'pointercancel'])
      window.addEventListener(type, up, { capture: true, signal });
    // A bar that was scrolled by tells nobody when it is let go.
    const moved = (e: PointerEvent) => e.buttons === 0 && up();
    window.addEventListener('pointermove', moved, { capture: true, passive: true, signal });
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
