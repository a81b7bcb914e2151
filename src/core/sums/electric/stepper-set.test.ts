import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { STEPPER_DRIVERS, stepperSet } from './stepper-set';

describe('a stepper current three ways', () => {
  it('volts, amps and command lead back to each other, for every type', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...STEPPER_DRIVERS),
        fc.double({ min: 0.02, max: 1, noNaN: true }),
        fc.double({ min: 0.05, max: 3, noNaN: true }),
        (driver, ohms, vref) => {
          const a = stepperSet(driver, ohms, { vref });
          expect(stepperSet(driver, ohms, { rmsAmps: a.rmsAmps }).vref).toBeCloseTo(vref, 9);
          expect(stepperSet(driver, ohms, { commandMa: a.commandMa }).vref).toBeCloseTo(vref, 9);
          expect(a.peakAmps / a.rmsAmps).toBeCloseTo(Math.SQRT2, 9);
        },
      ),
    );
  });
  // Makers’ formulas: I = Vref/(8·Rs) and Vref/(5·Rs), peak; 0.325/(Rs+0.02)/√2·Vref/2.5, r.m.s.
  it('agrees with the makers’ formulas', () => {
    expect(stepperSet('4988', 0.1, { vref: 0.8 }).peakAmps).toBeCloseTo(0.8 / (8 * 0.1), 9);
    expect(stepperSet('8825', 0.1, { vref: 0.5 }).peakAmps).toBeCloseTo(0.5 / (5 * 0.1), 9);
    expect(stepperSet('2208', 0.11, { vref: 1.2 }).rmsAmps).toBeCloseTo(
      (0.325 / 0.13 / Math.SQRT2) * (1.2 / 2.5),
      9,
    );
  });
  it.each([
    [{}, '/given'],
    [{ vref: 1, rmsAmps: 1 }, '/given'],
    [{ vref: 0 }, '/given/vref'],
    [{ commandMa: Number.NaN }, '/given/commandMa'],
  ])('%j is refused', (given, path) => {
    let refused: unknown;
    try {
      stepperSet('4988', 0.1, given);
    } catch (error) {
      refused = error;
    }
    expect(refused).toMatchObject({ path });
  });
});
