import { demand } from '../../refusal';
import { input, maybe, number, output, percentage, type Sum, show, tidy } from '../sum';

export const dischargeTo: Sum = {
  name: 'discharge-to',
  title: 'Time to discharge a battery to a level',
  about: 'How long a load takes to bring a battery down, before heat or prying.',
  also: ['25 %', 'prying', 'glued'],
  inputs: [
    input('volts', 'Nominal', 'V', '3.7'),
    input('ampHours', 'Capacity', 'Ah', '3', { suspect: { over: 500, says: 'Is it in mAh, or in Wh?' } }),
    input('fromPercent', 'From', '%', '80', { positive: false }),
    input('toPercent', 'To', '%', '25', { positive: false }),
    input('watts', 'Load', 'W', '5', { optional: true, hint: 'watts or amps' }),
    input('amps', 'Load', 'A', '', { optional: true }),
  ],
  outputs: [output('hours', 'Takes', 'h')],
  source: 't = C · Δ / I, or V · C · Δ / P',
  compute(given) {
    const ah = number(given, 'ampHours');
    const from = percentage(given, 'fromPercent');
    const to = percentage(given, 'toPercent');
    demand(to <= from, 'it is discharged from the higher to the lower', '/toPercent');
    const watts = maybe(given, 'watts');
    const amps = maybe(given, 'amps');
    demand(watts !== undefined || amps !== undefined, 'give the load in watts or in amps', '/watts');
    demand(watts === undefined || amps === undefined, 'give the load in watts or in amps, not both', '/amps');
    const share = (from - to) / 100;
    if (amps !== undefined) {
      const hours = tidy((ah * share) / amps);
      return {
        values: { hours },
        formula: `${show(ah)} Ah · ${show(share)} / ${show(amps)} A = ${show(hours)} h`,
      };
    }
    const volts = number(given, 'volts');
    const hours = tidy((volts * ah * share) / (watts as number));
    return {
      values: { hours },
      formula: `${show(volts)} V · ${show(ah)} Ah · ${show(share)} / ${show(watts as number)} W = ${show(hours)} h`,
      caution:
        'Read the voltage again before heat or a tool goes near it. The maker’s instructions come first.',
    };
  },
  example: {
    given: { volts: 3.7, ampHours: 3, fromPercent: 80, toPercent: 25, watts: 5 },
    answer: { hours: 1.221 },
  },
};
