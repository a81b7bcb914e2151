import { HAZARDS, type Hazard, type UnitMap } from '../unit';

type OfMap = Pick<UnitMap, 'plugs'> & { elements?: UnitMap['elements'] };

/** Words by which people call a pack’s own lead when its map does not name it. Common practice, no source. */
const PACK_WORDS = /\b(batter(?:y|ies)|packs?|accus?|accumulators?|cells?|balance|bms)\b/i;

/**
 * Whether somebody says pack or battery, or what belongs to one alone.
 *
 * @param name of a plug or a part, as it was said
 * @returns true for its words, whatever stands beside them
 * @example saysPack('Battery lead') // true
 */
export const saysPack = (name: string): boolean => PACK_WORDS.test(name);

/** A name as it is compared: without case, signs and double spaces. */
export const folded = (name: string): string =>
  name
    .toLowerCase()
    .replace(/[^\p{L}\p{N}]+/gu, ' ')
    .trim();

/** Leads of a pack: the one that carries its power, and the others: balance, data, sensor. */
export interface PackLeads {
  power: string | undefined;
  signals: string[];
}

/**
 * The leads of a pack, as its map names them; otherwise those bundled with its power lead.
 *
 * @param map plugs of the unit
 * @param pack a hazard
 * @returns designators; no power lead where nobody named it
 * @example leadsOf(map, pack) // { power: 'W6', signals: ['W7'] }
 */
export function leadsOf(map: OfMap, pack: Hazard): PackLeads {
  const power = pack.clear.unplugs;
  if (pack.clear.signals) return { power, signals: pack.clear.signals };
  const bundle = map.plugs?.find((p) => p.id === power)?.bundle;
  if (!bundle) return { power, signals: [] };
  return {
    power,
    signals: (map.plugs ?? []).filter((p) => p.id !== power && p.bundle === bundle).map((p) => p.id),
  };
}

/**
 * Whether a name is that of a pack, of the element it is, or of one of its leads. Where the map names no
 * lead, the words people use for one will do.
 *
 * @param map of the unit
 * @param pack a hazard
 * @param name of a plug or a part, as it was said
 * @returns true when what goes in or out under that name is the pack’s
 * @example belongsTo(map, pack, 'Battery lead') // true
 */
export function belongsTo(map: OfMap, pack: Hazard, name: string): boolean {
  const said = folded(name);
  if (!said) return false;
  const { power, signals } = leadsOf(map, pack);
  const element = map.elements?.find((e) => e.id === pack.on);
  const own = [pack.id, pack.name, power, ...signals, pack.on, element?.name]
    .filter((n): n is string => Boolean(n))
    .map(folded);
  if (own.includes(said)) return true;
  const words = new Set(said.split(' '));
  // "B1 lead", "unplug W6 at the board": the designator stands in it as a word of its own.
  if ([power, ...signals, pack.on].some((n) => n && !folded(n).includes(' ') && words.has(folded(n))))
    return true;
  return HAZARDS[pack.kind].isPack && !power && saysPack(name);
}

/** Last words by which people call the pack itself, and words that say it is another one. Common practice, no source. */
const PACK_NOUN = /^(batter(?:y|ies)|packs?|accus?|accumulators?)$/;
const ANOTHER = /\b(back ?up|coin|button|clock|memory|remote|second|spare|solar|load)\b/;
const SAID_BESIDE = /\b(old|new|the|its|own)\b/g;

/**
 * Whether a name is that of the pack itself, not of something at it: a bracket, a tray, a lead. What is not
 * sure is no: a pack that is thought out while it is in lets a lever in.
 *
 * @param map hazards and elements of the unit
 * @param pack a hazard
 * @param name of a part, as it was said
 * @returns true for its mark or name, and for "battery" or "pack" where the unit has one pack
 * @example isPackItself(map, pack, 'B1 bracket') // false
 */
export function isPackItself(
  map: Pick<UnitMap, 'hazards'> & { elements?: UnitMap['elements'] },
  pack: Hazard,
  name: string,
): boolean {
  if (!HAZARDS[pack.kind].isPack) return false;
  const said = folded(folded(name).replace(SAID_BESIDE, ' '));
  if (!said) return false;
  const mark = pack.on && folded(pack.on);
  const element = map.elements?.find((e) => e.id === pack.on);
  const plain = [pack.id, pack.name, pack.on, element?.name]
    .filter((n): n is string => Boolean(n))
    .map(folded);
  const own = mark ? plain.flatMap((n) => [n, `${mark} ${n}`, `${n} ${mark}`]) : plain;
  if (own.includes(said)) return true;
  const others = map.hazards.filter((h) => HAZARDS[h.kind].isPack && h.id !== pack.id);
  if (others.length > 0 || ANOTHER.test(said)) return false;
  const last =
    said
      .split(' ')
      .filter((w) => w !== mark)
      .at(-1) ?? '';
  return PACK_NOUN.test(last) || /^cells?$/.test(said);
}
