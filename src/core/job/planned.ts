import { folded, leadsOf } from '../hazard';
import { tally } from '../ledger';
import { plugsOf } from '../preparation';
import { demand } from '../refusal';
import { HAZARDS } from '../unit';
import { preparationsOf } from './prepared';
import type { JobState } from './state';

/**
 * The remedy that is planned, with its element.
 *
 * @param state a job
 * @returns plan, element of the map and id of the remedy
 * @throws Refusal when nothing is planned
 * @example planned(state).element.id // 'B1'
 */
export function planned(state: JobState) {
  const { plan } = state;
  demand(plan?.kind === 'remedy' && plan.element && plan.remedy, 'choose a remedy in Plan first');
  const element = state.map.elements.find((e) => e.id === plan.element);
  demand(element, `${plan.element} is not on the map`);
  return { plan, element, remedy: plan.remedy };
}

/**
 * Makes sure that covers are off.
 *
 * @param state a job
 * @param needs access ids
 * @throws Refusal naming the cover that is still on
 * @example reached(state, element.needs)
 */
export function reached(state: JobState, needs: string[] | undefined): void {
  for (const id of needs ?? []) {
    const cover = state.ledger.covers.find((c) => c.id === id && c.state !== 'final');
    const name = state.map.access.find((a) => a.id === id)?.name ?? id;
    demand(cover, `the ${name} is still on. Record it off in Open up`);
  }
}

/**
 * Makes sure that what has to be seen to first was seen to.
 *
 * @param state a job
 * @param when before the old part comes out, or before the new one goes in
 * @throws Refusal naming the first line of the list that is open
 * @example demandPrepared(state, 'before in')
 */
export function demandPrepared(state: JobState, when: 'before out' | 'before in'): void {
  const ticked = new Set(state.swap.prepared.map((p) => p.line));
  const line = preparationsOf(state).find((l) => l.must && l.when === when && !ticked.has(l.id));
  demand(!line, line ? `First: ${line.ask}` : '', '/prepared');
}

/**
 * Plugs of the planned part that still sit on the old one; one that is off already goes on in Close up.
 *
 * @param state a job
 * @returns designators
 * @example plugsToMove(state) // ['W3', 'W6']
 */
export function plugsToMove(state: JobState): string[] {
  const element = state.map.elements.find((e) => e.id === state.plan?.element);
  if (!element) return [];
  const off = state.ledger.items.filter((i) => i.kind === 'plug' && tally(i).off > 0).map((i) => i.name);
  const across = new Set([...state.swap.across, ...off]);
  const packs = state.map.hazards.filter((h) => HAZARDS[h.kind].isPack && h.on === element.id);
  const leads = packs.flatMap((h) => {
    const { power, signals } = leadsOf(state.map, h);
    return [...(power ? [power] : []), ...signals];
  });
  const plugs = plugsOf({ element, map: state.map }).map((p) => p.id);
  const gone = new Set([...across].map(folded));
  return [...new Set([...plugs, ...leads])].filter((p) => !gone.has(folded(p)));
}
