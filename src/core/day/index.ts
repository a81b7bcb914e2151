export { day } from './day';
export type * from './types';
