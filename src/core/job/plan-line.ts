import type { Reported } from './kinds/kind';
import { fixesOf } from './opening';
import type { JobState } from './state';

/** Report of the plan that holds, where this entry chose it. */
export function planLine(state: JobState, at: string): Reported[] {
  const done = fixesOf(state).flatMap((f) => f.plan ?? []);
  const all = [...(state.plan ? [state.plan] : []), ...state.also, ...done];
  const plan = all.find((p) => p.at === at);
  if (!plan) return [];
  const chance =
    plan.chance === undefined ? '' : `; ${Math.round(plan.chance * 100)}\u00a0% to mend the unit`;
  return [{ under: 'Planned', at, text: plan.name, result: `${plan.why}${chance}` }];
}
