import { takeAgain } from '../../../ledger';
import { Count } from '../../../schema/words';
import { itemOf, itemSpec } from '../../came-off';
import { handsIn } from '../../hands-in';
import { kind } from '../kind';
import { ItemId } from './draft-schema';

/** Some of what was back comes off again. */
export const itemTaken = kind({
  type: 'item.taken',
  payload: { item: ItemId, count: Count },
  admit: 'always',
  apply(state, p) {
    const i = itemOf(state, p.item);
    if (i && i.kind !== 'fastener') handsIn(state, i.cover);
    return { ...state, ledger: takeAgain(state.ledger, p.item, p.count) };
  },
  says: (p, state) => `${p.count} × ${itemSpec(state, p.item)} off again`,
  reports: 'nothing',
  whileParked: 'wakes',
});
