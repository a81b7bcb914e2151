import { demand } from '../../refusal';
import { choice, input, number, output, type Sum, show, tidy, type Value } from '../sum';

/** Colours of IEC 60062 with what each stands for in each place. */
export const BANDS: {
  colour: string;
  digit?: number;
  power?: number;
  tolerance?: number;
  ppm?: number;
}[] = [
  { colour: 'black', digit: 0, power: 0, ppm: 250 },
  { colour: 'brown', digit: 1, power: 1, tolerance: 1, ppm: 100 },
  { colour: 'red', digit: 2, power: 2, tolerance: 2, ppm: 50 },
  { colour: 'orange', digit: 3, power: 3, tolerance: 0.05, ppm: 15 },
  { colour: 'yellow', digit: 4, power: 4, tolerance: 0.02, ppm: 25 },
  { colour: 'green', digit: 5, power: 5, tolerance: 0.5, ppm: 20 },
  { colour: 'blue', digit: 6, power: 6, tolerance: 0.25, ppm: 10 },
  { colour: 'violet', digit: 7, power: 7, tolerance: 0.1, ppm: 5 },
  { colour: 'grey', digit: 8, power: 8, tolerance: 0.01, ppm: 1 },
  { colour: 'white', digit: 9, power: 9 },
  { colour: 'gold', power: -1, tolerance: 5 },
  { colour: 'silver', power: -2, tolerance: 10 },
  { colour: 'pink', power: -3 },
];
const COLOURS = BANDS.map((b) => b.colour);
const SOURCE = 'IEC 60062; tolerances of orange, yellow and grey by its edition of 2016';

function bandsOf(value: Value | undefined): string[] {
  const list = Array.isArray(value)
    ? value.map(String)
    : String(value ?? '')
        .trim()
        .split(/[\s,]+/)
        .filter(Boolean);
  return list.map((c) => c.toLowerCase().replace('gray', 'grey').replace('purple', 'violet'));
}

/** Reads one band in its place, or says which band cannot stand there. */
function at(bands: string[], i: number, what: 'digit' | 'power' | 'tolerance' | 'ppm'): number {
  const band = BANDS.find((b) => b.colour === bands[i]);
  demand(band, `band ${i + 1}, “${bands[i]}”, is no colour of the code`, `/bands/${i}`);
  const x = band[what];
  const place = {
    digit: 'a digit',
    power: 'the multiplier',
    tolerance: 'the tolerance',
    ppm: 'the temperature coefficient',
  };
  demand(
    x !== undefined,
    `${bands[i]} cannot be ${place[what]}, band ${i + 1}. Is it read from the other end?`,
    `/bands/${i}`,
  );
  return x;
}

export const resistorRead: Sum = {
  name: 'resistor-read',
  title: 'Read the bands of a resistor',
  about: 'Ohms and tolerance from three to six coloured bands.',
  also: ['colour code', 'bands'],
  inputs: [
    {
      name: 'bands',
      label: 'Bands',
      kind: 'words',
      options: COLOURS,
      start: 'yellow violet red gold',
      hint: 'from the end the bands are nearer to',
    },
  ],
  outputs: [
    output('ohms', 'Resistance', 'Ω'),
    output('tolerancePercent', 'Tolerance', '%'),
    output('ppmPerK', 'Temperature coefficient', 'ppm/K'),
  ],
  source: SOURCE,
  compute(given) {
    const bands = bandsOf(given.bands);
    if (bands.length === 1) {
      demand(bands[0] === 'black', 'one band is a black one: a link of 0 Ω', '/bands');
      return { values: { ohms: 0, tolerancePercent: 0 }, formula: 'one black band: a link, 0 Ω' };
    }
    demand(bands.length >= 3 && bands.length <= 6, 'three to six bands are read, or one black one', '/bands');
    const digits = bands.length >= 5 ? 3 : 2;
    let n = 0;
    for (let i = 0; i < digits; i++) n = n * 10 + at(bands, i, 'digit');
    const power = at(bands, digits, 'power');
    const tolerancePercent = bands.length === 3 ? 20 : at(bands, digits + 1, 'tolerance');
    const ohms = tidy(n * 10 ** power);
    return {
      values: { ohms, tolerancePercent, ...(bands.length === 6 ? { ppmPerK: at(bands, 5, 'ppm') } : {}) },
      formula: `${n} · 10^${power} Ω ± ${tolerancePercent} %`,
      ...(bands.length === 3 ? { say: 'No fourth band: 20 %.' } : {}),
    };
  },
  example: {
    given: { bands: ['yellow', 'violet', 'red', 'gold'] },
    answer: { ohms: 4700, tolerancePercent: 5 },
  },
};

export const resistorBands: Sum = {
  name: 'resistor-bands',
  title: 'Bands for a resistor',
  about: 'Which colours a value wears.',
  also: ['colour code', 'bands'],
  inputs: [
    input('ohms', 'Resistance', 'Ω', '4k7', { positive: false }),
    input('tolerancePercent', 'Tolerance', '%', '5'),
    choice('bands', 'Bands', ['4', '5', '6'], {
      start: '4',
      kind: 'number',
      optional: true,
      positive: true,
      whole: true,
    }),
    input('ppmPerK', 'Temperature coefficient', 'ppm/K', '', { optional: true, hint: 'six bands only' }),
  ],
  outputs: [output('bands', 'Bands')],
  source: SOURCE,
  compute(given) {
    const ohms = number(given, 'ohms', false);
    demand(ohms >= 0, 'a resistance is 0 or more', '/ohms');
    if (ohms === 0) return { values: { bands: ['black'] }, formula: 'a link: one black band' };
    const tolerance = number(given, 'tolerancePercent');
    const count = given.bands === undefined ? 4 : number(given, 'bands');
    demand([4, 5, 6].includes(count), 'four, five or six bands', '/bands');
    const digits = count === 4 ? 2 : 3;
    const power = Math.floor(Math.log10(ohms) + 1e-9) - digits + 1;
    const n = Math.round(ohms / 10 ** power);
    demand(
      Math.abs(n * 10 ** power - ohms) <= ohms * 1e-9,
      `${show(ohms)} Ω has more digits than ${count} bands can show`,
      '/ohms',
    );
    const multiplier = BANDS.find((b) => b.power === power);
    demand(multiplier, `${show(ohms)} Ω is out of what bands can show`, '/ohms');
    const tol = BANDS.find((b) => b.tolerance === tolerance);
    demand(tol, `no band stands for ${show(tolerance)} %`, '/tolerancePercent');
    const colours = String(n)
      .split('')
      .map((d) => BANDS.find((b) => b.digit === Number(d))?.colour as string);
    const bands = [...colours, multiplier.colour, tol.colour];
    if (count === 6) {
      const ppm = number(given, 'ppmPerK');
      const sixth = BANDS.find((b) => b.ppm === ppm);
      demand(sixth, `no band stands for ${show(ppm)} ppm/K`, '/ppmPerK');
      bands.push(sixth.colour);
    }
    return { values: { bands }, formula: `${n} · 10^${power}: ${bands.join(', ')}` };
  },
  example: {
    given: { ohms: 4700, tolerancePercent: 5, bands: 4 },
    answer: { bands: ['yellow', 'violet', 'red', 'gold'] },
  },
};
