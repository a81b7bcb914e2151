import { countItem } from '../../../ledger';
import { Count } from '../../../schema/words';
import { itemSpec } from '../../came-off';
import { kind } from '../kind';
import { ItemId } from './draft-schema';

/** "Several" becomes a number. */
export const itemCounted = kind({
  type: 'item.counted',
  payload: { item: ItemId, count: Count },
  admit: 'always',
  apply: (state, p) => ({ ...state, ledger: countItem(state.ledger, p.item, p.count) }),
  says: (p, state) => `Counted: ${p.count} × ${itemSpec(state, p.item)}`,
  reports: 'nothing',
  whileParked: 'wakes',
});
