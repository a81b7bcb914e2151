import { input, number, output, type Sum, show } from '../sum';

interface Kind {
  kind: string;
  /** whether two levels are of this kind, and which way round */
  fits(idle: number, active: number): { inverted: boolean } | null;
}

const logic = (kind: string, low: number, high: number): Kind => ({
  kind,
  fits: (idle, active) => {
    const [top, bottom] = [Math.max(idle, active), Math.min(idle, active)];
    return top >= low && top <= high && Math.abs(bottom) <= 0.8 ? { inverted: active > idle } : null;
  },
});

/** Tried from the first to the last. RS-232: ±3 to ±15 V, mark (idle) negative. TIA-232-F. */
const KINDS: Kind[] = [
  {
    kind: 'RS-232',
    fits: (idle, active) =>
      Math.abs(idle) >= 3 &&
      Math.abs(active) >= 3 &&
      Math.abs(idle) <= 25 &&
      Math.abs(active) <= 25 &&
      idle * active < 0
        ? { inverted: idle > 0 }
        : null,
  },
  {
    kind: 'RS-485',
    fits: (idle, active) =>
      Math.abs(idle) >= 0.2 &&
      Math.abs(active) >= 0.2 &&
      Math.abs(idle) <= 6 &&
      Math.abs(active) <= 6 &&
      idle * active < 0
        ? { inverted: idle < 0 }
        : null,
  },
  logic('5 V logic', 4.2, 5.6),
  logic('3.3 V logic', 2.6, 4.1),
  logic('1.8 V logic', 1.5, 2.2),
];

export const serialLevel: Sum = {
  name: 'serial-level',
  title: 'Which serial level is it',
  about: 'Tells RS-232, RS-485 and logic apart from the voltage when idle and when active.',
  also: ['RS-232', 'TTL', 'UART', 'RS-485'],
  inputs: [
    input('idleVolts', 'Idle', 'V', '-9', { positive: false, hint: 'nothing is sent' }),
    input('activeVolts', 'Active', 'V', '9', { positive: false, hint: 'a break, or the peak of a scope' }),
  ],
  outputs: [output('kind', 'Level'), output('inverted', 'Inverted')],
  source:
    'TIA-232-F (mark −3 to −15 V, space 3 to 15 V), TIA-485-A (0.2 V and over between the wires), logic families from memory',
  compute(given) {
    const idle = number(given, 'idleVolts', false);
    const active = number(given, 'activeVolts', false);
    for (const { kind, fits } of KINDS) {
      const found = fits(idle, active);
      if (found)
        return {
          values: { kind, inverted: found.inverted },
          formula: `${show(idle)} V idle, ${show(active)} V active: ${kind}${found.inverted ? ', inverted' : ''}`,
          ...(kind === 'RS-232'
            ? { caution: 'Never onto a logic pin: it stands 3.6 to 5.5 V at most.' }
            : {}),
        };
    }
    return {
      values: { kind: 'not known', inverted: null },
      formula: `${show(idle)} V idle, ${show(active)} V active fit no level`,
      say: 'Not driven, or not a serial line. Read it again while something is sent.',
    };
  },
  example: { given: { idleVolts: -9, activeVolts: 9 }, answer: { kind: 'RS-232', inverted: false } },
};
