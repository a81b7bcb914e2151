import { demand } from '../../../refusal';
import { Text } from '../../../schema/words';
import { kind } from '../kind';

/** A note, at any stop. */
export const noteAdded = kind({
  type: 'note.added',
  payload: { text: Text },
  admit: 'always',
  apply(state, { text }, { at, by }) {
    demand(text.trim() !== '', 'the note is empty', '/text');
    return { ...state, notes: [...state.notes, { at, by, text: text.trim() }] };
  },
  says: (p) => `Note: ${p.text}`,
  reports: ({ text }, _state, { at }) => [{ under: 'Notes', at, text: text.trim() }],
  whileParked: 'taken',
});
