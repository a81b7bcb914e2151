/** What a code says: a place of a Mulch, or something to be written down. */
export type Scanned = { kind: 'place'; to: string } | { kind: 'code'; text: string };

const ID = '[0-9A-HJKMNP-TV-Z]{26}';
/** What labels of a Mulch lead to. */
const PLACES = [
  new RegExp(`^/jobs/${ID}(?:/[a-z-]+)?$`),
  new RegExp(`^/units/${ID}(?:/[a-z-]+)?$`),
  /^\/stores$/,
];

/**
 * Reads what a code says. A label opens its thing on this Mulch, whatever name the Mulch had when it was
 * printed; no code leads to another site.
 *
 * @param text as the reader gave it
 * @returns a path of this Mulch, or the text, its control signs as blanks
 * @example scanned('http://127.0.0.1:4321/jobs/01ARZ3NDEKTSV4RRFFQ69G5FAV/open-up?item=W4').kind // 'place'
 */
export function scanned(text: string): Scanned {
  const plain = text.replace(/\p{Cc}+/gu, ' ').trim();
  const [, after] = /^https?:\/\/[^/?#\\]+(\/[^\\]*)$/i.exec(plain) ?? [];
  const [path = ''] = after?.split(/[?#]/) ?? [];
  if (after && PLACES.some((p) => p.test(path))) return { kind: 'place', to: after };
  return { kind: 'code', text: plain };
}
