import { demand } from '../../../refusal';
import { Line } from '../../../schema/words';
import { planLine } from '../../plan-line';
import { kind } from '../kind';

/** It goes to somebody else. */
export const jobReferred = kind({
  type: 'job.referred',
  payload: { to: Line, why: Line },
  admit: 'always',
  apply(state, { to, why }, { at }) {
    demand(state.intake, 'take the unit in first: say what fails');
    demand(to.trim() !== '', 'say who it goes to', '/to');
    demand(why.trim() !== '', 'say why it is referred', '/why');
    return {
      ...state,
      stop: 'hand over',
      plan: { kind: 'refer', name: `Refer to ${to.trim()}`, parts: [], why: why.trim(), at },
    };
  },
  says: (p) => `Referred to ${p.to}: ${p.why}`,
  reports: (_p, state, { at }) => planLine(state, at),
  whileParked: 'wakes',
});
