import { useCallback, useEffect, useState } from 'react';
import type { Stocked } from './use-store';

/** What the store holds, for a job: empty until it came, and without the server. */
export function useStock(): { stock: Stocked[]; again(): Promise<void> } {
  const [stock, setStock] = useState<Stocked[]>([]);
  const again = useCallback(async () => {
    const res = await fetch('/api/stock').catch(() => null);
    if (res?.ok) setStock(((await res.json()) as { items: Stocked[] }).items);
  }, []);
  useEffect(() => void again(), [again]);
  return { stock, again };
}
