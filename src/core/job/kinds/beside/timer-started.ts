import { demand } from '../../../refusal';
import { Line, Type } from '../../../schema/words';
import { LONGEST_MINUTES, withTimer } from '../../timing';
import { kind } from '../kind';

/** Something begins that takes its time by itself. Several run at once. */
export const timerStarted = kind({
  type: 'timer.started',
  payload: { what: Line, minutes: Type.Number({ exclusiveMinimum: 0, maximum: LONGEST_MINUTES }) },
  admit: 'always',
  apply(state, { what, minutes }, { id, at }) {
    demand(what.trim() !== '', 'say what it is for', '/what');
    demand(minutes > 0 && minutes <= LONGEST_MINUTES, 'minutes lie over 0 and up to 14 days', '/minutes');
    return withTimer(state, { id, what: what.trim(), startedAt: at, minutes });
  },
  says: (p) => `Timer: ${p.what}, ${p.minutes}\u00a0min`,
  reports: 'nothing',
  whileParked: 'taken',
});
