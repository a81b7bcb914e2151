import { closeRefusals } from './close';
import { belongsToCover } from './cover';
import { type BackState, type Item, type ItemKind, JOURNEYS, specOf, tally, wantsProof } from './items';
import { joint } from './joints';
import type { Cover, Ledger } from './ledger';
import { placeWords } from './place-words';
import { backWords } from './way-back-note';

/** One thing still to do on the way back. */
export interface WayBackStep {
  kind: 'return' | 'prove' | 'count' | 'close' | 'turn';
  item?: Item;
  cover?: Cover;
  /** state the item goes to next */
  to?: BackState;
  /** side that is turned up, and the step that asks for it */
  side?: string;
  before?: string;
  /** pieces still to go */
  left: number;
  text: string;
  /** what is different on the way back */
  note?: string;
}

/** How a thing is shown to be home, by what it is. Common practice, no source. */
export const PROOFS: Record<ItemKind, readonly string[]> = {
  plug: ['latch clicked', 'held a tug', 'both ends looked at'],
  part: ['sits home, nothing pinched', 'its fixing holds it', 'leads run as they did'],
  fastener: ['tight'],
  tie: ['holds, ends cut'],
  tape: ['lies flat'],
  media: ['clicked in'],
  change: ['as it was'],
};

/**
 * How a thing is shown to be home: a lead by how it is held, all else by its kind.
 *
 * @param item from the tray
 * @returns acts, in words
 * @example proofsOf({ kind: 'plug', joint: 'ring' })[0] // 'screw tight, ring does not turn'
 */
export const proofsOf = (item: Pick<Item, 'kind' | 'joint' | 'wires' | 'contacts'>): readonly string[] => {
  const held = item.kind === 'plug' || item.joint ? joint(item.joint).proofs : PROOFS[item.kind];
  const seated = item.wires ? [`${item.wires} wires in ${item.contacts ?? 'its'} contacts, each seated`] : [];
  return [...held, ...seated];
};

/** The step an item waits for, or null when it is home. */
function stepOf(item: Item): WayBackStep | null {
  const t = tally(item);
  if ((item.undoneBy === 'nothing' || item.old) && t.off > 0) return null;
  if (item.count === null) return { kind: 'count', item, left: 1, text: `Count ${specOf(item)}` };
  const lost = item.missing ?? 0;
  const toGo = t.off + (item.by.loose ?? 0) + (item.by['half tight'] ?? 0);
  const left = toGo - lost;
  if (toGo > 0) {
    const many = t.taken > 1 ? `${left > 0 ? left : lost} × ` : '';
    const verb =
      item.kind === 'fastener'
        ? 'Screw in'
        : item.kind === 'plug'
          ? joint(item.joint).puts
          : item.kind === 'change'
            ? 'Put back'
            : item.joint
              ? joint(item.joint).puts
              : 'Fit';
    return {
      kind: 'return',
      item,
      to: JOURNEYS[item.kind].back,
      left,
      text:
        left > 0
          ? `${verb} ${many}${specOf(item)}${item.from ? `, ${item.from}` : ''}`
          : `Find ${many}${specOf(item)}${item.from ? `, ${item.from}` : ''}`,
      note: [
        item.undoneBy === 'replaced by'
          ? 'new one: write the old one off'
          : t.off > 0
            ? (item.replacement ?? placeWords(item.place))
            : 'in, not tight yet',
        lost ? `${lost} cannot be found: found again, or written off` : '',
        item.joint && item.joint !== 'plug' ? joint(item.joint).on : '',
        item.back ? backWords({ ...item.back, fresh: false }) : '',
      ]
        .filter(Boolean)
        .join('; '),
    };
  }
  if (
    (item.kind === 'plug' && (item.by.plugged ?? 0) > 0) ||
    (wantsProof(item) && t.back > 0 && !item.proof)
  ) {
    return {
      kind: 'prove',
      item,
      left: 1,
      text: `Prove ${specOf(item)}`,
      note: proofsOf(item).join(', '),
    };
  }
  return null;
}

/** What tells one step from another, while the tray changes under it. */
export const stepKey = (s: WayBackStep): string => `${s.item?.id ?? s.cover?.id ?? s.before ?? ''} ${s.kind}`;

/** Last off, first on; but a cover goes on before its own screws, even where they were recorded late. */
function homeward(ledger: Ledger): Item[] {
  // What is put together for the first time goes in as it was named, before what came off.
  const order = [
    ...ledger.items.filter((i) => i.assembly),
    ...ledger.items.filter((i) => !i.assembly).reverse(),
  ];
  for (const cover of ledger.covers) {
    const at = order.findIndex((i) => i.cover === cover.id);
    if (at < 0) continue;
    const early = order.slice(0, at).filter((i) => belongsToCover(i, cover, ledger.covers));
    if (early.length === 0) continue;
    const rest = order.filter((i) => !early.includes(i));
    rest.splice(rest.findIndex((i) => i.cover === cover.id) + 1, 0, ...early);
    order.splice(0, order.length, ...rest);
  }
  return order;
}

/**
 * The way back, written from what was really recorded: last off, first on; a cover's close follows
 * its own screws. Things already home are left out.
 *
 * @param ledger now
 * @param arms whether a thing makes something live once it is in: all else that is new is proven before the last of them
 * @returns steps in their order, the next first
 * @example wayBack(ledger)[0].text // 'Plug in J7'
 */
export function wayBack(ledger: Ledger, arms: (item: Item) => boolean = () => false): WayBackStep[] {
  const order = homeward(ledger);
  const steps: WayBackStep[] = [];
  const open = ledger.covers.filter((c) => c.state !== 'final');
  const closeStep = (cover: Cover): WayBackStep => {
    const reasons = closeRefusals(ledger, cover.id);
    return {
      kind: 'close',
      cover,
      left: reasons.length,
      text: `Close ${cover.name}`,
      ...(reasons[0] ? { note: reasons[0] } : {}),
    };
  };
  const lastOf = new Map<Cover, number>();
  for (const cover of open) {
    const own = order.findLastIndex((i) => i.cover === cover.id || belongsToCover(i, cover, ledger.covers));
    lastOf.set(cover, own);
  }
  order.forEach((item, k) => {
    const step = stepOf(item);
    if (step) steps.push(step);
    for (const cover of open) if (lastOf.get(cover) === k) steps.push(closeStep(cover));
  });
  // What is new is proven once everything that hangs on it is in, before the first cover goes on.
  const proofs = steps.filter((s) => s.kind === 'prove' && s.item?.fresh && s.item.kind !== 'plug');
  const rest = steps.filter((s) => !proofs.includes(s));
  const cover = rest.findIndex((s) => s.kind === 'close' || s.item?.cover);
  let at = cover < 0 ? rest.length : cover;
  // A new pack hangs on its own leads.
  rest.splice(at, 0, ...proofs.filter((s) => s.item && arms(s.item)));
  const isLive = (s: WayBackStep | undefined) => s?.item !== undefined && arms(s.item);
  while (at > 0 && isLive(rest[at - 1])) at--;
  rest.splice(at, 0, ...proofs.filter((s) => !s.item || !arms(s.item)));
  return rest;
}
