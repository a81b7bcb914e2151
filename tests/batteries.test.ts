import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import ICAL from 'ical.js';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { CHEMISTRY_ROWS } from '../src/core/chemistry';
import { fitOf, plugsToMove, preparationsOf } from '../src/core/job';
import { bench } from '../src/core/job/bench.test.fixture';
import { readLineText } from '../src/core/mixups';
import { reportOf } from '../src/core/report';
import { type Database, openDatabase } from '../src/data/database';
import { photoPrinter } from '../src/demo/units/photo-printer';
import { chemistryOf, saveChemistry } from '../src/server/chemistry';
import { replaceByCalendar } from '../src/server/replace-by';

const printer = { ...photoPrinter, hazards: [], powerDown: [] };
const old = { chemistry: 'li-ion' as const, contacts: ['+', '-'] as ('+' | '-')[], leadMm: 120 };

function atThePack() {
  const b = bench(printer);
  b.planned('B1');
  b.line('lift rear cover > shelf');
  b.line('lift shield plate > shelf');
  return b;
}
const fitted = (b: ReturnType<typeof atThePack>) => {
  b.tell({ type: 'part.removed', name: 'old pack' });
  b.tell({ type: 'preparation.ticked', line: 'polarity', note: '+7.4 V' });
};

describe('a battery in a job', () => {
  it('that does not fit is not fitted, until one that does was compared', () => {
    const b = atThePack();
    b.tell({
      type: 'battery.compared',
      element: 'B1',
      request: { old, new: { ...old, contacts: ['-', '+'] } },
      chemistry: 0,
    });
    fitted(b);
    const putIn = () => b.tell({ type: 'part.fitted', name: 'new pack' });
    expect(putIn).toThrow('Do not fit it: polarity, contact 1 carries − where + was');
    b.tell({ type: 'battery.compared', element: 'B1', request: { old, new: old }, chemistry: 0 });
    putIn();
  });
  it('that fits after work brings its work into the preparation, and holds for it', () => {
    const b = atThePack();
    b.tell({
      type: 'battery.compared',
      element: 'B1',
      request: { old, new: { ...old, leadMm: 80 } },
      chemistry: 0,
    });
    expect(fitOf(b.state(), 'B1')?.work).toHaveLength(1);
    fitted(b);
    const work = preparationsOf(b.state()).find((l) => l.id.startsWith('work:'));
    expect(() => b.tell({ type: 'part.fitted', name: 'new pack' })).toThrow('First: lengthen the lead');
    b.tell({ type: 'preparation.ticked', line: work?.id ?? '' });
    b.tell({ type: 'part.fitted', name: 'new pack' });
  });
  it('only a battery is compared, and only with figures that can be', () => {
    const b = atThePack();
    const compare = (element: string, request: object) =>
      b.tell({ type: 'battery.compared', element, request, chemistry: 0 } as never);
    expect(() => compare('A2', { old, new: old })).toThrow('A2 is no battery');
    expect(() => compare('B1', { old: { volts: -1 }, new: old })).toThrow('over 0');
  });
  it('keeps the chemistry it was judged with, and goes into the calendar', () => {
    const rows = CHEMISTRY_ROWS.map((r) => (r.class === 'li-ion' ? { ...r, lifeYears: 3 } : r));
    const b = atThePack();
    b.tell({ type: 'battery.compared', element: 'B1', request: { old, new: old, rows }, chemistry: 4 });
    expect(() => replaceByCalendar(b.state())).toThrow('compare old and new');
    fitted(b);
    b.tell({ type: 'part.fitted', name: 'pack 7.2 V' });
    const at = b.state().fix?.at ?? '';
    // Outside reference: read back by the iCalendar parser ical.js.
    const calendar = new ICAL.Component(
      ICAL.parse(replaceByCalendar({ ...b.state(), place: 'north arcade' })),
    );
    const event = new ICAL.Event(calendar.getFirstSubcomponent('vevent') as ICAL.Component);
    expect(event.summary).toBe('Replace B1 of Photo-booth printer');
    expect(event.location).toBe('north arcade');
    expect(event.startDate.isDate).toBe(true);
    expect(event.startDate.toString()).toBe(`${Number(at.slice(0, 4)) + 3}${at.slice(4, 10)}`);
    const done = reportOf(b.state(), b.events()).find((s) => s.title === 'Done');
    expect(done?.lines.some((l) => l.result?.includes('chemistry rows of version 4'))).toBe(true);
  });
});

describe('a board in a job', () => {
  const lines = (text: string) => readLineText(text);
  const header = (id: string, text: string) => ({
    id,
    positions: lines(text).length,
    lines: lines(text),
    key: null,
  });
  const was = { headers: [header('J1', '+24V; GND')], carries: ['heat sink'] };
  const is = { headers: [header('J1', '+24V; GND')], supplyMin: 20, supplyMax: 28 };
  const atTheBoard = () => {
    const b = bench(printer);
    b.planned('A2');
    b.line('lift rear cover > shelf');
    b.line('lift shield plate > shelf');
    b.tell({ type: 'preparation.ticked', line: 'contact 1' });
    return b;
  };
  it('with supply and ground exchanged is not fitted; with work it waits for its work', () => {
    const b = atTheBoard();
    const compare = (fresh: object) =>
      b.tell({
        type: 'board.compared',
        element: 'A2',
        request: { old: was, new: { ...is, ...fresh }, supplyVolts: 24 },
      });
    compare({ headers: [header('J1', 'GND; +24V')] });
    expect(() => b.tell({ type: 'part.removed', name: 'old board' })).toThrow(/W1.* still on the old one/);
    for (const plug of plugsToMove(b.state())) b.line(`unplug ${plug}`);
    b.tell({ type: 'part.removed', name: 'old board' });
    const putIn = () => b.tell({ type: 'part.fitted', name: 'new board' });
    expect(putIn).toThrow('Do not fit it: connector J1, contact 1: +24V meets GND');
    compare({});
    expect(putIn).toThrow('First: carry over: heat sink');
    b.tell({ type: 'preparation.ticked', line: 'work: carry over: heat sink' });
    putIn();
    const done = reportOf(b.state(), b.events()).find((s) => s.title === 'Done');
    expect(done?.lines.map((l) => l.text)).toContain('Old and new board compared');
  });
  it('is no battery', () => {
    expect(() =>
      atTheBoard().tell({ type: 'board.compared', element: 'B1', request: { old: was, new: is } }),
    ).toThrow('B1 is no board');
  });
});

describe('chemistry kept on the server', () => {
  let folder: string;
  let db: Database;
  beforeAll(async () => {
    folder = mkdtempSync(path.join(tmpdir(), 'mulch-'));
    db = await openDatabase({ folder, migrations: path.resolve('drizzle') });
  });
  afterAll(() => {
    db.close();
    rmSync(folder, { recursive: true, force: true });
  });
  it('is as shipped until changed; whoever began from an older version is told', async () => {
    expect((await chemistryOf(db.read)).version).toBe(0);
    const rows = CHEMISTRY_ROWS.slice(0, 2);
    expect((await saveChemistry(db, { version: 0, rows })).version).toBe(1);
    expect((await chemistryOf(db.read)).rows).toEqual(rows);
    await expect(saveChemistry(db, { version: 0, rows: CHEMISTRY_ROWS })).rejects.toMatchObject({
      status: 409,
      path: '/version',
    });
    await expect(saveChemistry(db, { version: 1, rows: [] })).rejects.toThrow('at least one');
    expect((await chemistryOf(db.read)).version).toBe(1);
  });
});
