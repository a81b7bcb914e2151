import { placeWords, stash } from '../../../ledger';
import { itemSpec } from '../../came-off';
import { kind } from '../kind';
import { ItemId, PlaceSchema } from './draft-schema';

/** A thing is put somewhere else. */
export const itemStashed = kind({
  type: 'item.stashed',
  payload: { item: ItemId, place: PlaceSchema },
  admit: 'always',
  apply: (state, p) => ({ ...state, ledger: stash(state.ledger, p.item, p.place) }),
  says: (p, state) => `${itemSpec(state, p.item)} kept ${placeWords(p.place)}`,
  reports: 'nothing',
  whileParked: 'wakes',
});
