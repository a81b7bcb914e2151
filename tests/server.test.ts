import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import sharp from 'sharp';
import { ulid } from 'ulid';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { fold, type JobEvent } from '../src/core/job';
import { type Database, openDatabase } from '../src/data/database';
import { allSummaries } from '../src/data/jobs';
import { allUnits } from '../src/data/units';
import { DEMO_UNITS } from '../src/demo/jobs';
import { seedDemo } from '../src/demo/seed';
import { JobFileSchema } from '../src/schemas/job-file';
import { guardOf } from '../src/server/guard';
import { exportJob, importJob } from '../src/server/job-file';
import { lessonsOf, resetLessons } from '../src/server/lessons';
import { nextTag, openJob } from '../src/server/open-job';
import { folderStore, type PhotoStore } from '../src/server/photo-store';
import { keepPhoto } from '../src/server/photos';
import { postEvents } from '../src/server/post-events';
import { Problem } from '../src/server/problem';
import { saveUnit } from '../src/server/save-unit';
import { note } from './fixtures/entries';

let folder = '';
let db: Database;
let store: PhotoStore;
const open = (at: string) => openDatabase({ folder: at, migrations: path.resolve('drizzle') });
beforeEach(async () => {
  folder = mkdtempSync(path.join(tmpdir(), 'mulch-unit-'));
  db = await open(folder);
  store = folderStore(path.join(folder, 'photos'));
  await seedDemo(db, new Date('2026-11-25T15:00:00Z'));
});
afterEach(() => {
  db.close();
  rmSync(folder, { recursive: true, force: true });
});

const problem = async (p: Promise<unknown>): Promise<Problem> => {
  const error = await p.then(
    () => null,
    (e: unknown) => e,
  );
  if (error instanceof Problem) return error;
  throw new Error(`expected a problem, got ${String(error)}`);
};
const job = async (tag = 'SP-109') => (await allSummaries(db.read)).find((s) => s.tag === tag)?.id ?? '';

describe('demo', () => {
  it('seeds its units and jobs once', async () => {
    expect(await seedDemo(db, new Date())).toBe(false);
    expect((await allUnits(db.read)).length).toBe(DEMO_UNITS.length);
    expect((await allSummaries(db.read)).map((s) => s.tag).sort()).toEqual([
      'SP-031',
      'SP-052',
      'SP-077',
      'SP-098',
      'SP-109',
      'SP-115',
      'SP-117',
      'SP-126',
    ]);
  });
});

describe('events', () => {
  it('sent twice are kept once', async () => {
    const id = await job();
    const event = note('smells of salt');
    const first = await postEvents(db, id, [event], 0);
    const second = await postEvents(db, id, [event, event], first.seq);
    expect(second).toEqual({ seq: first.seq, events: [] });
  });

  it('under an id already used for something else are refused', async () => {
    const event = note('one');
    await postEvents(db, await job(), [event], 0);
    expect(
      await problem(postEvents(db, await job(), [{ ...event, text: 'two' } as JobEvent], 0)),
    ).toMatchObject({ status: 409, event: event.id });
    expect(await problem(postEvents(db, await job('SP-098'), [event], 0))).toMatchObject({ status: 409 });
  });

  it('are kept whole or not at all', async () => {
    const id = await job();
    const before = await exportJob(db, store, id, new Date(0));
    const bad: JobEvent = {
      id: ulid(),
      at: new Date().toISOString(),
      by: 'x',
      type: 'item.returned',
      item: 'nothing',
      count: 1,
      state: 'tight',
    };
    expect(await problem(postEvents(db, id, [note('kept?'), bad], 0))).toMatchObject({
      status: 422,
      event: bad.id,
      path: '/item',
    });
    expect(await exportJob(db, store, id, new Date(0))).toEqual(before);
  });

  it('from many windows at once all find their place', async () => {
    const id = await job();
    const start = (await exportJob(db, store, id, new Date())).events.length;
    await Promise.all(Array.from({ length: 30 }, (_, k) => postEvents(db, id, [note(`window ${k}`)], 0)));
    const { events } = await exportJob(db, store, id, new Date());
    expect(events.length).toBe(start + 30);
    expect(fold(events).state.notes).toHaveLength(30);
    expect((await allSummaries(db.read)).find((s) => s.id === id)?.stop).toBe('open up');
  });

  it('from two processes on one folder all find their place as well', async () => {
    const id = await job();
    const start = (await exportJob(db, store, id, new Date())).events.length;
    const second = await open(folder);
    try {
      await Promise.all(
        Array.from({ length: 24 }, (_, k) => postEvents(k % 2 ? db : second, id, [note(`process ${k}`)], 0)),
      );
      expect((await exportJob(db, store, id, new Date())).events.length).toBe(start + 24);
    } finally {
      second.close();
    }
  });

  it('for an unknown job answer 404', async () => {
    expect(await problem(postEvents(db, ulid(), [note('x')], 0))).toMatchObject({ status: 404 });
  });
});

describe('job file', () => {
  it('is read in on another Mulch without loss, and again without effect', async () => {
    const elsewhere = mkdtempSync(path.join(tmpdir(), 'mulch-unit-'));
    const other = await open(elsewhere);
    try {
      for (const { tag } of await allSummaries(db.read)) {
        const file = JSON.parse(
          JSON.stringify(await exportJob(db, store, await job(tag), new Date('2026-11-25T15:00:00Z'))),
        );
        expect(guardOf(JobFileSchema)(file), JSON.stringify(guardOf(JobFileSchema).errors)).toBe(true);
        expect((await importJob(other, store, file)).added).toBe(file.events.length);
        expect((await importJob(other, store, file)).added).toBe(0);
        expect(await exportJob(other, store, file.job, new Date('2026-11-25T15:00:00Z'))).toEqual(file);
      }
      const summaries = (list: { tag: string }[]) => [...list].sort((a, b) => a.tag.localeCompare(b.tag));
      expect(summaries(await allSummaries(other.read))).toEqual(summaries(await allSummaries(db.read)));
    } finally {
      other.close();
      rmSync(elsewhere, { recursive: true, force: true });
    }
  });

  it('that goes on where the job here stops brings it up to date; one that parts is refused', async () => {
    const id = await job();
    const file = await exportJob(db, store, id, new Date());
    const longer = { ...file, events: [...file.events, note('on the ferry')] };
    expect((await importJob(db, store, longer)).added).toBe(1);
    const other = { ...file, events: [...file.events, note('another story')] };
    expect(await problem(importJob(db, store, other))).toMatchObject({
      status: 409,
      path: `/events/${file.events.length}`,
    });
  });

  it('that breaks a rule is refused with its path and imports nothing', async () => {
    const file = await exportJob(db, store, await job('SP-098'), new Date());
    const elsewhere = mkdtempSync(path.join(tmpdir(), 'mulch-unit-'));
    const other = await open(elsewhere);
    try {
      const without = { ...file, events: file.events.filter((e) => e.type !== 'intake.recorded') };
      const at = without.events.findIndex((e) => e.type === 'check.recorded');
      expect(await problem(importJob(other, store, without))).toMatchObject({
        status: 422,
        path: `/events/${at}`,
      });
      const twice = { ...file, events: [...file.events, ...file.events.slice(-1)] };
      expect(await problem(importJob(other, store, twice))).toMatchObject({
        status: 422,
        path: `/events/${file.events.length}/id`,
      });
      expect(await allSummaries(other.read)).toEqual([]);
    } finally {
      other.close();
      rmSync(elsewhere, { recursive: true, force: true });
    }
  });
});

describe('units and jobs', () => {
  it('a stale save is refused with the version kept now', async () => {
    const unit = (await allUnits(db.read))[0];
    if (!unit) throw new Error('no unit');
    const now = new Date();
    expect(await saveUnit(db, { id: unit.id, version: 1, map: unit.map }, now)).toMatchObject({ version: 2 });
    expect(await problem(saveUnit(db, { id: unit.id, version: 1, map: unit.map }, now))).toMatchObject({
      status: 409,
      path: '/version',
    });
  });

  it('a job opened twice with one id is one job, and tags go on', async () => {
    const unit = (await allUnits(db.read))[0];
    const command = {
      job: ulid(),
      event: ulid(),
      at: new Date().toISOString(),
      by: 'Ines',
      unit: unit?.id ?? '',
    };
    const first = await openJob(db, command);
    expect(first.tag).toBe('SP-127');
    expect(await openJob(db, command)).toEqual(first);
    expect(nextTag([])).toBe('J-101');
    expect(await problem(openJob(db, { ...command, job: ulid(), unit: ulid() }))).toMatchObject({
      status: 404,
      path: '/unit',
    });
  });

  it('everything is there again after closing and opening the database', async () => {
    const id = await job();
    await postEvents(db, id, [note('before')], 0);
    const before = await exportJob(db, store, id, new Date(0));
    db.close();
    db = await open(folder);
    expect(await exportJob(db, store, id, new Date(0))).toEqual(before);
  });
});

describe('pictures', () => {
  const shot = (exif = false, background = '#2a5070') => {
    const image = sharp({ create: { width: 3000, height: 1000, channels: 3, background } }).jpeg();
    return exif
      ? image
          .withExif({
            IFD0: { Make: 'somebody' },
            IFD3: { GPSLatitudeRef: 'N', GPSLatitude: '51/1 0/1 0/1' },
          })
          .toBuffer()
      : image.toBuffer();
  };

  it('are kept small, upright and without what the camera wrote beside them', async () => {
    const bytes = await shot(true);
    expect((await sharp(bytes).metadata()).exif).toBeDefined();
    const kept = await keepPhoto(db, store, bytes, new Date());
    expect(kept).toMatchObject({ width: 2400, height: 800 });
    const out = await store.get(kept.file);
    const meta = await sharp(out as Uint8Array).metadata();
    expect(meta.format).toBe('webp');
    expect(meta.exif).toBeUndefined();
    expect((await sharp((await store.get(`${kept.file}.small`)) as Uint8Array).metadata()).width).toBe(360);
  });

  it('what is no picture is turned away with a reason', async () => {
    for (const bytes of [
      Buffer.from(''),
      Buffer.from('%PDF-1.7 not a picture'),
      Buffer.from('<svg xmlns="http://www.w3.org/2000/svg" width="9" height="9"/>'),
      (await shot()).subarray(0, 400),
    ]) {
      const p = await problem(keepPhoto(db, store, bytes, new Date()));
      expect(p.status).toBe(422);
      expect(p.path).toBe('/photo');
    }
  });

  it('travel with the job file, and a damaged one is found out', async () => {
    const id = await job();
    const kept = await keepPhoto(db, store, await shot(), new Date());
    const event: JobEvent = {
      id: ulid(),
      at: new Date().toISOString(),
      by: 'Ines',
      type: 'photo.added',
      caption: 'as it came',
      ...kept,
    };
    const face = await keepPhoto(db, store, await shot(false, '#7d9163'), new Date());
    const pictured: JobEvent = {
      id: ulid(),
      at: new Date().toISOString(),
      by: 'Ines',
      type: 'face.added',
      face: { id: 'left', name: 'left', width: 200, height: 150, photo: face.file },
    };
    await postEvents(db, id, [event, pictured], 0);
    const file = await exportJob(db, store, id, new Date());
    expect(new Set(file.photos?.map((p) => p.file))).toEqual(new Set([kept.file, face.file]));
    expect(guardOf(JobFileSchema)(JSON.parse(JSON.stringify(file)))).toBe(true);
    const elsewhere = path.join(folder, 'elsewhere');
    const other = await open(elsewhere);
    const shelf = folderStore(path.join(elsewhere, 'photos'));
    try {
      const damaged = { ...file, photos: [{ file: kept.file, data: 'AAAA' }] };
      expect((await problem(importJob(other, shelf, damaged))).message).toContain('damaged');
      expect(await allSummaries(other.read)).toHaveLength(0);
      await importJob(other, shelf, file);
      expect(await shelf.get(kept.file)).toEqual(await store.get(kept.file));
      expect(await exportJob(other, shelf, id, new Date(file.exportedAt))).toEqual(file);
    } finally {
      other.close();
    }
  });
});

describe('lessons', () => {
  it('closed and proven jobs teach the next one, until it is begun anew', async () => {
    const { lessons } = await lessonsOf(db.read);
    expect(lessons.length).toBeGreaterThan(0);
    const unit = (await allUnits(db.read)).find((u) => `${u.map.maker} ${u.map.model}` === lessons[0]?.model);
    const command = () => ({
      job: ulid(),
      event: ulid(),
      at: new Date().toISOString(),
      by: 'Ines',
      unit: unit?.id ?? '',
    });
    const state = async () => {
      const { id } = await openJob(db, command());
      return fold((await exportJob(db, store, id, new Date())).events).state;
    };
    const taught = await state();
    expect(taught.learned?.jobs).toBeGreaterThan(0);
    const w = taught.learned?.weights.find((x) => x.element === lessons[0]?.element);
    expect(w?.faults).toBeGreaterThan(0);
    expect((await resetLessons(db, new Date().toISOString())).lessons).toEqual([]);
    expect((await state()).learned).toBeUndefined();
    expect((await resetLessons(db, null)).lessons).toEqual(lessons);
  });
});
