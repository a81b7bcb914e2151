import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { sql } from 'drizzle-orm';
import fc from 'fast-check';
import { ulid } from 'ulid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { type JobEvent, type JobRecord, judge, searchText } from '../src/core/job';
import { shownOf } from '../src/core/record';
import { readQuery } from '../src/core/search';
import { type Database, openDatabase } from '../src/data/database';
import { insertJob } from '../src/data/jobs';
import { reindex } from '../src/data/search';
import { insertUnit, replaceUnit } from '../src/data/units';
import { hearingLoop } from '../src/demo/units/hearing-loop';
import { photoPrinter } from '../src/demo/units/photo-printer';
import { postEvents } from '../src/server/post-events';
import { startExercise } from '../src/server/practice/start';
import { findAnything } from '../src/server/search';

const folder = mkdtempSync(path.join(tmpdir(), 'mulch-search-'));
const at = '2026-11-27T10:00:00.000Z';
let db: Database;
const unit = ulid();
const ids: Record<string, string> = {};
const stamp = () => ({ id: ulid(), at, by: 'Ines' });

async function job(tag: string, map: typeof hearingLoop, ...told: object[]): Promise<void> {
  let r: JobRecord = judge(null, {
    ...stamp(),
    type: 'job.opened',
    job: ulid(),
    tag,
    map,
    place: 'ticket hall',
  });
  for (const t of told) r = judge(r, { ...stamp(), ...t } as JobEvent);
  ids[tag] = r.state.id;
  await db.write((tx) => insertJob(tx, shownOf(r), r.events));
}
const intake = (symptom: string, fn = 'left') => ({
  type: 'intake.recorded',
  function: fn,
  symptom,
  pattern: 'always',
  keep: [],
});
const found = async (text: string) => (await findAnything(db.read, text, 20)).map((f) => f.title);

beforeAll(async () => {
  db = await openDatabase({ folder, migrations: path.resolve('drizzle') });
  await db.write((tx) =>
    insertUnit(tx, {
      id: unit,
      version: 1,
      name: photoPrinter.name,
      place: 'east booth',
      map: photoPrinter,
      savedAt: at,
    }),
  );
  await job(
    'SP-101',
    hearingLoop,
    { type: 'unit.identified', mark: 'QF-40-0311', owner: 'Ağaoğlu Żeglarz' },
    intake('drops out'),
    {
      type: 'note.added',
      text: 'ribbon by the heater is brittle',
    },
  );
  await job('SP-102', hearingLoop, intake('hum on both sides'), {
    type: 'note.added',
    text: 'Kopfhörer im Schrank; νήσος',
  });
  await job('J-7', photoPrinter, intake('dark strip', photoPrinter.functions[0]?.id), {
    type: 'note.added',
    text: 'error E-14, pack low',
  });
});
afterAll(async () => {
  await db.settle();
  rmSync(folder, { recursive: true, force: true });
});

describe('finding things', () => {
  it('by words of any entry, by what they begin with, across entries of one job', async () => {
    expect(await found('brittle')).toEqual(['SP-101 Hearing-loop amplifier']);
    expect(await found('britt')).toEqual(['SP-101 Hearing-loop amplifier']);
    // The note says ribbon, the opening ticket hall, the owner has letters of his own.
    expect(await found('ribbon "ticket hall" zeglarz')).toEqual(['SP-101 Hearing-loop amplifier']);
    expect(await found('kopfhorer νήσος')).toEqual(['SP-102 Hearing-loop amplifier']);
    expect(await found('QF-40-0311')).toEqual(['SP-101 Hearing-loop amplifier']);
    expect(await found('E-14')).toEqual([expect.stringContaining('J-7')]);
    expect(await found('amplifier nothing-like-it')).toEqual([]);
  });
  it('by a phrase, without a word, by the beginning of a tag', async () => {
    expect((await found('hearing loop')).sort()).toEqual([
      'SP-101 Hearing-loop amplifier',
      'SP-102 Hearing-loop amplifier',
    ]);
    expect(await found('loop -hum')).toEqual(['SP-101 Hearing-loop amplifier']);
    expect(await found('"loop hearing"')).toEqual([]);
    expect((await found('tag:sp-1')).length).toBe(2);
    expect(await found('amplifier tag:SP-102')).toEqual(['SP-102 Hearing-loop amplifier']);
    expect(await found('-hum')).toEqual([]);
    expect(await found('')).toEqual([]);
  });
  it('units too, as their maps are now', async () => {
    expect(await found('east booth')).toEqual([photoPrinter.name]);
    await db.write((tx) =>
      replaceUnit(
        tx,
        {
          id: unit,
          version: 2,
          name: 'Strip printer',
          place: 'west booth',
          map: { ...photoPrinter, name: 'Strip printer' },
          savedAt: at,
        },
        1,
      ),
    );
    expect(await found('east booth')).toEqual([]);
    expect(await found('west booth')).toEqual(['Strip printer']);
  });
  it('not what was taken back, until that is taken back too', async () => {
    const id = ids['SP-102'] ?? '';
    const note = { ...stamp(), type: 'note.added', text: 'moth in the relay' } as JobEvent;
    await postEvents(db, id, [note], 0);
    expect(await found('moth')).toHaveLength(1);
    const undo = { ...stamp(), type: 'undone', event: note.id } as JobEvent;
    await postEvents(db, id, [undo], 0);
    expect(await found('moth')).toEqual([]);
    await postEvents(db, id, [{ ...stamp(), type: 'undone', event: undo.id } as JobEvent], 0);
    expect(await found('moth')).toHaveLength(1);
  });
  it('nothing of practice', async () => {
    await startExercise(
      db,
      { exercise: ulid(), at, by: 'Ines', kind: 'find it', made: { shape: 'chain', size: 6 }, seed: 1 },
      null,
    );
    expect(await found('practice')).toEqual([]);
    expect(
      (
        await db.read
          .select({ n: sql<number>`count(*)` })
          .from(sql`search`)
          .where(sql`search match '"practice"*'`)
      )[0]?.n,
    ).toBe(0);
    // Nor are answers and patterns, which every job has.
    for (const word of ['always', 'ok', 'bad']) expect(await found(word)).toEqual([]);
  });
  it('the same after the index was filled anew, and after a start without one', async () => {
    const before = await Promise.all(['ribbon', 'loop', 'moth', 'booth', 'tag:J'].map(found));
    await db.write(reindex);
    expect(await Promise.all(['ribbon', 'loop', 'moth', 'booth', 'tag:J'].map(found))).toEqual(before);
  });
  it('whatever is thrown at it, without an error', async () => {
    const nasty = fc.oneof(
      fc.string({ maxLength: 40 }),
      fc.string({ unit: 'grapheme', maxLength: 20 }),
      fc
        .array(
          fc.constantFrom(
            '"',
            "'",
            '*',
            '-',
            '(',
            ')',
            'AND',
            'OR',
            'NOT',
            'NEAR',
            '^',
            ':',
            'tag:',
            '%',
            '_',
            ';',
            '--',
            'body:',
            '{',
            '+',
            '\\',
            'loop',
          ),
          { maxLength: 12 },
        )
        .map((l) => l.join(' ')),
    );
    await fc.assert(
      fc.asyncProperty(nasty, async (text) => {
        expect(Array.isArray(await findAnything(db.read, text, 5))).toBe(true);
      }),
      { numRuns: 300 },
    );
  });
  it('read as terms that the index takes as words', () => {
    expect(readQuery('ribbon -left "hall a" tag:sp-0')).toEqual({
      wanted: ['"ribbon"*', '"hall a"'],
      unwanted: ['"left"*'],
      tag: 'SP-0',
    });
    expect(readQuery('230V/50Hz "" - "!?" -"a b"')).toEqual({
      wanted: ['"230V 50Hz"*'],
      unwanted: ['"a b"'],
    });
    expect(searchText({ ...stamp(), type: 'power.set', power: 'on' } as JobEvent)).toBe('');
  });
  it('a job with very many entries of one word hides no other; what stands in one entry comes first', async () => {
    const notes = Array.from({ length: 500 }, () => ({ type: 'note.added', text: 'gull' }));
    await job('SP-901', hearingLoop, intake('crows'), ...notes);
    for (let k = 0; k < 12; k++)
      await job(`SP-91${k}`, hearingLoop, intake('a gull sat on the aerial of it'));
    const titles = await found('gull');
    expect(titles.filter((t) => t.startsWith('SP-9'))).toHaveLength(13);
    await job('SP-950', hearingLoop, intake('heron'), { type: 'note.added', text: 'egret' });
    await job('SP-951', hearingLoop, intake('heron and egret'));
    expect((await found('heron egret')).map((t) => t.slice(0, 6))).toEqual(['SP-951', 'SP-950']);
  });
});
