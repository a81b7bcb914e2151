import { useEffect, useState } from 'react';

/** Share of what a browser may keep from which on it is said. */
const NEARLY_FULL = 0.9;

/** Whether the browser has hardly room left for what waits and what is kept. */
export function useNearlyFull(): boolean {
  const [full, setFull] = useState(false);
  useEffect(() => {
    let gone = false;
    const look = async () => {
      const { usage = 0, quota = 0 } = (await navigator.storage?.estimate?.()) ?? {};
      if (!gone) setFull(quota > 0 && usage / quota > NEARLY_FULL);
    };
    // A browser that does not say is taken to have room.
    void look().catch(() => {});
    return () => {
      gone = true;
    };
  }, []);
  return full;
}

export const FULL_WORDS = 'This browser has hardly room left: what cannot be sent may not be kept.';
