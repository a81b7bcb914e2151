import { type Item, tally } from './items';
import { readLine } from './quick-line';

/** Where a piece found on the floor may belong. */
export interface FoundCandidate {
  item: Item;
  /** what agrees and what does not, in words */
  why: string;
  /** 0 to 1: share of what was said of the piece that agrees */
  match: number;
  /** it is being looked for */
  wanted: boolean;
}

type Trait = 'thread' | 'lengthMm' | 'drive' | 'head';
const WORDS: Record<Trait, string> = { thread: 'thread', lengthMm: 'length', drive: 'drive', head: 'head' };

/**
 * Where a found fastener may belong: the places of the tray that agree with what is said of it, those
 * that miss one first.
 *
 * @param items everything that came off
 * @param said the piece as on the entry line: `M3x8 PH1`
 * @returns candidates, the likeliest first; empty when nothing agrees or nothing was said
 * @example candidatesFor(items, 'M3x8')[0].item.from // 'rear cover'
 */
export function candidatesFor(items: Item[], said: string): FoundCandidate[] {
  const piece = readLine(`1 x ${said}`).item;
  if (!piece) return [];
  const traits = (Object.keys(WORDS) as Trait[]).filter((t) => piece[t] !== undefined);
  if (traits.length === 0) return [];
  return items
    .filter((i) => i.kind === 'fastener' && !i.fresh && tally(i).writtenOff < tally(i).taken)
    .flatMap((item): FoundCandidate[] => {
      const agree = traits.filter((t) => item[t] === piece[t]);
      const differ = traits.filter((t) => item[t] !== undefined && item[t] !== piece[t]);
      const wanted = (item.missing ?? 0) > 0;
      // Another thread or length is another screw, unless it is all that is being looked for.
      if (agree.length === 0 || (piece.thread && item.thread && item.thread !== piece.thread)) return [];
      const why = [
        agree.length ? `${agree.map((t) => WORDS[t]).join(', ')} agree` : '',
        differ.length ? `${differ.map((t) => WORDS[t]).join(', ')} differ` : '',
      ]
        .filter(Boolean)
        .join('; ');
      return [{ item, why, match: agree.length / traits.length, wanted }];
    })
    .sort((a, b) => b.match - a.match || Number(b.wanted) - Number(a.wanted));
}
