import { prove } from '../../../ledger';
import { Line } from '../../../schema/words';
import { itemSpec } from '../../came-off';
import { kind } from '../kind';
import { ItemId } from './draft-schema';

/** It clicked, it held a tug, both ends were looked at. */
export const itemProven = kind({
  type: 'item.proven',
  payload: { item: ItemId, how: Line },
  admit: 'always',
  apply: (state, p, { at }) => ({ ...state, ledger: prove(state.ledger, p.item, p.how, at) }),
  says: (p, state) => `${itemSpec(state, p.item)} proven: ${p.how}`,
  reports: 'nothing',
  whileParked: 'wakes',
});
