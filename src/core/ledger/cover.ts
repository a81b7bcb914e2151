const COVER_WORDS =
  /\b(cover|lid|hatch|shield|panel|door|case|shell|bezel|plate|back|bottom|top|casing|housing)\b/i;

/**
 * Whether a part closes over what comes off after it, and under which name the close is kept.
 *
 * @param name what came off: "rear cover"
 * @param access the covers of the unit's map, by id and name
 * @returns the id of the access it is, its own name if it is called a cover, undefined otherwise
 * @example coverOf('Lid', [{ id: 'lid', name: 'lid' }]) // 'lid'
 */
export function coverOf(name: string, access: { id: string; name: string }[]): string | undefined {
  const plain = name.trim().toLowerCase();
  const known = access.find((a) => a.name.toLowerCase() === plain || a.id.toLowerCase() === plain);
  if (known) return known.id;
  return COVER_WORDS.test(plain) ? plain : undefined;
}

/**
 * Whether a fastener's "from" names this cover.
 *
 * @param from where the fastener came from, as jotted
 * @param cover id and name of the cover
 * @returns true when they are the same, whatever the case
 * @example holds('Rear cover', { id: 'rear', name: 'rear cover' }) // true
 */
export function holds(from: string | undefined, cover: { id: string; name: string }): boolean {
  const plain = from?.trim().toLowerCase();
  return plain !== undefined && (plain === cover.name.toLowerCase() || plain === cover.id.toLowerCase());
}
