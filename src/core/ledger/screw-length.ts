import { demand } from '../refusal';
import { type Item, specOf, tally } from './items';
import type { Ledger } from './ledger';
import { placeWords } from './place-words';
import { lookAlike } from './twins';

/** Lengths further apart are told by eye, mm. Common practice, no source. */
const MISTAKEN_MM = 8;

/** A rule at the bench is read to this, mm. Common practice, no source. */
const RULE_MM = 0.75;

/**
 * A look-alike of another length that is still off, while none of the pair was laid on the rule. Lengths
 * that nobody takes for each other are not asked for.
 *
 * @param items of the ledger
 * @param item about to go back
 * @returns the look-alike, or null when nothing can be taken for it or one was measured
 * @example unmeasuredTwin(items, m3x8)?.lengthMm // 12
 */
export function unmeasuredTwin(items: Item[], item: Item): Item | null {
  if (item.measured || item.lengthMm === undefined) return null;
  return (
    items.find((o) => {
      if (o.id === item.id || o.measured || tally(o).off === 0) return false;
      const like = lookAlike(item, o);
      return like?.differs === 'length' && like.protrusionMm <= MISTAKEN_MM;
    }) ?? null
  );
}

/**
 * Whether a screw is longer than the holes it came from can take.
 *
 * @param item fastener
 * @param holes of its cover, with the longest screw each can take, mm
 * @returns what it would do, in words, or null
 * @example tooLong(m3x12, [{ longestMm: 10 }]) // 'M3×12 is 2 mm too long …'
 */
export function tooLong(
  item: Pick<Item, 'kind' | 'name' | 'thread' | 'lengthMm' | 'drive'>,
  holes: { thread?: string; longestMm?: number }[],
): string | null {
  const { lengthMm } = item;
  if (lengthMm === undefined) return null;
  const mine = holes.filter((h) => h.thread === undefined || h.thread === item.thread);
  const limits = mine.flatMap((h) => h.longestMm ?? []);
  if (limits.length === 0 || limits.length < mine.length) return null;
  const longest = Math.max(...limits);
  return lengthMm > longest
    ? `${specOf(item)} is ${Number((lengthMm - longest).toFixed(2))} mm too long for its holes: they take ${longest} mm at most`
    : null;
}

/**
 * Notes the length read off the rule. One of another length belongs to another cup, and is named.
 *
 * @param ledger before
 * @param id the fastener about to go back
 * @param mm length of the piece in hand
 * @param at time
 * @returns the ledger with the measure
 * @throws Refusal saying to which cup a piece of that length belongs, and how far it would reach
 * @example lengthSeen(ledger, m3x8, 12, at) // refused: it belongs to cup 2
 */
export function lengthSeen(ledger: Ledger, id: string, mm: number, at: string): Ledger {
  const item = ledger.items.find((i) => i.id === id);
  demand(item, 'there is no such thing in the tray', '/item');
  demand(item.kind === 'fastener' && item.lengthMm !== undefined, `${specOf(item)} has no length`, '/item');
  demand(Number.isFinite(mm) && mm > 0, 'a length is over 0 mm', '/measuredMm');
  const over = Number((mm - item.lengthMm).toFixed(2));
  if (Math.abs(over) > RULE_MM) {
    const other = ledger.items.find(
      (o) =>
        o.id !== id &&
        tally(o).off > 0 &&
        o.lengthMm !== undefined &&
        Math.abs(o.lengthMm - mm) <= RULE_MM &&
        lookAlike(item, o),
    );
    const where = other
      ? `It is ${specOf(other)}, kept ${placeWords(other.place)}${other.from ? `, ${other.from}` : ''}`
      : 'Look where it came from';
    const reach =
      over > 0 ? `it would reach ${over} mm further in` : `it would hold on ${-over} mm less thread`;
    demand(
      false,
      `This one is ${mm} mm, and here goes ${item.lengthMm} mm: ${reach}. ${where}`,
      '/measuredMm',
    );
  }
  return {
    ...ledger,
    items: ledger.items.map((i) => (i.id === id ? { ...i, measured: { mm, at } } : i)),
  };
}
