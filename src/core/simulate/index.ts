export { normal, stream } from './chance';
export { minutesNow, played, type Stood, simulate } from './simulate';
export type * from './types';
