import type { JobState, Timer } from './state';

/** The longest wait that is timed: fourteen days, in minutes. */
export const LONGEST_MINUTES = 60 * 24 * 14;

/** The job with one more timer running. */
export const withTimer = (state: JobState, timer: Timer): JobState => ({
  ...state,
  timers: [...state.timers, timer],
});
