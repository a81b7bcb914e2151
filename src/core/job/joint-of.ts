import { folded } from '../hazard';
import { type ItemDraft, type JointId, jointFrom, partJoint } from '../ledger';
import type { MapElement } from '../unit';
import type { JobState } from './state';

/** Bare ends of the map in words of joints. */
const ENDS = { 'screw terminal': 'screw terminal', lug: 'ring', pad: 'solder joint' } as const;

/** What an element is called, where a part was named by its mark. */
const elementNamed = (state: JobState, name: string): string | undefined =>
  state.map.elements.find((e) => folded(e.id) === folded(name))?.name;

const plugNamed = (state: JobState, name: string) =>
  state.map.plugs?.find((p) => folded(p.id) === folded(name));

/**
 * How a lead is held: by its latch or bare end on the map, by the verb, by its name.
 *
 * @param state a job
 * @param verb of the move
 * @param name of the lead
 * @returns the joint's name
 * @example heldBy(state, 'unsolder', 'red') // 'solder joint'
 */
export function heldBy(state: JobState, verb: string, name: string): JointId {
  const plug = plugNamed(state, name);
  return jointFrom([plug?.latch, plug?.bare && ENDS[plug.bare.end], verb], name).id;
}

/**
 * A lead or a board that comes off, with how it is held.
 *
 * @param state a job
 * @param verb of the move
 * @param item the lead
 * @returns the thing with its joint, and its wires where the map knows that they are fewer
 * @example jointed(state, 'unsolder', red).joint // 'solder joint'
 */
export function jointed(state: JobState, verb: string, item: ItemDraft): ItemDraft {
  if (item.kind === 'part') {
    const held = item.joint ?? partJoint(elementNamed(state, item.name) ?? item.name);
    return held ? { ...item, joint: held } : item;
  }
  if (item.kind !== 'plug') return item;
  const plug = plugNamed(state, item.name);
  const id = heldBy(state, verb, item.name);
  const wired = plug?.lines.filter((l) => l !== null).length ?? 0;
  return {
    ...item,
    joint: item.joint ?? id,
    ...(plug && item.contacts === undefined ? { contacts: plug.positions } : {}),
    ...(plug && item.wires === undefined && wired > 0 && wired < plug.positions ? { wires: wired } : {}),
  };
}

/**
 * How a new part is held and proven: a board on a pin strip, a cable or connector by its latch; undefined
 * for what is proven as any part.
 *
 * @param state a job
 * @param element that is replaced
 * @returns the joint's name, or undefined
 * @example jointOfElement(state, { kind: 'cable', id: 'W4', name: 'ribbon', … }) // 'flap'
 */
export function jointOfElement(state: JobState, element: MapElement): JointId | undefined {
  const strip = partJoint(element.name);
  if (strip || (element.kind !== 'cable' && element.kind !== 'connector')) return strip;
  const plug = plugNamed(state, element.id);
  return jointFrom([plug?.latch, plug?.bare && ENDS[plug.bare.end]], element.name).id;
}
