import { demand } from '../../refusal';
import { kind } from './kind';

export const planChosen = kind<{
  element: string;
  remedy: string;
  /** chance that it mends the unit, 0 to 1, as reckoned when chosen */
  chance?: number;
  why: string;
  saidByUnit?: boolean;
}>({
  apply(state, { element, remedy, chance, why, saidByUnit }, { at }) {
    demand(state.intake, 'take the unit in first: say what fails');
    demand(!state.fix, 'a remedy is done already: prove it, or say that the symptom stayed', '/remedy');
    demand(!state.out, 'the old part is out: fit the new one first', '/remedy');
    const e = state.map.elements.find((x) => x.id === element);
    demand(e, `${element} is not on the map`, '/element');
    const r = e.remedies.find((x) => x.id === remedy);
    demand(r, `${element} has no remedy “${remedy}”`, '/remedy');
    demand(chance === undefined || (chance >= 0 && chance <= 1), 'a chance lies in 0 to 1', '/chance');
    return {
      ...state,
      stop: 'make safe',
      plan: {
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
      },
    };
  },
  says: (p, state) => {
    const r = state.map.elements.find((e) => e.id === p.element)?.remedies.find((x) => x.id === p.remedy);
    return `Plan: ${r?.name ?? p.remedy}${p.saidByUnit ? ', as said by the unit' : ''}`;
  },
});

export const jobReferred = kind<{ to: string; why: string }>({
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
});
