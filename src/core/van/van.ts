import { demand } from '../refusal';
import { exactly } from './exactly';
import { within } from './within';

/** Something that could go into the van. */
export interface VanItem {
  id: string;
  /** of the space, in its unit */
  size: number;
  /** minutes that it is worth: chance that it is needed, times another trip */
  gain: number;
  /** it goes in whatever it is worth */
  mustHave?: boolean;
  /** chance that the day needs it, 0 to 1 */
  pNeeded?: number;
}

export interface VanRequest {
  space: number;
  items: VanItem[];
}

export interface VanAnswer {
  /** in the order of the list */
  take: string[];
  /** minutes, added up: an upper bound, since one trip fetches two parts */
  gain: number;
  /** that everything can be finished without another trip; absent where no item says how likely it is needed */
  chance?: number;
  optimal: boolean;
}

/** What adds up to the space is in; sums of fractions may miss it by a hair. */
const HAIR = 1e-9;

function checked({ space, items }: VanRequest): void {
  demand(Number.isFinite(space) && space >= 0, `the space is not under 0: ${space}`, '/space');
  const seen = new Set<string>();
  items.forEach((item, i) => {
    const at = `/items/${i}`;
    demand(!seen.has(item.id), `“${item.id}” is there twice`, `${at}/id`);
    seen.add(item.id);
    demand(
      Number.isFinite(item.size) && item.size >= 0,
      `the size of “${item.id}” is not under 0`,
      `${at}/size`,
    );
    demand(
      Number.isFinite(item.gain) && item.gain >= 0,
      `the gain of “${item.id}” is not under 0`,
      `${at}/gain`,
    );
    const p = item.pNeeded;
    demand(p === undefined || (p >= 0 && p <= 1), `pNeeded of “${item.id}” lies in 0 to 1`, `${at}/pNeeded`);
  });
}

/**
 * What goes into the van: what must, and of the rest what is worth most within the space.
 *
 * Method: the knapsack problem. Sizes of two decimals and a space up to 10,000 by full dynamic programming
 * over the space (Bellman, 1957); others by branch and bound with the bound of Dantzig (1957), which says
 * so where it had to stop.
 *
 * @param request space and sizes in one unit, gains in minutes, chances 0 to 1
 * @returns what to take, its minutes, the chance that nothing else is needed
 * @throws Refusal when a number is under 0, an id is there twice, or what must go in does not fit
 * @example van({ space: 2, items: [{ id: 'fuse', size: 1, gain: 9 }, { id: 'fan', size: 2, gain: 12 }] }).take // ['fan']
 */
export function van(request: VanRequest): VanAnswer {
  checked(request);
  const { space, items } = request;
  const must = items.filter((i) => i.mustHave);
  const taken = must.reduce((sum, i) => sum + i.size, 0);
  demand(
    taken <= space + HAIR,
    `what must go in takes ${Number(taken.toFixed(4))} of ${space}: ${must.map((i) => i.id).join(', ')}`,
    '/space',
  );
  // What is worth nothing only takes room.
  const free = items.filter((i) => !i.mustHave && i.gain > 0 && i.size <= space - taken + HAIR);
  const { chosen, optimal } = exactly(free, space - taken + HAIR) ?? within(free, space - taken + HAIR);
  const inside = new Set([...must, ...chosen].map((i) => i.id));
  const known = items.some((i) => i.pNeeded !== undefined);
  return {
    take: items.filter((i) => inside.has(i.id)).map((i) => i.id),
    gain: items.reduce((sum, i) => sum + (inside.has(i.id) ? i.gain : 0), 0),
    ...(known
      ? { chance: items.reduce((p, i) => p * (inside.has(i.id) ? 1 : 1 - (i.pNeeded ?? 0)), 1) }
      : {}),
    optimal,
  };
}
