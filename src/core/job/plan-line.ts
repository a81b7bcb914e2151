import type { Reported } from './kinds/kind';
import type { JobState } from './state';

/** Report of the plan that holds, where this entry chose it. */
export function planLine({ plan }: JobState, at: string): Reported[] {
  if (plan?.at !== at) return [];
  const chance =
    plan.chance === undefined ? '' : `; ${Math.round(plan.chance * 100)}\u00a0% to mend the unit`;
  return [{ under: 'Planned', at, text: plan.name, result: `${plan.why}${chance}` }];
}
