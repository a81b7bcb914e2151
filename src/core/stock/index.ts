export { type CellSaid, cellSaid, isUsable } from './cell';
export { demandItem, stockFor, type Wanted } from './item';
export { ENDS_SOON_DAYS, holdingOf, judgeMovement, type ToOrder, toOrder, usedByJob } from './ledger';
export * from './types';
export { amountOf, placeOf } from './words';
