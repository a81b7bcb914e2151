import { demand } from '../../refusal';
import { input, maybe, number, output, type Sum, show, tidy } from '../sum';
import { notOver } from './e-series';

/** Usual power ratings of a resistor, W. */
const RATINGS = [0.25, 0.5, 1, 2, 3, 5, 7, 10, 15, 25, 50, 100];

/** From here on d.c. is dangerous to touch, V. IEC 62368-1, from memory. */
const TOUCH_V = 60;
/** Capacitors of supplies are smaller, F. Common practice, no source. */
const HUGE_F = 0.5;

export const discharge: Sum = {
  name: 'discharge',
  title: 'Discharge a capacitor',
  about: 'How long a resistor takes to bring a charged capacitor down, and what it has to stand.',
  also: ['bleed', 'capacitor', '60 V', 'RC'],
  inputs: [
    input('ohms', 'Resistor', 'Ω', '1k', { optional: true, hint: 'the resistor, or the seconds wanted' }),
    input('farads', 'Capacitor', 'F', '470u', { suspect: { over: 0.5, says: 'Is it in µF? Type 470u.' } }),
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
    const largest = RATINGS.at(-1) as number;
    const whole = firstWatts <= largest;
    // In the first time constant all but e^−2 of the energy turns to heat.
    const need = whole ? firstWatts : (joules * (1 - Math.exp(-2))) / tau;
    const rating = RATINGS.find((w) => w >= need * (1 - 1e-9));
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
          ? 'No usual resistor stands this: take more ohms, and more time.'
          : whole
            ? `${rating} W covers the first power.`
            : `${rating} W covers the average over the time constant, ${show(need)} W: one discharge, then let it cool.`,
      caution: `${v1 > TOUCH_V ? `${show(v1)} V is over ${TOUCH_V} V: it is still dangerous to touch. Go on below it. ` : ''}${
        farads > HUGE_F ? `${show(farads)} F is no capacitor of a power supply: is it in µF? ` : ''
      }Insulated leads, one hand, no screwdriver. Then read it: it counts as discharged when the meter says so, and it can recover. Local codes and licensed practice come first.`,
    };
  },
  example: {
    given: { ohms: 1000, farads: 0.00047, volts0: 320, volts1: 5 },
    answer: { seconds: 1.95467504918, joules: 24.064, firstAmps: 0.32, firstWatts: 102.4 },
  },
};
