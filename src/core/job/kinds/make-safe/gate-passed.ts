import { passGate } from '../../../hazard';
import { Line, Name } from '../../../schema/words';
import { afterGate, hazardName, hazardOf } from '../../gate';
import { kind } from '../kind';

/** A gate is passed against advice, with the reason. */
export const gatePassed = kind({
  type: 'gate.passed',
  payload: { hazard: Name, reason: Line },
  admit: 'always',
  apply(state, { hazard, reason }, { at }) {
    hazardOf(state, hazard);
    return afterGate({
      ...state,
      hazards: state.hazards.map((s) => (s.id === hazard ? passGate(s, reason, at) : s)),
    });
  },
  says: (p, state) => `Gate passed against advice: ${hazardName(state, p.hazard)}, because ${p.reason}`,
  reports: ({ hazard, reason }, state, { at }) => [
    {
      under: 'Made safe',
      at,
      text: `${hazardName(state, hazard)}: gate passed against advice`,
      result: reason,
    },
  ],
  whileParked: 'wakes',
});
