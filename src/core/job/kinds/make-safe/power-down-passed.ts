import { demand } from '../../../refusal';
import { Line } from '../../../schema/words';
import { powerDownLeft } from '../../powering-down';
import { kind } from '../kind';

/** The unit's own way to power down cannot be gone, mostly because it is dead. */
export const powerDownPassed = kind({
  type: 'power-down.passed',
  payload: { reason: Line },
  admit: 'always',
  apply(state, { reason }, { at }) {
    demand(powerDownLeft(state).length > 0, 'nothing is left of the powering down', '/reason');
    demand(reason.trim().length >= 8, 'say why in a few words: it stays in the report', '/reason');
    return { ...state, poweredDown: { ...state.poweredDown, passed: { reason: reason.trim(), at } } };
  },
  says: (p) => `Not powered down its own way, because ${p.reason}`,
  reports: ({ reason }, _state, { at }) => [
    { under: 'Made safe', at, text: 'Not powered down its own way', result: reason },
  ],
  whileParked: 'wakes',
});
