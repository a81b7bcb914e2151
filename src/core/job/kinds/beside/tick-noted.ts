import { demand } from '../../../refusal';
import { Line, oneOf, Type } from '../../../schema/words';
import { itemOf } from '../../came-off';
import { STOPS } from '../../state';
import { kind } from '../kind';
import { ItemId } from '../tray/draft-schema';

/** A tick of one's own: asked at a stop, or when a thing goes back. */
export const tickNoted = kind({
  type: 'tick.noted',
  payload: { text: Line, stop: oneOf(STOPS), item: Type.Optional(ItemId) },
  admit: 'always',
  apply(state, { text, stop, item }, { id }) {
    demand(text.trim() !== '', 'say what is to be ticked', '/text');
    demand(item === undefined || itemOf(state, item) !== undefined, 'that thing is not in the tray', '/item');
    return {
      ...state,
      ticks: [...state.ticks, { id, text: text.trim(), stop, ...(item ? { item } : {}) }],
    };
  },
  says: (p) => `To be ticked at ${p.stop}: ${p.text.trim()}`,
  reports: 'nothing',
  whileParked: 'taken',
});
