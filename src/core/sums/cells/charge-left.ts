import { demand } from '../../refusal';
import { choice, input, maybe, number, output, type Sum, show, tidy } from '../sum';
import { CHARGE_TABLES, type ChargeTable, chargeTable, percentAt } from './charge-tables';

/** A span wider than this is shown as from–to. */
const FLAT_PERCENT = 8;

/**
 * The sum over given tables of rest voltages.
 *
 * @param tables one per chemistry
 * @returns the sum
 * @example chargeLeftFrom(CHARGE_TABLES).compute({ chemistry: 'lead-acid 12 V', restVolts: 12.5 }).values.percent // 80
 */
export const chargeLeftFrom = (tables: ChargeTable[]): Sum => ({
  name: 'charge-left',
  title: 'Charge left from the rest voltage',
  about: 'How full a battery is after it has rested, by chemistry.',
  also: ['state of charge', 'SoC', 'battery', 'rest voltage'],
  inputs: [
    choice(
      'chemistry',
      'Chemistry',
      tables.map((t) => t.chemistry),
    ),
    input('restVolts', 'Rest voltage', 'V', '12.4'),
    input('series', 'Such cells or blocks in series', '', '1', { optional: true, whole: true }),
  ],
  outputs: [
    output('percent', 'Charge left', '%'),
    output('percentLow', 'At least', '%'),
    output('percentHigh', 'At most', '%'),
  ],
  source: 'Rest voltages at 25 °C by chemistry, from memory; interpolated',
  compute(given) {
    const table = chargeTable(String(given.chemistry ?? ''), tables);
    const series = maybe(given, 'series') ?? 1;
    demand(Number.isInteger(series) && series <= 400, 'series is a whole number from 1 to 400', '/series');
    const volts = number(given, 'restVolts') / series;
    const top = (table.points[0] as [number, number])[0];
    const bottom = (table.points.at(-1) as [number, number])[0];
    demand(
      volts <= top * 1.25,
      `${show(volts)} V each is far over a full ${table.chemistry}: is the number in series right?`,
      '/restVolts',
    );
    const percent = tidy(percentAt(table, volts));
    const low = tidy(percentAt(table, volts - table.doubt));
    const high = tidy(percentAt(table, volts + table.doubt));
    const flat = high - low > FLAT_PERCENT;
    const over = volts > top + table.doubt;
    const under = volts < bottom;
    if (over)
      return {
        values: { percent: null },
        formula: `${show(volts)} V each is over the ${show(top)} V of a rested full ${table.chemistry}`,
        say: 'Over full: overcharged, charged just now, or not at rest. Stop charging.',
        caution:
          'An overcharged cell can vent and burn. Off the charger, where it can do no harm, and watched until it falls.',
      };
    return {
      values: { percent, ...(flat ? { percentLow: low, percentHigh: high } : {}) },
      formula: `${show(volts)} V each on the table of ${table.chemistry}: ${show(percent)} %`,
      say: under
        ? 'Under an empty one: deeply discharged, and perhaps past saving.'
        : flat
          ? `The curve is flat here: ${show(low)} to ${show(high)} %. It needs ${table.restHours} h of rest.`
          : `After ${table.restHours} h of rest, nothing drawn.`,
      ...(under && /li-ion|LFP/.test(table.chemistry)
        ? { caution: 'A lithium cell this low is not charged again without its maker’s procedure.' }
        : {}),
    };
  },
  example: { given: { chemistry: 'lead-acid 12 V', restVolts: 12.5 }, answer: { percent: 80 } },
});

export const chargeLeft: Sum = chargeLeftFrom(CHARGE_TABLES);
