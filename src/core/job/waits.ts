import { chargeHolds, metalIn, partFirst, workOf } from '../hazard';
import { type ItemDraft, tally } from '../ledger';
import { demand } from '../refusal';
import { leadsNow, packsIn, packsNamed } from './packs';
import type { JobState } from './state';

/** A move as it is about to be recorded. */
export interface MoveAhead {
  verb: string;
  text: string;
  item: ItemDraft | null;
  /** move of the unit's recipe that it is */
  move?: string | undefined;
}

/**
 * Heat and levers wait for the power and for the packs, and a plug for the one that is parted before it.
 *
 * @param state a job
 * @param move as it is recorded
 * @throws Refusal naming what holds it
 * @example waits(state, { verb: 'pry', text: 'pry rear glass', item: null })
 */
export function waits(state: JobState, move: MoveAhead): void {
  const recipe = state.map.moves?.find((m) => m.id === move.move);
  const work = recipe?.works ?? workOf(move.verb, move.text);
  if (work) {
    const what = work === 'heat' ? 'heat' : 'lever';
    const packs = packsIn(state);
    demand(state.power !== 'on' || packs.length === 0, `No ${what} yet: the power is on. Make safe`, '/item');
    const swollen = packs.find((h) => state.swollen.includes(h.id));
    demand(
      !swollen,
      swollen
        ? `No ${what}: ${swollen.name} is swollen. Outside with it, cover it, part nothing by force`
        : '',
      '/item',
    );
    const metal = packs.length ? metalIn(move.text) : undefined;
    demand(
      !metal,
      `No metal near ${packs[0]?.name}: “${metal}” shorts or pierces a cell. A plastic card, or take the pack out first`,
      '/item',
    );
    const [full] = chargeHolds(packs, state.charges);
    demand(!full, full ? `No ${what} yet: ${full.hazard.name}, ${full.why}. Make safe` : '', '/item');
  }
  if (move.item?.kind !== 'plug') return;
  const first = partFirst(state.map, leadsNow(state), move.item.name);
  demand(!first, first ? `${first.plug} first: ${first.why}` : '', '/item');
}

/** Whether a pack of the unit that is back was one: what is put in under this name is a swollen pack. */
export const isSwollenPack = (state: JobState, name: string): boolean =>
  packsNamed(state, name).some((h) => state.swollen.includes(h.id));

/** Whether anything of the unit was ever taken off. */
export const begun = (state: JobState): boolean =>
  state.ledger.items.some((i) => !i.fresh && tally(i).taken > 0);
