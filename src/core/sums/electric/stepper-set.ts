import { demand } from '../../refusal';
import { stepperCurrent } from './stepper-current';

export const STEPPER_DRIVERS = ['4988', '8825', '2208'] as const;
export type StepperDriver = (typeof STEPPER_DRIVERS)[number];

/** One setting of a stepper driver said three ways. */
export interface StepperSet {
  /** at the little pot, V */
  vref: number;
  peakAmps: number;
  rmsAmps: number;
  /** as the command of a driver that is set by line, mA r.m.s. */
  commandMa: number;
}

/**
 * A stepper current given as reference voltage, as r.m.s. current, or as the command, in all three.
 *
 * Method: the current of every type is proportional to its reference, so one point of `stepper-current`
 * tells the rest.
 *
 * @param driver type of chopper
 * @param senseOhms its sense resistor, Ω
 * @param given one of reference in V, r.m.s. in A, command in mA r.m.s.
 * @returns all three, and the peak
 * @throws Refusal unless exactly one is given, over 0
 * @example stepperSet('4988', 0.1, { vref: 0.8 }).commandMa // 707.1…
 */
export function stepperSet(
  driver: StepperDriver,
  senseOhms: number,
  given: { vref?: number; rmsAmps?: number; commandMa?: number },
): StepperSet {
  const said = Object.entries(given).filter(([, v]) => v !== undefined) as [keyof typeof given, number][];
  demand(said.length === 1, 'give one of the three: volts, amps or the command', '/given');
  const [[name, value] = ['vref', 0]] = said;
  demand(Number.isFinite(value) && value > 0, 'type a figure over 0', `/given/${name}`);
  demand(Number.isFinite(senseOhms) && senseOhms > 0, 'the sense resistor is over 0 Ω', '/senseOhms');
  const { values } = stepperCurrent.compute({ driver, vref: 1, senseOhms });
  const perVolt = { rms: Number(values.rmsAmps), peak: Number(values.peakAmps) };
  const vref = name === 'vref' ? value : (name === 'rmsAmps' ? value : value / 1000) / perVolt.rms;
  return {
    vref,
    peakAmps: vref * perVolt.peak,
    rmsAmps: vref * perVolt.rms,
    commandMa: vref * perVolt.rms * 1000,
  };
}
