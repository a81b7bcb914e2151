import { describe, expect, it } from 'vitest';
import {
  EVENT_KINDS,
  type EventType,
  type JobEvent,
  type JobState,
  judge,
  type Payload,
} from '../src/core/job';
import type { AnyKind } from '../src/core/job/kinds';
import { hearingLoop } from '../src/demo/units/hearing-loop';
import { explain } from '../src/schemas/explain';
import { JobEventSchema } from '../src/schemas/job-event';
import { guardOf } from '../src/server/guard';

const isJobEvent = guardOf(JobEventSchema);
const ULID = '01ARZ3NDEKTSV4RRFFQ69G5FAV';
const FILE = 'a'.repeat(64);
const META = { id: ULID, at: '2026-11-26T10:00:00.000Z', by: 'Ines' };

/** One entry of every kind, with everything it may carry. */
const EXAMPLES: { [T in EventType]: Payload<T> } = {
  'owed.noted': { owed: 'core to return', what: 'old drive to its maker', due: '2026-12-24' },
  'owed.settled': { owed: ULID },
  'pictures.chosen': { photos: [ULID] },
  'receipt.signed': { name: 'M. Wren', wide: 3, lines: [[0.1, 0.5, 0.4, 0.2, 0.9, 0.6]] },
  'quote.made': {
    lines: [
      {
        way: 'like for like',
        what: 'new lead',
        minutes: 20,
        parts: 1250,
        days: 3,
        chance: 0.9,
        leaves: 'age',
      },
    ],
    currency: 'EUR',
    ratePerHour: 6000,
    validUntil: '2026-12-24',
    notCovered: 'what is found once it is open',
    needed: true,
  },
  'quote.sent': { to: 'M. Wren', how: 'by post' },
  'quote.answered': { line: 0, who: 'M. Wren', note: 'by telephone' },
  'intake.recorded': {
    function: 'left',
    alsoFails: ['right'],
    symptom: 'silent',
    pattern: 'rarely',
    since: 'Sunday',
    variant: 'old',
    unitSays: 'E2',
    keep: ['settings'],
    addHazards: ['mains'],
  },
  'unit.identified': { mark: 'SP-04411', owner: 'pier office', reach: 'extension 12', apart: ['SP-O4411'] },
  'referral.weighed': {
    minutes: 40,
    currency: 'EUR',
    ratePerHour: 6000,
    parts: 1200,
    competence: 'own work',
    warranty: false,
    makerPrice: 9000,
    makerDays: 5,
    ownDays: 1,
    dayCost: 100,
    choice: 'repair',
    reason: 'wanted back today',
  },
  'photo.added': { file: FILE, caption: 'as it came', width: 800, height: 600, after: ULID },
  'face.added': { face: { id: 'front', name: 'front', width: 200, height: 100 } },
  'pin.placed': { face: 'front', x: 10, y: 20, on: 'J7', item: 'x' },
  'pin.removed': { photo: ULID, pin: 0 },
  'note.added': { text: 'smells of salt' },
  'look.answered': { look: 'setting', found: false },
  'tick.noted': { text: 'grease the seal', stop: 'close up' },
  'tick.done': { tick: 'picture of the plugs' },
  'timer.started': { what: 'glue sets', minutes: 20 },
  'timer.ended': { timer: ULID },
  'consumable.used': { what: 'glue', amount: '2 ml', setsMinutes: 20, on: 'lid', stock: ULID, count: 0.5 },
  'job.parked': { why: 'waits for the part', until: 'Friday' },
  'job.resumed': {},
  'check.described': { check: { id: 'own', name: 'knock', exercises: ['A1'], minutes: 1 } },
  'check.recorded': {
    check: 'tap:TP1',
    reading: 3.3,
    takes: [3.3],
    source: 'meter',
    note: 'warm',
    leaves: 'A fed from B',
  },
  'plan.chosen': { element: 'W4', remedy: 'replace', chance: 0.7, why: 'traced', saidByUnit: true },
  'job.referred': { to: 'the maker', why: 'licensed work' },
  'battery.compared': { element: 'B1', request: { old: { volts: 3.7 }, new: { volts: 3.7 } }, chemistry: 0 },
  'board.compared': { element: 'A1', request: { old: {}, new: {} } },
  'power.set': { power: 'off' },
  'gate.cleared': { hazard: 'mains', acted: true, reading: 0, unit: 'V', source: 'meter', leads: ['W6'] },
  'gate.passed': { hazard: 'mains', reason: 'sealed supply' },
  'power-down.done': { step: 'menu' },
  'power-down.passed': { reason: 'it is dead' },
  'charge.read': { hazard: 'B1', volts: 7.2, series: 2, chemistry: 0, source: 'meter' },
  'lead-rule.chosen': { rule: 'no rule' },
  'swelling.noted': { hazard: 'B1', swollen: true },
  'pack.freed-by': { hazard: 'B1', thing: 'bracket' },
  'move.recorded': {
    verb: 'undo',
    text: '4 x M3x8 lid',
    item: { kind: 'fastener', name: 'screw', count: 4, place: { kind: 'cup', label: '1' } },
    move: 'm1',
    out: true,
  },
  'item.returned': { item: 'x', count: 1, state: 'tight' },
  'item.taken': { item: 'x', count: 1 },
  'item.proven': { item: 'x', how: 'held a tug' },
  'item.counted': { item: 'x', count: 5 },
  'item.written-off': { item: 'x', count: 1, reason: 'stripped', replacement: 'new' },
  'item.missed': { item: 'x', count: 1 },
  'item.stashed': { item: 'x', place: { kind: 'bag', label: 'A' } },
  'item.altered': { item: 'x', what: 'cut by 2 mm' },
  'item.assigned': { item: 'x', cover: null },
  'holes.placed': { item: 'x', points: [{ x: 1, y: 2 }], lid: 'metal' },
  'length.checked': { item: 'x', measuredMm: 8 },
  'kit.noted': { what: 'torch', along: true },
  'plan.dropped': { element: 'W4' },
  'move.skipped': { move: 'm1', why: 'not on this one' },
  'map.taken': { map: hearingLoop, version: 2 },
  'item.to-fit': {
    text: 'fan board',
    item: { kind: 'part', name: 'fan board', count: 1, place: { kind: 'shelf' } },
  },
  'move.corrected': { move: 'x', verb: 'heat', text: 'heat edge 2 min', item: null, on: 'edge', minutes: 2 },
  'name.learned': { said: 'big lid', means: 'lid' },
  'use.ended': { use: 'x' },
  'way-back.noted': { item: 'x', note: 'slack', fresh: true, torqueNm: 1.2, cureMinutes: 10 },
  'cover.closed': { cover: 'lid', kind: 'final' },
  'unit.entered': { name: 'feeder', goal: 'roller out' },
  'unit.left': { as: 'whole' },
  'part.removed': { name: 'old', carry: ['heat sink'], serial: '1', dateCode: '2319' },
  'part.fitted': {
    name: 'new',
    serial: '2',
    dateCode: '2641',
    stock: ULID,
    donor: { job: ULID, tag: 'SP-045' },
  },
  'remedy.done': { note: 'contact 2 dull' },
  'remedy.tried': {},
  'preparation.ticked': { line: 'polarity', note: '+7.4 V' },
  'cables.chosen': { mode: 'one across' },
  'plug.moved': { plug: 'J7', how: 'held a tug' },
  'proof.recorded': { check: 'symptom:left', outcome: 'ok', source: 'eye' },
  'party.told': { party: 'hall', how: 'by telephone' },
  'proving.ticked': { line: 'charging', outcome: 'ok', reading: 1.1, note: 'steady' },
  'soak.started': { minutes: 60, everyMinutes: 10 },
  'soak.ended': {},
  'remedy.practised': { element: 'W4', remedy: 'reseat', mended: true },
  'practice.ended': { how: 'stopped', why: 'Mains is live' },
  'point.passed': { point: 'soak', reason: 'the owner runs it' },
  'job.handed-over': {
    to: 'office',
    result: 'works',
    settings: 'tare',
    note: 'clean it',
    followUp: 'in spring',
  },
};
const kinds = Object.entries(EVENT_KINDS) as [EventType, AnyKind][];

describe('every kind of event', () => {
  it('is there under its own name, once', () => {
    for (const [name, kind] of kinds) expect(kind.type).toBe(name);
    expect(Object.keys(EXAMPLES).sort()).toEqual(kinds.map(([k]) => k).sort());
  });
  it.each(kinds.map(([k]) => k))(
    '%s is taken as its schema describes it, and with nothing beside it',
    (type) => {
      const event = { ...META, type, ...EXAMPLES[type] };
      expect(isJobEvent(event), JSON.stringify(isJobEvent.errors)).toBe(true);
      expect(isJobEvent({ ...event, extra: 1 })).toBe(false);
      expect(explain(isJobEvent.errors).reason).toBe('“extra” is not known here');
      expect(isJobEvent({ ...event, by: '' })).toBe(false);
      expect(isJobEvent({ ...event, at: 'yesterday' })).toBe(false);
    },
  );
  it.each(kinds.filter(([, k]) => Object.keys(k.payload).length).map(([k]) => k))(
    '%s says which of its own is missing or wrong',
    (type) => {
      const payload = EXAMPLES[type] as Record<string, unknown>;
      for (const [name, schema] of Object.entries(EVENT_KINDS[type].payload)) {
        if (!(name in payload)) continue;
        const { [name]: _, ...rest } = payload;
        const optional = isJobEvent({ ...META, type, ...rest });
        if (!optional) expect(explain(isJobEvent.errors).reason).toBe(`“${name}” is missing`);
        expect(isJobEvent({ ...META, type, ...payload, [name]: { nonsense: true } }), `${type} ${name}`).toBe(
          (schema as { type?: string }).type === undefined && false,
        );
      }
    },
  );
  it('an event of no kind is told by its type', () => {
    expect(isJobEvent({ ...META, type: 'lid.polished' })).toBe(false);
    expect(explain(isJobEvent.errors).reason).toBe('“lid.polished” is not a known type');
  });
});

describe('what a job that waits takes', () => {
  const opened = judge(null, {
    ...META,
    type: 'job.opened',
    job: ULID,
    tag: 'J-1',
    map: hearingLoop,
  });
  let n = 0;
  const next = (r: typeof opened, told: object) =>
    judge(r, { ...META, id: `01ARZ3NDEKTSV4RRFFQ6${String(100_000 + n++)}`, ...told } as JobEvent);
  const intake = { type: 'intake.recorded', function: 'left', symptom: 'x', pattern: 'always', keep: [] };
  const parked = () => next(next(opened, intake), { type: 'job.parked', why: 'waits' });

  it('lies on through what is only noted beside it', () => {
    expect(
      kinds
        .filter(([, k]) => k.whileParked === 'taken')
        .map(([k]) => k)
        .sort(),
    ).toEqual([
      'face.added',
      'kit.noted',
      'map.taken',
      'name.learned',
      'note.added',
      'owed.noted',
      'owed.settled',
      'photo.added',
      'pictures.chosen',
      'pin.placed',
      'pin.removed',
      'practice.ended',
      'quote.answered',
      'quote.made',
      'quote.sent',
      'receipt.signed',
      'swelling.noted',
      'tick.done',
      'tick.noted',
      'timer.ended',
      'timer.started',
      'unit.identified',
      'use.ended',
    ]);
    const r = next(parked(), { type: 'note.added', text: 'the part is on its way' });
    expect(r.state.parked?.why).toBe('waits');
  });
  it('is woken by work', () => {
    const r = next(parked(), { type: 'power.set', power: 'off' });
    expect(r.state.parked).toBeNull();
  });
});

describe('what a kind says of itself', () => {
  it.each(kinds)('%s has words for the log that name no machinery', (type, kind) => {
    const state = judge(null, { ...META, type: 'job.opened', job: ULID, tag: 'J-1', map: hearingLoop })
      .state as JobState;
    const said = kind.says(EXAMPLES[type] as never, state);
    expect(said.length).toBeGreaterThan(3);
    expect(said).not.toMatch(/undefined|null|NaN|\[object/);
  });
});
