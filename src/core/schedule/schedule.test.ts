import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { schedule, type Task } from '.';

/** Least end over every sequence of the hands-on parts, each begun as soon as it can. */
function slow(tasks: Task[]): number {
  let best = Number.POSITIVE_INFINITY;
  const walk = (ends: Map<string, number>, time: number) => {
    if (ends.size === tasks.length) best = Math.min(best, Math.max(0, ...ends.values()));
    for (const t of tasks) {
      if (ends.has(t.id) || !(t.after ?? []).every((a) => ends.has(a))) continue;
      const at = Math.max(time, ...(t.after ?? []).map((a) => ends.get(a) ?? 0));
      walk(new Map([...ends, [t.id, at + t.handsOn + t.handsOff]]), at + t.handsOn);
    }
  };
  walk(new Map(), 0);
  return best;
}

const tasks = fc.integer({ min: 1, max: 6 }).chain((n) =>
  fc.tuple(
    ...Array.from({ length: n }, (_, i) =>
      fc.record({
        id: fc.constant(`t${i}`),
        handsOn: fc.integer({ min: 0, max: 9 }),
        handsOff: fc.integer({ min: 0, max: 30 }),
        after: fc.subarray(
          Array.from({ length: i }, (_, k) => `t${k}`),
          { maxLength: Math.min(2, i) },
        ),
      }),
    ),
  ),
);

describe('waits and the day', () => {
  it('ends as early as the best of all sequences', () => {
    fc.assert(
      fc.property(tasks, (list) => {
        const got = schedule({ tasks: list });
        expect(got.optimal).toBe(true);
        expect(got.minutes).toBeCloseTo(slow(list), 9);
        const by = new Map<string, Task>(list.map((t) => [t.id, t]));
        const spans = list
          .map((t) => [got.start[t.id] as number, (got.start[t.id] as number) + t.handsOn] as const)
          .filter(([a, b]) => b > a)
          .sort((a, b) => a[0] - b[0]);
        spans.slice(1).forEach(([from], i) => {
          expect(from).toBeGreaterThanOrEqual((spans[i]?.[1] ?? 0) - 1e-9);
        });
        for (const t of list) {
          for (const a of t.after) {
            const b = by.get(a) as Task;
            expect(got.start[t.id] as number).toBeGreaterThanOrEqual(
              (got.start[a] as number) + b.handsOn + b.handsOff - 1e-9,
            );
          }
        }
        for (const f of got.free)
          for (const [from, to] of spans) expect(to <= f.from + 1e-9 || from >= f.to - 1e-9).toBe(true);
      }),
      { numRuns: 300 },
    );
  });

  it('names what decides the end, link by link from the first minute, and every minute the hands are free', () => {
    fc.assert(
      fc.property(tasks, (list) => {
        const got = schedule({ tasks: list });
        const by = new Map<string, Task>(list.map((t) => [t.id, t]));
        const at = (id: string) => got.start[id] as number;
        const handsEnd = (id: string) => at(id) + (by.get(id) as Task).handsOn;
        const end = (id: string) => handsEnd(id) + (by.get(id) as Task).handsOff;
        const { critical } = got;
        expect(new Set(critical).size).toBe(critical.length);
        expect(at(critical[0] as string)).toBe(0);
        expect(end(critical.at(-1) as string)).toBe(got.minutes);
        critical.slice(1).forEach((id, k) => {
          const last = critical[k] as string;
          // It waited for what comes before it, or for the hands.
          const waited = (by.get(id) as Task).after?.includes(last) && end(last) === at(id);
          expect(waited || handsEnd(last) === at(id)).toBe(true);
        });
        const busy = (minute: number) => list.some((t) => at(t.id) <= minute && handsEnd(t.id) >= minute + 1);
        const free = (minute: number) => got.free.some((f) => f.from <= minute && f.to >= minute + 1);
        for (let m = 0; m < got.minutes; m++) expect(free(m)).toBe(!busy(m));
        for (const f of got.free) expect(f.to).toBeGreaterThan(f.from);
      }),
      { numRuns: 300 },
    );
  });

  it('follows an example worked by hand: the glue first, the cleaning while it cures', () => {
    const got = schedule({
      tasks: [
        { id: 'clean', handsOn: 10, handsOff: 0 },
        { id: 'glue', handsOn: 2, handsOff: 30 },
        { id: 'close', handsOn: 4, handsOff: 0, after: ['glue'] },
      ],
    });
    expect(got).toEqual({
      start: { glue: 0, clean: 2, close: 32 },
      minutes: 36,
      critical: ['glue', 'close'],
      free: [{ from: 12, to: 32 }],
      optimal: true,
      lowerBound: 36,
    });
  });

  it('refuses loops, unknown and double tasks, and negative minutes by name', () => {
    const t = (id: string, after: string[] = []) => ({ id, handsOn: 1, handsOff: 0, after });
    expect(() => schedule({ tasks: [t('a', ['b']), t('b', ['a'])] })).toThrow(/a.*b|b.*a/);
    expect(() => schedule({ tasks: [t('a', ['zz'])] })).toThrow(/zz/);
    expect(() => schedule({ tasks: [t('a'), t('a')] })).toThrow(/twice/);
    expect(() => schedule({ tasks: [{ id: 'a', handsOn: -1, handsOff: 0 }] })).toThrow(/handsOn of “a”/);
    expect(() => schedule({ tasks: [{ id: 'a', handsOn: 0, handsOff: -1 }] })).toThrow(/handsOff of “a”/);
    expect(schedule({ tasks: [] })).toMatchObject({ start: {}, minutes: 0, critical: [], free: [] });
  });

  it('answers within its limit for 60 tasks', () => {
    const many = Array.from({ length: 60 }, (_, i) => ({
      id: `t${i}`,
      handsOn: 1 + (i % 5),
      handsOff: (i * 7) % 23,
      after: i > 6 ? [`t${i - 1 - (i % 6)}`] : [],
    }));
    const got = schedule({ tasks: many, timeLimitMs: 200 });
    expect(got.minutes).toBeGreaterThanOrEqual(got.lowerBound - 1e-9);
    expect(Object.keys(got.start)).toHaveLength(60);
  });
});
