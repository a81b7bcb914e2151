import { owed, tally } from '../../ledger';
import { demand } from '../../refusal';
import { kind } from './kind';

/** Hands go into a unit inside the unit: what comes off now is its own. */
export const unitEntered = kind<{ name: string; goal: string }>({
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
});

/**
 * Hands leave it. `whole` says that it is as it was: then everything of it has to be back; `open` leaves
 * it as it lies, for later.
 */
export const unitLeft = kind<{ as: 'whole' | 'open' }>({
  apply(state, { as }, { at }) {
    const here = state.subUnits.find((u) => !u.leftAt);
    demand(here, 'hands are in no unit inside this one', '/as');
    if (as === 'whole') {
      const reasons = state.ledger.items.flatMap((i) => (i.within === here.id ? (owed(i) ?? []) : []));
      demand(reasons.length === 0, `the ${here.name} is not whole: ${reasons.join('; ')}`, '/as');
    }
    return { ...state, subUnits: state.subUnits.map((u) => (u === here ? { ...u, leftAt: at } : u)) };
  },
  says: (p, state) => {
    const here = state.subUnits.find((u) => !u.leftAt);
    const off = state.ledger.items.filter((i) => i.within === here?.id && tally(i).off > 0).length;
    return `Out of the ${here?.name ?? 'unit'}, ${p.as === 'whole' ? 'whole' : `left open, ${off} of its things off`}`;
  },
});
