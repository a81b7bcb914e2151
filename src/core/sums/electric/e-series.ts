import { demand } from '../../refusal';
import { choice, input, number, output, type Sum, show, tidy, word } from '../sum';

const E24 = [
  1, 1.1, 1.2, 1.3, 1.5, 1.6, 1.8, 2, 2.2, 2.4, 2.7, 3, 3.3, 3.6, 3.9, 4.3, 4.7, 5.1, 5.6, 6.2, 6.8, 7.5, 8.2,
  9.1,
];
export const SERIES = ['E3', 'E6', 'E12', 'E24', 'E48', 'E96', 'E192'] as const;

/**
 * The values of one decade of a preferred series, 1 to under 10.
 * Source: IEC 60063. E3 to E24 by its table, E48 to E192 by rounding 10^(i/n) to two decimals, where
 * the standard has 9.20 in place of 9.19.
 *
 * @param series E3 to E192
 * @returns rising values
 * @example decade('E6') // [1, 1.5, 2.2, 3.3, 4.7, 6.8]
 */
export function decade(series: (typeof SERIES)[number]): number[] {
  const n = Number(series.slice(1));
  if (n <= 24) return E24.filter((_, i) => i % (24 / n) === 0);
  return Array.from({ length: n }, (_, i) => {
    const x = Math.round(10 ** (i / n) * 100) / 100;
    return x === 9.19 ? 9.2 : x;
  });
}

/** Values of a series around one, as many decades as needed. */
function around(series: (typeof SERIES)[number], value: number): number[] {
  const exponent = Math.floor(Math.log10(value));
  return [-1, 0, 1].flatMap((d) => decade(series).map((x) => tidy(x * 10 ** (exponent + d))));
}

/**
 * The value of a series nearest by ratio.
 *
 * @param series E3 to E192
 * @param value over 0
 * @returns the preferred value
 * @example nearestOf('E24', 4900) // 5100 lies 4.1 % over, 4700 4.1 % under: 4700 is nearer by ratio
 */
export function nearestOf(series: (typeof SERIES)[number], value: number): number {
  return around(series, value).reduce((a, b) =>
    Math.abs(Math.log(b / value)) < Math.abs(Math.log(a / value)) - 1e-12 ? b : a,
  );
}

/** The largest value of a series that is not over a limit. */
export const notOver = (series: (typeof SERIES)[number], limit: number): number =>
  Math.max(...around(series, limit).filter((x) => x <= limit * (1 + 1e-12)));

export const eSeries: Sum = {
  name: 'e-series',
  title: 'Nearest preferred value',
  about: 'The value of a series nearest to one, by ratio.',
  also: ['E12', 'E24', 'resistor', 'capacitor'],
  inputs: [choice('series', 'Series', SERIES, { start: 'E24' }), input('value', 'Value', 'Ω', '4k9')],
  outputs: [output('nearest', 'Nearest', 'Ω')],
  source: 'IEC 60063',
  compute(given) {
    const series = word(given, 'series', SERIES, 'E24');
    const value = number(given, 'value');
    demand(value >= 1e-12 && value <= 1e15, 'the value is out of all bounds', '/value');
    const nearest = nearestOf(series, value);
    return {
      values: { nearest },
      formula: `${series}: ${show(nearest)} is ${show(100 * (nearest / value - 1))} % off ${show(value)}`,
    };
  },
  example: { given: { series: 'E12', value: 5000 }, answer: { nearest: 4700 } },
};
