import { ulid } from 'ulid';
import { type JobEvent, type JobRecord, judge } from '../core/job';
import { readLine } from '../core/ledger';
import type { UnitMap } from '../core/unit';
import { departureBoard } from './units/departure-board';
import { hearingLoop } from './units/hearing-loop';
import { photoPrinter } from './units/photo-printer';
import { ticketKiosk } from './units/ticket-kiosk';
import { tideInverter } from './units/tide-inverter';

export const DEMO_UNITS: { map: UnitMap; place: string }[] = [
  { map: hearingLoop, place: 'ticket hall' },
  { map: photoPrinter, place: 'north arcade' },
  { map: tideInverter, place: 'pier head' },
  { map: departureBoard, place: 'landing stage' },
  { map: ticketKiosk, place: 'turnstile 2' },
];

type Told = Omit<JobEvent, 'id' | 'at' | 'by'> & Record<string, unknown>;
/** What happened, and how many minutes after the one before. */
type Line = [minutes: number, told: Told | string | ((r: JobRecord) => Told)];

export const TECHNICIAN = 'Ines Marlow';

const move = (text: string): Told => {
  const [said] = readLine(text).moves;
  return { type: 'move.recorded', ...said } as Told;
};

const idOf = (r: JobRecord, what: (i: JobRecord['state']['ledger']['items'][number]) => boolean): string => {
  const item = r.state.ledger.items.findLast(what);
  if (!item) throw new Error('the demo speaks of a thing that is not off');
  return item.id;
};
const named = (name: string) => (r: JobRecord) => idOf(r, (i) => i.name.toLowerCase() === name.toLowerCase());
const screws = (from: string) => (r: JobRecord) => idOf(r, (i) => i.kind === 'fastener' && i.from === from);

const back =
  (what: (r: JobRecord) => string, state: string, count = 1) =>
  (r: JobRecord): Told =>
    ({ type: 'item.returned', item: what(r), count, state }) as Told;
const proven =
  (what: (r: JobRecord) => string, how: string) =>
  (r: JobRecord): Told =>
    ({ type: 'item.proven', item: what(r), how }) as Told;

interface Story {
  tag: string;
  unit: number;
  /** minutes before now at which it was opened */
  ago: number;
  lines: Line[];
}

const gate = (hazard: string, reading: number): Told =>
  ({ type: 'gate.cleared', hazard, acted: true, reading, unit: 'V', source: 'meter' }) as Told;
/** The amplifier of the ticket hall, by the mark on its plate. */
const THE_LOOP = {
  type: 'unit.identified',
  mark: 'QF-40-0311',
  owner: 'Saltmarsh Pier, ticket office',
  reach: 'extension 12',
} as Told;

const STORIES: Story[] = [
  { tag: 'SP-117', unit: 0, ago: 35, lines: [[1, THE_LOOP]] },
  {
    tag: 'SP-109',
    unit: 1,
    ago: 95,
    lines: [
      [
        2,
        {
          type: 'intake.recorded',
          function: 'print',
          symptom: 'Goes dark mid-strip',
          pattern: 'now and then',
          since: 'Sunday',
          unitSays: 'pack low',
          keep: ['coin count'],
        } as Told,
      ],
      [
        4,
        {
          type: 'plan.chosen',
          element: 'B1',
          remedy: 'replace',
          why: 'the unit says so: pack low',
          saidByUnit: true,
        } as Told,
      ],
      [3, { type: 'power-down.done', step: 'strip' } as Told],
      [2, { type: 'power-down.done', step: 'counter' } as Told],
      [1, { type: 'power-down.done', step: 'switch' } as Told],
      [3, gate('mains', 0)],
      [6, gate('C14', 4)],
      [3, '2 x M4x6 PH2 door hinge > cup 1'],
      [1, 'lift paper door > shelf'],
      [4, '6 x M3x12 PH1 top cover > cup 2'],
      [1, 'lift top cover > shelf'],
      [2, 'unplug W3 3p'],
      [1, 'flip face'],
      [3, '4 x M3x8 PH1 rear cover > cup 3'],
      [1, 'lift rear cover > shelf'],
      [6, (r) => ({ type: 'item.missed', item: screws('rear cover')(r), count: 1 }) as Told],
    ],
  },
  {
    tag: 'SP-098',
    unit: 2,
    ago: 60 * 26,
    lines: [
      [
        5,
        {
          type: 'intake.recorded',
          function: 'outlet',
          symptom: 'Dead after the storm',
          pattern: 'always',
          since: 'Monday night',
          keep: [],
        } as Told,
      ],
      [4, { type: 'check.recorded', check: 'tap:TP1', reading: 41.2, source: 'meter' } as Told],
      [1, { type: 'check.recorded', check: 'tap:D1', outcome: 'bad', source: 'eye' } as Told],
      [3, { type: 'power.set', power: 'off' } as Told],
      [1, { type: 'party.told', party: 'harbour', how: 'by radio' } as Told],
      [2, gate('panels', 0.2)],
      [4, gate('C3', 2)],
      [3, '4 x M5x16 T25 sunshade > cup 1'],
      [1, 'lift sunshade > shelf'],
      [6, '10 x M4x14 T20 lid > cup 2'],
      [1, 'lift lid > shelf'],
      [4, { type: 'check.recorded', check: 'tap:TP2', reading: 0.3, source: 'meter' } as Told],
      [
        5,
        {
          type: 'plan.chosen',
          element: 'K2',
          remedy: 'replace',
          chance: 0.84,
          why: '41.2 V before the relay, 0.3 V after it',
        } as Told,
      ],
      [2, { type: 'power.set', power: 'off' } as Told],
      [2, gate('panels', 0.1)],
      [3, gate('C3', 3)],
      [2, 'unplug W12 6p latch'],
      [1, 'unplug W14 4p'],
      [2, '2 x M4x16 T20 earth bar > cup 4'],
      [8, { type: 'part.removed', name: 'relay K2, contacts burnt' } as Told],
      [9, { type: 'part.fitted', name: 'relay 48 V, 30 A', serial: '2612-0417' } as Told],
      [
        1,
        (r) =>
          ({
            type: 'item.proven',
            item: r.state.fix?.newItem ?? '',
            how: 'pins through, solder looked at',
          }) as Told,
      ],
      [1, (r) => ({ type: 'length.checked', item: screws('earth bar')(r), measuredMm: 16 }) as Told],
      [3, back(screws('earth bar'), 'tight', 2)],
      [2, back(named('W12'), 'plugged')],
      [1, proven(named('W12'), 'latch clicked')],
    ],
  },
  {
    tag: 'SP-115',
    unit: 3,
    ago: 60 * 49,
    lines: [
      [
        4,
        {
          type: 'intake.recorded',
          function: 'lower',
          symptom: 'Lower rows frozen',
          pattern: 'always',
          since: 'last spring tide',
          keep: ['timetable on the card'],
        } as Told,
      ],
      [5, { type: 'check.recorded', check: 'tap:D4', outcome: 'ok', source: 'eye' } as Told],
      [3, { type: 'power.set', power: 'off' } as Told],
      [2, gate('mains', 0)],
      [5, '8 x M4x10 T20 back panel > bag A'],
      [1, 'lift back panel > shelf'],
      [6, { type: 'check.recorded', check: 'continuity:W3', outcome: 'bad', source: 'meter' } as Told],
      [
        2,
        {
          type: 'plan.chosen',
          element: 'W3',
          remedy: 'replace',
          chance: 0.9,
          why: 'core 14 open from end to end',
        } as Told,
      ],
      [2, 'unplug J31 26p latch'],
      [4, { type: 'part.removed', name: 'lower ribbon W3' } as Told],
      [4, { type: 'part.fitted', name: 'ribbon 26-way 400 mm' } as Told],
      [
        1,
        (r) =>
          ({ type: 'item.proven', item: r.state.fix?.newItem ?? '', how: 'both ends looked at' }) as Told,
      ],
      [1, back(named('J31'), 'plugged')],
      [1, proven(named('J31'), 'latch clicked, tug')],
      [2, { type: 'proof.recorded', check: 'symptom:lower', outcome: 'ok', source: 'eye' } as Told],
      [1, { type: 'power.set', power: 'off' } as Told],
      [1, gate('mains', 0)],
      [2, back(named('back panel'), 'fitted')],
      [5, back(screws('back panel'), 'tight', 8)],
      [1, { type: 'cover.closed', cover: 'back panel', kind: 'final' } as Told],
      [3, { type: 'proof.recorded', check: 'symptom:lower', outcome: 'ok', source: 'eye' } as Told],
      [2, { type: 'job.parked', why: 'Signature', until: 'harbour office, from 16:00' } as Told],
    ],
  },
  {
    tag: 'SP-126',
    unit: 4,
    ago: 60 * 5,
    lines: [
      [
        3,
        {
          type: 'intake.recorded',
          function: 'notes',
          symptom: 'Eats notes, shows error 14',
          pattern: 'now and then',
          unitSays: 'error 14',
          keep: ['cash in the box'],
        } as Told,
      ],
      [2, { type: 'check.recorded', check: 'tap:K1', outcome: 'ok', source: 'eye' } as Told],
      [4, { type: 'job.parked', why: 'Cash owner', until: 'to be there before the door opens' } as Told],
    ],
  },
];

/** A short job of weeks ago: one element mended from outside, proven and handed over. */
function closed(
  tag: string,
  days: number,
  unit: number,
  fault: { function: string; symptom: string; element: string; covers: string[]; gates: Told[] },
): Story {
  const { covers, element } = fault;
  return {
    tag,
    unit,
    ago: days * 24 * 60,
    lines: [
      [1, THE_LOOP],
      [
        4,
        {
          type: 'intake.recorded',
          function: fault.function,
          symptom: fault.symptom,
          pattern: 'now and then',
          keep: [],
        } as Told,
      ],
      [9, { type: 'plan.chosen', element, remedy: 'replace', why: 'found by flexing it' } as Told],
      [1, { type: 'party.told', party: 'hall', how: 'at the counter' } as Told],
      ...fault.gates.map((g): Line => [3, g]),
      ...covers.map((c): Line => [2, `lift ${c} > shelf`]),
      [8, { type: 'part.removed', name: `old ${element}` } as Told],
      [6, { type: 'part.fitted', name: `new ${element}` } as Told],
      [
        1,
        (r) =>
          ({ type: 'item.proven', item: r.state.fix?.newItem ?? '', how: 'both ends looked at' }) as Told,
      ],
      ...[...covers].reverse().flatMap((c): Line[] => [
        [1, back(named(c), 'fitted')],
        [1, { type: 'cover.closed', cover: c, kind: 'final' } as Told],
      ]),
      ...Array.from(
        { length: 5 },
        (): Line => [
          2,
          {
            type: 'proof.recorded',
            check: `symptom:${fault.function}`,
            outcome: 'ok',
            source: 'eye',
          } as Told,
        ],
      ),
      [3, { type: 'job.handed-over', to: 'pier office', result: 'works' } as Told],
    ],
  };
}

const LEFT = { function: 'left', symptom: 'Left side comes and goes', covers: ['hatch', 'lid'] };
const LOOP_GATES = [gate('mains', 0), gate('C11', 2)];
STORIES.push(
  closed('SP-031', 71, 0, { ...LEFT, element: 'W7', gates: LOOP_GATES }),
  closed('SP-052', 44, 0, { ...LEFT, element: 'W4', gates: LOOP_GATES }),
  closed('SP-077', 20, 0, { ...LEFT, element: 'W7', gates: LOOP_GATES }),
);

/**
 * The jobs of the demo, told through the same rules as any other job.
 *
 * @param now time the demo is seeded
 * @param unitIds ids under which {@link DEMO_UNITS} were kept, in their order
 */
export function demoJobs(now: Date, unitIds: string[]): JobRecord[] {
  return STORIES.map(({ tag, unit, ago, lines }) => {
    const { map, place } = DEMO_UNITS[unit] as (typeof DEMO_UNITS)[number];
    let time = now.getTime() - ago * 60_000;
    const stamp = () => ({ id: ulid(time), at: new Date(time).toISOString(), by: TECHNICIAN });
    let record = judge(null, {
      ...stamp(),
      type: 'job.opened',
      job: ulid(time),
      tag,
      map,
      place,
      unit: { id: unitIds[unit] ?? '', version: 1 },
    });
    for (const [minutes, line] of lines) {
      time += minutes * 60_000;
      const told = typeof line === 'string' ? move(line) : typeof line === 'function' ? line(record) : line;
      record = judge(record, { ...told, ...stamp() } as JobEvent);
    }
    return record;
  });
}
