/** Kinds of events that move things on and off the tray: they need no unit, and `/api/compute/ledger` takes them. */
export { coverClosed } from './tray/cover-closed';
export { holesPlaced } from './tray/holes-placed';
export { itemAltered } from './tray/item-altered';
export { itemAssigned } from './tray/item-assigned';
export { itemCounted } from './tray/item-counted';
export { itemMissed } from './tray/item-missed';
export { itemProven } from './tray/item-proven';
export { itemReturned } from './tray/item-returned';
export { itemStashed } from './tray/item-stashed';
export { itemTaken } from './tray/item-taken';
export { itemWrittenOff } from './tray/item-written-off';
export { lengthChecked } from './tray/length-checked';
export { moveRecorded } from './tray/move-recorded';
export { unitEntered } from './tray/unit-entered';
export { unitLeft } from './tray/unit-left';
export { wayBackNoted } from './tray/way-back-noted';
