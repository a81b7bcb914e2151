import { inItsPlace, writeOff } from '../../../ledger';
import { Count, Line, Type } from '../../../schema/words';
import { itemSpec } from '../../came-off';
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
  apply(state, { item, goesIn, ...off }, { id, at }) {
    const gone = writeOff(state.ledger, item, off);
    const ledger = goesIn
      ? inItsPlace(gone, item, { count: off.count, name: off.replacement }, { id, at })
      : gone;
    return { ...state, ledger };
  },
  says: (p, state) =>
    `${p.count} × ${itemSpec(state, p.item)} written off, ${p.reason}; in its place ${p.replacement}`,
  reports: 'nothing',
  whileParked: 'wakes',
});
