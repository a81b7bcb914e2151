export { type AccessRow, accessTree } from './access-tree';
export {
  CHECK_HOWS,
  type CheckHow,
  deriveChecks,
  hazardsOf,
  isRepeated,
  type MapCheck,
  powerOf,
  testedBy,
} from './checks/index';
export { cone } from './cone';
export { coversOver } from './covers-over';
export { ageMonths, type DateCode, readDateCode } from './date-code';
export { type DescribedRow, type Description, describeUnit } from './describe';
export { addElement, connect, freeMark, gapsOf, type MapGap, removeElement, renameElement } from './edit';
export { removeCover, renameCover } from './edit-cover';
export * from './face';
export { faceText, readFaceText } from './face-text';
export { HAZARD_KINDS, HAZARDS, type HazardKind, hazardOfKind, worstFirst } from './hazard-kinds';
export { type WhileLive, whileLive } from './hazard-kinds/while-live';
export { KIND_DEFAULTS, ladderFor } from './ladders';
export * from './map';
export { type Quantity, quantityOf, type ReadAs, readAs, UNITS_KNOWN } from './quantity';
export { formatReading, judgeReading, parseReading, type Verdict } from './reading';
export { spreadOf, type Takes } from './takes';
export { usualTolerance } from './tolerance';
export { ungatedPacks } from './ungated';
export { validateMap } from './validate';
export { mapFor, missingIn } from './variant';
