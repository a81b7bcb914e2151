import { demand } from '../../../refusal';
import { oneOf } from '../../../schema/words';
import { CABLE_MODES } from '../../state';
import { kind } from '../kind';

/** How the cables of the part go over: all off first, or one at a time. */
export const cablesChosen = kind({
  type: 'cables.chosen',
  payload: { mode: oneOf(CABLE_MODES) },
  admit: 'always',
  apply(state, { mode }) {
    demand(CABLE_MODES.includes(mode), `${mode} is no way of moving cables`, '/mode');
    demand(!state.out && !state.fix, 'the old part is out already', '/mode');
    return { ...state, swap: { ...state.swap, mode } };
  },
  says: (p) => `Cables: ${p.mode === 'one across' ? 'one across at a time' : 'all off, then all on'}`,
  reports: 'nothing',
  whileParked: 'wakes',
});
