export { type BatteryFitAnswer, batteryFit } from './fit';
export { type Credibility, credibility } from './lines/capacity';
export { coldShare, runtimeCurve, runtimeHours } from './runtime-curve';
export {
  BATTERY_FORMS,
  type BatteryFitRequest,
  type BatterySheet,
  CHEMISTRY_CLASSES,
  type FitLine,
  type FitVerdict,
  VERDICTS,
} from './sheet';
