import { demand } from '../../../refusal';
import { Name } from '../../../schema/words';
import { powerDownLeft } from '../../powering-down';
import type { JobState } from '../../state';
import { kind } from '../kind';

const said = (state: JobState, step: string) =>
  `Powered down: ${state.map.powerDown?.find((s) => s.id === step)?.text ?? step}`;

/** One step of the unit's own way to power down. */
export const powerDownDone = kind({
  type: 'power-down.done',
  payload: { step: Name },
  admit: 'always',
  apply(state, { step }) {
    const next = powerDownLeft(state)[0];
    demand(next, 'it is powered down already', '/step');
    demand(next.id === step, `${next.text} comes first`, '/step');
    return { ...state, poweredDown: { done: [...state.poweredDown.done, step] } };
  },
  says: (p, state) => said(state, p.step),
  reports: ({ step }, state, { at }) => [{ under: 'Made safe', at, text: said(state, step) }],
  whileParked: 'wakes',
});
