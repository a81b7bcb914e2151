export { stream } from './chance';
export { simulate } from './simulate';
export type * from './types';
