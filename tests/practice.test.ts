import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import Papa from 'papaparse';
import { ulid } from 'ulid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { entryOf, fold, judge, type PracticeAct } from '../src/core/job';
import { type Exercise, madeUnit, type PracticeKind } from '../src/core/practice';
import { quickReading } from '../src/core/practice/kinds/quick-reading';
import { shownOf } from '../src/core/record';
import { type Database, openDatabase } from '../src/data/database';
import { exercisesOf } from '../src/data/exercises';
import {
  allLessons,
  allSummaries,
  allTags,
  countJobs,
  eventsOf,
  insertJob,
  summariesOf,
} from '../src/data/jobs';
import { insertUnit } from '../src/data/units';
import { hearingLoop } from '../src/demo/units/hearing-loop';
import { addPerson } from '../src/server/people/people';
import { postEvents } from '../src/server/post-events';
import { progressCsv } from '../src/server/practice/progress';
import { keepExercise } from '../src/server/practice/save';
import { playAgain, startExercise } from '../src/server/practice/start';
import { Problem } from '../src/server/problem';

const folder = mkdtempSync(path.join(tmpdir(), 'mulch-practice-'));
const at = '2026-11-27T10:00:00.000Z';
const unit = ulid();
let db: Database;

beforeAll(async () => {
  db = await openDatabase({ folder, migrations: path.resolve('drizzle') });
  await db.write((tx) =>
    insertUnit(tx, {
      id: unit,
      version: 1,
      name: hearingLoop.name,
      place: 'hall',
      map: hearingLoop,
      savedAt: at,
    }),
  );
});
afterAll(async () => {
  await db.settle();
  rmSync(folder, { recursive: true, force: true });
});

const begin = (kind: PracticeKind, more: object = {}) =>
  startExercise(db, { exercise: ulid(), at, by: 'Ines', kind, ...more }, null);
const refused = (work: Promise<unknown>): Promise<Problem> =>
  work.then(
    () => {
      throw new Error('it was taken');
    },
    (e) => {
      if (e instanceof Problem) return e;
      throw e;
    },
  );
const state = async (e: Exercise) => fold(await eventsOf(db.read, e.job ?? '')).state;
/** Does an act of a run as the unit answers it. */
async function act(e: Exercise, what: PracticeAct) {
  const { type, payload } = entryOf(await state(e), what);
  const { events } = await postEvents(
    db,
    e.job ?? '',
    [{ id: ulid(), at, by: 'Ines', type, ...payload } as never],
    0,
  );
  return events.at(-1);
}

describe('a run on the practice bench', () => {
  it('stands on no list of the workshop, and teaches it nothing', async () => {
    const before = [
      await countJobs(db.read),
      await allSummaries(db.read),
      await allTags(db.read),
      await allLessons(db.read),
    ];
    const e = await begin('find it', { unit, seed: 5 });
    expect(e.job).toBeTruthy();
    expect((await state(e)).practice?.exercise).toBe(e.id);
    expect([
      await countJobs(db.read),
      await allSummaries(db.read),
      await allTags(db.read),
      await allLessons(db.read),
    ]).toEqual(before);
    expect(await summariesOf(db.read, false)).toEqual([]);
    // A real one beside it is there.
    const real = judge(null, {
      id: ulid(),
      at,
      by: 'Ines',
      type: 'job.opened',
      job: ulid(),
      tag: 'J-1',
      map: hearingLoop,
    });
    await db.write((tx) => insertJob(tx, shownOf(real), real.events));
    expect(await allTags(db.read)).toEqual(['J-1']);
    expect(await countJobs(db.read)).toEqual({ here: 1, gone: 0 });
  });

  it('is started once for one id, hides the same for the same seed, and what was asked for', async () => {
    const command = { exercise: ulid(), at, by: 'Ines', kind: 'find it' as const, unit, seed: 9 };
    const [a, b] = [await startExercise(db, command, null), await startExercise(db, command, null)];
    expect(b).toEqual(a);
    const again = await begin('find it', { unit, seed: 9 });
    expect((await state(again)).practice?.hidden).toEqual((await state(a)).practice?.hidden);
    const w7 = await begin('find it', { unit, element: 'W7', coach: true });
    expect((await state(w7)).practice).toMatchObject({ hidden: { faults: [{ id: 'W7' }] }, coach: true });
  });

  it('ends with what it came to, once', async () => {
    const e = await begin('find it', { made: { shape: 'chain', size: 6 }, seed: 3 });
    const run = {
      score: 0.8,
      minutes: 20,
      optimum: 14,
      remember: 'Halve it.',
      ways: [{ name: 'halving', score: 0.7 }],
    };
    expect((await refused(keepExercise(db, e.id, { at, done: true, run }, null))).detail).toContain(
      'not over yet',
    );
    const s = await state(e);
    const fault = s.practice?.hidden.faults[0]?.id ?? '';
    const last = s.map.elements.find((x) => x.id === fault)?.remedies.at(-1)?.id ?? '';
    await act(e, { tried: last, element: fault });
    expect((await state(e)).practiceOver?.how).toBe('mended');
    const { exercise } = await keepExercise(db, e.id, { at, done: true, run }, null);
    expect(exercise).toMatchObject({
      endedAt: at,
      score: 0.8,
      minutes: 20,
      optimum: 14,
      remember: 'Halve it.',
    });
    const twice = await keepExercise(db, e.id, { at, done: true, run: { ...run, score: 1 } }, null);
    expect(twice.exercise.score).toBe(0.8);
  });

  it('is gone over again from a decision: what came before stands, and it is not counted', async () => {
    const e = await begin('find it', { made: { shape: 'chain', size: 6 }, seed: 4 });
    const s = await state(e);
    const fault = s.practice?.hidden.faults[0]?.id;
    const [one, two] = s.map.elements.filter((x) => x.id !== fault && x.remedies.length);
    await act(e, { tried: one?.remedies[0]?.id ?? '', element: one?.id ?? '' });
    await act(e, { tried: two?.remedies[0]?.id ?? '', element: two?.id ?? '' });
    const b = await playAgain(db, e.id, { exercise: ulid(), at, by: 'Ines', decisions: 1 }, null);
    expect(b).toMatchObject({ again: true, from: { exercise: e.id, decisions: 1 } });
    expect(b.job).not.toBe(e.job);
    const [first, second] = [await state(e), await state(b)];
    expect(second.trace.map((t) => t.tried)).toEqual(first.trace.slice(0, 1).map((t) => t.tried));
    expect(second.practice?.hidden).toEqual(first.practice?.hidden);
    expect(second.practice?.exercise).toBe(b.id);
    expect(
      (await refused(playAgain(db, ulid(), { exercise: ulid(), at, by: 'I', decisions: 0 }, null))).status,
    ).toBe(404);
  });
});

describe('an exercise on a sheet of its own', () => {
  it('keeps how far it came, is judged by the core, and stays as it was judged', async () => {
    const e = await begin('way back', { made: { shape: 'nested covers', size: 8 }, seed: 2 });
    const half = await keepExercise(db, e.id, { at, done: false, answer: { order: [] } }, null);
    expect(half.exercise.answer).toEqual({ order: [] });
    expect(half.judged).toBeUndefined();
    const early = await refused(keepExercise(db, e.id, { at, done: true, answer: { order: [] } }, null));
    expect(early).toMatchObject({ status: 422, path: '/answer/order' });
    expect(early.detail).toContain('not laid yet');
    const f = await begin('fits, or not', { seed: 1 });
    const judged = await keepExercise(db, f.id, { at, done: true, answer: { line: null } }, null);
    expect([0, 1]).toContain(judged.judged?.score);
    const again = await keepExercise(db, f.id, { at, done: true, answer: { line: 'size' } }, null);
    expect(again.exercise.answer).toEqual({ line: null });
    expect(again.judged?.score).toBe(judged.judged?.score);
  });

  it('ended on two devices at once is ended once', async () => {
    const e = await begin('quick reading', { seed: 2 });
    const { options } = quickReading.make(madeUnit('chain', 8, 2), 2);
    const ends = await Promise.all(
      options.slice(0, 2).map((value) => keepExercise(db, e.id, { at, done: true, answer: { value } }, null)),
    );
    expect(ends[0]?.exercise.answer).toEqual(ends[1]?.exercise.answer);
    expect(ends[0]?.judged).toEqual(ends[1]?.judged);
    expect(ends[0]?.exercise.score).toBe(ends[0]?.judged?.score);
  });

  it('says in words what cannot be', async () => {
    expect((await refused(begin('plugs back', { unit: ulid() }))).status).toBe(404);
    expect(await refused(begin('find it', { made: { shape: 'chain', size: 99 } }))).toMatchObject({
      status: 422,
      path: '/made',
    });
    expect((await refused(begin('find it', { unit, element: 'nobody' }))).path).toBe('/element');
  });

  it('belongs to whoever began it', async () => {
    const ines = await addPerson(db, { name: 'Ines', role: 'bench', passcode: 'long enough' }, new Date(at));
    const jan = await addPerson(db, { name: 'Jan', role: 'bench', passcode: 'long enough' }, new Date(at));
    const e = await startExercise(db, { exercise: ulid(), at, by: 'x', kind: 'quick reading' }, ines);
    expect(e.by).toBe('Ines');
    expect((await exercisesOf(db.read, ines.id)).map((x) => x.id)).toEqual([e.id]);
    expect(await exercisesOf(db.read, jan.id)).toEqual([]);
    expect((await refused(keepExercise(db, e.id, { at, done: false }, jan))).status).toBe(404);
    expect(
      (await refused(playAgain(db, e.id, { exercise: ulid(), at, by: 'x', decisions: 0 }, ines))).detail,
    ).toContain('only a fault that was looked for');
  });

  it('is told as a table that holds no formula', async () => {
    const rows = Papa.parse<Record<string, string>>(progressCsv(await exercisesOf(db.read, '')), {
      header: true,
    }).data;
    expect(rows.map((r) => r.kind)).toEqual(['find it', 'fits, or not', 'quick reading']);
    expect(rows[0]).toMatchObject({
      score_percent: '80',
      minutes: '20',
      best_minutes: '14',
      halving_percent: '70',
      counted: 'yes',
    });
    const evil = progressCsv([
      {
        id: '',
        by: '',
        kind: 'find it',
        unit: '=1+1',
        seed: 1,
        startedAt: at,
        endedAt: at,
        skills: [],
        remember: '@x',
      },
    ]);
    expect(evil).toContain("'=1+1");
    expect(evil).toContain("'@x");
  });
});
