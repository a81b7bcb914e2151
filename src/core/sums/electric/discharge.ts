import { demand } from '../../refusal';
import { input, maybe, number, output, type Sum, show, tidy } from '../sum';
import { notOver } from './e-series';

/** Usual power ratings of a resistor, W. */
const RATINGS = [0.25, 0.5, 1, 2, 3, 5, 7, 10, 15, 25, 50, 100];
/** A wirewound resistor takes its rating many times over for a pulse this short, s. Common practice, no source. */
const SHORT_PULSE_S = 0.5;

export const discharge: Sum = {
  name: 'discharge',
  title: 'Discharge a capacitor',
  about: 'How long a resistor takes to bring a charged capacitor down, and what it has to stand.',
  also: ['bleed', 'capacitor', '60 V', 'RC'],
  inputs: [
    input('ohms', 'Resistor', 'Ω', '1k', { optional: true, hint: 'the resistor, or the seconds wanted' }),
    input('farads', 'Capacitor', 'F', '470u'),
    input('volts0', 'Charged to', 'V', '320'),
    input('volts1', 'Down to', 'V', '5'),
    input('seconds', 'Within', 's', '', { optional: true }),
  ],
  outputs: [
    output('seconds', 'Takes', 's'),
    output('ohms', 'Resistor', 'Ω'),
    output('wattsRating', 'Rated for at least', 'W'),
    output('joules', 'Energy in it', 'J'),
    output('firstAmps', 'First current', 'A'),
    output('firstWatts', 'First power', 'W'),
  ],
  source: 't = R·C·ln(V0/V1), E = C·V0²/2; 60 V d.c. as the limit of IEC 62368-1, from memory',
  compute(given) {
    const farads = number(given, 'farads');
    const v0 = number(given, 'volts0');
    const v1 = number(given, 'volts1');
    demand(v1 < v0, 'it is discharged to less than it is charged to', '/volts1');
    const asked = maybe(given, 'ohms');
    const within = maybe(given, 'seconds');
    demand(asked !== undefined || within !== undefined, 'give the resistor, or the seconds wanted', '/ohms');
    demand(
      asked === undefined || within === undefined,
      'give the resistor or the seconds, not both',
      '/seconds',
    );
    const log = Math.log(v0 / v1);
    const ohms = asked ?? notOver('E24', (within as number) / (farads * log));
    const seconds = tidy(ohms * farads * log);
    const joules = tidy((farads * v0 * v0) / 2);
    const firstAmps = tidy(v0 / ohms);
    const firstWatts = tidy((v0 * v0) / ohms);
    const tau = ohms * farads;
    const pulse = tau <= SHORT_PULSE_S;
    const mean = joules / Math.max(tau, 1e-9);
    const need = pulse ? Math.max(firstWatts / 10, Math.min(mean, firstWatts) / 10) : mean;
    const rating = RATINGS.find((w) => w >= need);
    return {
      values: {
        seconds,
        joules,
        firstAmps,
        firstWatts,
        ohms: tidy(ohms),
        ...(rating === undefined ? {} : { wattsRating: rating }),
      },
      formula: `${show(ohms)} Ω · ${show(farads)} F · ln(${show(v0)} / ${show(v1)}) = ${show(seconds)} s; C·V²/2 = ${show(joules)} J`,
      say:
        rating === undefined
          ? 'The first power is over any usual resistor: take a larger one, and more time.'
          : pulse
            ? `A wirewound ${rating} W stands a pulse this short at a tenth of the first power.`
            : `${rating} W covers the average over the time constant.`,
      caution:
        'Insulated leads, one hand, no screwdriver. Then read it: it counts as discharged when the meter says so, and it can recover. Local codes and licensed practice come first.',
    };
  },
  example: {
    given: { ohms: 1000, farads: 0.00047, volts0: 320, volts1: 5 },
    answer: { seconds: 1.95467504918, joules: 24.064, firstAmps: 0.32, firstWatts: 102.4 },
  },
};
