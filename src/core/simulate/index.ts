export { stream } from './chance';
export { played, type Stood, simulate } from './simulate';
export type * from './types';
