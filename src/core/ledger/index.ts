export { close, closeRefusals } from './close';
export { coverOf, holds } from './cover';
export { candidatesFor, type FoundCandidate } from './found';
export * from './items';
export * from './ledger';
export { type QuickLine, readLine, type Span } from './quick-line';
export { lookAlike, threadMm, twins } from './twins';
export { type WayBackStep, wayBack } from './way-back';
