import { demand } from '../refusal';
import { belongsToCover, ownerOf } from './cover';
import { type Item, owed, tally } from './items';
import { type Ledger, swapped } from './ledger';

/**
 * What a final close of a cover would refuse: things inside it not back, not tight or not proven,
 * covers inside it still open, its own screws, what a check changed, and the cover itself.
 *
 * @param ledger now
 * @param coverId the cover
 * @returns reasons in words, empty when it may close
 * @example closeRefusals(ledger, 'lid') // ['1 × M3×8 PH1 still in cup 4']
 */
export function closeRefusals(ledger: Ledger, coverId: string): string[] {
  const cover = ledger.covers.find((c) => c.id === coverId);
  if (!cover) return [`${coverId} is not off`];
  const reasons: string[] = [];
  for (const item of ledger.items) {
    const concerned =
      item.inside.includes(coverId) ||
      item.cover === coverId ||
      belongsToCover(item, cover, ledger.covers) ||
      item.kind === 'change';
    if (!concerned) continue;
    const reason = owed(item);
    if (reason) reasons.push(reason);
    if (
      item.cover &&
      item.cover !== coverId &&
      ledger.covers.some((c) => c.id === item.cover && c.state !== 'final')
    ) {
      reasons.push(`${item.name} inside it is not closed`);
    }
  }
  return reasons;
}

/**
 * Closes a cover: a trial asks nothing and is remembered as not closed; a final close asks that
 * everything inside is back, tight and proven.
 *
 * @param ledger before
 * @param coverId the cover
 * @param kind trial or final
 * @param at time
 * @returns the ledger with the cover's new state
 * @throws Refusal saying everything that is missing, loose or unproven
 * @example close(ledger, 'lid', 'trial', at)
 */
export function close(ledger: Ledger, coverId: string, kind: 'trial' | 'final', at: string): Ledger {
  const cover = ledger.covers.find((c) => c.id === coverId);
  demand(cover, `${coverId} is not off`, '/cover');
  demand(cover.state !== 'final', `${cover.name} is closed already`, '/cover');
  if (kind === 'final') {
    const reasons = closeRefusals(ledger, coverId);
    demand(reasons.length === 0, `${cover.name} stays open: ${reasons.join('; ')}`, '/cover');
  }
  return { ...ledger, covers: ledger.covers.map((c) => (c.id === coverId ? { ...c, state: kind, at } : c)) };
}

const sameLayer = (a: Item, b: Item) =>
  a.inside.length === b.inside.length && a.inside.every((c) => b.inside.includes(c));

/**
 * Screws that are off and whose cover is not clear: neither their words nor an answer says it, they are no
 * screws of a part in the tray, and a cover came off after them at the same depth. They are asked for
 * once, before a cover closes for good without them.
 *
 * @param ledger now
 * @returns fasteners, in the order in which they came off
 * @example unclaimed(ledger).map((i) => i.from) // ['edge']
 */
export const unclaimed = (ledger: Ledger): Item[] =>
  ledger.items.filter(
    (i, at) =>
      i.kind === 'fastener' &&
      i.of === undefined &&
      tally(i).off > 0 &&
      !ownerOf(i.from, ledger.covers) &&
      !ledger.items.some((p) => p.kind === 'part' && ownerOf(i.from, [{ id: p.id, name: p.name }])) &&
      ledger.items.slice(at + 1).some((c) => c.cover && sameLayer(c, i)),
  );

/**
 * Says to which cover a fastener belongs.
 *
 * @param ledger before
 * @param id the fastener
 * @param cover id of the cover; null = it belongs to none
 * @returns the ledger with the answer
 * @throws Refusal when it is no fastener, or the cover is not off
 * @example assign(ledger, screws, 'lid')
 */
export function assign(ledger: Ledger, id: string, cover: string | null): Ledger {
  const item = ledger.items.find((i) => i.id === id);
  demand(item?.kind === 'fastener', 'that is no screw of the tray', '/item');
  demand(cover === null || ledger.covers.some((c) => c.id === cover), `${cover} is not off`, '/cover');
  return swapped(ledger, { ...item, of: cover });
}
