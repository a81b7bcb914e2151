export const PATTERNS = ['always', 'now and then', 'rarely', 'only when warm'] as const;
export type Pattern = (typeof PATTERNS)[number];

/** Chance that one exercise of the faulty element shows it, by how often the symptom comes. Common practice, no source. */
export const PATTERN_Q: Record<Pattern, number> = {
  always: 1,
  'now and then': 0.5,
  rarely: 0.2,
  'only when warm': 0.5,
};
