import type { Socket } from 'node:net';
import type { UnitMap } from '../../core/unit';
import { type Command, hearLines, type Listening, listenOnLoopback } from '../talk';
import { type Hidden, valueAt } from './hidden';

/** How the stand-in misbehaves when asked to, so that the other end can be tried out. */
export const MOODS = ['well', 'silent', 'nonsense', 'drops', 'over'] as const;
export type Mood = (typeof MOODS)[number];

export interface MeterOptions {
  units: UnitMap[];
  hidden: Hidden[];
  random?: () => number;
  mood?: Mood;
}

const IDN = 'Mulch,stand-in bench meter,0,1';
const FUNCTIONS = ['VOLT:DC', 'VOLT:AC', 'CURR:DC', 'CURR:AC', 'RES', 'FREQ', 'CAP', 'TEMP'];
const OVER = '+9.90000000E+37';
const PREFIX: Record<string, number> = { m: 1e-3, k: 1e3, M: 1e6, u: 1e-6, µ: 1e-6, μ: 1e-6 };

const number = (x: number) => {
  const [mantissa = '', exponent = ''] = x.toExponential(8).split('e');
  const sign = x < 0 ? '' : '+';
  return `${sign}${mantissa}E${exponent.startsWith('-') ? '-' : '+'}${exponent.slice(1).padStart(2, '0')}`;
};

/** A tap unit in the base unit the meter answers in. */
function inBase(value: number, unit: string): number {
  if (unit === 'dBu') return Math.sqrt(0.6) * 10 ** (value / 20);
  if (unit === 'dBV') return 10 ** (value / 20);
  const scale = unit.length > 1 && unit !== 'Hz' && unit !== '°C' ? PREFIX[unit[0] as string] : undefined;
  return scale ? value * scale : value;
}

/** One talk: its own function, probe and errors. */
function session(socket: Socket, o: MeterOptions) {
  const random = o.random ?? Math.random;
  let mood: Mood = o.mood ?? 'well';
  let fn = 'VOLT:DC';
  let probe: { map: UnitMap; tap: string } | null = null;
  const errors: string[] = [];
  const say = (line: string) => socket.write(`${line}\n`);

  const reading = (): void => {
    if (mood === 'silent') return;
    if (mood === 'drops') {
      socket.destroy();
      return;
    }
    if (mood === 'nonsense') {
      say('+7.7X#E');
      return;
    }
    if (mood === 'over') {
      say(OVER);
      return;
    }
    const tap = probe?.map.taps.find((t) => t.id === probe?.tap);
    if (!probe || !tap?.expect) {
      say(number((random() - 0.5) * 1e-4));
      return;
    }
    const model = `${probe.map.maker} ${probe.map.model}`;
    const hidden = o.hidden.find((h) => h.model === model);
    say(number(inBase(valueAt(probe.map, tap, hidden, random), tap.expect.unit)));
  };

  const commands: Command[] = [
    [/^\*IDN\?$/i, () => say(IDN)],
    [
      /^\*(RST|CLS)$/i,
      () => {
        errors.length = 0;
        fn = 'VOLT:DC';
      },
    ],
    [/^SYST(?:em)?:ERR(?:or)?\?$/i, () => say(errors.shift() ?? '0,"No error"')],
    [/^CONF(?:igure)?\?$/i, () => say(`"${fn}"`)],
    [
      /^CONF(?:igure)?:([A-Z:]+)$/i,
      (m) => {
        const wanted = (m[1] ?? '').toUpperCase();
        if (FUNCTIONS.includes(wanted)) fn = wanted;
        else errors.push('-113,"Undefined header"');
      },
    ],
    [
      /^MEAS(?:ure)?:([A-Z:]+)\?$/i,
      (m) => {
        const wanted = (m[1] ?? '').toUpperCase();
        if (!FUNCTIONS.includes(wanted)) return errors.push('-113,"Undefined header"');
        fn = wanted;
        return reading();
      },
    ],
    [/^READ\?$/i, reading],
    [
      /^PROBE\s+"([^"]*)","([^"]*)"$/i,
      (m) => {
        const map = o.units.find((u) => `${u.maker} ${u.model}` === m[1]);
        probe = map ? { map, tap: m[2] ?? '' } : null;
      },
    ],
    [
      /^MOOD\s+(\w+)$/i,
      (m) => {
        mood = MOODS.find((x) => x === m[1]) ?? 'well';
      },
    ],
  ];

  hearLines(socket, commands, () => errors.push('-113,"Undefined header"'));
}

/** A bench meter that speaks SCPI over TCP and reads a unit with a hidden fault. */
export function standInMeter(o: MeterOptions): Promise<Listening> {
  return listenOnLoopback((socket) => session(socket, o));
}
