import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { Refusal } from '../src/core/refusal';
import { explain } from '../src/schemas/explain';
import { answering, json } from '../src/server/answer';
import { readBody } from '../src/server/body';
import { checkedDocuments } from '../src/server/documents';
import { guardOf } from '../src/server/guard';
import { Problem, problemResponse, refused } from '../src/server/problem';

const documents = checkedDocuments();
const guard = (name: string) => guardOf(documents[name] as (typeof documents)[string]);
const isJobEvent = guard('JobEvent');
const isJobFile = guard('JobFile');
const isLedgerRequest = guard('LedgerRequest');
const isOpenJob = guard('OpenJob');
const isPostEvents = guard('PostEvents');
const isSaveUnit = guard('SaveUnit');
const isTraceRequest = guard('TraceRequest');
const isUnitMap = guard('UnitMap');
const answer = async (handle: () => Promise<Response>) => {
  const res = await answering('/api/x', handle);
  return {
    status: res.status,
    type: res.headers.get('content-type'),
    body: (await res.json()) as Record<string, unknown>,
  };
};
const request = (body: BodyInit, type = 'application/json') =>
  new Request('http://127.0.0.1/', { method: 'POST', headers: { 'content-type': type }, body });
const anything = (data: unknown): data is { a: number } =>
  typeof data === 'object' && data !== null && 'a' in data;

describe('an endpoint', () => {
  it('answers what it is given', async () => {
    expect(await answer(async () => json({ a: 1 }, 201))).toEqual({
      status: 201,
      type: 'application/json',
      body: { a: 1 },
    });
  });
  it('tells a problem with its status, path and event', async () => {
    const told = await answer(async () => {
      throw new Problem(409, 'Id in use', 'kept already', '/id', 'E1');
    });
    expect(told).toEqual({
      status: 409,
      type: 'application/problem+json',
      body: {
        type: 'about:blank',
        title: 'Id in use',
        status: 409,
        detail: 'kept already',
        path: '/id',
        event: 'E1',
      },
    });
  });
  it('tells a refusal of the core as 422 with its path', async () => {
    const told = await answer(async () => {
      throw new Refusal('say what came off', '/item/name');
    });
    expect(told).toMatchObject({
      status: 422,
      body: { title: 'Refused', detail: 'say what came off', path: '/item/name' },
    });
    expect(refused(new Refusal('x')).path).toBeUndefined();
  });
  it('owns up to its own faults without saying what they are', async () => {
    const told = await answer(async () => {
      throw new TypeError('secret of the inside');
    });
    expect(told.status).toBe(500);
    expect(JSON.stringify(told.body)).not.toContain('secret');
  });
  it('leaves no path out and puts none in', async () => {
    expect(await problemResponse(new Problem(404, 'No', 'nothing')).json()).toEqual({
      type: 'about:blank',
      title: 'No',
      status: 404,
      detail: 'nothing',
    });
  });
});

describe('a body', () => {
  const status = (p: Promise<unknown>) =>
    p.then(
      () => 200,
      (e: unknown) => (e instanceof Problem ? e.status : 0),
    );
  it('is read when it is JSON of the right kind', async () => {
    expect(await readBody(request('{"a":1}'), anything)).toEqual({ a: 1 });
    expect(await readBody(request('{"a":1}', 'application/vnd.bench+json; charset=utf-8'), anything)).toEqual(
      { a: 1 },
    );
  });
  it.each([
    ['another type', request('{"a":1}', 'text/plain'), 415],
    ['no JSON', request('{a:1}'), 400],
    ['nothing', request(''), 400],
    ['the wrong shape', request('[]'), 400],
    ['over a megabyte', request(`{"a":"${'x'.repeat(1024 * 1024)}"}`), 413],
  ])('is refused: %s', async (_n, r, want) => {
    expect(await status(readBody(r, anything))).toBe(want);
  });
  it('may be larger where an endpoint says so', async () => {
    expect(await status(readBody(request(`{"a":"${'x'.repeat(1024 * 1024)}"}`), anything, 2))).toBe(200);
  });
});

describe('explaining what a schema refuses', () => {
  const fault = (guard: { (d: unknown): boolean; errors?: Parameters<typeof explain>[0] }, data: unknown) => {
    expect(guard(data)).toBe(false);
    return explain(guard.errors);
  };
  it.each([
    ['missing', isOpenJob, {}, '', /is missing/],
    [
      'unknown property',
      isOpenJob,
      {
        job: '01ARZ3NDEKTSV4RRFFQ69G5FAV',
        event: '01ARZ3NDEKTSV4RRFFQ69G5FAV',
        at: '2026-11-25T10:00:00Z',
        by: 'x',
        unit: '01ARZ3NDEKTSV4RRFFQ69G5FAV',
        hat: 1,
      },
      '',
      /“hat” is not known here/,
    ],
    [
      'not a time',
      isOpenJob,
      {
        job: '01ARZ3NDEKTSV4RRFFQ69G5FAV',
        event: '01ARZ3NDEKTSV4RRFFQ69G5FAV',
        at: 'noon',
        by: 'x',
        unit: '01ARZ3NDEKTSV4RRFFQ69G5FAV',
      },
      '/at',
      /date-time/,
    ],
    [
      'not an id',
      isOpenJob,
      { job: 'x', event: '01ARZ3NDEKTSV4RRFFQ69G5FAV', at: '2026-11-25T10:00:00Z', by: 'x', unit: 'y' },
      '/job',
      /right form/,
    ],
    ['no events', isPostEvents, { events: [], after: 0 }, '/events', /needs at least 1/],
    ['a negative place', isPostEvents, { events: [], after: -1 }, '', /./],
    [
      'another format',
      isJobFile,
      {
        format: 'x',
        version: 1,
        exportedAt: '2026-11-25T10:00:00Z',
        job: '01ARZ3NDEKTSV4RRFFQ69G5FAV',
        events: [1],
      },
      '/format',
      /must be "mulch job"/,
    ],
    ['an unknown event', isJobEvent, { type: 'job.eaten' }, '', /“job.eaten” is not a known type/],
    [
      'a weight in words',
      isTraceRequest,
      { elements: [{ id: 'a', weight: 'much' }], checks: [] },
      '/elements/0/weight',
      /must be number/,
    ],
    [
      'a power that is none',
      isTraceRequest,
      { elements: [{ id: 'a', weight: 1 }], checks: [{ id: 't', minutes: 1, power: 'half' }] },
      '/checks/0/power',
      /must be one of: on, off/,
    ],
    ['a ledger of nothing', isLedgerRequest, { events: 'none' }, '/events', /must be array/],
  ] as const)('%s', (_n, guard, data, path, words) => {
    const told = fault(guard as never, data);
    if (path) expect(told.path).toBe(path);
    expect(told.reason).toMatch(words);
  });
  it('has words even where there is no error to explain', () => {
    expect(explain(null)).toEqual({ path: '', reason: 'is not what was expected' });
  });
});

describe('whatever is thrown at the borders', () => {
  const guards = {
    isJobEvent,
    isJobFile,
    isLedgerRequest,
    isOpenJob,
    isPostEvents,
    isSaveUnit,
    isTraceRequest,
    isUnitMap,
  };
  it.each(Object.entries(guards))('%s says yes or no, and why not', (_n, guard) => {
    fc.assert(
      fc.property(fc.jsonValue({ maxDepth: 4 }), (data) => {
        const check = guard as { (d: unknown): boolean; errors?: Parameters<typeof explain>[0] };
        if (!check(data)) expect(explain(check.errors).reason.length).toBeGreaterThan(0);
      }),
      { numRuns: 200 },
    );
  });
  it('names that mean something to the language are names like any other', () => {
    for (const id of ['__proto__', 'constructor', 'toString', 'hasOwnProperty']) {
      expect(
        isTraceRequest({
          elements: [{ id, weight: 1, repairMinutes: 1 }],
          checks: [{ id, exercises: [id], minutes: 1 }],
        }),
      ).toBe(true);
    }
  });
});
