import { inItsPlace, specOf, writeOff } from '../../../ledger';
import { Count, Line, Type } from '../../../schema/words';
import { itemOf, itemSpec } from '../../came-off';
import { packsNamed, unread } from '../../packs';
import { kind } from '../kind';
import { ItemId } from './draft-schema';

/** Stripped, one-time or lost: owed no longer, with what takes its place. */
export const itemWrittenOff = kind({
  type: 'item.written-off',
  payload: {
    item: ItemId,
    count: Count,
    reason: Line,
    replacement: Line,
    /** what takes its place goes in here: it is owed on the way back, and proven */
    goesIn: Type.Optional(Type.Boolean()),
  },
  admit: 'always',
  apply(state, { item, goesIn, ...off }, when) {
    const old = itemOf(state, item);
    const ledger = writeOff(state.ledger, item, off);
    if (!goesIn) return { ...state, ledger };
    const packs = old?.kind === 'part' ? packsNamed(state, old.name) : [];
    return { ...unread(state, packs), ledger: inItsPlace(ledger, item, off, when) };
  },
  says: (p, state) =>
    `${p.count} × ${itemSpec(state, p.item)} written off, ${p.reason}; in its place ${p.replacement}`,
  reports(p, state, { at }) {
    const item = itemOf(state, p.item);
    // A lead or part that was changed on the way is credited as done; a screw is not.
    return item && item.kind !== 'fastener' && p.replacement?.trim()
      ? [
          {
            under: 'Done',
            at,
            text: `${p.replacement.trim()}, in place of ${specOf(item)}`,
            result: p.reason.trim(),
          },
        ]
      : [];
  },
  whileParked: 'wakes',
});
