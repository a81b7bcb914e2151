import { owed, tally } from '../../../ledger';
import { demand } from '../../../refusal';
import { oneOf } from '../../../schema/words';
import { kind } from '../kind';

/**
 * Hands leave a unit inside the unit. `whole` says that it is as it was: then everything of it has to
 * be back; `open` leaves it as it lies, for later.
 */
export const unitLeft = kind({
  type: 'unit.left',
  payload: { as: oneOf(['whole', 'open'] as const) },
  admit: 'always',
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
  reports: 'nothing',
  whileParked: 'wakes',
});
