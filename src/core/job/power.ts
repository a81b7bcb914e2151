import { arm } from '../hazard';
import type { Power } from '../trace';
import type { JobState } from './state';

/**
 * The unit runs: what power arms is live again, its packs may have been charged, and it has to be
 * powered down anew. Every entry that runs the unit goes through here.
 *
 * @param state a job
 * @param at time
 * @returns the job with the power on
 * @example powerOn(state, at).charges // {}
 */
export const powerOn = (state: JobState, at: string): JobState => ({
  ...state,
  power: 'on',
  hazards: arm(state.map, state.hazards, 'power', at),
  charges: {},
  poweredDown: { done: [] },
});

/**
 * The power is out; what was charged stays charged until its own gate is up.
 *
 * @param state a job
 * @returns the job with the power off
 * @example powerOff(state).power // 'off'
 */
export const powerOff = (state: JobState): JobState => ({ ...state, power: 'off' });

/**
 * The power as an entry needs it; nothing happens where it is so already.
 *
 * @param state a job
 * @param wanted by the check; undefined = either
 * @param at time
 * @returns the job with that power
 * @example withPower(state, 'on', at).power // 'on'
 */
export function withPower(state: JobState, wanted: Power | undefined, at: string): JobState {
  if (!wanted || wanted === state.power) return state;
  return wanted === 'on' ? powerOn(state, at) : powerOff(state);
}
