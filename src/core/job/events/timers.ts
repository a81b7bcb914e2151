import { demand } from '../../refusal';
import { kind } from './kind';

const LONGEST_MINUTES = 60 * 24 * 14;

/** Something begins that takes its time by itself. Several run at once. */
export const timerStarted = kind<{ what: string; minutes: number }>({
  apply(state, { what, minutes }, { id, at }) {
    demand(what.trim() !== '', 'say what it is for', '/what');
    demand(minutes > 0 && minutes <= LONGEST_MINUTES, 'minutes lie over 0 and up to 14 days', '/minutes');
    return { ...state, timers: [...state.timers, { id, what: what.trim(), startedAt: at, minutes }] };
  },
  says: (p) => `Timer: ${p.what}, ${p.minutes}\u00a0min`,
});

/** It is done, or not waited for any longer. */
export const timerEnded = kind<{ timer: string }>({
  apply(state, { timer }, { at }) {
    const running = state.timers.find((t) => t.id === timer && !t.endedAt);
    demand(running, 'no such timer is running', '/timer');
    return { ...state, timers: state.timers.map((t) => (t.id === timer ? { ...t, endedAt: at } : t)) };
  },
  says: (p, state) => `Timer ended: ${state.timers.find((t) => t.id === p.timer)?.what ?? ''}`,
});
