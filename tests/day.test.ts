import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import ICAL from 'ical.js';
import { ulid } from 'ulid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { DayPlan } from '../src/core/day-plan';
import { fold, type JobEvent } from '../src/core/job';
import { bench } from '../src/core/job/bench.test.fixture';
import { shownOf } from '../src/core/record';
import { Refusal } from '../src/core/refusal';
import { type Database, openDatabase } from '../src/data/database';
import { insertJob } from '../src/data/jobs';
import { photoPrinter } from '../src/demo/units/photo-printer';
import { askedDay } from '../src/server/day/asked-day';
import { busyFromCalendar } from '../src/server/day/calendar-in';
import { dayCalendar } from '../src/server/day/calendar-out';
import { houseOf, saveHouse } from '../src/server/day/house';
import { plannedDay, readDaySheet, saveDay } from '../src/server/day/plans';
import { vanOf } from '../src/server/day/van';
import { removeOwner } from '../src/server/owners/owner-data';
import { folderStore } from '../src/server/photo-store';
import { postEvents } from '../src/server/post-events';
import { Problem } from '../src/server/problem';
import { move, saveItem } from '../src/server/stock/store';

const DAY = '2026-11-27';
const NOW = `${DAY}T07:00:00.000Z`;
const folder = mkdtempSync(path.join(tmpdir(), 'mulch-day-'));
let db: Database;
beforeAll(async () => {
  db = await openDatabase({ folder, migrations: path.resolve('drizzle') });
});
afterAll(async () => {
  await db.settle();
  db.close();
  rmSync(folder, { recursive: true, force: true });
});

/** A job on the photo printer with a plan to swap its pack, at a place. */
async function jobAt(tag: string, place: string, owner?: string): Promise<string> {
  const job = ulid();
  const b = bench(photoPrinter);
  const stamp = () => ({ id: ulid(), at: NOW, by: 'Ines' });
  const [, ...rest] = b.events();
  const events = [
    { ...stamp(), type: 'job.opened', job, tag, map: photoPrinter, place },
    ...(owner ? [{ ...stamp(), type: 'unit.identified', owner, reach: 'extension 9' }] : []),
    {
      ...stamp(),
      type: 'intake.recorded',
      function: photoPrinter.functions[0]?.id,
      symptom: 'dark',
      pattern: 'always',
      keep: [],
    },
    { ...stamp(), type: 'plan.chosen', element: 'B1', remedy: packRemedy(), why: 'old' },
    ...rest,
  ] as JobEvent[];
  const [first, ...others] = events;
  await db.write((tx) => insertJob(tx, shownOf(fold([first as JobEvent])), [first as JobEvent]));
  await postEvents(db, job, others, 0);
  return job;
}
const packRemedy = () =>
  photoPrinter.elements.find((e) => e.id === 'B1')?.remedies.find((r) => r.kind === 'replace')?.id ?? '';
const plan = (jobs: string[], more: Partial<DayPlan> = {}): DayPlan => ({
  day: DAY,
  person: 'Ines Marlow',
  zone: 'Europe/Lisbon',
  start: { place: 'workshop', at: '08:00' },
  end: { place: 'workshop', at: '17:00' },
  jobs: jobs.map((job) => ({ job })),
  order: [],
  busy: [],
  van: { ticked: [], back: [] },
  ...more,
});
const problem = async (ask: () => Promise<unknown>): Promise<Problem> => {
  try {
    await ask();
  } catch (error) {
    if (error instanceof Problem) return error;
    throw error;
  }
  throw new Error('it was taken');
};

describe('a day is kept', () => {
  it('with its version: a stale one is told, and a day of somebody else is another', async () => {
    const a = await jobAt('D-1', 'north arcade', 'Gull Rides');
    expect(await saveDay(db, plan([a]), 0)).toEqual({ version: 1 });
    expect(await saveDay(db, plan([a], { order: [a] }), 1)).toEqual({ version: 2 });
    expect(await problem(() => saveDay(db, plan([]), 1))).toMatchObject({ status: 409, path: '/version' });
    await saveDay(db, plan([], { person: 'Bram' }), 0);
    const sheet = await readDaySheet(db, DAY, 'Ines Marlow', [], NOW);
    expect(sheet.plan?.order).toEqual([a]);
    expect(sheet.others.map((o) => o.person)).toEqual(['Bram']);
    const offer = sheet.offers.find((o) => o.job === a);
    expect(offer).toMatchObject({
      tag: 'D-1',
      place: 'north arcade',
      owner: 'Gull Rides',
      reach: 'extension 9',
    });
    expect(offer?.tasks.length).toBeGreaterThan(0);
    // The next day begins like the last one that was planned.
    expect((await readDaySheet(db, '2026-11-30', 'Ines Marlow', [], NOW)).before?.start.place).toBe(
      'workshop',
    );
  });
  it('a page that is asked for no day shows today', () => {
    expect(askedDay('2026-12-01', NOW)).toBe('2026-12-01');
    for (const none of ['2026-02-30', '2026-13-01', 'soon', '', null]) expect(askedDay(none, NOW)).toBe(DAY);
  });
  it('not where it cannot be', async () => {
    await expect(saveDay(db, plan([], { person: ' ' }), 0)).rejects.toThrow(Refusal);
    await expect(readDaySheet(db, '2026-02-30', 'x', [], NOW)).rejects.toThrow('no day of the calendar');
    expect(await problem(() => plannedDay(db, '2026-01-01', 'nobody', NOW))).toMatchObject({ status: 404 });
  });
  it('ways are kept once, both ways or each', async () => {
    const { house, version } = await houseOf(db.read);
    const there = { from: 'workshop', to: 'north arcade', minutes: 7 };
    const back = { from: 'north arcade', to: 'workshop', minutes: 9 };
    expect((await saveHouse(db, { house: { ...house, travel: [there, back] }, version })).version).toBe(
      version + 1,
    );
    expect(await problem(() => saveHouse(db, { house, version }))).toMatchObject({ status: 409 });
    const twice = { house: { travel: [there, there] }, version: version + 1 };
    expect(await problem(() => saveHouse(db, twice))).toMatchObject({ status: 422, path: '/house/travel/1' });
    const itself = { house: { travel: [{ ...there, to: 'workshop' }] }, version: version + 1 };
    expect(await problem(() => saveHouse(db, itself))).toMatchObject({ path: '/house/travel/0/to' });
  });
});

describe('as a calendar', () => {
  it('out: visits with place, owner and what is done, read back by a parser', async () => {
    const { plan: kept, offers, answer } = await plannedDay(db, DAY, 'Ines Marlow', NOW);
    const text = dayCalendar(kept, offers, answer, NOW);
    const events = new ICAL.Component(ICAL.parse(text))
      .getAllSubcomponents('vevent')
      .map((c) => new ICAL.Event(c));
    expect(events).toHaveLength(1);
    const [visit] = events;
    expect(visit?.summary).toBe('D-1 Photo-booth printer');
    expect(visit?.location).toBe('north arcade');
    // Lisbon in winter is on UTC: 08:00 and seven minutes of way.
    expect(visit?.startDate.toJSDate().toISOString()).toBe(`${DAY}T08:07:00.000Z`);
    expect(visit?.description).toContain('Gull Rides\nextension 9');
    const minutes =
      ((visit?.endDate.toJSDate().getTime() ?? 0) - (visit?.startDate.toJSDate().getTime() ?? 0)) / 60_000;
    expect(answer.finish).toBeCloseTo(480 + 7 + minutes + 9, 3);
  });

  const cal = (...lines: string[]) =>
    ['BEGIN:VCALENDAR', 'VERSION:2.0', 'PRODID:-//t//t//EN', ...lines, 'END:VCALENDAR', ''].join('\r\n');
  const event = (...lines: string[]) => [
    'BEGIN:VEVENT',
    'UID:u',
    'DTSTAMP:20261101T000000Z',
    ...lines,
    'END:VEVENT',
  ];
  const busy = (text: string, zone = 'Europe/Lisbon', day = DAY) => busyFromCalendar(text, day, zone);

  it('in: by UTC, by a zone it describes, by one it only names, and by none', () => {
    const zone = [
      'BEGIN:VTIMEZONE',
      'TZID:Pier Time',
      'BEGIN:STANDARD',
      'DTSTART:20000101T000000',
      'TZOFFSETFROM:+0300',
      'TZOFFSETTO:+0300',
      'END:STANDARD',
      'END:VTIMEZONE',
    ];
    expect(
      busy(
        cal(
          ...zone,
          ...event('SUMMARY:a', 'DTSTART:20261127T090000Z', 'DTEND:20261127T093000Z'),
          ...event('SUMMARY:b', 'DTSTART;TZID=Pier Time:20261127T130000', 'DURATION:PT45M'),
          ...event(
            'SUMMARY:c',
            'DTSTART;TZID=Europe/Rome:20261127T120000',
            'DTEND;TZID=Europe/Rome:20261127T123000',
          ),
          ...event('SUMMARY:d', 'DTSTART:20261127T150000', 'DTEND:20261127T160000'),
        ),
      ).busy,
    ).toEqual([
      { from: '09:00', until: '09:30', what: 'a' },
      { from: '10:00', until: '10:45', what: 'b' },
      { from: '11:00', until: '11:30', what: 'c' },
      { from: '15:00', until: '16:00', what: 'd' },
    ]);
  });
  it('in: repeats, with the one that was moved and the one that was left out', () => {
    const weekly = [
      'SUMMARY:round',
      'DTSTART:20261023T090000',
      'DTEND:20261023T093000',
      'RRULE:FREQ=WEEKLY;COUNT=9',
      'EXDATE:20261204T090000',
    ];
    const moved = event(
      'SUMMARY:round, later',
      'RECURRENCE-ID:20261127T090000',
      'DTSTART:20261127T110000',
      'DTEND:20261127T113000',
    );
    expect(busy(cal(...event(...weekly))).busy).toEqual([{ from: '09:00', until: '09:30', what: 'round' }]);
    expect(busy(cal(...event(...weekly), ...moved)).busy).toEqual([
      { from: '11:00', until: '11:30', what: 'round, later' },
    ]);
    expect(busy(cal(...event(...weekly)), 'Europe/Lisbon', '2026-12-04').busy).toEqual([]);
    expect(busy(cal(...event(...weekly)), 'Europe/Lisbon', '2026-12-18').busy).toHaveLength(1);
    expect(busy(cal(...event(...weekly)), 'Europe/Lisbon', '2026-12-25').busy).toEqual([]);
  });
  it('in: what takes no time, is cancelled or goes all day is passed over and said; over midnight it is cut', () => {
    const { busy: found, passed } = busy(
      cal(
        ...event('SUMMARY:fair', 'DTSTART;VALUE=DATE:20261127', 'DTEND;VALUE=DATE:20261128'),
        ...event('SUMMARY:maybe', 'DTSTART:20261127T090000Z', 'DTEND:20261127T100000Z', 'TRANSP:TRANSPARENT'),
        ...event('SUMMARY:off', 'DTSTART:20261127T090000Z', 'DTEND:20261127T100000Z', 'STATUS:CANCELLED'),
        ...event('SUMMARY:night', 'DTSTART:20261126T220000Z', 'DTEND:20261127T020000Z'),
        ...event('SUMMARY:late', 'DTSTART:20261127T230000Z', 'DTEND:20261128T020000Z'),
        ...event('SUMMARY:other day', 'DTSTART:20261128T090000Z', 'DTEND:20261128T100000Z'),
      ),
    );
    expect(passed).toEqual(['fair: all day', 'maybe: takes no time', 'off: cancelled']);
    expect(found).toEqual([
      { from: '00:00', until: '02:00', what: 'night' },
      { from: '23:00', until: '23:59', what: 'late' },
    ]);
  });
  it('in: what repeats without end is not gone through without end, and said', () => {
    const { busy: found, passed } = busy(
      cal(...event('SUMMARY:tick', 'DTSTART:20260101T000000', 'DURATION:PT1S', 'RRULE:FREQ=SECONDLY')),
    );
    expect(found).toEqual([]);
    expect(passed).toEqual(['tick: repeats more than 20,000 times before this day']);
  });
  const bad: [string, string, number, string][] = [
    ['nothing', '', 1, 'empty'],
    ['no calendar', 'hello', 1, 'BEGIN:VCALENDAR'],
    [
      'a line without a name',
      cal(...event('DTSTART:20261127T090000Z', 'what is this')),
      8,
      'no name and value',
    ],
    ['no end', cal('BEGIN:VEVENT', 'UID:x').replace('END:VCALENDAR\r\n', ''), 4, 'not ended'],
    ['crossed', cal('BEGIN:VEVENT', 'END:VTODO'), 5, 'VEVENT was begun'],
    ['no begin', cal(...event('SUMMARY:x')), 4, 'does not say when it begins'],
    [
      'ends first',
      cal(...event('DTSTART:20261127T090000Z', 'DTEND:20261127T080000Z')),
      4,
      'ends before it begins',
    ],
    [
      'a zone of nowhere',
      cal(...event('DTSTART;TZID=Nowhere/At All:20261127T090000', 'DURATION:PT1H')),
      4,
      'not described',
    ],
    ['outside', `${cal()}SUMMARY:x\r\n`, 5, 'outside'],
    ['a date that is none', cal(...event('DTSTART:20261397T990000Z')), 7, 'cannot be read'],
  ];
  it.each(bad)('%s is named by its line', (_name, text, line, words) => {
    let caught: unknown;
    try {
      busy(text);
    } catch (error) {
      caught = error;
    }
    expect(caught).toBeInstanceOf(Problem);
    expect(caught).toMatchObject({ status: 422, path: '/text' });
    expect((caught as Problem).detail).toContain(`line ${line}: `);
    expect((caught as Problem).detail).toContain(words);
  });
});

describe('the van of a kept day', () => {
  it('takes the planned part from the store where it is, and says where it is not', async () => {
    const [job] = (await readDaySheet(db, DAY, 'Ines Marlow', [], NOW)).plan?.jobs.map((j) => j.job) ?? [];
    expect(job).toBeTruthy();
    const part = photoPrinter.elements.find((e) => e.id === 'B1')?.remedies.find((r) => r.kind === 'replace')
      ?.parts?.[0];
    expect((await vanOf(db, DAY, 'Ines Marlow')).missing.map((m) => m.what)).toContain(part);
    const id = ulid();
    await saveItem(
      db,
      {
        id,
        what: part as string,
        unit: 'pieces',
        place: { kind: 'shelf', label: 'B2' },
        models: [],
        elements: [],
        minimum: 0,
        litres: 2,
      },
      0,
    );
    await move(db, { id: ulid(), item: id, at: NOW, by: 'Ines', kind: 'received', count: 1 });
    const list = await vanOf(db, DAY, 'Ines Marlow');
    expect(list.parts).toMatchObject([{ what: part, tags: ['D-1'], where: 'shelf B2', litres: 2 }]);
    expect(list.tools.length).toBeGreaterThan(0);
    expect(await problem(() => vanOf(db, DAY, 'nobody'))).toMatchObject({ status: 404 });
  });
});

describe('an owner taken out', () => {
  it('leaves no place of theirs in a day', async () => {
    const job = await jobAt('D-9', 'villa', 'Mr. Tern');
    const stamp = () => ({ id: ulid(), at: NOW, by: 'Ines' });
    await saveDay(db, { ...plan([job]), day: '2026-12-01', jobs: [{ job, place: 'villa, back door' }] }, 0);
    await postEvents(
      db,
      job,
      [
        { ...stamp(), type: 'job.referred', to: 'the maker', why: 'under warranty' },
        { ...stamp(), type: 'job.handed-over', to: 'Mr. Tern', result: 'referred' },
      ] as JobEvent[],
      0,
    );
    await removeOwner(db, folderStore(folder), 'Mr. Tern');
    const { plan: kept, version } = await readDaySheet(db, '2026-12-01', 'Ines Marlow', [], NOW);
    expect(kept?.jobs).toEqual([{ job }]);
    expect(version).toBe(2);
  });
});
