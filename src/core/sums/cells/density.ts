import { CHEMISTRY_ROWS, type ChemistryRow } from '../../chemistry';
import { choice, input, maybe, number, output, type Sum, show, tidy } from '../sum';
import { bandOf, CELL_WHATS } from './kinds';

/** More than any cell on sale holds, Wh/L. From memory. */
const NO_CELL = 1200;

export const VERDICTS = ['credible', 'above typical', 'not credible'] as const;

/**
 * The sum over given chemistry rows.
 *
 * @param rows in force
 * @returns the sum
 * @example cellDensityFrom(CHEMISTRY_ROWS).name // 'cell-density'
 */
export const cellDensityFrom = (rows: ChemistryRow[]): Sum => ({
  name: 'cell-density',
  title: 'Can it hold what it claims',
  about: 'The claimed capacity against what the volume of a cell can hold.',
  also: ['mAh', 'credible', 'battery', 'fake'],
  inputs: [
    choice('what', 'Kind', CELL_WHATS),
    input('volts', 'Nominal', 'V', '3.7'),
    input('ampHours', 'Claimed', 'Ah', '1.2', { suspect: { over: 60, says: 'Is it in mAh, or in Wh?' } }),
    input('volumeMl', 'Volume', 'mL', '4.2', {
      optional: true,
      hint: 'length · width · thickness in cm; not needed for round cells',
    }),
  ],
  outputs: [output('whPerL', 'Energy density', 'Wh/L'), output('verdict', 'The claim is')],
  source: 'Bands of published cell data by kind and form, from memory; CR2032 size IEC 60086-2',
  compute(given) {
    const what = String(given.what ?? '');
    const { kind } = bandOf(what, 1, rows);
    const volume = maybe(given, 'volumeMl') ?? kind.form?.volumeMl ?? number(given, 'volumeMl');
    const { typical, ceiling } = bandOf(what, volume, rows);
    const volts = number(given, 'volts');
    const ampHours = number(given, 'ampHours');
    const whPerL = tidy((volts * ampHours) / (volume / 1000));
    const most = kind.form;
    const verdict = most
      ? ampHours > most.mostAh
        ? 'not credible'
        : ampHours > most.typicalAh[1]
          ? 'above typical'
          : 'credible'
      : whPerL > ceiling
        ? 'not credible'
        : whPerL > typical[1]
          ? 'above typical'
          : 'credible';
    return {
      values: { whPerL, verdict },
      formula: `${show(volts)} V · ${show(ampHours)} Ah / ${show(volume)} mL = ${show(whPerL)} Wh/L`,
      say: most
        ? `The most made in this size is ${most.mostAh} Ah.`
        : `Typical is ${typical[0]} to ${typical[1]} Wh/L, over ${ceiling} is not credible.`,
      ...(whPerL > NO_CELL
        ? { caution: `No cell holds ${show(whPerL)} Wh/L: is it in mAh, or the volume in cm of one side?` }
        : {}),
    };
  },
  example: {
    given: { what: 'li-ion pouch', volts: 3.7, ampHours: 1.2, volumeMl: 4.2 },
    answer: { whPerL: 1057.14285714, verdict: 'not credible' },
  },
});

export const cellDensity: Sum = cellDensityFrom(CHEMISTRY_ROWS);
