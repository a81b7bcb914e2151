export { RECORD_FILTERS, type RecordAsked, type RecordChoices, type RecordRow } from './asked';
export { recordChoices, rowOf } from './choices';
export { type Followed, followedUp, isRepair } from './comebacks';
export { type Donor, donorsFor } from './donors';
export { type Durations, durationsOf, LONGEST_PAUSE } from './durations';
export { type CheckFact, factsOf, type JobFacts, type RemedyEnd, type RemedyFact } from './facts';
export { RECORD_SHAPE } from './shape';
export { type Shown, shownOf } from './shown';
export {
  type MoneyTaught,
  type RemedyTaught,
  type Share,
  type Spread,
  spreadOfMinutes,
  type Taught,
  teach,
} from './teach';
export { type MinutesLearned, minutesLearned, withMinutes } from './use-minutes';
