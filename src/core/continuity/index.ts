export { type ContinuityAnswer, type ContinuityRequest, continuity } from './matrix';
export { type CableSheet, chooseSpare, type SpareJudged } from './spare';
