import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import fc from 'fast-check';
import { ulid } from 'ulid';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { demandWhole, fold, foldOn, type JobEvent, judge } from '../src/core/job';
import { type Database, openDatabase } from '../src/data/database';
import { factsPage } from '../src/data/facts';
import { countJobs, eventsOf, insertJob, summariesOf } from '../src/data/jobs';
import { jobEvents } from '../src/data/tables';
import { DEMO_UNITS, demoJobs } from '../src/demo/jobs';
import { seedDemo } from '../src/demo/seed';
import { postEvents } from '../src/server/post-events';
import { readJob } from '../src/server/read-job';
import { recordsOf } from '../src/server/records';
import { note, undo } from './fixtures/entries';

const UNITS = DEMO_UNITS.map(() => ulid());
let folder = '';
let db: Database;
const open = () => openDatabase({ folder, migrations: path.resolve('drizzle') });
beforeEach(async () => {
  folder = mkdtempSync(path.join(tmpdir(), 'mulch-records-'));
  db = await open();
  await seedDemo(db, new Date('2026-11-25T15:00:00Z'));
});
afterEach(() => {
  db.close();
  rmSync(folder, { recursive: true, force: true });
});

const first = async () => (await summariesOf(db.read, false))[0]?.id ?? '';
const recordOf = async (job: string) => {
  const record = await recordsOf(db).of(db.read, job);
  if (!record) throw new Error('no record');
  return record;
};

describe('a record that is kept', () => {
  it('is that of the whole story after any entries, undone and brought back among them', async () => {
    const job = await first();
    await fc.assert(
      fc.asyncProperty(fc.array(fc.nat({ max: 9 }), { minLength: 1, maxLength: 12 }), async (acts) => {
        for (const act of acts) {
          const { events } = await recordOf(job);
          const last = events.at(-1) as JobEvent;
          const next = act < 7 ? note(`note ${act}`) : undo(last.id);
          const sent = await postEvents(db, job, [next], events.length).catch(() => null);
          if (sent) expect(sent.events.map((e) => e.id)).toEqual([next.id]);
        }
        const kept = await recordOf(job);
        const whole = await eventsOf(db.read, job);
        expect(kept.events).toEqual(whole);
        expect(kept.state).toEqual(fold(whole).state);
      }),
      { numRuns: 12 },
    );
  });

  it('takes in what another process kept, and is given up where another story stands', async () => {
    const job = await first();
    const before = await recordOf(job);
    const other = await open();
    try {
      await postEvents(other, job, [note('from elsewhere')], 0);
      expect((await recordOf(job)).events).toHaveLength(before.events.length + 1);
      // An older copy was put in the place of the database: a shorter story.
      await db.write(async (tx) => {
        await tx.delete(jobEvents);
      });
      expect(await recordsOf(db).of(db.read, job)).toBeNull();
    } finally {
      other.close();
    }
  });

  it('is not moved on by what was refused', async () => {
    const job = await first();
    const before = await recordOf(job);
    await expect(postEvents(db, job, [note('one'), note('  ')], 0)).rejects.toMatchObject({ status: 422 });
    expect((await recordOf(job)).events).toEqual(before.events);
    await postEvents(db, job, [note('two')], 0);
    expect(await eventsOf(db.read, job)).toHaveLength(before.events.length + 1);
  });

  it('of a job that somebody knows more of than there is has no later entries, and says how many there are', async () => {
    const job = await first();
    const { seq } = await readJob(db, job);
    expect(await readJob(db, job, seq)).toEqual({ events: [], seq });
    expect(await readJob(db, job, seq + 50)).toEqual({ events: [], seq });
    await expect(readJob(db, ulid(), 3)).rejects.toMatchObject({ status: 404 });
  });
});

describe('folding on', () => {
  it('from any point of any demo job comes to the same job', () => {
    for (const { events } of demoJobs(new Date('2026-11-25T15:00:00Z'), UNITS))
      for (let k = 1; k <= events.length; k += 3)
        expect(foldOn(fold(events.slice(0, k)), events.slice(k)).state).toEqual(fold(events).state);
  });

  it('and a story is whole exactly where each entry is taken as it comes', () => {
    const [demo] = demoJobs(new Date('2026-11-25T15:00:00Z'), UNITS);
    const opened = demo?.events[0] as JobEvent;
    fc.assert(
      fc.property(fc.array(fc.nat({ max: 11 }), { maxLength: 10 }), (acts) => {
        const story: JobEvent[] = [opened];
        for (const [i, act] of acts.entries())
          story.push(act < 4 ? note(`${i}`) : undo(story[act % story.length]?.id as string));
        const taken = (() => {
          try {
            let record = judge(null, opened);
            for (const e of story.slice(1)) record = judge(record, e);
            return true;
          } catch {
            return false;
          }
        })();
        const whole = (() => {
          try {
            demandWhole(story);
            return true;
          } catch {
            return false;
          }
        })();
        expect(whole).toBe(taken);
      }),
      { numRuns: 300 },
    );
  });
});

describe('the bench', () => {
  it('is told the jobs that are here apart from those handed over, and how many there are', async () => {
    const here = await summariesOf(db.read, false);
    const gone = await summariesOf(db.read, true);
    expect(await countJobs(db.read)).toEqual({ here: here.length, gone: gone.length });
    expect(gone.length).toBeGreaterThan(0);
    expect(here.some((j) => j.handedOver)).toBe(false);
    expect(gone.every((j) => j.handedOver)).toBe(true);
    const [like] = gone;
    const [facts] = await factsPage(db.read, {}, 0, 1);
    if (!like || !facts) throw new Error('nothing handed over');
    await db.write(async (tx) => {
      for (let i = 0; i < 30; i++) {
        const id = ulid();
        const openedAt = `2026-11-26T10:00:${String(i).padStart(2, '0')}.000Z`;
        const summary = { ...like, id, tag: `X-${i}`, openedAt };
        await insertJob(tx, { summary, facts: { ...facts, job: id, openedAt } }, [note(`${i}`)]);
      }
    });
    expect((await summariesOf(db.read, true, 5)).map((j) => j.tag)).toEqual([
      'X-29',
      'X-28',
      'X-27',
      'X-26',
      'X-25',
    ]);
    expect((await countJobs(db.read)).gone).toBe(gone.length + 30);
  });
});
