import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { ulid } from 'ulid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { SUMS } from '../src/core/sums';
import { seedDemo } from '../src/demo/seed';
import { hearingLoop } from '../src/demo/units/hearing-loop';
import { photoPrinter } from '../src/demo/units/photo-printer';
import { database, whenOpened } from '../src/server/context';
import { checkedDocuments } from '../src/server/documents';
import { ENDPOINTS } from '../src/server/endpoints';
import { guardOf } from '../src/server/guard';
import { openapi } from '../src/server/openapi';
import { endpointAt, route } from '../src/server/router';

const folder = mkdtempSync(path.join(tmpdir(), 'mulch-endpoints-'));
const AT = 'http://127.0.0.1:4321';

beforeAll(async () => {
  process.env.MULCH_DATA = folder;
  process.env.MULCH_METER = '';
  process.env.MULCH_CONSOLE = '';
  whenOpened(async (db) => {
    await seedDemo(db, new Date('2026-11-26T12:00:00Z'));
  });
  await database();
});
afterAll(async () => {
  (await database()).close();
  rmSync(folder, { recursive: true, force: true });
});

const get = (path_: string, init: RequestInit = {}) => route(new Request(`${AT}${path_}`, init));
const send = (method: string, path_: string, body: unknown) =>
  get(path_, { method, headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) });
const post = (path_: string, body: unknown) => send('POST', path_, body);
const told = async (response: Response | Promise<Response>) => {
  const r = await response;
  return { status: r.status, type: r.headers.get('content-type') ?? '', body: (await r.json()) as never };
};
interface Job {
  id: string;
  tag: string;
}
const job = async (tag: string): Promise<string> => {
  const { body } = await told(get('/api/jobs'));
  return (body as Job[]).find((j) => j.tag === tag)?.id ?? '';
};

describe('the registry of endpoints', () => {
  it('has every address and method once', () => {
    const all = ENDPOINTS.map((e) => `${e.method} ${e.path}`);
    expect(new Set(all).size).toBe(all.length);
    expect(all.length).toBeGreaterThan(60);
  });
  it('finds each at its own address, an exact one before one that varies', () => {
    for (const e of ENDPOINTS) {
      const address = e.path.replace(/\{\w+\}/g, 'x1');
      expect(endpointAt(e.method.toUpperCase(), address).endpoint, address).toBe(e);
    }
    expect(endpointAt('POST', '/api/jobs/import').endpoint.path).toBe('/api/jobs/import');
    expect(endpointAt('GET', '/api/jobs/a%20b/file').params).toEqual({ id: 'a b' });
    expect(endpointAt('HEAD', '/api/units').endpoint.method).toBe('get');
  });
  it('describes all of itself, with a compiled guard for every body', () => {
    const { paths, components } = openapi();
    for (const e of ENDPOINTS) {
      const said = (paths[e.path] as Record<string, { summary: string; requestBody?: object }>)[e.method];
      expect(said?.summary).toBe(e.summary);
      expect(Boolean(said?.requestBody)).toBe(e.body !== null);
      if (e.body) expect(guardOf(e.body)(undefined)).toBe(false);
    }
    for (const name of Object.keys(checkedDocuments())) expect(components.schemas).toHaveProperty(name);
    const text = JSON.stringify({ paths, components });
    for (const [, ref] of text.matchAll(/"#\/components\/schemas\/(\w+)"/g))
      expect(components.schemas).toHaveProperty(ref as string);
  });
  it('a schema without a name has no guard', () => {
    expect(() => guardOf({ type: 'object' } as never)).toThrow('a schema without a name');
  });
});

describe('asked wrongly', () => {
  it.each<[string, () => Promise<Response>, number, RegExp]>([
    ['an address that is none', () => get('/api/nothing'), 404, /openapi/],
    ['a method it does not take', () => send('PUT', '/api/jobs', {}), 405, /takes GET and POST, not PUT/],
    ['a part that is no text', () => get('/api/jobs/%E0%A4%A/file'), 400, /no part of an address/],
    ['no JSON', () => get('/api/jobs', { method: 'POST', body: 'x' }), 415, /application\/json/],
    [
      'broken JSON',
      () => get('/api/jobs', { method: 'POST', body: '{', headers: { 'content-type': 'application/json' } }),
      400,
      /not JSON/,
    ],
    ['a body that lacks something', () => post('/api/jobs', {}), 400, /is missing/],
    [
      'a body with more',
      () => post('/api/lessons/reset', { since: null, more: 1 }),
      400,
      /“more” is not known/,
    ],
    [
      'a body that is too large',
      () => post('/api/compute/tighten', { points: 'x'.repeat(1_100_000) }),
      413,
      /over 1 MB/,
    ],
    [
      'a seed that is text',
      () =>
        post('/api/compute/simulate', {
          elements: [{ id: 'a', weight: 1, repairMinutes: 1 }],
          checks: [],
          hidden: { faults: [] },
          seed: 'x',
          acts: [],
        }),
      400,
      /seed|whole|integer/i,
    ],
    ['what the core refuses', () => post('/api/compute/sums/ohms', { volts: 5 }), 422, /./],
    ['a place that is no number', () => get('/api/jobs/x/events?after=-1'), 400, /whole number/],
    ['a job that is not here', () => get('/api/jobs/x/history'), 404, /no job x/],
    ['a unit that is not here', () => get('/api/units/x/map'), 404, /no unit x/],
    ['labels of a unit that is not here', () => get('/api/units/x/labels'), 404, /no unit x/],
    ['a picture that is not here', () => get(`/api/photos/${'a'.repeat(64)}`), 404, /no such picture/],
    ['a picture by another name', () => get('/api/photos/..%2Fmulch.db'), 404, /no such picture/],
    ['a picture that is a text', () => post('/api/photos', {}), 415, /send the picture/],
    ['no meter', () => post('/api/meter/read', { unit: 'V' }), 404, /no bench meter is set/],
    ['no console', () => post('/api/console/read', {}), 404, /no console is set/],
    ['an address that is none', () => post('/api/meter', { address: 'over there' }), 422, /is no address/],
    [
      'chemistry from an older version',
      () => send('PUT', '/api/chemistry', { version: 7, rows: [] }),
      400,
      /./,
    ],
    ['a sum that is none', () => post('/api/compute/sums/alchemy', {}), 404, /not known/],
  ])('%s is answered in words', async (_n, ask, status, words) => {
    const { status: was, type, body } = await told(ask());
    expect(was).toBe(status);
    expect(type).toBe('application/problem+json');
    expect((body as { detail: string }).detail).toMatch(words);
  });
});

describe('asked rightly', () => {
  it('every computation answers as it describes', async () => {
    const lone = { id: 'a', weight: 1, repairMinutes: 5 };
    const asked: Record<string, [object, object]> = {
      trace: [
        { elements: [lone], checks: [] },
        { belief: [{ id: 'a', p: 1 }], enough: true },
      ],
      simulate: [
        {
          elements: [lone],
          checks: [],
          hidden: { faults: [{ id: 'a', pattern: 'always' }] },
          seed: 1,
          acts: [{ repaired: 'a' }],
        },
        { answers: [{ mended: true }], minutes: [5], totalMinutes: 5 },
      ],
      regret: [
        { elements: [lone], checks: [], chosen: { repair: 'a' } },
        { q: [{ kind: 'repair', id: 'a', minutes: 5 }], regret: 0, method: 'exact' },
      ],
      'hand-ways': [
        { elements: [lone], checks: [] },
        { optimum: { minutes: 5, method: 'exact' }, ways: [{}, {}, {}, { name: 'Mulch', score: 1 }] },
      ],
      costs: [
        {
          remedies: [{ id: 'reseat', minutes: 6, lasts: 0.5 }],
          ratePerHour: 6000,
          refer: { price: 10_000 },
        },
        { costs: [{ id: 'reseat', expected: 5600, minutes: 6 }], cheapest: 'reseat', soonest: 'reseat' },
      ],
      day: [
        {
          jobs: [{ id: 'a', place: 'kiosk', tasks: [{ id: 't', handsOn: 20, handsOff: 0 }] }],
          travel: [{ from: 'shop', to: 'kiosk', minutes: 5 }],
          start: { place: 'shop', at: 480 },
          end: { at: 1020 },
        },
        { finish: 505, left: [], visits: [{ job: 'a', place: 'kiosk', arrive: 485, leave: 505 }] },
      ],
      van: [
        { space: 1, items: [{ id: 'fuse', size: 1, gain: 9, pNeeded: 0.5 }] },
        { take: ['fuse'], gain: 9, chance: 1, optimal: true },
      ],
      'stats/wilson': [{ successes: 0, trials: 0 }, { share: null }],
      'stats/kaplan-meier': [
        { followUps: [{ days: 3, cameBack: true }] },
        { steps: [{ days: 3, atRisk: 1, cameBack: 1, lasting: 0, low: null }] },
      ],
      'stats/lognormal': [
        { minutes: [], quantiles: [0.5], default: 10 },
        { n: 0, method: 'default' },
      ],
      'stats/lasting': [{ lasted: 1, cameBack: 1 }, { chance: 0.5 }],
      ledger: [{ events: [] }, { items: [], covers: [], twins: [] }],
      tighten: [{ points: [{ id: '1', x: 0, y: 0 }], lid: 'plastic' }, {}],
      line: [
        { text: 'lift lid' },
        { entries: [{ does: 'lift', takesOff: true, kind: 'part', name: 'lid', count: 1 }], doubtful: [] },
      ],
      prove: [{ closing: [], testMinutes: 1, pFail: 0.5 }, { skipMinutes: 0 }],
      order: [
        {
          moves: [{ id: 'a', minutes: 1, tool: null, sideUp: null }],
          goal: ['a'],
          toolMinutes: 1,
          flipMinutes: 1,
        },
        { order: ['a'], minutes: 1, optimal: true, lowerBound: 1 },
      ],
      schedule: [{ tasks: [{ id: 'a', handsOn: 2, handsOff: 3 }] }, { minutes: 5 }],
      mixups: [
        { plugs: [], headers: [] },
        { risks: [], labels: [] },
      ],
      fit: [{ old: {}, new: {} }, { verdict: 'not known' }],
      'flat-cable': [{ cable: 'same', a: 'up', b: 'up' }, { needed: 'same' }],
      jumpers: [
        { rules: [], options: {} },
        { required: {}, differences: [] },
      ],
      'settings-diff': [
        { before: 'a=1', after: 'a=2' },
        { changed: [{ key: 'a', before: '1', after: '2' }] },
      ],
    };
    const names = ENDPOINTS.flatMap((e) => /^\/api\/compute\/((?:stats\/)?[\w-]+)$/.exec(e.path)?.[1] ?? []);
    expect(Object.keys(asked).sort()).toEqual(names.filter((x) => x !== 'sums').sort());
    for (const [name, [body, answer]] of Object.entries(asked)) {
      const got = await told(post(`/api/compute/${name}`, body));
      expect(got.status, name).toBe(200);
      expect(got.body, name).toMatchObject(answer);
    }
  });
  it('every sum answers its own example, and the list holds them all', async () => {
    const { body } = await told(get('/api/compute/sums'));
    expect((body as { name: string }[]).map((s) => s.name)).toEqual(SUMS.map((s) => s.name));
    for (const { name, example } of SUMS) {
      const got = (await told(post(`/api/compute/sums/${name}`, example.given))).body as Record<
        string,
        unknown
      >;
      for (const [k, v] of Object.entries(example.answer))
        if (typeof v === 'number') expect(got[k] as number, `${name} ${k}`).toBeCloseTo(v, 6);
        else expect(got[k], `${name} ${k}`).toEqual(v);
    }
  });
  it('the sums read the chemistry rows in force', async () => {
    const asked = { what: 'li-ion pouch', volts: 3.7, ampHours: 1.2, volumeMl: 4.2 };
    const verdict = async () =>
      ((await told(post('/api/compute/sums/cell-density', asked))).body as { verdict: string }).verdict;
    expect(await verdict()).toBe('not credible');
    const now = (await told(get('/api/chemistry'))).body as {
      version: number;
      rows: Record<string, unknown>[];
    };
    const rows = now.rows.map((r) =>
      r.chemistry === 'li-ion cell'
        ? { ...r, credibleTo: 1300, small: { ...(r.small as object), credibleTo: 1200 } }
        : r,
    );
    const kept = await told(send('PUT', '/api/chemistry', { version: now.version, rows }));
    expect((kept.body as { version: number }).version).toBe(now.version + 1);
    expect(await verdict()).toBe('above typical');
    const stale = await told(send('PUT', '/api/chemistry', { version: now.version, rows }));
    expect(stale).toMatchObject({ status: 409, body: { path: '/version' } });
  });
  it('a job is opened, told, read and taken away as a file', async () => {
    const units = (await told(get('/api/units'))).body as { id: string; name: string }[];
    const unit = units.find((u) => u.name === hearingLoop.name)?.id;
    const opened = await told(
      post('/api/jobs', { job: ulid(), event: ulid(), at: new Date().toISOString(), by: 'Ines', unit }),
    );
    expect(opened.status).toBe(201);
    const { id, tag } = opened.body as Job;
    const note = { id: ulid(), at: new Date().toISOString(), by: 'Ines', type: 'note.added', text: 'salt' };
    expect((await told(post(`/api/jobs/${id}/events`, { events: [note], after: 1 }))).body).toEqual({
      seq: 2,
      events: [note],
    });
    expect((await told(get(`/api/jobs/${id}/events?after=1`))).body).toEqual({ seq: 2, events: [note] });
    const file = await get(`/api/jobs/${id}/file`);
    expect(file.headers.get('content-disposition')).toBe(`attachment; filename="${tag}.mulch.json"`);
    const again = await told(post('/api/jobs/import', await file.json()));
    expect(again).toMatchObject({ status: 201, body: { id, tag, added: 0 } });
    const csv = await get(`/api/jobs/${id}/history`);
    expect(csv.headers.get('content-type')).toBe('text/csv; charset=utf-8');
    expect(await csv.text()).toContain('Note: salt');
  });
  it('files come as what they are', async () => {
    const id = await job('SP-109');
    const unit = ((await told(get('/api/units'))).body as { id: string; name: string }[]).find(
      (u) => u.name === photoPrinter.name,
    )?.id;
    for (const [address, type, begins] of [
      [`/api/jobs/${id}/labels`, 'application/pdf', '%PDF'],
      [`/api/units/${unit}/labels`, 'application/pdf', '%PDF'],
      [`/api/units/${unit}/labels?as=svg`, 'image/svg+xml; charset=utf-8', '<svg'],
      [`/api/units/${unit}/map`, 'application/json', '{'],
      [`/api/units/${unit}/map?as=zip`, 'application/zip', 'PK'],
      ['/api/lessons?as=csv', 'text/csv; charset=utf-8', 'job,model'],
      ['/api/openapi.json', 'application/json', '{"openapi":"3.1.0"'],
    ] as const) {
      const r = await get(address);
      expect(r.status, address).toBe(200);
      expect(r.headers.get('content-type'), address).toBe(type);
      expect((await r.text()).startsWith(begins), address).toBe(true);
    }
  });
  it('a question for the head alone has no body', async () => {
    const r = await get('/api/units', { method: 'HEAD' });
    expect(r.status).toBe(200);
    expect(await r.text()).toBe('');
  });
  it('a map goes out and comes in as another unit', async () => {
    const made = await told(
      get('/api/units/import?name=Copy', { method: 'POST', body: JSON.stringify(hearingLoop) }),
    );
    expect(made.status).toBe(201);
    const { id } = made.body as { id: string; version: number };
    const back = (await told(get(`/api/units/${id}/map`))).body as { map: object };
    expect(back.map).toEqual(hearingLoop);
    const saved = await told(post('/api/units', { id, version: 1, map: hearingLoop, place: 'pier' }));
    expect(saved).toMatchObject({ status: 201, body: { version: 2 } });
  });
  it('addresses of instruments are kept, and given back', async () => {
    for (const address of ['/api/meter', '/api/console']) {
      expect((await told(get(address))).body).toEqual({ address: null });
      expect((await told(post(address, { address: '127.0.0.1:9' }))).body).toEqual({
        address: '127.0.0.1:9',
      });
      expect((await told(post(address, { address: null }))).body).toEqual({ address: null });
    }
  });
  it('closed jobs teach until they are told not to', async () => {
    const before = (await told(get('/api/lessons'))).body as { lessons: unknown[] };
    expect(before.lessons.length).toBeGreaterThan(0);
    const after = await told(post('/api/lessons/reset', { since: '2100-01-01T00:00:00Z' }));
    expect(after.body).toEqual({ since: '2100-01-01T00:00:00Z', lessons: [] });
    expect((await told(post('/api/lessons/reset', { since: null }))).body).toEqual(before);
  });
});
