import type { Socket } from 'node:net';
import { type Command, hearLines, type Listening, listenOnLoopback } from '../talk';

/** A made-up unit with settings: some only to be read, some with limits it keeps to itself. */
export interface ConsoleUnit {
  id: string;
  name: string;
  settings: Record<string, string>;
  /** keys that cannot be written */
  fixed: string[];
  /** keys whose number is cut down to this, without a word: only reading back shows it */
  limits: Record<string, number>;
}

export const CONSOLE_UNITS: ConsoleUnit[] = [
  {
    id: 'PB-3',
    name: 'Hapstock PB-3 photo-booth printer',
    settings: {
      serial: 'PB3-00417',
      firmware: 'strip 2.14',
      coin_count: '18342',
      strip_length_mm: '152.4',
      lamp_level: '84',
      lamp_hours: '2210',
      feed_steps: '806',
      feed_current_ma: '620',
      door_delay_s: '3',
      language: 'en',
    },
    fixed: ['serial', 'firmware', 'lamp_hours'],
    limits: { lamp_level: 90, feed_current_ma: 800 },
  },
  {
    id: 'TK-2',
    name: 'Murrowby TK-2 ticket kiosk',
    settings: {
      serial: 'TK2-1190',
      firmware: 'kiosk 5.02',
      fare_adult: '240',
      fare_child: '120',
      note_types: '5,10,20',
      sensor_gain: '1.32',
      sensor_offset: '-0.04',
      stacker_ms: '450',
      shutter: 'auto',
    },
    fixed: ['serial', 'firmware'],
    limits: { stacker_ms: 600 },
  },
];

function session(socket: Socket, units: ConsoleUnit[]) {
  let unit = units[0] as ConsoleUnit;
  const say = (line: string) => socket.write(`${line}\r\n`);
  const show = (key: string) => `${key} = ${unit.settings[key]}`;
  const set = (key: string, value: string): string => {
    if (!(key in unit.settings)) return `NO ${key} is not known`;
    if (unit.fixed.includes(key)) return `NO ${key} is fixed`;
    const most = unit.limits[key];
    unit.settings[key] = most !== undefined && Number(value) > most ? String(most) : value;
    return 'OK';
  };
  const commands: Command[] = [
    [/^WHO$/i, () => say(`UNIT ${unit.name}`)],
    [
      /^UNIT\s+(\S+)$/i,
      (m) => {
        const found = units.find((u) => u.id.toLowerCase() === m[1]?.toLowerCase());
        if (found) unit = found;
        say(found ? 'OK' : `NO unit ${m[1]}; there are ${units.map((u) => u.id).join(', ')}`);
      },
    ],
    [
      /^DUMP$/i,
      () => {
        for (const key of Object.keys(unit.settings)) say(show(key));
        say('END');
      },
    ],
    [/^GET\s+(\S+)$/i, (m) => say((m[1] ?? '') in unit.settings ? show(m[1] as string) : 'NO such key')],
    [/^SET\s+(\S+)\s+(.*)$/i, (m) => say(set(m[1] as string, m[2] as string))],
  ];
  hearLines(socket, commands, () => say('NO such command'));
}

/** A console of two made-up units that speaks one line at a time over TCP. */
export function standInConsole(units: ConsoleUnit[] = structuredClone(CONSOLE_UNITS)): Promise<Listening> {
  return listenOnLoopback((socket) => session(socket, units));
}
