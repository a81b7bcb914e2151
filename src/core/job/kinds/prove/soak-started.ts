import { demand } from '../../../refusal';
import { Type } from '../../../schema/words';
import { demandRunnable } from '../../before-power';
import { isDone } from '../../opening';
import { soakNow } from '../../soak';
import { LONGEST_MINUTES } from '../../timing';
import { kind } from '../kind';

/** The unit is left running and looked at now and again. */
export const soakStarted = kind({
  type: 'soak.started',
  payload: { minutes: Type.Number(), everyMinutes: Type.Number() },
  admit: (state) => demandRunnable(state, '/minutes'),
  apply(state, { minutes, everyMinutes }, { id, at }) {
    demand(isDone(state), 'nothing has been mended yet: do the remedy first', '/minutes');
    demand(minutes > 0 && minutes <= LONGEST_MINUTES, 'minutes lie over 0 and up to 14 days', '/minutes');
    demand(
      everyMinutes > 0 && everyMinutes <= minutes,
      'it is looked at once within the time at least',
      '/everyMinutes',
    );
    demand(!state.soak || state.soak.endedAt, 'a soak is running already', '/minutes');
    return {
      ...state,
      soak: { id, startedAt: at, minutes, everyMinutes, proofsBefore: state.proofs.length },
    };
  },
  says: (p) => `Soak: ${p.minutes}\u00a0min, looked at every ${p.everyMinutes}\u00a0min`,
  reports({ minutes }, state, { id, at }) {
    const { soak } = state;
    if (soak?.id !== id) return [];
    const end = soak.endedAt ?? new Date(Date.parse(at) + minutes * 60_000).toISOString();
    const s = soakNow(state, end);
    const outcome = s?.failed ? 'it failed' : s?.passed ? 'all good' : 'not finished';
    return [
      {
        under: 'Shown beside it',
        at,
        text: `Soak of ${minutes}\u00a0min`,
        result: `${s?.looks.length ?? 0} looks, ${outcome}`,
      },
    ];
  },
  whileParked: 'wakes',
});
