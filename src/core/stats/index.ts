export {
  type FollowUp,
  type KaplanMeierAnswer,
  type KaplanMeierRequest,
  type KaplanMeierStep,
  kaplanMeier,
} from './kaplan-meier';
export { type LastingAnswer, type LastingRequest, lasting } from './lasting';
export { FEWEST_DURATIONS, type LognormalAnswer, type LognormalRequest, lognormal } from './lognormal';
export { normalBelow, normalQuantile } from './normal';
export { type WilsonAnswer, type WilsonRequest, wilson } from './wilson';
