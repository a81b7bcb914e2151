import { demand } from '../../refusal';
import { input, maybe, number, output, type Sum, show, tidy } from '../sum';

const KELVIN = 273.15;
const T25 = 298.15;

/** One of two, and not both. */
function oneOf(
  given: Parameters<Sum['compute']>[0],
  a: string,
  b: string,
): [number | undefined, number | undefined] {
  const x = maybe(given, a, a !== 'celsius');
  const y = maybe(given, b);
  demand(x !== undefined || y !== undefined, `give ${a} or ${b}`, `/${a}`);
  demand(x === undefined || y === undefined, `give ${a} or ${b}, not both`, `/${b}`);
  return [x, y];
}

export const ntc: Sum = {
  name: 'ntc',
  title: 'NTC thermistor',
  about: 'Ohms at a temperature, or the temperature from the ohms, by the Beta formula.',
  also: ['thermistor', 'temperature', '100k', 'hot end'],
  inputs: [
    input('ohms25', 'At 25 °C', 'Ω', '100k'),
    input('beta', 'Beta', 'K', '3950'),
    input('celsius', 'Temperature', '°C', '170', { optional: true, positive: false, hint: 'one of the two' }),
    input('ohms', 'Reading', 'Ω', '', { optional: true }),
  ],
  outputs: [output('ohms', 'It should read', 'Ω'), output('celsius', 'It is at', '°C')],
  source: 'R = R25 · exp(B · (1/T − 1/298.15)); IEC 60539-1. Extrusion lock-out near 170 °C: common practice',
  compute(given) {
    const r25 = number(given, 'ohms25');
    const beta = number(given, 'beta');
    const [celsius, ohms] = oneOf(given, 'celsius', 'ohms');
    if (celsius !== undefined) {
      demand(
        celsius > -KELVIN && celsius <= 1000,
        'the temperature lies over −273.15 and up to 1000 °C',
        '/celsius',
      );
      const r = tidy(r25 * Math.exp(beta * (1 / (celsius + KELVIN) - 1 / T25)));
      return {
        values: { ohms: r },
        formula: `${show(r25)} · exp(${show(beta)} · (1/${show(celsius + KELVIN)} − 1/298.15)) = ${show(r)} Ω`,
      };
    }
    const inverse = 1 / T25 + Math.log((ohms as number) / r25) / beta;
    demand(inverse > 0, 'no temperature gives so few ohms: shorted?', '/ohms');
    const t = tidy(1 / inverse - KELVIN);
    return {
      values: { celsius: t },
      formula: `1 / (1/298.15 + ln(${show(ohms as number)} / ${show(r25)}) / ${show(beta)}) − 273.15 = ${show(t)} °C`,
      say:
        t > 350
          ? 'Hotter than the part stands: shorted, more likely.'
          : t < -50
            ? 'Colder than the room can be: open, more likely.'
            : 'Plausible.',
    };
  },
  example: { given: { ohms25: 100_000, beta: 3950, celsius: 25 }, answer: { ohms: 100_000 } },
};

export const ntcSteinhartHart: Sum = {
  name: 'ntc-steinhart-hart',
  title: 'NTC by Steinhart–Hart',
  about: 'Temperature from the ohms with the three coefficients of the maker.',
  also: ['thermistor', 'temperature'],
  inputs: [
    input('A', 'A', '1/K', '0.001129148', { positive: false }),
    input('B', 'B', '1/K', '0.000234125', { positive: false }),
    input('C', 'C', '1/K', '0.0000000876741', { positive: false }),
    input('ohms', 'Reading', 'Ω', '10k'),
  ],
  outputs: [output('celsius', 'It is at', '°C')],
  source: '1/T = A + B·ln R + C·(ln R)³; Steinhart and Hart 1968',
  compute(given) {
    const [a, b, c] = ['A', 'B', 'C'].map((n) => number(given, n, false)) as [number, number, number];
    const ohms = number(given, 'ohms');
    const log = Math.log(ohms);
    const inverse = a + b * log + c * log ** 3;
    demand(inverse > 0, 'these coefficients give no temperature at this reading', '/ohms');
    const celsius = tidy(1 / inverse - KELVIN);
    return {
      values: { celsius },
      formula: `1 / (A + B · ${show(log)} + C · ${show(log ** 3)}) − 273.15 = ${show(celsius)} °C`,
    };
  },
  example: {
    given: { A: 0.001129148, B: 0.000234125, C: 8.76741e-8, ohms: 10_000 },
    answer: { celsius: 24.9996681767 },
  },
};

const CVD_A = 3.9083e-3;
const CVD_B = -5.775e-7;
const CVD_C = -4.183e-12;

/** Callendar–Van Dusen ratio R/R0. */
const ratio = (t: number) => 1 + CVD_A * t + CVD_B * t * t + (t < 0 ? CVD_C * (t - 100) * t ** 3 : 0);

export const rtd: Sum = {
  name: 'rtd',
  title: 'Platinum sensor',
  about: 'Ohms at a temperature, or the temperature from the ohms.',
  also: ['PT100', 'PT1000', 'temperature'],
  inputs: [
    input('ohms0', 'At 0 °C', 'Ω', '100'),
    input('celsius', 'Temperature', '°C', '100', { optional: true, positive: false, hint: 'one of the two' }),
    input('ohms', 'Reading', 'Ω', '', { optional: true }),
  ],
  outputs: [output('ohms', 'It should read', 'Ω'), output('celsius', 'It is at', '°C')],
  source: 'IEC 60751, Callendar–Van Dusen, −200 to 850 °C',
  compute(given) {
    const r0 = number(given, 'ohms0');
    const [celsius, ohms] = oneOf(given, 'celsius', 'ohms');
    if (celsius !== undefined) {
      demand(celsius >= -200 && celsius <= 850, 'IEC 60751 runs from −200 to 850 °C', '/celsius');
      const r = tidy(r0 * ratio(celsius));
      return { values: { ohms: r }, formula: `${show(r0)} · ${show(ratio(celsius))} = ${show(r)} Ω` };
    }
    const x = (ohms as number) / r0;
    demand(
      x >= ratio(-200) - 1e-9 && x <= ratio(850) + 1e-9,
      'no temperature from −200 to 850 °C gives this reading',
      '/ohms',
    );
    let low = -200;
    let high = 850;
    for (let i = 0; i < 100; i++) {
      const mid = (low + high) / 2;
      if (ratio(mid) < x) low = mid;
      else high = mid;
    }
    const t = Number(((low + high) / 2).toFixed(9));
    return { values: { celsius: t }, formula: `R/R0 = ${show(x)}, so ${show(t)} °C` };
  },
  example: { given: { ohms0: 100, celsius: 100 }, answer: { ohms: 138.5055 } },
};
