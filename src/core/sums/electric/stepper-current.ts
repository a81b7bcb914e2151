import { choice, input, maybe, number, output, type Sum, show, tidy, word } from '../sum';

const DRIVERS = ['4988', '8825', '2208'] as const;

/** What the little boards carry with cooling, A r.m.s. Makers’ data sheets, from memory. */
const MOST_RMS: Record<(typeof DRIVERS)[number], number> = { '4988': 1.4, '8825': 1.75, '2208': 1.4 };

export const stepperCurrent: Sum = {
  name: 'stepper-current',
  title: 'Current of a stepper driver',
  about: 'What the reference voltage on the little pot sets.',
  also: ['vref', 'motor', 'NEMA 17', 'driver'],
  inputs: [
    choice('driver', 'Chopper of type', DRIVERS),
    input('vref', 'Reference', 'V', '0.8'),
    input('senseOhms', 'Sense resistor', 'Ω', '0.1'),
    input('motorRatedAmps', 'Motor, rated per phase', 'A', '', { optional: true, hint: 'r.m.s.' }),
  ],
  outputs: [
    output('amps', 'Set to', 'A'),
    output('meaning', 'which is the'),
    output('peakAmps', 'Peak', 'A'),
    output('rmsAmps', 'r.m.s.', 'A'),
    output('share', 'Share of the motor’s'),
  ],
  source:
    'Makers’ data sheets: I = Vref/(8·Rs), Vref/(5·Rs), and 0.325/(Rs + 0.02)/√2 · Vref/2.5. Start at 0.70 to 0.80 V for a motor of frame 17: common practice',
  compute(given) {
    const driver = word(given, 'driver', DRIVERS);
    const vref = number(given, 'vref');
    const rs = number(given, 'senseOhms');
    const rated = maybe(given, 'motorRatedAmps');
    const rms = driver === '2208';
    const amps = tidy(
      rms ? (0.325 / (rs + 0.02) / Math.SQRT2) * (vref / 2.5) : vref / ((driver === '4988' ? 8 : 5) * rs),
    );
    const peakAmps = tidy(rms ? amps * Math.SQRT2 : amps);
    const rmsAmps = tidy(rms ? amps : amps / Math.SQRT2);
    const share = rated === undefined ? undefined : tidy(rmsAmps / rated);
    return {
      values: {
        amps,
        meaning: rms ? 'r.m.s.' : 'peak limit',
        peakAmps,
        rmsAmps,
        ...(share === undefined ? {} : { share }),
      },
      formula: rms
        ? `0.325 / (${show(rs)} + 0.02) / √2 · ${show(vref)} / 2.5 = ${show(amps)} A r.m.s.`
        : `${show(vref)} V / (${driver === '4988' ? 8 : 5} · ${show(rs)} Ω) = ${show(amps)} A peak`,
      ...(rmsAmps > MOST_RMS[driver]
        ? {
            caution: `${show(rmsAmps)} A r.m.s. is more than a small driver of this type carries, about ${MOST_RMS[driver]} A with cooling. Is the sense resistor right?`,
          }
        : share !== undefined && share > 1
          ? { caution: 'Over what the motor is rated for: it gets hot and loses its magnets.' }
          : { caution: 'Never part a motor lead while it is powered: the driver dies of it.' }),
    };
  },
  example: {
    given: { driver: '4988', vref: 0.8, senseOhms: 0.1, motorRatedAmps: 2 },
    answer: {
      amps: 1,
      meaning: 'peak limit',
      rmsAmps: Number(Math.SQRT1_2.toPrecision(12)),
      share: 0.353553390593,
    },
  },
};
