export { clockAt, minutesAt, minutesTo, momentAt } from './clock';
export { PLANNED_SHARE, type StopMinutes, sumOf, tasksLeft, USUAL_MINUTES } from './estimate';
export { learnedTravel } from './learned-travel';
export { type Left, whyLeft } from './left';
export { type Meanwhile, meanwhile } from './meanwhile';
export { clockIn, dayRequest, demandPlan, minutesIn, placesApart } from './request';
export type * from './types';
export { type PartNeed, partsNeeded, type VanLine, type VanList, vanList } from './van-list';
export { type PlacedTask, type WorkedOut, workOut } from './work-out';
