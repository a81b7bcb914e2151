import { demand } from '../../../refusal';
import { oneOf, Text, Type } from '../../../schema/words';
import { PRACTICE_ENDS } from '../../state';
import { kind } from '../kind';

/** A practice run is left, or stopped before something that would have hurt somebody. */
export const practiceEnded = kind({
  type: 'practice.ended',
  payload: { how: oneOf(PRACTICE_ENDS), why: Type.Optional(Text) },
  admit: 'always',
  apply(state, { how, why }, { at }) {
    demand(state.practice, 'this is no practice');
    demand(how !== 'mended' || state.mendedBy, 'the symptom is still there', '/how');
    return { ...state, practiceOver: { how, at, ...(why ? { why } : {}) } };
  },
  says: ({ how, why }) => (how === 'stopped' ? `Stopped: ${why ?? ''}` : 'Practice left'),
  reports: 'nothing',
  whileParked: 'taken',
});
