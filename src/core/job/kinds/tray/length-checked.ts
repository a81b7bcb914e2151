import { lengthSeen } from '../../../ledger';
import { Type } from '../../../schema/words';
import { itemSpec } from '../../came-off';
import { kind } from '../kind';
import { ItemId } from './draft-schema';

/** One piece laid on the rule before the first of its kind goes in. */
export const lengthChecked = kind({
  type: 'length.checked',
  payload: { item: ItemId, measuredMm: Type.Number() },
  admit: 'always',
  apply: (state, p, { at }) => ({ ...state, ledger: lengthSeen(state.ledger, p.item, p.measuredMm, at) }),
  says: (p, state) => `${itemSpec(state, p.item)} laid on the rule: ${p.measuredMm}\u00a0mm`,
  reports: 'nothing',
  whileParked: 'wakes',
});
