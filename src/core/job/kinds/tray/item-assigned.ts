import { assign, placeWords } from '../../../ledger';
import { Name, Type } from '../../../schema/words';
import { itemOf, itemSpec } from '../../came-off';
import { kind } from '../kind';
import { ItemId } from './draft-schema';

/** Whose screws these are, where their words did not say it. */
export const itemAssigned = kind({
  type: 'item.assigned',
  payload: { item: ItemId, cover: Type.Union([Name, Type.Null()]) },
  admit: 'always',
  apply: (state, p) => ({ ...state, ledger: assign(state.ledger, p.item, p.cover) }),
  says(p, state) {
    const name = state.ledger.covers.find((c) => c.id === p.cover)?.name;
    const place = itemOf(state, p.item)?.place;
    return `${itemSpec(state, p.item)}${place ? ` ${placeWords(place)}` : ''} belong to ${name ? `the ${name}` : 'no cover'}`;
  },
  reports: 'nothing',
  whileParked: 'wakes',
});
