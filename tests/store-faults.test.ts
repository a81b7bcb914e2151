import {
  closeSync,
  copyFileSync,
  mkdtempSync,
  openSync,
  readFileSync,
  rmSync,
  truncateSync,
  writeFileSync,
  writeSync,
} from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { createClient } from '@libsql/client';
import { sql } from 'drizzle-orm';
import sharp from 'sharp';
import { ulid } from 'ulid';
import { afterEach, describe, expect, it } from 'vitest';
import { type Running, startMulch } from '../e2e/mulch';
import type { JobEvent } from '../src/core/job';
import { openDatabase } from '../src/data/database';
import { allSummaries } from '../src/data/jobs';
import { StoreFault } from '../src/data/store-fault';
import { seedDemo } from '../src/demo/seed';
import { answering } from '../src/server/answer';
import { folderStore } from '../src/server/photo-store';
import { keepPhoto } from '../src/server/photos';
import { postEvents } from '../src/server/post-events';
import { note } from './fixtures/entries';

const folders: string[] = [];
const folder = () => {
  const made = mkdtempSync(path.join(tmpdir(), 'mulch-fault-'));
  folders.push(made);
  return made;
};
const running: Running[] = [];
const start = async (options: Parameters<typeof startMulch>[0]) => {
  const mulch = await startMulch(options);
  running.push(mulch);
  return mulch;
};
afterEach(async () => {
  for (const r of running.splice(0)) await r.kill();
  for (const f of folders.splice(0)) rmSync(f, { recursive: true, force: true });
});

const open = (data: string) => openDatabase({ folder: data, migrations: 'drizzle' });
const jobsOf = async (mulch: Running) =>
  (await (await fetch(`${mulch.url}/api/jobs`)).json()) as { id: string; tag: string }[];
const post = (mulch: Running, job: string | undefined, events: JobEvent[]) =>
  fetch(`${mulch.url}/api/jobs/${job}/events`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ events, after: 1e6 }),
  });
/** A workshop with entries in it, put down properly. */
async function workshop(): Promise<string> {
  const data = folder();
  const db = await open(data);
  await seedDemo(db, new Date());
  await db.settle();
  return data;
}

describe('a database that is not what it was', () => {
  it('that lost its last entries is noticed, and so is one that is empty', async () => {
    const data = folder();
    const mulch = await start({ demo: true, data });
    const [job] = await jobsOf(mulch);
    for (let i = 0; i < 3; i++) expect((await post(mulch, job?.id, [note(`${i}`)])).status).toBe(200);
    // The count follows within a second.
    await new Promise((done) => setTimeout(done, 1000));
    await mulch.kill();
    const copy = folder();
    for (const f of ['mulch.db', 'workshop.json']) copyFileSync(path.join(data, f), path.join(copy, f));
    await expect(start({ data: copy })).rejects.toThrow(/the database (is empty, and|lacks) \d+ /);
    // With what belongs to it, it opens, and has everything.
    const whole = await start({ data });
    const { events } = (await (await fetch(`${whole.url}/api/jobs/${job?.id}/events`)).json()) as {
      events: JobEvent[];
    };
    expect(events.at(-1)).toMatchObject({ text: '2' });
  });

  it('that is older than the count beside it lacks what came since, and how much is said', async () => {
    const data = await workshop();
    const older = readFileSync(path.join(data, 'mulch.db'));
    const mulch = await start({ data });
    const [job] = await jobsOf(mulch);
    for (let i = 0; i < 3; i++) expect((await post(mulch, job?.id, [note(`${i}`)])).status).toBe(200);
    // The count follows within a second.
    await new Promise((done) => setTimeout(done, 1000));
    await mulch.kill();
    for (const f of ['mulch.db-wal', 'mulch.db-shm']) rmSync(path.join(data, f), { force: true });
    writeFileSync(path.join(data, 'mulch.db'), older);
    await expect(start({ data })).rejects.toThrow(/the database lacks 3 of the \d+ entries/);
  });
  it('of no bytes, beside the count of what was in it, is no new workshop', async () => {
    const data = folder();
    const first = await start({ demo: true, data });
    const ended = new Promise((done) => first.process.once('exit', done));
    first.process.kill('SIGTERM');
    await ended;
    truncateSync(path.join(data, 'mulch.db'), 0);
    await expect(start({ data })).rejects.toThrow(/is empty, and \d+ entries were kept in it/);
    rmSync(path.join(data, 'workshop.json'));
    expect(await jobsOf(await start({ data }))).toEqual([]);
  });

  it('of another workshop is told from this one', async () => {
    const data = await workshop();
    copyFileSync(path.join(await workshop(), 'mulch.db'), path.join(data, 'mulch.db'));
    await expect(open(data)).rejects.toThrow('another workshop');
  });

  it('of a later Mulch is refused before anything is written', async () => {
    const data = await workshop();
    const client = createClient({ url: `file:${path.join(data, 'mulch.db')}` });
    await client.execute(
      "insert into __drizzle_migrations (hash, created_at) values ('later', 9999999999999)",
    );
    await client.execute('PRAGMA wal_checkpoint(TRUNCATE)');
    client.close();
    const before = readFileSync(path.join(data, 'mulch.db'));
    await expect(start({ data })).rejects.toThrow('written by a later Mulch');
    expect(readFileSync(path.join(data, 'mulch.db')).equals(before)).toBe(true);
  });

  it('with an entry of a later kind in it shows every page but that of its job, which says why', async () => {
    const data = await workshop();
    const client = createClient({ url: `file:${path.join(data, 'mulch.db')}` });
    const { rows } = await client.execute(
      'select job, max(seq) as last from job_events group by job limit 1',
    );
    const job = String(rows[0]?.job);
    await client.execute({
      sql: 'insert into job_events (job, seq, id, body) values (?, ?, ?, ?)',
      args: [job, Number(rows[0]?.last) + 1, ulid(), JSON.stringify({ ...note(''), type: 'hologram.taken' })],
    });
    client.close();
    const mulch = await start({ data });
    const page = await fetch(`${mulch.url}/jobs/${job}/trace`);
    expect(page.status).toBe(409);
    expect(await page.text()).toContain('is of a kind that this Mulch does not know: “hologram.taken”');
    expect((await fetch(mulch.url)).status).toBe(200);
    const said = await post(mulch, job, [note('one more')]);
    expect(said.status).toBe(422);
    expect(((await said.json()) as { detail: string }).detail).toContain('hologram.taken');
  });

  it('that is damaged says so at once', async () => {
    const data = await workshop();
    const file = openSync(path.join(data, 'mulch.db'), 'r+');
    writeSync(file, Buffer.alloc(40_000, 0x41), 0, 40_000, 0);
    closeSync(file);
    await expect(start({ data })).rejects.toThrow('the database is damaged');
  });
});

describe('a place that cannot be written to', () => {
  it('is named when Mulch starts', async () => {
    await expect(start({ data: '/sys/mulch' })).rejects.toThrow(/cannot be written to/);
    await expect(start({ data: '/dev/null/mulch' })).rejects.toThrow(/is not there any more/);
  });

  it('whose folder goes while it runs acknowledges nothing more, and the page says why', async () => {
    const data = folder();
    const mulch = await start({ demo: true, data });
    const [job] = await jobsOf(mulch);
    rmSync(data, { recursive: true, force: true });
    const said = await post(mulch, job?.id, [note('lost?')]);
    expect(said.status).toBe(503);
    expect(((await said.json()) as { detail: string }).detail).toContain('folder of the data is not there');
    // What the record teaches is read by a thread, which makes no new database in the place of the old one.
    const taught = await fetch(`${mulch.url}/api/records/figures`);
    expect(taught.status).toBe(503);
    expect(((await taught.json()) as { detail: string }).detail).toContain('folder of the data is not there');
    const picture = await sharp({ create: { width: 40, height: 30, channels: 3, background: 'red' } })
      .jpeg()
      .toBuffer();
    const kept = await fetch(`${mulch.url}/api/photos`, {
      method: 'POST',
      headers: { 'content-type': 'application/octet-stream' },
      body: new Uint8Array(picture),
    });
    expect(kept.status).toBe(503);
    expect(((await kept.json()) as { detail: string }).detail).not.toContain(data);
  });

  it('that is full keeps nothing, says so, and takes entries again when there is room', async () => {
    const db = await open(folder());
    try {
      await seedDemo(db, new Date());
      const [job] = await allSummaries(db.read);
      const pages = (n: number) =>
        db.write(async (tx) => {
          await (tx as unknown as { run(q: unknown): Promise<unknown> }).run(
            sql.raw(`PRAGMA max_page_count = ${n}`),
          );
        });
      await pages(1);
      const long = () => note('x'.repeat(1900));
      const many = Array.from({ length: 300 }, long);
      const refused = await answering('/', async () =>
        Response.json(await postEvents(db, job?.id ?? '', many, 0)),
      );
      expect(refused.status).toBe(507);
      expect(((await refused.json()) as { detail: string }).detail).toContain('disk with the data is full');
      await pages(1_000_000);
      const kept = await postEvents(db, job?.id ?? '', many, 0);
      expect(kept.events.filter((e) => many.some((m) => m.id === e.id))).toHaveLength(many.length);
    } finally {
      await db.settle();
    }
  });

  it('is no fault of whoever sent a picture', async () => {
    const db = await open(folder());
    try {
      const store = folderStore('/dev/null/photos');
      const picture = await sharp({ create: { width: 40, height: 30, channels: 3, background: 'red' } })
        .jpeg()
        .toBuffer();
      await expect(keepPhoto(db, store, picture, new Date())).rejects.toBeInstanceOf(StoreFault);
      await expect(keepPhoto(db, store, Buffer.from('no picture'), new Date())).rejects.toMatchObject({
        title: 'Not a picture',
      });
    } finally {
      await db.settle();
    }
  });
});

describe('two at once', () => {
  it('two processes on one folder take 200 entries between them, and none fails', async () => {
    const data = folder();
    const a = await start({ demo: true, data });
    const b = await start({ data });
    const jobs = await jobsOf(a);
    const answers = await Promise.all(
      Array.from({ length: 200 }, async (_, k) => {
        const res = await post(k % 2 ? a : b, jobs[k % jobs.length]?.id, [note(`entry ${k}`)]);
        return res.ok ? 'kept' : `${res.status} ${await res.text()}`;
      }),
    );
    expect(new Set(answers)).toEqual(new Set(['kept']));
    const all = await Promise.all(
      jobs.map(async (j) => {
        const res = await fetch(`${b.url}/api/jobs/${j.id}/events`);
        return ((await res.json()) as { events: JobEvent[] }).events;
      }),
    );
    expect(all.flat().filter((e) => e.type === 'note.added' && e.text.startsWith('entry '))).toHaveLength(
      200,
    );
  });

  it('the same picture ten times at once is taken ten times, and is one picture', async () => {
    const data = folder();
    const db = await open(data);
    try {
      const store = folderStore(path.join(data, 'photos'));
      const picture = await sharp({ create: { width: 400, height: 300, channels: 3, background: 'red' } })
        .jpeg()
        .toBuffer();
      const kept = await Promise.all(
        Array.from({ length: 10 }, () => keepPhoto(db, store, picture, new Date())),
      );
      expect(new Set(kept.map((k) => k.file)).size).toBe(1);
      expect(await store.get(kept[0]?.file ?? '')).not.toBeNull();
    } finally {
      await db.settle();
    }
  });
});
