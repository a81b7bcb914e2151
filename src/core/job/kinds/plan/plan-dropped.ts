import { demand } from '../../../refusal';
import { Name } from '../../../schema/words';
import { dropped, outsOf, plansOf } from '../../opening';
import { kind } from '../kind';

/** One of several remedies of this opening is not done after all. */
export const planDropped = kind({
  type: 'plan.dropped',
  payload: { element: Name },
  admit: 'always',
  apply(state, { element }) {
    demand(
      plansOf(state).some((p) => p.element === element) && !state.fix,
      `nothing is planned for ${element}`,
      '/element',
    );
    demand(
      !outsOf(state).some((o) => o.element === element),
      `the old ${element} is out: fit the new one first`,
      '/element',
    );
    return dropped(state, element);
  },
  says: (p) => `Not done in this opening: ${p.element}`,
  reports: 'nothing',
  whileParked: 'wakes',
});
