import { mkdtempSync, readdirSync, rmSync } from 'node:fs';
import { connect } from 'node:net';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate';
import sharp from 'sharp';
import { ulid } from 'ulid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { type Running, startMulch } from '../e2e/mulch';
import { demandWhole, fold, type JobEvent, judge } from '../src/core/job';
import { FORMULA, meant } from '../src/core/map-file';
import type { UnitMap } from '../src/core/unit';
import { openDatabase } from '../src/data/database';
import { allSummaries } from '../src/data/jobs';
import { seedDemo } from '../src/demo/seed';
import { hearingLoop } from '../src/demo/units/hearing-loop';
import { JobFileSchema } from '../src/schemas/job-file';
import { checkJson } from '../src/server/body';
import { guardOf } from '../src/server/guard';
import { demandAllowed, isNever } from '../src/server/instruments-allowed';
import { exportJob, importJob } from '../src/server/job-file';
import { mapAsJson, mapAsZip, readMapFile } from '../src/server/map-file';
import { folderStore } from '../src/server/photo-store';
import { keepPhoto } from '../src/server/photos';
import { postEvents } from '../src/server/post-events';
import { note, pictured, undo } from './fixtures/entries';

let mulch: Running;
/** A request whose headers are begun and never ended, from before the first test on. */
let halfSent: Promise<number>;
beforeAll(async () => {
  mulch = await startMulch({ demo: true });
  const began = Date.now();
  const { hostname, port } = new URL(mulch.url);
  const socket = connect(Number(port), hostname, () =>
    socket.write('GET / HTTP/1.1\r\nHost: 127.0.0.1\r\nX: '),
  );
  halfSent = new Promise((done) => {
    socket.on('error', () => {});
    socket.on('close', () => done(Date.now() - began));
    socket.resume();
  });
});
afterAll(() => mulch.stop());

const why = (f: () => unknown) => {
  try {
    f();
    return '';
  } catch (error) {
    const { status, detail, message } = error as { status?: number; detail?: string; message: string };
    return `${status ?? 422} ${detail ?? message}`;
  }
};
/** A zip whose every stated size says 100 bytes. */
function lying(files: Record<string, Uint8Array>): Uint8Array {
  const zip = Buffer.from(zipSync(files, { level: 9 }));
  for (let i = 0; i < zip.length - 4; i++) {
    const signature = zip.readUInt32LE(i);
    if (signature === 0x04034b50) zip.writeUInt32LE(100, i + 22);
    if (signature === 0x02014b50) zip.writeUInt32LE(100, i + 24);
  }
  return zip;
}
const importMap = (bytes: Uint8Array) =>
  fetch(`${mulch.url}/api/units/import?name=x`, {
    method: 'POST',
    headers: { 'content-type': 'application/octet-stream' },
    body: new Uint8Array(bytes),
  });

describe('a map file', () => {
  it('that unpacks to more than it says is stopped at the limit, and others are answered meanwhile', async () => {
    const bomb = lying({ 'elements.csv': new Uint8Array(200_000_000).fill(32) });
    expect(bomb.length).toBeLessThan(1_000_000);
    let over = false;
    const refused = importMap(bomb).then((r) => {
      over = true;
      return r;
    });
    let meanwhile = 0;
    while (!over && (await fetch(`${mulch.url}/api/jobs`)).ok) if (!over) meanwhile++;
    const answer = await refused;
    expect(answer.status).toBe(413);
    expect(((await answer.json()) as { detail: string }).detail).toContain('over 20 MB');
    expect(meanwhile).toBeGreaterThan(0);
  });

  it('of very many rows, cut short, of another version or no archive at all says so', async () => {
    const rows = `id,kind\n${Array.from({ length: 300_000 }, (_, i) => `e${i},b`).join('\n')}`;
    expect(why(() => readMapFile(zipSync({ 'elements.csv': strToU8(rows) }), ''))).toMatch(/at most/);
    const whole = mapAsZip(hearingLoop);
    for (const cut of [30, whole.length >> 1, whole.length - 30])
      expect(why(() => readMapFile(whole.slice(0, cut), ''))).toContain('422 the zip is damaged');
    const later = JSON.stringify({ ...JSON.parse(mapAsJson(hearingLoop)), version: 99 });
    expect(why(() => readMapFile(strToU8(later), ''))).toBe(
      '422 the map is of version 99; this Mulch reads version 1',
    );
    expect((await importMap(strToU8(later))).status).toBe(422);
    expect(why(() => readMapFile(strToU8('PK\u0003\u0004 nothing'), ''))).toContain('422');
  });

  it('holds no cell that a spreadsheet would work out, and comes back as it was', () => {
    const names = [
      '=1+1',
      '+5V rail',
      '-12V',
      '@home',
      '-3',
      '+0,5',
      "'quoted",
      'plain',
      '\u202Eright to left',
      '電源 板',
      'لوحة',
    ];
    const [like] = hearingLoop.elements;
    const elements = names.map((name, i) => ({ ...like, id: `E${i}`, name }));
    const map = {
      ...hearingLoop,
      elements: [...hearingLoop.elements, ...elements],
    } as UnitMap;
    const zip = mapAsZip(map);
    const cells = strFromU8(unzipSync(zip)['elements.csv'] as Uint8Array)
      .split(/\r?\n/)
      .flatMap((l) => l.split(','));
    expect(cells.filter((c) => /^[=@]|^[+-][^\d]/.test(c))).toEqual([]);
    expect(
      readMapFile(zip, '')
        .elements.slice(-names.length)
        .map((e) => e.name),
    ).toEqual(names);
    expect(
      readMapFile(strToU8(mapAsJson(map)), '')
        .elements.slice(-names.length)
        .map((e) => e.name),
    ).toEqual(names);
    for (const plain of ['-3', '+0,5', '1e-3', '-2.5e6', "it's", '']) {
      expect(FORMULA.test(plain)).toBe(false);
      expect(meant(plain)).toBe(plain);
    }
    for (const formula of ['=A1', '+A1', '-A1', '@x', '\tx']) expect(meant(`'${formula}`)).toBe(formula);
  });
});

describe('a job file', () => {
  const folder = mkdtempSync(path.join(tmpdir(), 'mulch-files-'));
  afterAll(() => rmSync(folder, { recursive: true, force: true }));
  const opened: JobEvent = {
    id: ulid(),
    at: '2026-11-25T10:00:00.000Z',
    by: 'Ines',
    type: 'job.opened',
    job: ulid(),
    tag: 'J-9',
    map: hearingLoop,
  };
  const fileOf = (events: JobEvent[]) => ({
    format: 'mulch job' as const,
    version: 1 as const,
    exportedAt: '2026-11-25T10:00:00.000Z',
    job: opened.type === 'job.opened' ? opened.job : '',
    events,
  });

  it('of 20,001 entries is read in from its own export', async () => {
    const db = await openDatabase({ folder: path.join(folder, 'long'), migrations: 'drizzle' });
    const store = folderStore(path.join(folder, 'long/photos'));
    try {
      const file = fileOf([opened, ...Array.from({ length: 20_000 }, (_, i) => note(`${i}`))]);
      await importJob(db, store, file);
      const out = JSON.stringify(await exportJob(db, store, file.job, new Date(file.exportedAt)));
      const again = checkJson(out, guardOf(JobFileSchema));
      expect(again.events).toHaveLength(20_001);
      expect((await importJob(db, store, again)).added).toBe(0);
    } finally {
      await db.settle();
    }
  });

  it('altered by hand is judged like entries made here', async () => {
    const db = await openDatabase({ folder: path.join(folder, 'altered'), migrations: 'drizzle' });
    const store = folderStore(path.join(folder, 'altered/photos'));
    const first = note('one');
    const refusal = (events: JobEvent[]) =>
      importJob(db, store, fileOf(events)).then(
        () => '',
        (e: { path?: string; detail?: string }) => `${e.path}: ${e.detail}`,
      );
    try {
      expect(await refusal([opened, first, undo(ulid())])).toBe(
        '/events/2/event: there is no such entry before it to undo',
      );
      expect(await refusal([opened, undo(first.id), first])).toContain('/events/1/event');
      expect(await refusal([opened, first, undo(first.id), undo(first.id)])).toBe(
        '/events/3/event: that entry is undone already',
      );
      expect(await refusal([opened, undo(opened.id)])).toContain('un-opened');
      expect(await refusal([opened, first, first])).toBe('/events/2/id: that entry is there twice');
      expect(await refusal([opened, { ...first, at: 'yesterday' }])).toContain('/events/1/at');
      // What can be done here, undo, redo and undo again, is taken; each is judged here in the same way.
      const u = undo(first.id);
      const redo = undo(u.id);
      const story = [opened, first, u, redo, undo(first.id)];
      expect(await refusal(story)).toBe('');
      let record: Parameters<typeof judge>[0] = null;
      for (const e of story) record = judge(record, e);
      expect(record?.state.notes).toEqual([]);
      const heavy = fileOf([
        {
          ...opened,
          map: { ...hearingLoop, elements: hearingLoop.elements.map((e) => ({ ...e, weight: 1e308 })) },
        } as JobEvent,
      ]);
      expect(why(() => checkJson(JSON.stringify(heavy), guardOf(JobFileSchema)))).toContain('weight');
    } finally {
      await db.settle();
    }
  });

  it('whose every entry undoes the one before is judged like any other', () => {
    const story = [opened, note('one')];
    while (story.length < 20_000) story.push(undo((story.at(-1) as JobEvent).id));
    // An even number of them: the last but one counts again, and so on down to the note.
    expect(demandWhole(story)).toBeUndefined();
    expect(fold(story).state.notes).toHaveLength(1);
    const again = undo((story.at(-3) as JobEvent).id);
    expect(why(() => demandWhole([...story, again]))).toBe('');
    expect(why(() => demandWhole([...story, undo((story.at(-2) as JobEvent).id)]))).toContain(
      'undone already',
    );
    expect(why(() => judge(fold(story), again))).toBe('');
  });

  it('that is refused leaves no picture behind', async () => {
    const data = path.join(folder, 'here');
    const there = path.join(folder, 'there');
    const a = await openDatabase({ folder: data, migrations: 'drizzle' });
    const b = await openDatabase({ folder: there, migrations: 'drizzle' });
    const from = folderStore(path.join(data, 'photos'));
    const to = folderStore(path.join(there, 'photos'));
    try {
      await seedDemo(a, new Date());
      const id = (await allSummaries(a.read))[0]?.id ?? '';
      const plain = await exportJob(a, from, id, new Date());
      await importJob(b, to, plain);
      await postEvents(b, id, [note('another way')], 0);
      const picture = await sharp({ create: { width: 90, height: 60, channels: 3, background: 'red' } })
        .jpeg()
        .toBuffer();
      const kept = await keepPhoto(a, from, picture, new Date());
      await postEvents(a, id, [pictured(kept)], 0);
      const withPicture = await exportJob(a, from, id, new Date());
      expect(withPicture.photos).toHaveLength(1);
      await expect(importJob(b, to, withPicture)).rejects.toMatchObject({ status: 409 });
      expect(readdirSync(there)).not.toContain('photos');
    } finally {
      await a.settle();
      await b.settle();
    }
  });

  it('of 60 MB that is none is refused while others are answered', async () => {
    let over = false;
    const refused = fetch(`${mulch.url}/api/jobs/import`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: `{"format":"mulch job","events":[${'{"a":1},'.repeat(7_500_000)}{}]}`,
    }).then((r) => {
      over = true;
      return r;
    });
    let meanwhile = 0;
    while (!over && (await fetch(`${mulch.url}/api/jobs`)).ok) if (!over) meanwhile++;
    expect((await refused).status).toBe(400);
    expect(meanwhile).toBeGreaterThan(0);
  });
});

describe('borders', () => {
  it('an instrument is on this machine or named by its settings, and never a link-local address', () => {
    const at = (host: string) => why(() => demandAllowed({ host, port: 5025 }));
    for (const host of ['127.0.0.1', '127.8.8.8', '::1', 'localhost']) expect(at(host)).toBe('');
    expect(at('10.0.0.7')).toContain('MULCH_INSTRUMENTS=10.0.0.7');
    expect(at('meter.example')).toContain('not among the instruments');
    process.env.MULCH_INSTRUMENTS = '10.0.0.7, meter.example:5025,169.254.169.254';
    try {
      expect(at('10.0.0.7')).toBe('');
      expect(at('meter.example')).toBe('');
      expect(why(() => demandAllowed({ host: 'meter.example', port: 22 }))).not.toBe('');
      expect(at('169.254.169.254')).toContain('no place for an instrument');
    } finally {
      delete process.env.MULCH_INSTRUMENTS;
    }
    for (const ip of ['169.254.0.1', '::ffff:169.254.169.254', 'fe80::1', 'fd00:ec2::254', '0.0.0.0'])
      expect(isNever(ip), ip).toBe(true);
    for (const ip of ['10.0.0.7', '127.0.0.1', '', 'meter.example']) expect(isNever(ip), ip).toBe(false);
  });

  it('a page may not point an instrument anywhere else', async () => {
    const set = await fetch(`${mulch.url}/api/meter`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ address: '192.168.1.1:80' }),
    });
    expect(set.status).toBe(422);
    expect(await set.json()).toMatchObject({ path: '/address' });
  });

  it('a write from the same host by another scheme is from elsewhere', async () => {
    const { host } = new URL(mulch.url);
    const from = (origin: string) =>
      fetch(`${mulch.url}/api/lessons/reset`, { method: 'POST', headers: { origin } }).then((r) => r.status);
    expect(await from(`https://${host}`)).toBe(403);
    expect(await from(`http://${host}`)).not.toBe(403);
  });

  it('every answer carries the same headers, whoever gives it', async () => {
    const page = await (await fetch(mulch.url)).text();
    const asset = /\/_astro\/[\w.-]+\.css/.exec(page)?.[0] ?? '';
    for (const at of ['/', '/api/jobs', '/api/nothing', '/nothing', asset, '/favicon.svg']) {
      const { headers } = await fetch(mulch.url + at);
      for (const name of [
        'x-content-type-options',
        'referrer-policy',
        'cross-origin-opener-policy',
        'content-security-policy',
      ])
        expect(headers.get(name), `${name} of ${at}`).toBeTruthy();
    }
  });

  it('headers that are half sent are ended', async () => {
    expect(await halfSent).toBeLessThan(90_000);
  });
});
