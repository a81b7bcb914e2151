import { demand } from '../../../refusal';
import { Day, Line, oneOf, Type } from '../../../schema/words';
import { demandDay } from '../../day';
import { OWED_KINDS } from '../../state';
import { kind } from '../kind';

/** Something is still owed to somebody, by a day where one was agreed. */
export const owedNoted = kind({
  type: 'owed.noted',
  payload: { owed: oneOf(OWED_KINDS), what: Line, due: Type.Optional(Day) },
  admit: 'always',
  apply(state, { owed, what, due }, { id }) {
    demand(what.trim() !== '', 'say what is owed, and to whom', '/what');
    if (due !== undefined) demandDay(due, '/due');
    return {
      ...state,
      owed: [...state.owed, { id, kind: owed, what: what.trim(), ...(due ? { due } : {}) }],
    };
  },
  says: ({ owed, what, due }) => `Owed, ${owed}: ${what}${due ? `, by ${due}` : ''}`,
  reports({ owed, what, due }, state, { id, at }) {
    const { settled } = state.owed.find((o) => o.id === id) ?? {};
    return [
      {
        under: 'Handed over',
        at,
        text: `Owed, ${owed}: ${what.trim()}${due ? `, by ${due}` : ''}`,
        result: settled ? `done ${settled.at.slice(0, 10)}` : 'open',
      },
    ];
  },
  whileParked: 'taken',
});
