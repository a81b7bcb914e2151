import { demand } from '../../../refusal';
import { kind } from '../kind';

/** A remedy was done and the symptom stayed: back to Trace with what that says. */
export const remedyTried = kind({
  type: 'remedy.tried',
  payload: {},
  admit: 'always',
  apply(state, _p, { id, at, by }) {
    const { fix } = state;
    demand(fix, 'no remedy has been done yet');
    return {
      ...state,
      stop: 'trace',
      plan: null,
      fix: null,
      failed: [...state.failed, fix],
      trace: [...state.trace, { id, at, by, tried: { element: fix.element, remedy: fix.remedy } }],
    };
  },
  says: (_p, state) => `${state.fix?.name ?? 'Remedy'} tried, the symptom stayed`,
  reports(_p, state, { id, at }) {
    const tried = state.trace.find((t) => t.id === id)?.tried;
    const remedies = state.map.elements.find((e) => e.id === tried?.element)?.remedies;
    const text = remedies?.find((x) => x.id === tried?.remedy)?.name ?? tried?.remedy ?? '';
    return tried ? [{ under: 'Found', at, text, result: 'the symptom stayed' }] : [];
  },
  whileParked: 'wakes',
});
