import { CHEMISTRY_ROWS, type ChemistryRow } from '../../chemistry';
import { choice, input, maybe, number, output, type Sum, show, tidy } from '../sum';
import { bandOf, CELL_WHATS } from './kinds';

/**
 * The sum over given chemistry rows.
 *
 * @param rows in force
 * @returns the sum
 * @example cellLikelyFrom(CHEMISTRY_ROWS).name // 'cell-likely'
 */
export const cellLikelyFrom = (rows: ChemistryRow[]): Sum => ({
  name: 'cell-likely',
  title: 'What a cell likely holds',
  about: 'The capacity that is usual for the volume of a cell.',
  also: ['capacity', 'battery', 'mAh'],
  inputs: [
    choice('what', 'Kind', CELL_WHATS),
    input('volts', 'Nominal', 'V', '3.7'),
    input('volumeMl', 'Volume', 'mL', '4.2', { optional: true, hint: 'not needed for round cells' }),
  ],
  outputs: [output('ampHoursLow', 'From', 'Ah'), output('ampHoursHigh', 'To', 'Ah')],
  source: 'Bands of published cell data by kind and form, from memory',
  compute(given) {
    const what = String(given.what ?? '');
    const { kind } = bandOf(what, 1, rows);
    const asked = maybe(given, 'volumeMl');
    if (kind.form && asked === undefined) {
      const [low, high] = kind.form.typicalAh;
      return { values: { ampHoursLow: low, ampHoursHigh: high }, formula: `${what}: ${low} to ${high} Ah` };
    }
    const volume = asked ?? number(given, 'volumeMl');
    const volts = number(given, 'volts');
    const { typical } = bandOf(what, volume, rows);
    const [low, high] = typical.map((w) => tidy((w * volume) / 1000 / volts)) as [number, number];
    return {
      values: { ampHoursLow: low, ampHoursHigh: high },
      formula: `${typical[0]} to ${typical[1]} Wh/L · ${show(volume)} mL / ${show(volts)} V = ${show(low)} to ${show(high)} Ah`,
    };
  },
  example: {
    given: { what: 'AGM', volts: 12, volumeMl: 2000 },
    answer: { ampHoursLow: 10, ampHoursHigh: 18.3333333333 },
  },
});

export const cellLikely: Sum = cellLikelyFrom(CHEMISTRY_ROWS);
