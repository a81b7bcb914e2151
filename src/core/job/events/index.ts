import { coverClosed } from './close-up';
import { jobHandedOver } from './hand-over';
import type { EventKind, Meta } from './kind';
import { gateCleared, gatePassed, powerSet } from './make-safe';
import {
  holesPlaced,
  itemAltered,
  itemCounted,
  itemMissed,
  itemProven,
  itemReturned,
  itemStashed,
  itemTaken,
  itemWrittenOff,
  moveRecorded,
} from './open-up';
import { jobReferred, planChosen } from './plan';
import { partFitted, partRemoved, remedyDone, remedyTried } from './swap';
import { intakeRecorded, jobParked, jobResumed, noteAdded, photoAdded, referralWeighed } from './take-in';
import { timerEnded, timerStarted } from './timers';
import { checkDescribed, checkRecorded, proofRecorded } from './trace';

/** Every kind of event that happens within a job. A new kind is a new entry here and nowhere else. */
export const EVENT_KINDS = {
  'intake.recorded': intakeRecorded,
  'note.added': noteAdded,
  'referral.weighed': referralWeighed,
  'photo.added': photoAdded,
  'timer.started': timerStarted,
  'timer.ended': timerEnded,
  'job.parked': jobParked,
  'job.resumed': jobResumed,
  'check.described': checkDescribed,
  'check.recorded': checkRecorded,
  'plan.chosen': planChosen,
  'job.referred': jobReferred,
  'power.set': powerSet,
  'gate.cleared': gateCleared,
  'gate.passed': gatePassed,
  'move.recorded': moveRecorded,
  'item.returned': itemReturned,
  'item.taken': itemTaken,
  'item.proven': itemProven,
  'item.counted': itemCounted,
  'item.written-off': itemWrittenOff,
  'item.missed': itemMissed,
  'item.stashed': itemStashed,
  'item.altered': itemAltered,
  'holes.placed': holesPlaced,
  'part.removed': partRemoved,
  'part.fitted': partFitted,
  'remedy.done': remedyDone,
  'remedy.tried': remedyTried,
  'cover.closed': coverClosed,
  'proof.recorded': proofRecorded,
  'job.handed-over': jobHandedOver,
} as const;

export type EventType = keyof typeof EVENT_KINDS;
export type Payload<T extends EventType> = (typeof EVENT_KINDS)[T] extends EventKind<infer P> ? P : never;

/** An event of a known kind with its payload beside its id, time and author. */
export type BenchEvent = { [T in EventType]: Meta & { type: T } & Payload<T> }[EventType];
export type { EventKind, Meta } from './kind';
