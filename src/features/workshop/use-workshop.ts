import type { Workshop } from '../../core/workshop';
import { useFetched } from '../sheet/use-fetched';

/** What the workshop reckons with; null until it came, and without the server: no money is reckoned then. */
export const useWorkshop = (): Workshop | null => useFetched<Workshop>('/api/workshop').data;
