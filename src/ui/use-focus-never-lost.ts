import { useEffect } from 'react';

/** Long enough for a view to put the focus where it wants it itself. */
const SETTLED_MS = 40;

/** When what had the focus goes away and nothing else took it, `to` says who does. */
export function useFocusNeverLost(to: () => void): void {
  useEffect(() => {
    let last: Element | null = null;
    const remember = (e: FocusEvent) => {
      if (e.target instanceof Element) last = e.target;
    };
    const look = () => {
      if (last && !last.isConnected && document.activeElement === document.body) {
        last = null;
        to();
      }
    };
    const seen = new MutationObserver(() => {
      if (last && !last.isConnected) setTimeout(look, SETTLED_MS);
    });
    document.addEventListener('focusin', remember);
    seen.observe(document.body, { childList: true, subtree: true });
    return () => {
      document.removeEventListener('focusin', remember);
      seen.disconnect();
    };
  }, [to]);
}
