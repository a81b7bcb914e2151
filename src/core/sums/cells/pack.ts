import { demand } from '../../refusal';
import { input, number, output, type Sum, show, tidy } from '../sum';

export const pack: Sum = {
  name: 'pack',
  title: 'Cells in a pack',
  about: 'Series adds volts, parallel adds amp hours.',
  also: ['series', 'parallel', 'battery'],
  inputs: [
    input('series', 'In series', '', '1', { whole: true }),
    input('parallel', 'In parallel', '', '3', { whole: true }),
    input('cellVolts', 'Each', 'V', '12'),
    input('cellAmpHours', 'Each', 'Ah', '20'),
  ],
  outputs: [
    output('volts', 'Pack', 'V'),
    output('ampHours', 'Pack', 'Ah'),
    output('wattHours', 'Pack', 'Wh'),
  ],
  source: 'As named',
  compute(given) {
    const [s, p] = ['series', 'parallel'].map((n) => {
      const x = number(given, n);
      demand(Number.isInteger(x) && x <= 1000, `${n} is a whole number from 1 to 1000`, `/${n}`);
      return x;
    }) as [number, number];
    const v = number(given, 'cellVolts');
    const ah = number(given, 'cellAmpHours');
    const volts = tidy(s * v);
    const ampHours = tidy(p * ah);
    const wattHours = tidy(volts * ampHours);
    return {
      values: { volts, ampHours, wattHours },
      formula: `${s} · ${show(v)} V = ${show(volts)} V; ${p} · ${show(ah)} Ah = ${show(ampHours)} Ah; together ${show(wattHours)} Wh`,
      ...(s * p > 1
        ? {
            caution:
              'All of one make, age and charge: a mixed pack lives as long as its weakest, and can charge it backwards.',
          }
        : {}),
    };
  },
  example: {
    given: { series: 1, parallel: 3, cellVolts: 12, cellAmpHours: 17 },
    answer: { volts: 12, ampHours: 51, wattHours: 612 },
  },
};
