// npm run torture -- SECONDS: kills Mulch again and again under load, then looks whether all it promised is there.
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import sharp from 'sharp';
import { ulid } from 'ulid';
import { type Running, startMulch } from '../e2e/mulch';
import { makeBackup, restoreBackup, verifyBackup } from '../src/backup';
import { fold, type JobEvent, judge } from '../src/core/job';
import { openDatabase } from '../src/data/database';
import { allSummaries } from '../src/data/jobs';
import { allUnits } from '../src/data/units';
import { exportJob } from '../src/server/job-file';
import { folderStore } from '../src/server/photo-store';

const seconds = Number(process.argv[2] ?? 120);
if (!(seconds >= 5 && seconds <= 86_400)) {
  console.error('Say for how many seconds, from 5 on: npm run torture -- 200');
  process.exit(1);
}
const CLIENTS = 6;
const root = mkdtempSync(path.join(tmpdir(), 'mulch-torture-'));
const data = path.join(root, 'data');
const until = Date.now() + seconds * 1000;
const wait = (ms: number) => new Promise((done) => setTimeout(done, ms));

/** What was acknowledged, in the order in which it was, of each job. */
const kept = new Map<string, string[]>();
const pictures = new Set<string>();
const faults: string[] = [];
let entries = 0;
let kills = 0;
let refused = 0;
let mulch: Running = await startMulch({ demo: true, data });

const stamp = () => ({ id: ulid(), at: new Date().toISOString(), by: 'torture' });
async function post(job: string, events: object[]): Promise<boolean> {
  const res = await fetch(`${mulch.url}/api/jobs/${job}/events`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ events, after: 1e6 }),
  });
  if (res.status >= 500) faults.push(`an entry was answered ${res.status}: ${await res.text()}`);
  if (!res.ok) refused++;
  return res.ok;
}

async function picture(): Promise<object | null> {
  const background = { r: Math.random() * 256, g: Math.random() * 256, b: Math.random() * 256 };
  const bytes = await sharp({ create: { width: 640, height: 480, channels: 3, background } })
    .jpeg()
    .toBuffer();
  const res = await fetch(`${mulch.url}/api/photos`, {
    method: 'POST',
    headers: { 'content-type': 'application/octet-stream' },
    body: new Uint8Array(bytes),
  });
  if (!res.ok) return null;
  const photo = (await res.json()) as { file: string };
  pictures.add(photo.file);
  return { ...stamp(), type: 'photo.added', caption: 'torture', ...photo };
}

/** One who works: entries one by one or in batches, some with a picture, none repeated after an error. */
async function client(jobs: string[], n: number): Promise<void> {
  for (let i = 0; Date.now() < until; i++) {
    const job = jobs[(n + i) % jobs.length] as string;
    try {
      const photo = i % 5 === 0 ? await picture() : null;
      const batch: object[] = photo
        ? [photo]
        : Array.from({ length: 1 + (i % 3) }, (_, k) => ({
            ...stamp(),
            type: 'note.added',
            text: `${n} ${i} ${k}`,
          }));
      if (await post(job, batch)) {
        const list = kept.get(job) ?? [];
        list.push(...batch.map((e) => (e as { id: string }).id));
        kept.set(job, list);
        entries += batch.length;
      }
    } catch {
      // It was killed: what was not acknowledged is not promised.
      await wait(50);
    }
  }
}

async function killer(): Promise<void> {
  while (Date.now() < until) {
    await wait(300 + Math.random() * 2500);
    await mulch.kill();
    kills++;
    mulch = await startMulch({ data });
  }
}

const jobs = ((await (await fetch(`${mulch.url}/api/jobs`)).json()) as { id: string }[]).map((j) => j.id);
await Promise.all([...Array.from({ length: CLIENTS }, (_, n) => client(jobs, n)), killer()]);

/** Everything acknowledged is there, once, and each story holds. */
async function lookThrough(): Promise<number> {
  let there = 0;
  for (const job of jobs) {
    const res = await fetch(`${mulch.url}/api/jobs/${job}/events`);
    const { events } = (await res.json()) as { events: JobEvent[] };
    const place = new Map(events.map((e, i) => [e.id, i]));
    if (place.size !== events.length) faults.push(`job ${job} has an entry twice`);
    const ids = kept.get(job) ?? [];
    const lost = ids.filter((id) => !place.has(id));
    if (lost.length) faults.push(`job ${job} lost ${lost.length} acknowledged entries`);
    there += ids.length - lost.length;
    let record = judge(null, events[0] as JobEvent);
    for (const e of events.slice(1)) record = judge(record, e);
    if (JSON.stringify(record.state) !== JSON.stringify(fold(events).state))
      faults.push(`job ${job} is another when it is folded at once`);
  }
  for (const file of pictures) {
    const res = await fetch(`${mulch.url}/api/photos/${file}`);
    if (!res.ok) faults.push(`the picture ${file.slice(0, 8)} is gone`);
  }
  return there;
}
const there = await lookThrough();
console.log(
  `killed ${kills} times: ${there} of ${entries} acknowledged entries and ${pictures.size} pictures looked for`,
);

// A backup made while it runs is the workshop.
const { file } = await makeBackup(data, path.join(root, 'kept.tar.gz'), new Date());
const { faults: damage } = await verifyBackup(file);
faults.push(...damage);
await restoreBackup(file, path.join(root, 'restored'), { over: false, tables: 9e12, now: new Date() });
const everything = async (at: string) => {
  const db = await openDatabase({ folder: at, migrations: 'drizzle' });
  try {
    const store = folderStore(path.join(at, 'photos'));
    const list = await allSummaries(db.read);
    const files = [];
    for (const j of list) files.push(await exportJob(db, store, j.id, new Date(0)));
    return JSON.stringify({ list, files, units: await allUnits(db.read) });
  } finally {
    await db.settle();
  }
};
const ended = new Promise((done) => mulch.process.once('exit', done));
mulch.process.kill('SIGTERM');
await ended;
if ((await everything(data)) !== (await everything(path.join(root, 'restored'))))
  faults.push('what was restored is not what was backed up');
console.log('backed up while it ran, verified, restored and compared');
rmSync(root, { recursive: true, force: true });
for (const fault of faults) console.error(fault);
console.log(
  `torture: ${seconds} s, ${kills} kills, ${entries} entries, ${pictures.size} pictures, ${refused} refused, ${faults.length} faults`,
);
process.exit(faults.length ? 1 : 0);
