import { demand } from '../../../refusal';
import { Ulid } from '../../../schema/words';
import { kind } from '../kind';

/** It is done, or not waited for any longer. */
export const timerEnded = kind({
  type: 'timer.ended',
  payload: { timer: Ulid },
  admit: 'always',
  apply(state, { timer }, { at }) {
    const running = state.timers.find((t) => t.id === timer && !t.endedAt);
    demand(running, 'no such timer is running', '/timer');
    return { ...state, timers: state.timers.map((t) => (t.id === timer ? { ...t, endedAt: at } : t)) };
  },
  says: (p, state) => `Timer ended: ${state.timers.find((t) => t.id === p.timer)?.what ?? ''}`,
  reports: 'nothing',
  whileParked: 'taken',
});
