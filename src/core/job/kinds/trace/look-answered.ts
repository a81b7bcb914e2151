import { demand } from '../../../refusal';
import { Line, oneOf, Type } from '../../../schema/words';
import { FIRST_LOOKS } from '../../first-looks';
import { kind } from '../kind';

const lookOf = (id: string) => FIRST_LOOKS.find((l) => l.id === id);

/** One of the looks that come before anything is measured, and what it said. */
export const lookAnswered = kind({
  type: 'look.answered',
  payload: {
    look: oneOf(FIRST_LOOKS.map((l) => l.id)),
    found: Type.Boolean(),
    note: Type.Optional(Line),
  },
  admit: 'always',
  apply(state, { look, found, note }, { at }) {
    demand(state.intake, 'take the unit in first: say what fails');
    return {
      ...state,
      looked: [
        ...state.looked.filter((l) => l.look !== look),
        { look, found, at, ...(note?.trim() ? { note: note.trim() } : {}) },
      ],
    };
  },
  says(p) {
    const l = lookOf(p.look);
    return `${l?.ask ?? p.look} ${(p.found ? l?.found : l?.clear) ?? ''}${p.note?.trim() ? `: ${p.note.trim()}` : ''}`;
  },
  reports(p, _state, { at }) {
    const l = lookOf(p.look);
    if (!l) return [];
    return [
      {
        under: 'Found',
        at,
        text: l.ask,
        result: `${p.found ? l.found : l.clear}${p.note?.trim() ? `: ${p.note.trim()}` : ''}`,
      },
    ];
  },
  whileParked: 'wakes',
});
