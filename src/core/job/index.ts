export { actLeft, leadsToPart } from './act-left';
export { answerWords, verdictOf } from './answer';
export { bareEnds } from './bare-ends';
export { coverHeldBy } from './cover-held';
export { demandDay } from './day';
export * from './event';
export { designated, type FaceNow, facesNow, faceToShow, type PinTone } from './face-of';
export { type FirstLook, firstLooksFound, firstLooksLeft } from './first-looks';
export { forgotten, REMOVED } from './forgotten';
export { waitsUnder } from './gate';
export { handOverHeldBy } from './hand-over-rule';
export { handHeldBy } from './hands-in';
export { type HistoryLine, history, inWords, redoTarget, type StoryLine, story, undoTarget } from './history';
export { type IfAnswered, ifAnswered, sharing } from './if-answered';
export { inUseWords, USES } from './in-use';
export { heldBy } from './joint-of';
export type { BenchEvent, EventType, Payload } from './kinds';
export { apart, EVENT_KINDS, unreadable } from './kinds';
export { type Meta, type Reported, SECTIONS } from './kinds/kind';
export { ledgerOf } from './ledger-only';
export { type Lesson, lessonOf, modelOf } from './lesson';
export { type MapChange, mapChanges, missedBy } from './map-taken';
export { namesOf } from './names';
export { offFor, offTheUnit } from './off-the-unit';
export { offerFits, type PartWanted, partWanted } from './offers';
export { isPlannedPart } from './old-part';
export { coversOn, openAccess } from './open';
export { type OpenPoint, openPoints } from './open-points';
export { coversNeeded, fixesOf, fixWords, isDone, isReached, outsOf, plansOf } from './opening';
export { leadsNow, packsIn, plugsOff } from './packs';
export { isPinOf, pictureOf, picturesOf } from './pictures';
export { type RemedyOption, remedyOptions } from './plan-of';
export { plugsToMove } from './planned';
export { powerDownLeft } from './powering-down';
export {
  actsOf,
  type Decided,
  decisionNow,
  decisionsOf,
  entryOf,
  type PracticeAct,
  practiceClock,
  practiceMinutes,
  practised,
} from './practice';
export { fitOf, type PartFit, preparationsOf } from './prepared';
export { proofHeldBy } from './proof-held';
export {
  type BeforeAfter,
  beforeAfter,
  currentProofs,
  type FunctionTried,
  functionsTried,
  symptomId,
  symptomProof,
} from './proofs';
export { type ProvingLine, partiesLeft, provingLines } from './proving';
export { quoteHolds } from './quote-held';
export { effective, fold, foldOn, type JobRecord, judge } from './reduce';
export { gatesAhead, offCount, type RunStop, runOf, type StopStatus } from './run';
export { onlyNew, rungsOf } from './rungs';
export { mapWords, searchText } from './search-text';
export { goodInARow, repeatsFor, repeatsWanted, type SoakNow, soakNow } from './soak';
export * from './state';
export { type StillFed, stillFed } from './still-fed';
export { type JobSummary, summarise } from './summary';
export { type TickLine, ticksOf, ticksOfItem } from './ticks';
export { beliefHistory, type NextStep, type TraceView, traceRequest, traceView } from './trace-of';
export { type TryOpen, tryOpen } from './try-open';
export { wayBackOf } from './way-back-of';
export { demandWhole } from './whole-story';
export { type WorkedEntry, worked } from './worked';
