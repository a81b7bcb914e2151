import { useFetched } from '../sheet/use-fetched';
import type { Stocked } from './use-store';

const NONE: Stocked[] = [];

/** What the store holds, for a job: empty until it came, and without the server. */
export function useStock(): { stock: Stocked[]; again(): Promise<void> } {
  const { data, again } = useFetched<{ items: Stocked[] }>('/api/stock');
  return { stock: data?.items ?? NONE, again };
}
