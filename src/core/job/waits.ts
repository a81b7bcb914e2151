import { chargeHolds, firstLeadOf, partFirst, workOf } from '../hazard';
import { type ItemDraft, tally } from '../ledger';
import { demand } from '../refusal';
import { openAccess } from './open';
import type { JobState } from './state';

/**
 * Heat and levers wait for the packs, and a plug for the one that is parted before it.
 *
 * @param state a job
 * @param move as it is recorded
 * @throws Refusal naming what holds it
 * @example waits(state, { verb: 'pry', text: 'pry rear glass', item: null })
 */
export function waits(
  state: JobState,
  move: { verb: string; text: string; item: ItemDraft | null; move?: string },
): void {
  const recipe = state.map.moves?.find((m) => m.id === move.move);
  const work = recipe?.works ?? workOf(move.verb, move.text);
  const gone = state.out ? [state.out.element] : [];
  const full = work ? chargeHolds(state.map.hazards, state.charges, gone)[0] : undefined;
  demand(
    !full,
    full ? `No ${work === 'heat' ? 'heat' : 'lever'} yet: ${full.hazard.name}, ${full.why}. Make safe` : '',
    '/item',
  );
  if (move.item?.kind !== 'plug') return;
  const rule = state.firstLead === 'no rule' ? null : (state.firstLead ?? firstLeadOf(state.map));
  const off = state.ledger.items.filter((i) => i.kind === 'plug' && tally(i).off > 0).map((i) => i.name);
  const first = partFirst(state.map, rule, state.hazards, move.item.name, off, openAccess(state));
  demand(!first, first ? `${first.plug} first: ${first.why}` : '', '/item');
}
