import { isColour } from './colours';
import type { Span } from './entry';
import { type NameFound, properName } from './names';
import { numberIn } from './numbers';
import { saysAFigure } from './states';
import type { Token } from './tokens';

/** A token of a piece; a name that is known is one token, whatever words it has. */
export interface Word extends Token {
  found?: NameFound;
  /** what is meant, where less was written: J8 of "J7 and 8" */
  meant?: string;
}

/** Tokens with the names in them made whole. */
export function withNames(tokens: readonly Token[], found: readonly NameFound[], plain: string): Word[] {
  const words: Word[] = [];
  for (const t of tokens) {
    const name = found.find((f) => t.from < f.to && f.from < t.to);
    if (!name) words.push(t);
    else if (words.at(-1)?.found !== name)
      words.push({
        type: 'word',
        from: Math.min(name.from, t.from),
        to: Math.max(name.to, t.to),
        text: plain.slice(name.from, name.to),
        found: name,
      });
  }
  return words;
}

/** Small words that are no part of a name at its beginning or its end. */
const SMALL = /^(?:of|the|a|an|from|off|on|at|and|to|in|its|holding|securing|round|around)$/;

/** A piece of a line while it is read: what is taken is gone from it, and remembered with its place. */
export class Piece {
  rest: Word[];
  readonly spans: Span[] = [];

  constructor(
    words: Word[],
    readonly text: string,
  ) {
    this.rest = words;
  }

  /** The words of a token as they were typed. */
  original = (t: { from: number; to: number }): string => this.text.slice(t.from, t.to);

  /** Several tokens as they were typed, with what stands between them; empty where there are none. */
  typed = (words: readonly { from: number; to: number }[]): string =>
    words[0] ? this.text.slice(words[0].from, words.at(-1)?.to) : '';

  /** Takes tokens out, read as something. */
  take(at: number, used: number, as: string): Word[] {
    const out = this.rest.splice(at, used);
    if (out[0]) this.spans.push({ from: out[0].from, to: out.at(-1)?.to ?? 0, as });
    return out;
  }

  /** Place of the first token that fits, or -1. */
  at(fits: (w: Word, i: number, all: Word[]) => boolean): number {
    return this.rest.findIndex((w, i, all) => !w.found && fits(w, i, all));
  }

  /** The number a token speaks of. */
  static numberOf = (w: Word | undefined): number | undefined => {
    const said = w && !w.found ? numberIn(w.text) : undefined;
    return said === undefined ? undefined : Number(said);
  };

  /** What is left, from the first to the last word that says something, as it was typed. */
  words(as: string): { said: string; words: Word[] } {
    const all = this.rest.filter((w) => w.type !== 'comma' || w.found);
    const isSmall = (w: Word, i: number) =>
      !w.found &&
      ((SMALL.test(w.text) && !saysAFigure(all.slice(Math.max(i - 1, 0), i + 1))) ||
        (w.text === 'out' && all[i + 1]?.text === 'of'));
    const first = all.findIndex((w, i) => !isSmall(w, i));
    const last = all.findLastIndex((w, i) => !isSmall(w, i));
    if (first < 0) return { said: '', words: [] };
    const words = all.slice(first, last + 1);
    for (const w of words) this.spans.push({ from: w.from, to: w.to, as });
    // Where something was taken from between, the words stand beside each other.
    const parts: string[] = [];
    let end = -1;
    for (const [i, w] of words.entries()) {
      const gap = this.text.slice(end, w.from);
      const colours = isColour(words[i - 1]) && isColour(w) && gap.trim() === ',';
      parts.push(
        end >= 0 && (gap.trim() === '' || colours) ? gap : parts.length ? ' ' : '',
        w.meant ?? (w.found ? properName(w.found, this.text) : this.original(w)),
      );
      end = w.to;
    }
    return { said: parts.join('').replace(/\s+/g, ' ').trim(), words };
  }
}
