export { byHand, handWays } from './hand-ways';
export { practised } from './model';
export { regret, score, valued } from './regret';
export type * from './types';
