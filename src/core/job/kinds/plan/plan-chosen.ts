import { demand } from '../../../refusal';
import { Chance, Line, Name, Type } from '../../../schema/words';
import { nextRemedy, plansOf } from '../../opening';
import { planLine } from '../../plan-line';
import type { Plan } from '../../state';
import { kind } from '../kind';

/** The remedy that is to be done, with the chance it had when it was chosen. */
export const planChosen = kind({
  type: 'plan.chosen',
  payload: {
    element: Name,
    remedy: Name,
    /** that it mends the unit, 0 to 1, as reckoned when chosen */
    chance: Type.Optional(Chance),
    why: Line,
    saidByUnit: Type.Optional(Type.Boolean()),
    /** beside what is planned already, in the same opening */
    also: Type.Optional(Type.Boolean()),
  },
  admit: 'always',
  apply(state, { element, remedy, chance, why, saidByUnit, also }, { at }) {
    demand(state.intake, 'take the unit in first: say what fails');
    demand(
      also || !(state.fix || state.fixes.length),
      'a remedy is done already: prove it, or say that the symptom stayed',
      '/remedy',
    );
    demand(also || !state.out, 'the old part is out: fit the new one first', '/remedy');
    demand(
      !also || !plansOf(state).some((p) => p.element === element),
      `${element} is planned already`,
      '/element',
    );
    demand(!also || state.plan?.kind === 'remedy', 'choose a first remedy before a further one', '/remedy');
    const e = state.map.elements.find((x) => x.id === element);
    demand(e, `${element} is not on the map`, '/element');
    const r = e.remedies.find((x) => x.id === remedy);
    demand(r, `${element} has no remedy “${remedy}”`, '/remedy');
    demand(chance === undefined || (chance >= 0 && chance <= 1), 'a chance lies in 0 to 1', '/chance');
    const plan: Plan = {
      kind: 'remedy',
      element,
      remedy,
      remedyKind: r.kind,
      name: r.name,
      minutes: r.minutes,
      parts: r.parts ?? [],
      why,
      at,
      ...(chance === undefined ? {} : { chance }),
      ...(saidByUnit ? { saidByUnit } : {}),
    };
    const others = state.also.filter((p) => p.element !== element);
    if (!also) return { ...state, stop: 'make safe', plan, also: others };
    return nextRemedy({ ...state, also: [...state.also, plan] });
  },
  says: (p, state) => {
    const r = state.map.elements.find((e) => e.id === p.element)?.remedies.find((x) => x.id === p.remedy);
    return `${p.also ? 'In the same opening' : 'Plan'}: ${r?.name ?? p.remedy}${p.saidByUnit ? ', as said by the unit' : ''}`;
  },
  reports: (_p, state, { at }) => planLine(state, at),
  whileParked: 'wakes',
});
