import { demand } from '../../../refusal';
import { Name, Type } from '../../../schema/words';
import { practised } from '../../practice';
import { kind } from '../kind';

/** A remedy done on a simulated unit in one act, and whether it took the symptom away. */
export const remedyPractised = kind({
  type: 'remedy.practised',
  payload: { element: Name, remedy: Name, mended: Type.Boolean() },
  admit(state, { element, remedy, mended }) {
    const said = practised(state, { tried: remedy, element });
    demand('mended' in said && said.mended === mended, 'the unit answers otherwise', '/mended');
  },
  apply(state, { element, remedy, mended }, { id, at, by }) {
    demand(state.practice, 'this is no practice');
    const done = { element, remedy };
    return mended
      ? { ...state, mendedBy: { ...done, id }, practiceOver: { how: 'mended', at } }
      : { ...state, stop: 'trace', trace: [...state.trace, { id, at, by, tried: done }] };
  },
  says({ element, remedy, mended }, state) {
    const name = state.map.elements
      .find((e) => e.id === element)
      ?.remedies.find((r) => r.id === remedy)?.name;
    return `${name ?? remedy}: ${mended ? 'the symptom is gone' : 'the symptom stayed'}`;
  },
  reports: 'nothing',
  whileParked: 'wakes',
});
