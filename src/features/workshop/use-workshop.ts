import { useEffect, useState } from 'react';
import type { Workshop } from '../../core/workshop';

/** What the workshop reckons with; null until it came, and without the server. */
export function useWorkshop(): Workshop | null {
  const [workshop, setWorkshop] = useState<Workshop | null>(null);
  useEffect(() => {
    fetch('/api/workshop')
      .then(async (res) => res.ok && setWorkshop((await res.json()) as Workshop))
      // Without the server no money is reckoned.
      .catch(() => {});
  }, []);
  return workshop;
}
