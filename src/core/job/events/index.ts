import { coverClosed } from './close-up';
import { batteryCompared, boardCompared } from './compared';
import { consumableUsed } from './consumables';
import { faceAdded, pinPlaced, pinRemoved } from './faces';
import { jobHandedOver } from './hand-over';
import type { EventKind, Meta } from './kind';
import {
  chargeRead,
  gateCleared,
  gatePassed,
  leadRuleChosen,
  powerDownDone,
  powerDownPassed,
  powerSet,
} from './make-safe';
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
  lengthChecked,
  moveRecorded,
  wayBackNoted,
} from './open-up';
import { jobReferred, planChosen } from './plan';
import { partyTold, provingTicked, soakEnded, soakStarted } from './prove';
import { unitEntered, unitLeft } from './sub-units';
import {
  cablesChosen,
  partFitted,
  partRemoved,
  plugMoved,
  preparationTicked,
  remedyDone,
  remedyTried,
} from './swap';
import { intakeRecorded, jobParked, jobResumed, noteAdded, photoAdded, referralWeighed } from './take-in';
import { timerEnded, timerStarted } from './timers';
import { checkDescribed, checkRecorded, proofRecorded } from './trace';

/** Every kind of event that happens within a job. A new kind is a new entry here and nowhere else. */
export const EVENT_KINDS = {
  'intake.recorded': intakeRecorded,
  'note.added': noteAdded,
  'referral.weighed': referralWeighed,
  'photo.added': photoAdded,
  'face.added': faceAdded,
  'pin.placed': pinPlaced,
  'pin.removed': pinRemoved,
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
  'power-down.done': powerDownDone,
  'power-down.passed': powerDownPassed,
  'charge.read': chargeRead,
  'lead-rule.chosen': leadRuleChosen,
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
  'length.checked': lengthChecked,
  'way-back.noted': wayBackNoted,
  'battery.compared': batteryCompared,
  'board.compared': boardCompared,
  'consumable.used': consumableUsed,
  'unit.entered': unitEntered,
  'unit.left': unitLeft,
  'preparation.ticked': preparationTicked,
  'cables.chosen': cablesChosen,
  'plug.moved': plugMoved,
  'part.removed': partRemoved,
  'part.fitted': partFitted,
  'remedy.done': remedyDone,
  'remedy.tried': remedyTried,
  'cover.closed': coverClosed,
  'proof.recorded': proofRecorded,
  'party.told': partyTold,
  'proving.ticked': provingTicked,
  'soak.started': soakStarted,
  'soak.ended': soakEnded,
  'job.handed-over': jobHandedOver,
} as const;

export type EventType = keyof typeof EVENT_KINDS;
export type Payload<T extends EventType> = (typeof EVENT_KINDS)[T] extends EventKind<infer P> ? P : never;

/** An event of a known kind with its payload beside its id, time and author. */
export type BenchEvent = { [T in EventType]: Meta & { type: T } & Payload<T> }[EventType];
export type { EventKind, Meta } from './kind';
