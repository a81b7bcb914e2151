import { demand } from '../../../refusal';
import { fixesOf, fixWords } from '../../opening';
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
      fixes: [],
      failed: [...state.failed, ...fixesOf(state)],
      trace: [
        ...state.trace,
        ...fixesOf(state).map(({ element, remedy }, k) => ({
          id: k === 0 ? id : `${id}.${k}`,
          at,
          by,
          tried: { element, remedy },
        })),
      ],
    };
  },
  says: (_p, state) => `${fixWords(state) || 'Remedy'} tried, the symptom stayed`,
  reports(_p, state, { id, at }) {
    return state.trace
      .filter((t) => t.tried && (t.id === id || t.id.startsWith(`${id}.`)))
      .map(({ tried }) => {
        const remedies = state.map.elements.find((e) => e.id === tried?.element)?.remedies;
        const text = remedies?.find((x) => x.id === tried?.remedy)?.name ?? tried?.remedy ?? '';
        return { under: 'Found' as const, at, text, result: 'the symptom stayed' };
      });
  },
  whileParked: 'wakes',
});
