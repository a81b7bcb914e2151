import type { ChemistryRow } from '../chemistry';
import { colourCode } from './cables/colour-code';
import { flatFlexCount, ribbonCount } from './cables/counts';
import { ferrule, ferruleAwg, ferruleTwin } from './cables/ferrule';
import { wire } from './cables/wire';
import { wireDrop } from './cables/wire-drop';
import { cellSpread } from './cells/cell-spread';
import { chargeLeft, chargeLeftFrom } from './cells/charge-left';
import { cellDensity, cellDensityFrom } from './cells/density';
import { dischargeTo } from './cells/discharge-to';
import { health } from './cells/health';
import { internalResistance } from './cells/internal-resistance';
import { cellLikely, cellLikelyFrom } from './cells/likely';
import { pack } from './cells/pack';
import { runtimeEnergy, runtimePeukert } from './cells/runtime';
import { transport } from './cells/transport';
import { audioLevel } from './electric/audio-level';
import { discharge } from './electric/discharge';
import { divider } from './electric/divider';
import { eSeries } from './electric/e-series';
import { fuse } from './electric/fuse';
import { ledString } from './electric/led-string';
import { ntc, ntcSteinhartHart, rtd } from './electric/ntc';
import { ohms } from './electric/ohms';
import { resistorBands, resistorRead } from './electric/resistor';
import { serialLevel } from './electric/serial-level';
import { stepperCurrent } from './electric/stepper-current';
import { stressAreaSum } from './fasteners/stress-area';
import { torque } from './fasteners/torque';
import { fitPolarity } from './fit/polarity';
import { fitThickness } from './fit/thickness';
import { fitVoltageClass } from './fit/voltage-class';
import type { Sum } from './sum';

export { answerSum, type Sensitivity, sensitivityOf } from './answer';
export { WIRE_COLOURS } from './cables/colour-code';
export { FERRULES, type Ferrule } from './cables/ferrules';
export { chargeLeftFrom } from './cells/charge-left';
export { CHEMISTRIES } from './cells/charge-tables';
export { type Curve, curveOf } from './curves';
export { BANDS } from './electric/resistor';
export { STEPPER_DRIVERS, type StepperDriver, stepperSet } from './electric/stepper-set';
export {
  type Sum,
  type SumAnswer,
  type SumInput,
  type SumOutput,
  type SumResult,
  show,
  type Value,
} from './sum';

/** A drawer of the cabinet: sums that are looked for together. */
export interface SumDrawer {
  title: string;
  sums: Sum[];
}

/** Every bench sum. A new one is its file and an entry here. */
export const SUM_DRAWERS: SumDrawer[] = [
  { title: 'Current and voltage', sums: [ohms, divider, fuse, ledString, stepperCurrent] },
  { title: 'Capacitors and resistors', sums: [discharge, resistorRead, resistorBands, eSeries] },
  { title: 'Wire and ends', sums: [wire, wireDrop, ferrule, ferruleTwin, ferruleAwg, colourCode] },
  { title: 'Signals', sums: [audioLevel, serialLevel] },
  { title: 'Temperature', sums: [ntc, ntcSteinhartHart, rtd] },
  {
    title: 'Batteries',
    sums: [
      chargeLeft,
      dischargeTo,
      runtimePeukert,
      runtimeEnergy,
      pack,
      cellDensity,
      cellLikely,
      internalResistance,
      health,
      cellSpread,
      transport,
    ],
  },
  { title: 'Does it fit', sums: [fitThickness, fitVoltageClass, fitPolarity, flatFlexCount, ribbonCount] },
  { title: 'Screws', sums: [torque, stressAreaSum] },
];

export const SUMS: Sum[] = SUM_DRAWERS.flatMap((d) => d.sums);

/**
 * Every sum, those that read chemistry rows over the rows in force.
 *
 * @param rows in force; absent = as shipped
 * @returns the sums in the order of the drawers
 * @example sumsOver(CHEMISTRY_ROWS).length === SUMS.length // true
 */
export function sumsOver(rows?: ChemistryRow[]): Sum[] {
  if (!rows) return SUMS;
  const own = new Map(
    [chargeLeftFrom(rows), cellDensityFrom(rows), cellLikelyFrom(rows)].map((s) => [s.name, s]),
  );
  return SUMS.map((s) => own.get(s.name) ?? s);
}
