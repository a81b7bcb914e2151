import { demand } from '../../../refusal';
import { Line, Name } from '../../../schema/words';
import { kind } from '../kind';

/** Hands go into a unit inside the unit: what comes off now is its own. */
export const unitEntered = kind({
  type: 'unit.entered',
  payload: { name: Name, goal: Line },
  admit: 'always',
  apply(state, { name, goal }, { id, at }) {
    demand(name.trim() !== '', 'say which unit inside this one', '/name');
    const here = state.subUnits.find((u) => !u.leftAt);
    demand(!here, here ? `hands are in the ${here.name} now: leave it first` : '', '/name');
    const again = state.subUnits.find((u) => u.name.toLowerCase() === name.trim().toLowerCase());
    const goalNow = goal.trim();
    const subUnits = again
      ? state.subUnits.map((u) => {
          if (u !== again) return u;
          const { leftAt: _, ...open } = u;
          return { ...open, goal: goalNow || u.goal };
        })
      : [...state.subUnits, { id, name: name.trim(), goal: goalNow, at }];
    return { ...state, subUnits };
  },
  says: (p) => `Into the ${p.name}${p.goal.trim() ? `, to ${p.goal.trim()}` : ''}`,
  reports(_p, state, { id }) {
    const u = state.subUnits.find((x) => x.id === id);
    if (!u) return [];
    const result = u.goal || (u.leftAt ? 'left' : 'hands still in it');
    return [{ under: 'Done', at: u.at, text: `In the ${u.name}`, result }];
  },
  whileParked: 'wakes',
});
