import { spawnSync } from 'node:child_process';
import { mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { gunzipSync, gzipSync } from 'node:zlib';
import fc from 'fast-check';
import sharp from 'sharp';
import { ulid } from 'ulid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { startMulch } from '../e2e/mulch';
import { backupsIn, isDue, keepSoMany, makeBackup, restoreBackup, verifyBackup } from '../src/backup';
import { type Database, openDatabase } from '../src/data/database';
import { allSummaries } from '../src/data/jobs';
import { seedDemo } from '../src/demo/seed';
import { exportJob } from '../src/server/job-file';
import { folderStore } from '../src/server/photo-store';
import { keepPhoto } from '../src/server/photos';
import { postEvents } from '../src/server/post-events';

const LATER = 9_999_999_999_999;
const root = mkdtempSync(path.join(tmpdir(), 'mulch-backup-'));
const data = path.join(root, 'data');
const file = path.join(root, 'kept.tar.gz');
const now = new Date('2026-11-26T22:15:00Z');
const open = (at: string) => openDatabase({ folder: at, migrations: 'drizzle' });
/** Everything that can be seen of a workshop: each job with its pictures, as its file. */
async function everything(db: Database, at: string) {
  const list = await allSummaries(db.read);
  const store = folderStore(path.join(at, 'photos'));
  return {
    list,
    files: await Promise.all(list.map((j) => exportJob(db, store, j.id, now))),
  };
}
let db: Database;
let before: Awaited<ReturnType<typeof everything>>;

beforeAll(async () => {
  db = await open(data);
  await seedDemo(db, now);
  const picture = await sharp({ create: { width: 300, height: 200, channels: 3, background: 'teal' } })
    .jpeg()
    .toBuffer();
  const kept = await keepPhoto(db, folderStore(path.join(data, 'photos')), picture, now);
  const [job] = await allSummaries(db.read);
  await postEvents(
    db,
    job?.id ?? '',
    [{ id: ulid(), at: now.toISOString(), by: 'Ines', type: 'photo.added', caption: 'the board', ...kept }],
    0,
  );
  before = await everything(db, data);
  // The database stays open: a backup is made while Mulch runs.
  await makeBackup(data, file, now);
});
afterAll(async () => {
  await db.settle();
  rmSync(root, { recursive: true, force: true });
});

describe('a backup', () => {
  it('restored elsewhere is the same workshop, pictures and all', async () => {
    const there = path.join(root, 'elsewhere');
    const { manifest, aside } = await restoreBackup(file, there, { over: false, tables: LATER, now });
    expect(aside).toBeNull();
    expect(manifest.jobs).toBe(before.list.length);
    expect(manifest.missing).toEqual([]);
    const other = await open(there);
    try {
      expect(await everything(other, there)).toEqual(before);
    } finally {
      await other.settle();
    }
  });

  it('tells any flipped bit', async () => {
    const whole = readFileSync(file);
    expect((await verifyBackup(file)).faults).toEqual([]);
    const bad = path.join(root, 'bad.tar.gz');
    let untold = 0;
    await fc.assert(
      fc.asyncProperty(fc.nat({ max: whole.length - 1 }), fc.nat({ max: 7 }), async (byte, bit) => {
        const flipped = Buffer.from(whole);
        flipped[byte] = (flipped[byte] as number) ^ (1 << bit);
        writeFileSync(bad, flipped);
        const { faults } = await verifyBackup(bad);
        // Between packed blocks a few bits only fill a byte up: those carry nothing.
        if (faults.length === 0) {
          untold++;
          expect(gunzipSync(flipped).equals(gunzipSync(whole))).toBe(true);
        }
      }),
      // The head and the tail of the file are the hardest to hold: each byte of them is tried.
      {
        numRuns: 60,
        examples: [0, 1, 2, 3, 4, 5, 6, 7, 8, 9].flatMap((i): [number, number][] => [
          [i, 0],
          [whole.length - 1 - i, 3],
        ]),
      },
    );
    expect(untold).toBeLessThan(8);
    writeFileSync(bad, whole.subarray(0, whole.length >> 1));
    expect((await verifyBackup(bad)).faults.join()).toContain('damaged');
    await expect(
      restoreBackup(bad, path.join(root, 'never'), { over: false, tables: LATER, now }),
    ).rejects.toThrow('Nothing was changed');
    await expect(verifyBackup(path.join(root, 'nothing'))).rejects.toThrow('is not there');
  });

  it('tells what was changed before it was packed, in the heads of its files above all', async () => {
    const plain = gunzipSync(readFileSync(file));
    const bad = path.join(root, 'changed.tar.gz');
    const heads: number[] = [];
    for (let at = 0; at + 512 <= plain.length; at += 512)
      if (plain.subarray(at + 257, at + 262).toString() === 'ustar') heads.push(at);
    expect(heads.length).toBeGreaterThan(2);
    const changed = async (bytes: number[]) => {
      const other = Buffer.from(plain);
      for (const at of bytes) other[at] = (other[at] as number) ^ 4;
      const packed = gzipSync(other, { level: 1 });
      // The system it was packed on is left out, as a backup does it.
      packed[9] = 255;
      writeFileSync(bad, packed);
      return (await verifyBackup(bad)).faults;
    };
    expect(await changed([])).toEqual([]);
    // Every head wrong at once: told once, and nothing is left behind that nobody waits for.
    expect((await changed(heads.map((at) => at + 150))).length).toBeGreaterThan(0);
    await fc.assert(
      fc.asyncProperty(fc.constantFrom(...heads), fc.nat({ max: 147 }), async (head, at) => {
        expect((await changed([head + at])).length).toBeGreaterThan(0);
      }),
      { numRuns: 40 },
    );
  });

  it('never takes the place of a workshop unasked, nor of one that runs, and puts the old one aside', async () => {
    const there = path.join(root, 'taken');
    const mulch = await startMulch({ data: there });
    const command = (...args: string[]) => {
      const { status, stdout, stderr } = spawnSync(
        process.execPath,
        ['--import', 'tsx', 'scripts/restore.ts', file, ...args],
        { env: { ...process.env, MULCH_DATA: there }, encoding: 'utf8' },
      );
      return { status, said: stdout + stderr };
    };
    const how = { over: true, tables: LATER, now };
    await expect(restoreBackup(file, there, { ...how, over: false })).rejects.toThrow('add --over');
    expect(command('--over')).toMatchObject({ status: 1, said: expect.stringContaining('a Mulch runs on') });
    const ended = new Promise((done) => mulch.process.once('exit', done));
    mulch.process.kill('SIGTERM');
    await ended;
    await expect(restoreBackup(file, there, { ...how, tables: 1 })).rejects.toThrow('later Mulch');
    const { status, said } = command('--over');
    expect(status).toBe(0);
    const aside = /What stood there lies in (.+) now/.exec(said)?.[1];
    expect(readdirSync(aside ?? '')).toContain('mulch.db');
    const again = await startMulch({ data: there });
    try {
      expect(await (await fetch(`${again.url}/api/jobs`)).json()).toHaveLength(before.list.length);
    } finally {
      await again.stop();
    }
  });

  it('goes over no file, and needs a workshop', async () => {
    await expect(makeBackup(data, file, now)).rejects.toThrow('is there already');
    await expect(makeBackup(path.join(root, 'empty'), path.join(root, 'x'), now)).rejects.toThrow(
      'no Mulch in',
    );
  });

  it('says which pictures it lacks', async () => {
    const there = path.join(root, 'without');
    await restoreBackup(file, there, { over: false, tables: LATER, now });
    rmSync(path.join(there, 'photos'), { recursive: true });
    const { manifest } = await makeBackup(there, path.join(root, 'without.tar.gz'), now);
    expect(manifest.missing).toHaveLength(1);
    expect((await verifyBackup(path.join(root, 'without.tar.gz'))).faults).toEqual([]);
  });
});

describe('each night', () => {
  it('one is due by night, or when the last is a day old, and not twice', () => {
    const night = new Date(2026, 10, 27, 2, 20);
    const noon = new Date(2026, 10, 27, 12, 0);
    const hoursAgo = (at: Date, h: number) => new Date(at.getTime() - h * 3_600_000).toISOString();
    expect(isDue(null, noon)).toBe(true);
    expect(isDue(hoursAgo(night, 11.9), night)).toBe(false);
    expect(isDue(hoursAgo(night, 12), night)).toBe(true);
    expect(isDue(hoursAgo(noon, 23.9), noon)).toBe(false);
    expect(isDue(hoursAgo(noon, 24), noon)).toBe(true);
  });

  it('so many are kept, the latest, and files of other names are left alone', async () => {
    const folder = path.join(root, 'many');
    for (const day of [21, 22, 23, 24]) await makeBackup(data, `${folder}/`, new Date(2026, 10, day, 2, 0));
    writeFileSync(path.join(folder, 'mine.tar.gz'), 'x');
    await keepSoMany(folder, 2);
    expect((await backupsIn(folder)).map((b) => b.name)).toEqual([
      'mulch-2026-11-24-020000.tar.gz',
      'mulch-2026-11-23-020000.tar.gz',
    ]);
    expect(readdirSync(folder)).toContain('mine.tar.gz');
  });

  it('and at a word, over HTTP', async () => {
    const mulch = await startMulch({ demo: true });
    try {
      const list = async () => (await fetch(`${mulch.url}/api/backups`)).json();
      expect(await list()).toEqual({ on: true, backups: [] });
      const made = await fetch(`${mulch.url}/api/backups`, { method: 'POST' });
      expect(made.status).toBe(201);
      const { name } = (await made.json()) as { name: string };
      expect(await list()).toMatchObject({ backups: [{ name }] });
      expect((await verifyBackup(path.join(mulch.data, 'backups', name))).faults).toEqual([]);
    } finally {
      await mulch.stop();
    }
    const none = await startMulch({ env: { MULCH_BACKUPS: 'no' } });
    try {
      expect((await fetch(`${none.url}/api/backups`, { method: 'POST' })).status).toBe(409);
    } finally {
      await none.stop();
    }
  });
});
