/** What was asked for, term by term. */
export interface Asked {
  /** each has to be found; in the syntax of the full-text index */
  wanted: string[];
  /** none of these may be */
  unwanted: string[];
  /** beginning of the tag of a job, in capitals */
  tag?: string;
}

const MOST_TERMS = 12;
/** Letters and digits of any script; all else only parts them. */
const words = (text: string): string[] => text.normalize('NFKC').match(/[\p{L}\p{N}\p{M}]+/gu) ?? [];
const quoted = (list: string[]): string => `"${list.join(' ')}"`;

/**
 * Reads what somebody typed to find something: words that begin so, `"exact words"`, `-not`, `tag:SP-0`.
 * What is no such thing is read as words; nothing typed is an error.
 *
 * @param text as typed
 * @returns terms for the full-text index, each safe to be handed to it
 * @example readQuery('ribbon -left "hall a" tag:sp-0') // { wanted: ['"ribbon"*', '"hall a"'], unwanted: ['"left"*'], tag: 'SP-0' }
 */
export function readQuery(text: string): Asked {
  const asked: Asked = { wanted: [], unwanted: [] };
  for (const [, not, phrase, word] of text.matchAll(/(-?)(?:"([^"]*)"|(\S+))/g)) {
    const tag = /^tag:(.+)$/i.exec(word ?? '')?.[1];
    if (tag && !not) {
      asked.tag = tag.toLocaleUpperCase('en');
      continue;
    }
    const list = not ? asked.unwanted : asked.wanted;
    if (phrase !== undefined) {
      const exact = words(phrase);
      if (exact.length) list.push(quoted(exact));
      continue;
    }
    // A word with signs in it, such as SP-109 or 230V/50Hz, is its parts in a row.
    const parts = words(word ?? '');
    if (parts.length) list.push(`${quoted(parts)}*`);
  }
  return {
    ...asked,
    wanted: asked.wanted.slice(0, MOST_TERMS),
    unwanted: asked.unwanted.slice(0, MOST_TERMS),
  };
}
