export { COMEBACK_DAYS, daysBetween, isComeback } from './comeback';
export type { Earlier, EarlierJob } from './earlier';
export { markKey, nearMarks } from './mark';
export { type Marked, maybeSame, sameUnit } from './same-unit';
