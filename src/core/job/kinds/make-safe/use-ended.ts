import { demand } from '../../../refusal';
import { Name } from '../../../schema/words';
import { inUseWords, USES } from '../../in-use';
import { kind } from '../kind';

/** An iron, heater or lamp is off, or solvent is dry. */
export const useEnded = kind({
  type: 'use.ended',
  payload: { use: Name },
  admit: 'always',
  apply(state, { use }) {
    const ended = state.inUse.find((u) => u.id === use);
    demand(ended, 'that is in use no longer', '/use');
    return { ...state, inUse: state.inUse.filter((u) => u !== ended) };
  },
  says: ({ use }, state) => {
    const ended = state.inUse.find((u) => u.id === use);
    return ended ? `${inUseWords(ended)}. ${USES[ended.use].ends}` : 'Off, or dry';
  },
  reports: 'nothing',
  whileParked: 'taken',
});
