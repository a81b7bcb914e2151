import { folded } from '../hazard';
import { type ItemDraft, jointFrom } from '../ledger';
import type { JobState } from './state';

/** Bare ends of the map in words of joints. */
const ENDS = { 'screw terminal': 'screw terminal', lug: 'ring', pad: 'solder joint' } as const;

/**
 * How a lead that comes off is held: by its latch or bare end on the map, by the verb, by its name.
 *
 * @param state a job
 * @param verb of the move
 * @param item the lead
 * @returns the thing with its joint, and its wires where the map knows that they are fewer
 * @example jointed(state, 'unsolder', red).joint // 'solder joint'
 */
export function jointed(state: JobState, verb: string, item: ItemDraft): ItemDraft {
  if (item.kind !== 'plug') return item;
  const plug = state.map.plugs?.find((p) => folded(p.id) === folded(item.name));
  const { id } = jointFrom([plug?.latch, plug?.bare && ENDS[plug.bare.end], verb, item.name]);
  const wired = plug?.lines.filter((l) => l !== null).length ?? 0;
  return {
    ...item,
    joint: item.joint ?? id,
    ...(plug && item.contacts === undefined ? { contacts: plug.positions } : {}),
    ...(plug && item.wires === undefined && wired > 0 && wired < plug.positions ? { wires: wired } : {}),
  };
}
