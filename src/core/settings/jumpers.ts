import { demand } from '../refusal';

export interface JumpersRequest {
  /** each holds when every option it names has that value */
  rules: { when: Record<string, string>; then: Record<string, 'open' | 'closed'> }[];
  /** what this unit is */
  options: Record<string, string>;
  /** what is set now */
  set?: Record<string, 'open' | 'closed'>;
}

export interface JumpersAnswer {
  required: Record<string, 'open' | 'closed'>;
  /** jumpers set otherwise, or not looked at */
  differences: { jumper: string; required: 'open' | 'closed'; set: 'open' | 'closed' | null }[];
}

/**
 * The positions jumpers must have on this unit, and those that are otherwise.
 *
 * @param r rules, options of the unit, positions found
 * @returns required positions and the differences
 * @throws Refusal naming the rule that contradicts an earlier one
 * @example jumpers({ rules: [{ when: { volts: '230' }, then: { JP1: 'open' } }], options: { volts: '230' } }).required // { JP1: 'open' }
 */
export function jumpers(r: JumpersRequest): JumpersAnswer {
  const required: JumpersAnswer['required'] = {};
  const by: Record<string, number> = {};
  r.rules.forEach((rule, i) => {
    if (!Object.entries(rule.when).every(([k, v]) => r.options[k] === v)) return;
    for (const [jumper, position] of Object.entries(rule.then)) {
      demand(
        required[jumper] === undefined || required[jumper] === position,
        `rule ${i + 1} wants ${jumper} ${position}, rule ${(by[jumper] ?? 0) + 1} wants it ${required[jumper]}`,
        `/rules/${i}/then/${jumper}`,
      );
      required[jumper] = position;
      by[jumper] ??= i;
    }
  });
  const differences = Object.entries(required)
    .filter(([j, p]) => r.set?.[j] !== p)
    .map(([jumper, p]) => ({ jumper, required: p, set: r.set?.[jumper] ?? null }));
  return { required, differences };
}
