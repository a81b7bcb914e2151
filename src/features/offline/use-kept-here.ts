import { useEffect, useState } from 'react';

/** Whether this browser keeps Mulch for when there is no network; null until it is known. */
export function useKeptHere(): boolean | null {
  const [here, setHere] = useState<boolean | null>(null);
  useEffect(() => {
    let gone = false;
    // A worker that is on its way counts once it is there.
    const look = async () => {
      const found = await navigator.serviceWorker?.getRegistration().catch(() => undefined);
      if (!gone) setHere(found !== undefined);
    };
    void look();
    const timer = setTimeout(() => void look(), 3000);
    return () => {
      gone = true;
      clearTimeout(timer);
    };
  }, []);
  return here;
}
