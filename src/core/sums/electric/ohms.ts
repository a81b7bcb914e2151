import { demand } from '../../refusal';
import { input, maybe, output, type Sum, show, tidy } from '../sum';

const NAMES = ['volts', 'amps', 'ohms', 'watts'] as const;
type Name = (typeof NAMES)[number];

/** Volts and amps from any two of the four. */
const FROM: Record<string, (a: number, b: number) => { volts: number; amps: number }> = {
  'volts amps': (volts, amps) => ({ volts, amps }),
  'volts ohms': (volts, ohms) => ({ volts, amps: volts / ohms }),
  'volts watts': (volts, watts) => ({ volts, amps: watts / volts }),
  'amps ohms': (amps, ohms) => ({ volts: amps * ohms, amps }),
  'amps watts': (amps, watts) => ({ volts: watts / amps, amps }),
  'ohms watts': (ohms, watts) => ({ volts: Math.sqrt(watts * ohms), amps: Math.sqrt(watts / ohms) }),
};
const UNIT: Record<Name, string> = { volts: 'V', amps: 'A', ohms: 'Ω', watts: 'W' };
const LABEL: Record<Name, string> = { volts: 'Voltage', amps: 'Current', ohms: 'Resistance', watts: 'Power' };
const START: Partial<Record<Name, string>> = { volts: '12', ohms: '4k7' };

export const ohms: Sum = {
  name: 'ohms',
  title: 'Ohm’s law and power',
  about: 'The other two from any two of voltage, current, resistance and power.',
  also: ['current', 'power', 'watt'],
  inputs: NAMES.map((n) =>
    input(n, LABEL[n], UNIT[n], START[n] ?? '', { optional: true, hint: 'two of the four' }),
  ),
  outputs: NAMES.map((n) => output(n, LABEL[n], UNIT[n])),
  source: 'V = I · R, P = V · I',
  compute(given) {
    const known = NAMES.filter((n) => maybe(given, n) !== undefined);
    demand(
      known.length === 2,
      'give exactly two of volts, amps, ohms and watts',
      `/${known[2] ?? NAMES.find((n) => !known.includes(n))}`,
    );
    const [a, b] = known as [Name, Name];
    const from = FROM[`${a} ${b}`] as (typeof FROM)[string];
    const { volts, amps } = from(maybe(given, a) as number, maybe(given, b) as number);
    const all: Record<Name, number> = { volts, amps, ohms: volts / amps, watts: volts * amps };
    for (const n of known) all[n] = maybe(given, n) as number;
    const values = Object.fromEntries(NAMES.map((n) => [n, tidy(all[n])]));
    return {
      values,
      formula: `${show(all.volts)} V = ${show(all.amps)} A · ${show(all.ohms)} Ω; ${show(all.watts)} W`,
      ...(all.watts > 0.25 && known.includes('ohms')
        ? { say: 'A small resistor stands 0.25 W: look at its size.' }
        : {}),
    };
  },
  example: { given: { volts: 12, ohms: 4700 }, answer: { amps: 0.00255319148936, watts: 0.0306382978723 } },
};
