import type { ElementKind, MapRemedy } from './map';

/** What is usual for one kind of element before anything is known of the unit itself. */
export interface KindDefaults {
  /** relative failure rate. Common practice, no source. */
  weight: number;
  /** ladder of remedies, gentlest first; minutes and chances are common practice, no source */
  ladder: Omit<MapRemedy, 'name'>[];
  /** drawn and flexed as a lead */
  lead: boolean;
}

const reseat = (minutes: number, fixes: number) => ({
  id: 'reseat',
  kind: 'reseat' as const,
  minutes,
  fixes,
});
const clean = (minutes: number, fixes: number) => ({ id: 'clean', kind: 'clean' as const, minutes, fixes });
const replace = (minutes: number, fixes: number) => ({
  id: 'replace',
  kind: 'replace' as const,
  minutes,
  fixes,
});

export const KIND_DEFAULTS: Record<ElementKind, KindDefaults> = {
  board: { weight: 1.5, lead: false, ladder: [reseat(4, 0.12), replace(25, 0.97)] },
  cable: { weight: 3, lead: true, ladder: [reseat(3, 0.45), clean(5, 0.3), replace(12, 0.97)] },
  connector: { weight: 3, lead: false, ladder: [reseat(2, 0.45), clean(5, 0.4), replace(30, 0.95)] },
  battery: { weight: 2.5, lead: false, ladder: [reseat(2, 0.12), replace(8, 0.97)] },
  supply: { weight: 2, lead: false, ladder: [reseat(4, 0.08), replace(20, 0.97)] },
  motor: { weight: 1.5, lead: false, ladder: [clean(8, 0.25), replace(20, 0.97)] },
  lamp: { weight: 2.5, lead: false, ladder: [reseat(2, 0.2), replace(4, 0.98)] },
  sensor: { weight: 2, lead: false, ladder: [clean(4, 0.4), replace(12, 0.95)] },
  setting: { weight: 2, lead: false, ladder: [{ id: 'set', kind: 'set', minutes: 1, fixes: 0.98 }] },
};

const VERB: Record<MapRemedy['kind'], string> = {
  set: 'Set',
  reseat: 'Reseat',
  clean: 'Clean',
  replace: 'Replace',
};

/** A cell that is held by glue or solder has no plug to reseat. */
const FAST = /\b(?:glued|stuck|solder(?:ed)?|spot-?welded|pouch|built-?in)\b/i;

/**
 * The usual ladder of an element, with its name in the words.
 *
 * @param kind of the element
 * @param id designator
 * @param name what it is called
 * @returns rungs, gentlest first
 * @example ladderFor('cable', 'W4', 'ribbon')[0].name // 'Reseat W4 ribbon'
 */
export function ladderFor(kind: ElementKind, id: string, name: string): MapRemedy[] {
  const fast = kind === 'battery' && FAST.test(name);
  return KIND_DEFAULTS[kind].ladder
    .filter((r) => !(fast && r.kind === 'reseat'))
    .map((r) => ({
      ...r,
      name: `${VERB[r.kind]} ${id} ${name}`.trim(),
      ...(r.kind === 'replace' ? { parts: [`${id} ${name}`.trim()] } : {}),
    }));
}
