export { day, dayWithWays, type Way } from './day';
export type * from './types';
export { wayBetween } from './ways';
