export { capacityFor, chargeHours } from './charging';
export { type BatteryFitAnswer, batteryFit } from './fit';
export { type Credibility, credibility } from './lines/capacity';
export { layoutWords, type PackLayout, packOf, spreadOfCells } from './pack';
export { replaceBy } from './replace-by';
export { coldShare, runtimeCurve, runtimeHours } from './runtime-curve';
export {
  BATTERY_FORMS,
  type BatteryFitRequest,
  type BatterySheet,
  CHEMISTRY_CLASSES,
  type FitLine,
  type FitVerdict,
  MOUNTS,
  VERDICT_WORDS,
  VERDICTS,
} from './sheet';
export { worstOf } from './worst';
