import { writeOff } from '../../../ledger';
import { Count, Line } from '../../../schema/words';
import { itemSpec } from '../../came-off';
import { kind } from '../kind';
import { ItemId } from './draft-schema';

/** Stripped, one-time or lost: owed no longer, with what takes its place. */
export const itemWrittenOff = kind({
  type: 'item.written-off',
  payload: { item: ItemId, count: Count, reason: Line, replacement: Line },
  admit: 'always',
  apply: (state, { item, ...off }) => ({ ...state, ledger: writeOff(state.ledger, item, off) }),
  says: (p, state) =>
    `${p.count} × ${itemSpec(state, p.item)} written off, ${p.reason}; in its place ${p.replacement}`,
  reports: 'nothing',
  whileParked: 'wakes',
});
