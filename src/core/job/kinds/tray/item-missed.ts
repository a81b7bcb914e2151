import { miss } from '../../../ledger';
import { Count } from '../../../schema/words';
import { itemSpec } from '../../came-off';
import { kind } from '../kind';
import { ItemId } from './draft-schema';

/** Some cannot be found, or are found again. */
export const itemMissed = kind({
  type: 'item.missed',
  payload: { item: ItemId, count: Count },
  admit: 'always',
  apply: (state, p) => ({ ...state, ledger: miss(state.ledger, p.item, p.count) }),
  says: (p, state) =>
    p.count ? `${p.count} × ${itemSpec(state, p.item)} missing` : `${itemSpec(state, p.item)} found`,
  reports: 'nothing',
  whileParked: 'wakes',
});
