import { alter } from '../../../ledger';
import { Line } from '../../../schema/words';
import { itemSpec } from '../../came-off';
import { kind } from '../kind';
import { ItemId } from './draft-schema';

/** Cut, trimmed or shortened, with its measure. */
export const itemAltered = kind({
  type: 'item.altered',
  payload: { item: ItemId, what: Line },
  admit: 'always',
  apply: (state, p) => ({ ...state, ledger: alter(state.ledger, p.item, p.what) }),
  says: (p, state) => `${itemSpec(state, p.item)} altered: ${p.what}`,
  reports: 'nothing',
  whileParked: 'wakes',
});
