import { oneOf } from '../../../schema/words';
import { demandRunnable } from '../../before-power';
import { powerOff, powerOn } from '../../power';
import { kind } from '../kind';

/** The power, as somebody switched it. */
export const powerSet = kind({
  type: 'power.set',
  payload: { power: oneOf(['on', 'off'] as const) },
  admit(state, { power }) {
    if (power === 'on') demandRunnable(state, '/power');
  },
  apply: (state, { power }, { at }) => (power === 'on' ? powerOn(state, at) : powerOff(state)),
  says: (p) => `Power ${p.power}`,
  reports: 'nothing',
  whileParked: 'wakes',
});
