import { backWords, noteBack } from '../../../ledger';
import { WayBackNoteSchema } from '../../../unit/schema';
import { itemSpec } from '../../came-off';
import { kind } from '../kind';
import { ItemId } from './draft-schema';

/** What is different when this goes back: a new one, a torque, a sealant, slack, a guide. */
export const wayBackNoted = kind({
  type: 'way-back.noted',
  payload: { item: ItemId, ...WayBackNoteSchema.properties },
  admit: 'always',
  apply: (state, { item, ...back }) => ({ ...state, ledger: noteBack(state.ledger, item, back) }),
  says: (p, state) => `On the way back, ${itemSpec(state, p.item)}: ${backWords(p)}`,
  reports: 'nothing',
  whileParked: 'wakes',
});
