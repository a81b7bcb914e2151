import { input, number, output, type Sum, show, tidy } from '../sum';

export const divider: Sum = {
  name: 'divider',
  title: 'Divider',
  about: 'What two resistors make of a voltage, and how stiff it is.',
  also: ['voltage divider', 'thevenin'],
  inputs: [
    input('volts', 'Across both', 'V', '12'),
    input('r1', 'Upper', 'Ω', '10k', { positive: false }),
    input('r2', 'Lower', 'Ω', '4k7'),
  ],
  outputs: [output('out', 'Out', 'V'), output('theveninOhms', 'As from a source of', 'Ω')],
  source: 'V · R2 / (R1 + R2); R1 ∥ R2',
  compute(given) {
    const v = number(given, 'volts', false);
    const r1 = number(given, 'r1', false);
    const r2 = number(given, 'r2');
    if (r1 < 0) number({ r1: -1 }, 'r1');
    const out = tidy((v * r2) / (r1 + r2));
    const theveninOhms = tidy((r1 * r2) / (r1 + r2));
    return {
      values: { out, theveninOhms },
      formula: `${show(v)} · ${show(r2)} / (${show(r1)} + ${show(r2)}) = ${show(out)} V`,
      say: 'Unloaded. A meter of 10 MΩ hardly counts, a load does.',
    };
  },
  example: { given: { volts: 12, r1: 10_000, r2: 5000 }, answer: { out: 4, theveninOhms: 3333.33333333 } },
};
