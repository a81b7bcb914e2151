import { demand } from '../../refusal';
import { input, number, output, type Sum, show, tidy } from '../sum';

export const internalResistance: Sum = {
  name: 'internal-resistance',
  title: 'Internal resistance',
  about: 'From two readings at two loads.',
  also: ['ESR', 'battery', 'sag'],
  inputs: [
    input('volts0', 'Voltage, light load', 'V', '12.6'),
    input('amps0', 'Current, light load', 'A', '0', { positive: false }),
    input('volts1', 'Voltage, heavy load', 'V', '12.1'),
    input('amps1', 'Current, heavy load', 'A', '10', { positive: false }),
  ],
  outputs: [output('ohms', 'Inside', 'Ω')],
  source: 'R = ΔV / ΔI; IEC 61960-3 measures it the same way, from memory',
  compute(given) {
    const [v0, i0, v1, i1] = ['volts0', 'amps0', 'volts1', 'amps1'].map((n) =>
      number(given, n, n.startsWith('volts')),
    ) as [number, number, number, number];
    demand(i0 >= 0, 'a current here is 0 or more', '/amps0');
    demand(i1 > i0, 'the second reading is the one at the heavier load', '/amps1');
    demand(
      v1 <= v0,
      'the voltage rises under load: the two readings are exchanged, or it is being charged',
      '/volts1',
    );
    const ohms = tidy((v0 - v1) / (i1 - i0));
    return {
      values: { ohms },
      formula: `(${show(v0)} − ${show(v1)}) V / (${show(i1)} − ${show(i0)}) A = ${show(ohms)} Ω`,
      ...(ohms === 0
        ? { say: 'The voltage did not fall: a heavier load, or a finer reading. 0 Ω is no battery.' }
        : {}),
    };
  },
  example: { given: { volts0: 12.6, amps0: 0, volts1: 12.1, amps1: 10 }, answer: { ohms: 0.05 } },
};
