/** What is practised: skills come back, not exercises. */
export const SKILLS = [
  'halving a chain',
  'two channels',
  'shared supply',
  'faults that come and go',
  'cheap things first',
  'when to stop looking',
  'covers',
  'powered and dead',
  'gates before the first cover',
  'everything home before a close',
  'order of the way back',
  'unkeyed plugs',
  'labels',
  'fit of a pack',
  'fit of a board',
  'fit of a cable',
  'bands',
  'levels',
  'rest voltage',
  'date codes',
  'threads',
  'claims',
] as const;
export type Skill = (typeof SKILLS)[number];

/** What finding a hidden fault can practise. */
export const FIND_IT_SKILLS: readonly Skill[] = SKILLS.slice(
  0,
  SKILLS.indexOf('gates before the first cover'),
);
