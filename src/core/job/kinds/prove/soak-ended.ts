import { demand } from '../../../refusal';
import { kind } from '../kind';

/** It has run long enough, or it failed. */
export const soakEnded = kind({
  type: 'soak.ended',
  payload: {},
  admit: 'always',
  apply(state, _p, { at }) {
    demand(state.soak && !state.soak.endedAt, 'no soak is running');
    return { ...state, soak: { ...state.soak, endedAt: at } };
  },
  says: () => 'Soak ended',
  reports: 'nothing',
  whileParked: 'wakes',
});
