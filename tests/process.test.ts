import { copyFileSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import http from 'node:http';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { ulid } from 'ulid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { type Running, startMulch } from '../e2e/mulch';
import { type JobEvent, ledgerOf } from '../src/core/job';
import { trace } from '../src/core/trace';
import { note } from './fixtures/entries';

let mulch: Running;
beforeAll(async () => {
  mulch = await startMulch({ demo: true });
});
afterAll(() => mulch.stop());

const at = (p: string) => `${mulch.url}${p}`;
const post = (p: string, body: unknown, headers: Record<string, string> = {}) =>
  fetch(at(p), {
    method: 'POST',
    headers: { 'content-type': 'application/json', ...headers },
    body: typeof body === 'string' ? body : JSON.stringify(body),
  });
const jobs = async () => (await (await fetch(at('/api/jobs'))).json()) as { id: string; tag: string }[];

describe('promises of the process', () => {
  it('what was acknowledged survives kill -9, every time', async () => {
    let running = await startMulch({ demo: true });
    let known: number | null = null;
    try {
      for (let round = 0; round < 4; round++) {
        const list = (await (await fetch(`${running.url}/api/jobs`)).json()) as { id: string; tag: string }[];
        const id = list.find((j) => j.tag === 'SP-117')?.id;
        const event = note(`before the cut, ${round}`);
        const kept = await fetch(`${running.url}/api/jobs/${id}/events`, {
          method: 'POST',
          headers: { 'content-type': 'application/json' },
          body: JSON.stringify({ events: [event], after: 0 }),
        });
        expect(kept.status).toBe(200);
        const { seq } = (await kept.json()) as { seq: number };
        // One more than after the last cut, which took nothing.
        if (known !== null) expect(seq).toBe(known + 1);
        known = seq;
        await running.kill();
        running = await startMulch({ data: running.data });
        const { events } = (await (await fetch(`${running.url}/api/jobs/${id}/events`)).json()) as {
          events: JobEvent[];
        };
        expect(events.at(-1)).toEqual(event);
        expect(events.length).toBe(seq);
      }
    } finally {
      await running.stop();
    }
  });

  it('after a clean stop the one file is the whole workshop: a copy of it alone opens with everything', async () => {
    const first = await startMulch({ demo: true });
    const list = (await (await fetch(`${first.url}/api/jobs`)).json()) as { id: string }[];
    const event = note('before the stop');
    await fetch(`${first.url}/api/jobs/${list[0]?.id}/events`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ events: [event], after: 0 }),
    });
    const ended = new Promise((done) => first.process.once('exit', done));
    first.process.kill('SIGTERM');
    await ended;
    const copy = mkdtempSync(path.join(tmpdir(), 'mulch-copy-'));
    copyFileSync(path.join(first.data, 'mulch.db'), path.join(copy, 'mulch.db'));
    rmSync(first.data, { recursive: true, force: true });
    const second = await startMulch({ data: copy });
    try {
      expect((await (await fetch(`${second.url}/api/jobs`)).json()) as unknown[]).toHaveLength(list.length);
      const { events } = (await (await fetch(`${second.url}/api/jobs/${list[0]?.id}/events`)).json()) as {
        events: JobEvent[];
      };
      expect(events.at(-1)).toEqual(event);
    } finally {
      await second.stop();
    }
  });

  it('a heavy computation holds nobody up, and one too many is told to come again', async () => {
    const busy = await startMulch();
    try {
      const moves = Array.from({ length: 300 }, (_, i) => ({
        id: `m${i}`,
        minutes: 1,
        tool: `t${(i * 7) % 12}`,
        sideUp: `s${(i * 5) % 6}`,
        after: i > 3 ? [`m${i - 1 - ((i * 13) % 3)}`] : [],
      }));
      const ask = () =>
        fetch(`${busy.url}/api/compute/order`, {
          method: 'POST',
          headers: { 'content-type': 'application/json' },
          body: JSON.stringify({
            moves,
            goal: moves.map((m) => m.id),
            toolMinutes: 1,
            flipMinutes: 2,
            timeLimitMs: 10_000,
          }),
        }).catch(() => null);
      const answered: string[] = [];
      const all = Array.from({ length: 40 }, () =>
        ask().then((r) => {
          answered.push(`order ${r?.status}`);
          return r;
        }),
      );
      const turned = await Promise.any(
        all.map(async (a) => {
          const r = await a;
          if (r?.status !== 503) throw new Error('taken');
          return r;
        }),
      );
      expect(turned.headers.get('content-type')).toBe('application/problem+json');
      expect(((await turned.json()) as { detail: string }).detail).toContain('waiting already');
      expect((await fetch(`${busy.url}/api/jobs`)).status).toBe(200);
      // The list came while the computations were still going on.
      expect(answered).not.toContain('order 200');
    } finally {
      await busy.kill();
      rmSync(busy.data, { recursive: true, force: true });
    }
  });

  /** As typed on the wire: no client tidies the path or the headers first. */
  const raw = (path: string, headers: Record<string, string> = {}, method = 'GET') =>
    new Promise<{ status: number; type: string; length: number }>((done, fail) => {
      const ask = http.request(at('/'), { path, headers, method, agent: false }, (res) => {
        let length = 0;
        res.on('data', (chunk: Buffer) => {
          length += chunk.length;
        });
        res.once('end', () =>
          done({ status: res.statusCode ?? 0, type: String(res.headers['content-type'] ?? ''), length }),
        );
      });
      ask.once('error', fail);
      ask.end();
    });
  const asset = async () => {
    const page = await (await fetch(at('/'))).text();
    const found = /\/_astro\/[\w.-]+\.css/.exec(page)?.[0];
    if (!found) throw new Error('the page has no style sheet');
    return found;
  };

  it('answers any range of a file with the whole of it', async () => {
    const file = await asset();
    const whole = await raw(file);
    expect(whole.status).toBe(200);
    expect(whole.length).toBeGreaterThan(1000);
    for (const range of ['bytes=50-20', 'bytes=0-9', 'bytes=-5', 'bytes=1e9-', 'bytes=x-y', 'lines=1'])
      expect(await raw(file, { range }), range).toEqual(whole);
  });

  it('has nothing outside its own files, however the path is written', async () => {
    for (const path of [
      '/../package.json',
      '/..%2fpackage.json',
      '/%2e%2e/%2e%2e/package.json',
      '/_astro/../../server/entry.mjs',
      '/_astro/..%5c..%5cpackage.json',
      '/%00',
      '/%E0%A4%A',
      '/_astro/%',
      '/.build-hash',
      `/${'a'.repeat(6000)}`,
    ]) {
      const answer = await raw(path);
      expect(answer.status, path).toBeGreaterThanOrEqual(400);
      expect(answer.status, path).toBeLessThan(500);
    }
  });

  it('outlives methods, encodings and hosts nobody asked for', async () => {
    const file = await asset();
    for (const method of ['PUT', 'DELETE', 'PATCH', 'OPTIONS', 'PROPFIND', 'TRACE', 'TRACK'])
      expect((await raw('/api/jobs', {}, method)).status, method).toBeLessThan(500);
    for (const headers of [
      { 'accept-encoding': ',,;q=x' },
      { 'if-none-match': '*' },
      { 'if-modified-since': 'yesterday' },
      { host: 'else.where:99' },
      { cookie: '%;=;' },
      { accept: '\t' },
    ] as Record<string, string>[]) {
      expect((await raw(file, headers)).status).toBeLessThan(500);
      expect((await raw('/', headers)).status).toBeLessThan(500);
    }
    expect((await fetch(at('/api/jobs'))).status).toBe(200);
  });

  it('serves what is in the build now, and outlives a file that goes', async () => {
    const name = `passing-${ulid()}.txt`;
    const on = new URL(`../dist/client/${name}`, import.meta.url);
    writeFileSync(on, 'here');
    try {
      expect((await raw(`/${name}`)).length).toBe(4);
    } finally {
      rmSync(on);
    }
    expect((await raw(`/${name}`)).status).toBe(404);
    expect((await raw(await asset())).status).toBe(200);
  });

  it('listens on loopback only', () => {
    expect(new URL(mulch.url).hostname).toBe('127.0.0.1');
  });
});

describe('computations as endpoints', () => {
  it('answer what the core answers', async () => {
    const request = {
      elements: [
        { id: 'a', weight: 1, repairMinutes: 9 },
        { id: 'b', weight: 2, repairMinutes: 4 },
      ],
      checks: [{ id: 't', exercises: ['a'], minutes: 1 }],
    };
    expect(await (await post('/api/compute/trace', request)).json()).toEqual(
      JSON.parse(JSON.stringify(trace(request))),
    );
    const events: JobEvent[] = [
      {
        id: ulid(),
        at: new Date().toISOString(),
        by: 'x',
        type: 'move.recorded',
        verb: 'unplug',
        text: 'unplug J7',
        item: { kind: 'plug', name: 'J7', count: 1, place: { kind: 'shelf' } },
      },
    ];
    expect(await (await post('/api/compute/ledger', { events })).json()).toEqual(
      JSON.parse(JSON.stringify(ledgerOf(events))),
    );
  });

  it('tighten and prove answer what the core answers', async () => {
    const lid = {
      points: [0, 1, 2, 3].map((i) => ({
        id: String(i + 1),
        x: Math.cos((i * Math.PI) / 2),
        y: Math.sin((i * Math.PI) / 2),
      })),
      torque: 2,
    };
    const passes = (await (await post('/api/compute/tighten', lid)).json()).passes as {
      sequence: string[];
      torque?: number;
    }[];
    expect(passes[1]).toEqual({ name: '30 %', fraction: 0.3, torque: 0.6, sequence: ['1', '3', '2', '4'] });
    const closing = [{ id: 'lid', minutes: 4 }];
    expect(await (await post('/api/compute/prove', { closing, testMinutes: 1, pFail: 0.25 })).json()).toEqual(
      {
        places: [
          { after: null, expectedMinutes: 1 },
          { after: 'lid', expectedMinutes: 3 },
        ],
        best: null,
        skipMinutes: 2,
      },
    );
    expect((await post('/api/compute/prove', { closing, testMinutes: 1, pFail: 2 })).status).toBe(422);
  });

  it('a line is read with the names it is sent, and without them by its grammar alone', async () => {
    const read = async (body: object) => (await post('/api/compute/line', body)).json();
    const text = '4 x M3x8 PH1 fan 12 > cup 3';
    expect(await read({ text, names: [{ id: 'F12', name: 'fan 12', kind: 'element' }] })).toEqual({
      entries: [
        {
          does: 'undo',
          takesOff: true,
          kind: 'fastener',
          name: 'screw',
          count: 4,
          thread: 'M3',
          lengthMm: 8,
          drive: 'PH1',
          from: 'fan 12',
          fromKnown: 'F12',
          place: { kind: 'cup', label: '3' },
        },
      ],
      doubtful: [],
    });
    expect((await read({ text })).entries[0].fromKnown).toBeUndefined();
    expect(await read({ text: '' })).toEqual({ entries: [], doubtful: [] });
    expect((await post('/api/compute/line', { text: 1 })).status).toBe(400);
    const names = [{ id: 'x', name: 'y', kind: 'z' }];
    expect((await post('/api/compute/line', { text, names })).status).toBe(400);
  });

  it('order and schedule answer what the core answers', async () => {
    const moves = [
      { id: 'screws', minutes: 2, tool: 'PH1', sideUp: 'top' },
      { id: 'lid', minutes: 1, tool: null, sideUp: null, after: ['screws'] },
    ];
    const quick = { moves, goal: ['lid'], toolMinutes: 0.25, flipMinutes: 0.5 };
    expect(await (await post('/api/compute/order', quick)).json()).toEqual({
      order: ['screws', 'lid'],
      minutes: 3.75,
      toolChanges: 1,
      flips: 1,
      optimal: true,
      lowerBound: 3.75,
    });
    expect((await post('/api/compute/order', { ...quick, goal: [] })).status).toBe(422);
    const day = {
      tasks: [
        { id: 'glue', handsOn: 2, handsOff: 30 },
        { id: 'clean', handsOn: 10, handsOff: 0 },
      ],
    };
    expect(await (await post('/api/compute/schedule', day)).json()).toMatchObject({
      start: { glue: 0, clean: 2 },
      minutes: 32,
      optimal: true,
    });
  });

  it('are described: every reference in /api/openapi.json leads somewhere', async () => {
    const doc = await (await fetch(at('/api/openapi.json'))).json();
    expect(doc.openapi).toBe('3.1.0');
    const refs = [...JSON.stringify(doc).matchAll(/"\$ref":"#\/components\/schemas\/(\w+)"/g)].map(
      (m) => m[1] as string,
    );
    expect(refs.length).toBeGreaterThan(10);
    expect(refs.filter((r) => !(r in doc.components.schemas))).toEqual([]);
    expect(Object.keys(doc.paths)).toEqual(
      expect.arrayContaining(['/api/compute/trace', '/api/compute/ledger']),
    );
  });
});

describe('bad input gets a clear 4xx as problem+json, never a 500', () => {
  const good = { elements: [{ id: 'a', weight: 1, repairMinutes: 9 }], checks: [] };
  const cases: [string, string, unknown, number, RegExp, string?][] = [
    ['not JSON', '/api/compute/trace', '{', 400, /not JSON/],
    ['empty', '/api/compute/trace', '', 400, /not JSON/],
    ['null', '/api/compute/trace', 'null', 400, /must be object/],
    ['unknown property', '/api/compute/trace', { ...good, colour: 'red' }, 400, /colour/, '/colour'],
    [
      'unknown id',
      '/api/compute/trace',
      { ...good, log: [{ check: 'zz', outcome: 'ok' }] },
      422,
      /zz/,
      '/log/0/check',
    ],
    [
      'weight as text',
      '/api/compute/trace',
      { elements: [{ id: 'a', weight: 'x', repairMinutes: 1 }], checks: [] },
      400,
      /must be number/,
      '/elements/0/weight',
    ],
    [
      'far too many',
      '/api/compute/trace',
      {
        elements: Array.from({ length: 2001 }, (_, i) => ({ id: `e${i}`, weight: 1, repairMinutes: 1 })),
        checks: [],
      },
      400,
      /more than 2000/,
    ],
    [
      'prototype as id',
      '/api/compute/trace',
      '{"elements":[{"id":"__proto__","weight":1,"repairMinutes":1}],"checks":[{"id":"constructor","exercises":["__proto__"],"minutes":1}]}',
      200,
      /./,
    ],
    [
      'a ledger event that is none',
      '/api/compute/ledger',
      { events: [{ type: 'item.eaten' }] },
      400,
      /item.eaten/,
      '/events/0',
    ],
    [
      'a job on no unit',
      '/api/jobs',
      { job: ulid(), event: ulid(), at: '2026-11-25T10:00:00Z', by: 'x', unit: ulid() },
      404,
      /no unit/,
    ],
    [
      'a unit with a loop of covers',
      '/api/units',
      {
        id: ulid(),
        version: 0,
        map: {
          name: 'x',
          maker: '',
          model: '',
          elements: [
            {
              id: 'a',
              name: 'a',
              kind: 'board',
              weight: 1,
              remedies: [{ id: 'r', kind: 'replace', name: 'r', minutes: 1, fixes: 1 }],
            },
          ],
          feeds: [],
          taps: [],
          access: [{ id: 'l', name: 'l', minutes: 1, needs: ['l'] }],
          functions: [{ id: 'f', name: 'f', output: 'a' }],
          hazards: [],
        },
      },
      422,
      /needs itself/,
    ],
    ['no such address', '/api/nothing', {}, 404, /openapi/],
  ];
  it.each(cases)('%s', async (_n, where, body, status, words, at) => {
    const res = await post(where, body);
    const text = await res.text();
    expect(res.status, text).toBe(status);
    if (status >= 400) {
      expect(res.headers.get('content-type')).toBe('application/problem+json');
      expect(JSON.parse(text)).toMatchObject({
        status,
        title: expect.any(String),
        detail: expect.stringMatching(words),
        ...(at ? { path: at } : {}),
      });
    }
  });

  it('a body over the limit is refused while it comes', async () => {
    const res = await post('/api/jobs', `{"x":"${'y'.repeat(2 * 1024 * 1024)}"}`);
    expect(res.status).toBe(413);
  });

  it('an event with a huge count, a time that is none, or a foreign id is refused', async () => {
    const id = (await jobs()).find((j) => j.tag === 'SP-109')?.id;
    const bad = [
      { ...note('x'), at: 'yesterday' },
      { ...note('x'), id: '1' },
      { ...note('x'), type: 'item.returned', item: 'a', count: 1e9, state: 'tight' },
      { ...note('x'), text: 'y'.repeat(5000) },
    ];
    for (const event of bad)
      expect((await post(`/api/jobs/${id}/events`, { events: [event], after: 0 })).status).toBe(400);
  });

  it('writes from another site are refused, and so is a foreign host', async () => {
    const id = (await jobs())[0]?.id;
    const body = { events: [note('x')], after: 0 };
    expect((await post(`/api/jobs/${id}/events`, body, { origin: 'http://elsewhere.test' })).status).toBe(
      403,
    );
    expect((await post(`/api/jobs/${id}/events`, body, { 'sec-fetch-site': 'cross-site' })).status).toBe(403);
    expect(
      (await post(`/api/jobs/${id}/events`, JSON.stringify(body), { 'content-type': 'text/plain' })).status,
    ).toBe(415);
  });

  it('pages of jobs that are not here answer 404 with a policy that holds', async () => {
    for (const p of [
      '/jobs/nothing/trace',
      '/jobs/nothing',
      '/nothing',
      `/jobs/${(await jobs())[0]?.id}/nowhere`,
    ]) {
      const res = await fetch(at(p));
      expect(res.status).toBe(404);
      const policy = res.headers.get('content-security-policy') ?? '';
      const scripts = /script-src ([^;]*)/.exec(policy)?.[1] ?? /default-src ([^;]*)/.exec(policy)?.[1] ?? '';
      expect(scripts).toContain("'self'");
      expect(scripts).not.toMatch(/unsafe-inline|unsafe-eval/);
    }
  });
});
