import { takesOff } from '../line';
import { demand } from '../refusal';
import { type Item, type ItemDraft, tally } from './items';
import { type Ledger, type When, whole } from './ledger';
import { placeWords } from './place-words';

export interface MoveDraft {
  verb: string;
  text: string;
  item: ItemDraft | null;
  /** the cover this part is, if it is one */
  cover?: string;
  sideUp?: string;
  /** what a move that takes nothing off was done to */
  on?: string;
  fresh?: boolean;
  /** it is to be fitted for the first time: nothing came off */
  assembly?: boolean;
  /** the unit inside the unit it comes off */
  within?: string;
  /** covers that lie over it, where the map says; every open one when absent */
  under?: string[];
}

/** A thing that was moved aside comes off. */
const offNow = (ledger: Ledger, item: Item, draft: ItemDraft, moves: Ledger['moves']): Ledger => {
  const { aside: n = 0, off = 0, ...by } = item.by;
  const { state: _aside, ...rest } = item;
  return {
    ...ledger,
    moves: moves.map((m, k) => (k === moves.length - 1 ? { ...m, item: item.id } : m)),
    items: ledger.items.map((i) =>
      i === item ? { ...rest, place: draft.place, by: { ...by, off: off + n } } : i,
    ),
  };
};

/**
 * Records a move: what came off, where it lies now, or a flip.
 *
 * @param ledger before
 * @param move what was done; counts are pieces, lengths millimetres
 * @param when id and time of the event
 * @returns the ledger with the item off
 * @throws Refusal when the thing is off already, has no name or no whole count
 * @example take(EMPTY_LEDGER, { verb: 'unplug', text: 'unplug J7', item: j7 }, { id: '1', at }).items.length // 1
 */
export function take(ledger: Ledger, move: MoveDraft, when: When): Ledger {
  const { item: draft } = move;
  const moves = [
    ...ledger.moves,
    {
      ...when,
      verb: move.verb,
      text: move.text,
      ...(draft ? { item: when.id } : {}),
      ...(move.sideUp ? { sideUp: move.sideUp } : {}),
      ...(move.on ? { on: move.on } : {}),
    },
  ];
  if (!draft) {
    demand(move.sideUp || move.on || !takesOff(move.verb), 'say what came off, or which side is up', '/item');
    return { ...ledger, moves, ...(move.sideUp ? { sideUp: move.sideUp } : {}) };
  }
  demand(draft.name.trim() !== '', 'say what came off', '/item/name');
  if (draft.count !== null) whole(draft.count, '/item/count');
  demand(draft.lengthMm === undefined || draft.lengthMm > 0, 'a length is over 0 mm', '/item/lengthMm');
  if (draft.kind !== 'fastener') {
    const same = ledger.items.find(
      (i) =>
        i.kind === draft.kind &&
        i.name.toLowerCase() === draft.name.toLowerCase() &&
        !i.fresh &&
        tally(i).off > 0,
    );
    // What lay aside is off now: one thing, not two.
    if (same && (same.by.aside ?? 0) > 0 && draft.state !== 'aside')
      return offNow(ledger, same, draft, moves);
    demand(!same, `${draft.name} is off already, ${same ? placeWords(same.place) : ''}`, '/item/name');
  }
  const before = ledger.items.find(
    (i) =>
      draft.kind !== 'fastener' &&
      i.kind === draft.kind &&
      i.name.toLowerCase() === draft.name.toLowerCase() &&
      !i.fresh &&
      tally(i).back > 0,
  );
  const inside = ledger.covers
    .filter((c) => c.state !== 'final' && c.id !== move.cover && (move.under?.includes(c.id) ?? true))
    .map((c) => c.id);
  const item: Item = {
    ...draft,
    id: when.id,
    at: when.at,
    by: { [draft.state ?? 'off']: draft.count ?? 1 },
    writtenOff: [],
    inside,
    ...(move.cover ? { cover: move.cover } : {}),
    ...(move.within ? { within: move.within } : {}),
    ...(move.fresh ? { fresh: true, by: { fitted: draft.count ?? 1 } } : {}),
    ...(move.assembly ? { assembly: true, fresh: true, inside: [] } : {}),
  };
  const covers = move.cover
    ? [
        ...ledger.covers.filter((c) => c.id !== move.cover),
        { id: move.cover, name: draft.name, state: 'open' as const, at: when.at },
      ]
    : ledger.covers;
  // Off again after it had been back: the earlier entry is closed by this one.
  const others = before ? ledger.items.filter((i) => i.id !== before.id) : ledger.items;
  // A cover that is put on for the first time closes over what was named before it.
  const { cover } = move;
  const items =
    move.assembly && cover
      ? others.map((i) => (i.assembly && !i.cover ? { ...i, inside: [...i.inside, cover] } : i))
      : others;
  return { ...ledger, items: [...items, item], covers, moves };
}
