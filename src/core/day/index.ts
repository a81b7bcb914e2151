export { day, dayWithWays, type Way } from './day';
export type * from './types';
