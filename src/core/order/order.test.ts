import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { Refusal } from '../refusal';
import { type OrderMove, type OrderRequest, order } from '.';

/** Every sequence of moves that reaches the goal, tried one by one. */
function slow(r: OrderRequest): number {
  const by = new Map(r.moves.map((m) => [m.id, m]));
  const given = new Set(r.done ?? []);
  let best = Number.POSITIVE_INFINITY;
  const walk = (
    done: Set<string>,
    tool: string | null,
    side: string | null,
    power: string | null,
    minutes: number,
  ) => {
    if (minutes >= best) return;
    const open = (r.keep ?? []).filter((k) => done.has(k.from) && !done.has(k.until));
    if (r.goal.every((g) => done.has(g))) {
      best = minutes;
      return;
    }
    const flip = (to: string | null) => {
      if (to === null || to === side) return 0;
      const table = r.flipMinutes;
      if (typeof table === 'number') return table;
      if (side === null) return table.other ?? 0;
      return table[`${side} ${to}`] ?? table[`${to} ${side}`] ?? table.other ?? 0;
    };
    for (const m of by.values()) {
      if (done.has(m.id)) continue;
      if (!(m.after ?? []).every((a) => done.has(a))) continue;
      if (m.afterAny?.length && !m.afterAny.some((g) => g.every((a) => done.has(a)))) continue;
      for (const w of [
        { tool: m.tool, sideUp: m.sideUp, minutes: m.minutes, after: [] as string[] },
        ...(m.ways ?? []),
      ]) {
        if (!(w.after ?? []).every((a) => done.has(a))) continue;
        let cost = minutes + w.minutes;
        if (w.tool !== null && w.tool !== tool) cost += r.toolMinutes;
        if (m.power && m.power !== power) cost += r.powerMinutes ?? 0;
        const begins = (r.keep ?? []).filter((k) => k.from === m.id && !done.has(k.until));
        // What asks for no side is done as it lies, or is turned for what is to be kept from then on.
        const ups = w.sideUp !== null ? [w.sideUp] : [side, ...begins.flatMap((k) => k.sides)];
        for (const up of new Set(ups)) {
          if (up !== null && [...open, ...begins].some((k) => !k.sides.includes(up))) continue;
          walk(new Set([...done, m.id]), w.tool ?? tool, up, m.power ?? power, cost + flip(up));
        }
      }
    }
  };
  walk(given, r.start?.tool ?? null, r.start?.sideUp ?? null, r.start?.power ?? null, 0);
  return best;
}

const tool = fc.constantFrom(null, 'PH1', 'T20');
const side = fc.constantFrom(null, 'top', 'under');
const minutes = fc.integer({ min: 1, max: 9 });
const problem = fc.integer({ min: 2, max: 6 }).chain((n) => {
  const ids = Array.from({ length: n }, (_, i) => `m${i}`);
  const move = (i: number): fc.Arbitrary<OrderMove> =>
    fc
      .record({
        minutes,
        tool,
        sideUp: side,
        power: fc.constantFrom(null, 'on' as const, 'off' as const),
        after: fc.subarray(ids.slice(0, i), { maxLength: Math.min(2, i) }),
        any: fc.array(
          fc.subarray(ids.slice(0, i), { minLength: Math.min(1, i), maxLength: Math.min(2, i) }),
          {
            maxLength: 2,
          },
        ),
        way: fc.option(fc.record({ tool, sideUp: side, minutes }), { nil: undefined }),
      })
      .map(({ any, way, ...m }) => ({
        id: `m${i}`,
        ...m,
        ...(i > 0 && any.length ? { afterAny: any } : {}),
        ...(way ? { ways: [way] } : {}),
      }));
  return fc.record({
    moves: fc.tuple(...ids.map((_, i) => move(i))),
    goal: fc.subarray(ids, { minLength: 1, maxLength: 2 }),
    done: fc.subarray(ids, { maxLength: 1 }),
    start: fc.record({ tool, sideUp: side }),
    toolMinutes: fc.constantFrom(0, 1, 3),
    flipMinutes: fc.constantFrom<OrderRequest['flipMinutes'][]>(2, 0, { 'top under': 5, other: 1 }),
    powerMinutes: fc.constantFrom(0, 2),
  });
});

const refusal = (r: OrderRequest): Refusal | null => {
  try {
    order(r);
  } catch (error) {
    if (error instanceof Refusal) return error;
    throw error;
  }
  return null;
};

describe('order', () => {
  it('is as quick as the quickest of all sequences, and what it says of itself is so', () => {
    fc.assert(
      fc.property(problem, (r) => {
        const got = order(r);
        const want = slow(r);
        expect(got.optimal).toBe(true);
        expect(got.minutes).toBeCloseTo(want, 9);
        expect(got.lowerBound).toBeCloseTo(got.minutes, 9);
        expect(new Set(got.order).size).toBe(got.order.length);
        expect(order(r)).toEqual(got);
      }),
      { numRuns: 400 },
    );
  });

  it('with sides to keep too, and where nothing keeps them it says so', () => {
    const kept = problem.chain((r) =>
      fc
        .array(
          fc.record({
            from: fc.constantFrom(...r.moves.map((m) => m.id)),
            until: fc.constantFrom(...r.moves.map((m) => m.id)),
            sides: fc.constantFrom<string[][]>(['top'], ['under'], ['top', 'under']),
          }),
          { minLength: 1, maxLength: 2 },
        )
        .map(
          (keep): OrderRequest => ({
            ...r,
            keep: keep.filter((k) => k.from !== k.until && !r.done?.includes(k.from)),
          }),
        ),
    );
    let ways = 0;
    let none = 0;
    fc.assert(
      fc.property(kept, (r) => {
        const want = slow(r);
        if (want === Number.POSITIVE_INFINITY) {
          expect(refusal(r)).not.toBeNull();
          none++;
          return;
        }
        const got = order(r);
        expect(got.optimal).toBe(true);
        expect(got.minutes).toBeCloseTo(want, 9);
        expect(got.lowerBound).toBeCloseTo(got.minutes, 9);
        ways++;
      }),
      { numRuns: 400 },
    );
    expect(Math.min(ways, none)).toBeGreaterThan(0);
  });

  it('lists its choices once each: moves with several ways beside a group are no endless list', () => {
    const ways = [{ tool: null, sideUp: null, minutes: 1 }];
    const move = (id: string, more: Partial<OrderMove> = {}): OrderMove => ({
      id,
      minutes: 1,
      tool: null,
      sideUp: null,
      ...more,
    });
    const r: OrderRequest = {
      moves: [
        move('a', { ways }),
        move('b', { ways }),
        move('c', { power: 'on', afterAny: [['a'], ['a']] }),
        move('d', { after: ['b'], ways }),
        move('e', { after: ['a', 'd'], ways }),
      ],
      goal: ['c', 'e'],
      toolMinutes: 0,
      flipMinutes: 2,
      powerMinutes: 2,
    };
    expect(order(r)).toMatchObject({ minutes: 7, optimal: true, lowerBound: 7 });
  });

  it('ends a keep beside the goal also where another way to the goal ends it by chance', () => {
    const r: OrderRequest = {
      moves: [
        { id: 'clip', minutes: 1, tool: 'PH1', sideUp: 'top' },
        { id: 'lid', minutes: 3, tool: null, sideUp: 'top' },
        { id: 'tray', minutes: 1, tool: null, sideUp: null, after: ['lid'] },
        {
          id: 'board',
          minutes: 4,
          tool: 'T20',
          sideUp: 'top',
          afterAny: [['clip', 'tray'], ['lid']],
          ways: [{ tool: 'PH1', sideUp: 'under', minutes: 2 }],
        },
      ],
      goal: ['lid', 'board'],
      start: { tool: 'PH1', sideUp: 'top' },
      toolMinutes: 1,
      flipMinutes: 0,
      keep: [{ from: 'lid', until: 'clip', sides: ['top'] }],
    };
    // By itself lid then board with the other tool: 3 + 1 + 4; with the clip first it can be turned: 1 + 3 + 2.
    expect(order(r)).toMatchObject({ order: ['clip', 'lid', 'board'], minutes: 6, optimal: true });
    expect(slow(r)).toBe(6);
  });

  it('turns the unit for what begins a keep and asks for no side itself', () => {
    const tool = fc.constantFrom(null, 'PH1', 'T20');
    const moves = fc.tuple(side, side, side, minutes, minutes, tool);
    const waits = fc.tuple(fc.boolean(), fc.boolean(), fc.boolean());
    const sides = fc.constantFrom<string[][]>(['top'], ['under'], ['left'], ['under', 'left']);
    const second = fc.option(fc.tuple(fc.constantFrom('before', 'loose'), sides), { nil: null });
    const flip = fc.constantFrom(1, 4);
    fc.assert(
      fc.property(moves, waits, sides, second, side, flip, (drawn, [x, y, z], up, more, at, flipMinutes) => {
        const [a, b, c, m, n, t] = drawn;
        const r: OrderRequest = {
          moves: [
            { id: 'before', minutes: m, tool: t, sideUp: a },
            { id: 'loose', minutes: 1, tool: 'PH1', sideUp: null, after: x ? ['before'] : [] },
            { id: 'between', minutes: n, tool: 'T20', sideUp: b, after: y ? ['loose'] : [] },
            { id: 'in', minutes: 1, tool: 'PH1', sideUp: c, after: z ? ['loose', 'before'] : ['loose'] },
          ],
          goal: ['before', 'between', 'in'],
          start: { sideUp: at },
          keep: [
            { from: 'loose', until: 'in', sides: up },
            ...(more ? [{ from: more[0], until: 'between', sides: more[1] }] : []),
          ],
          toolMinutes: 1,
          flipMinutes,
        };
        const want = slow(r);
        if (want === Number.POSITIVE_INFINITY) expect(refusal(r)).not.toBeNull();
        else expect(order(r).minutes).toBeCloseTo(want, 9);
      }),
      { numRuns: 600 },
    );
  });

  it('where nothing has to be turned or changed, goes through the list again and again', () => {
    const lists = fc.integer({ min: 1, max: 12 }).chain((n) =>
      fc.record({
        // A move waits for moves of a drawn order, which is not that of the list.
        rank: fc.shuffledSubarray(
          Array.from({ length: n }, (_, i) => i),
          { minLength: n },
        ),
        waits: fc.array(fc.array(fc.nat(n - 1), { maxLength: 3 }), { minLength: n, maxLength: n }),
      }),
    );
    fc.assert(
      fc.property(lists, ({ rank, waits }) => {
        const moves: OrderMove[] = rank.map((at, i) => ({
          id: `m${i}`,
          minutes: 1,
          tool: null,
          sideUp: null,
          after: [...new Set((waits[i] ?? []).filter((w) => (rank[w] as number) < at).map((w) => `m${w}`))],
        }));
        const done: string[] = [];
        while (done.length < moves.length)
          for (const m of moves)
            if (!done.includes(m.id) && m.after?.every((a) => done.includes(a))) done.push(m.id);
        const got = order({ moves, goal: moves.map((m) => m.id), toolMinutes: 1, flipMinutes: 1 });
        expect(got.order).toEqual(done);
      }),
      { numRuns: 300 },
    );
  });

  it('follows an example worked by hand', () => {
    // Two screws on top by PH1, the shield from below by T20, the board after both: two tools, two sides.
    const moves: OrderMove[] = [
      { id: 'top screws', minutes: 2, tool: 'PH1', sideUp: 'top' },
      { id: 'shield', minutes: 1, tool: 'T20', sideUp: 'under' },
      { id: 'more top screws', minutes: 1, tool: 'PH1', sideUp: 'top' },
      {
        id: 'board',
        minutes: 3,
        tool: null,
        sideUp: null,
        after: ['top screws', 'shield', 'more top screws'],
      },
      { id: 'not needed', minutes: 9, tool: 'saw', sideUp: 'left' },
    ];
    expect(order({ moves, goal: ['board'], toolMinutes: 0.5, flipMinutes: 1 })).toEqual({
      order: ['top screws', 'more top screws', 'shield', 'board'],
      minutes: 10,
      toolChanges: 2,
      flips: 2,
      optimal: true,
      lowerBound: 10,
    });
    const begun = order({
      moves,
      goal: ['board'],
      done: ['shield'],
      start: { tool: 'PH1', sideUp: 'top' },
      toolMinutes: 0.5,
      flipMinutes: 1,
    });
    expect(begun).toMatchObject({
      order: ['top screws', 'more top screws', 'board'],
      minutes: 6,
      toolChanges: 0,
      flips: 0,
    });
  });

  it('takes the other way in where that is quicker, or where the first goes round in a loop', () => {
    const moves: OrderMove[] = [
      { id: 'back', minutes: 9, tool: null, sideUp: null },
      { id: 'top', minutes: 2, tool: null, sideUp: null },
      { id: 'hinge', minutes: 1, tool: null, sideUp: null },
      { id: 'board', minutes: 1, tool: null, sideUp: null, afterAny: [['back'], ['top', 'hinge']] },
    ];
    expect(order({ moves, goal: ['board'], toolMinutes: 1, flipMinutes: 1 }).order).toEqual([
      'top',
      'hinge',
      'board',
    ]);
    const looped = moves.map((m) => (m.id === 'top' ? { ...m, after: ['board'] } : m));
    expect(order({ moves: looped, goal: ['board'], toolMinutes: 1, flipMinutes: 1 }).order).toEqual([
      'back',
      'board',
    ]);
  });

  it('follows the variant, and keeps a side while screws lie loose', () => {
    const moves: OrderMove[] = [
      { id: 'shield', minutes: 4, tool: null, sideUp: null, when: { shield: 'yes' } },
      { id: 'loose', minutes: 1, tool: null, sideUp: 'top' },
      { id: 'under', minutes: 1, tool: null, sideUp: 'under', after: ['loose'] },
      { id: 'in', minutes: 1, tool: null, sideUp: 'top', after: ['loose'] },
      { id: 'board', minutes: 1, tool: null, sideUp: null, after: ['shield', 'under', 'in'] },
    ];
    const base = { moves, goal: ['board'], toolMinutes: 1, flipMinutes: 2 };
    expect(order({ ...base, options: { shield: 'no' } }).minutes).toBe(8);
    expect(order({ ...base, options: { shield: 'yes' } }).minutes).toBe(12);
    const kept = order({
      ...base,
      options: {},
      start: { sideUp: 'top' },
      keep: [{ from: 'loose', until: 'in', sides: ['top'] }],
    });
    expect(kept.order.indexOf('in')).toBeLessThan(kept.order.indexOf('under'));
  });

  it('takes in what ends a keep where the goal alone would leave it open, or names the keep', () => {
    const moves: OrderMove[] = [
      { id: 'loose', minutes: 1, tool: null, sideUp: 'top' },
      { id: 'under', minutes: 1, tool: null, sideUp: 'under', after: ['loose'] },
      { id: 'in', minutes: 1, tool: null, sideUp: 'top', after: ['loose'] },
    ];
    const request = {
      moves,
      goal: ['under'],
      toolMinutes: 1,
      flipMinutes: 2,
      keep: [{ from: 'loose', until: 'in', sides: ['top'] }],
    };
    expect(order(request)).toMatchObject({ order: ['loose', 'in', 'under'], minutes: 7, optimal: true });
    const never = moves.map((m) => (m.id === 'in' ? { ...m, after: ['under'] } : m));
    expect(() => order({ ...request, moves: never })).toThrow('from “loose” until “in”');
    // What begins a keep is itself done with one of its sides up.
    const below = moves.map((m) => (m.id === 'loose' ? { ...m, sideUp: 'under' } : m));
    expect(() => order({ ...request, moves: below, goal: ['in'] })).toThrow('no order keeps');
  });

  it('answers within its limit for 300 moves, 12 tools and 6 sides, and says how far off it can be', () => {
    let seed = 7;
    const roll = (n: number) => {
      seed = (seed * 1103515245 + 12345) % 2147483648;
      return seed % n;
    };
    const moves: OrderMove[] = Array.from({ length: 300 }, (_, i) => ({
      id: `m${i}`,
      minutes: 1 + roll(5),
      tool: roll(5) ? `t${roll(12)}` : null,
      sideUp: roll(3) ? `s${roll(6)}` : null,
      after: i ? [`m${Math.max(0, i - 1 - roll(12))}`] : [],
    }));
    const got = order({
      moves,
      goal: moves.map((m) => m.id),
      toolMinutes: 0.3,
      flipMinutes: 0.8,
      timeLimitMs: 300,
    });
    expect(got.order).toHaveLength(300);
    expect(got.lowerBound).toBeLessThanOrEqual(got.minutes + 1e-9);
    const at = new Map(got.order.map((id, i) => [id, i]));
    for (const m of moves)
      for (const a of m.after ?? []) expect(at.get(a) as number).toBeLessThan(at.get(m.id) as number);
  });

  it('out of time at once, still answers an order that holds, and a bound that no order goes under', () => {
    fc.assert(
      fc.property(problem, (r) => {
        // A limit that is over before the search begins: what is answered then is the run-down alone.
        const got = order({ ...r, timeLimitMs: Number.MIN_VALUE });
        const best = slow(r);
        expect(got.lowerBound).toBeLessThanOrEqual(best + 1e-9);
        expect(got.minutes).toBeGreaterThanOrEqual(best - 1e-9);
        if (got.optimal) expect(got.minutes).toBeCloseTo(best, 9);
        const done = new Set(r.done);
        for (const id of got.order) {
          const m = r.moves.find((x) => x.id === id) as OrderMove;
          expect((m.after ?? []).every((a) => done.has(a))).toBe(true);
          done.add(id);
        }
        expect(r.goal.every((g) => done.has(g))).toBe(true);
      }),
      { numRuns: 300 },
    );
  });

  it('out of time with a side to keep, still finds the one way through', () => {
    const moves: OrderMove[] = Array.from({ length: 40 }, (_, i) => ({
      id: `m${i}`,
      minutes: 1,
      tool: `t${i % 7}`,
      sideUp: i % 2 ? 'top' : 'under',
      after: i > 3 ? [`m${i - 4}`] : [],
    }));
    const request: OrderRequest = {
      moves: [
        ...moves,
        { id: 'loose', minutes: 1, tool: null, sideUp: 'top' },
        { id: 'in', minutes: 1, tool: 'PH1', sideUp: 'top', after: ['loose'] },
      ],
      goal: ['in', ...moves.map((m) => m.id)],
      keep: [{ from: 'loose', until: 'in', sides: ['top'] }],
      toolMinutes: 1,
      flipMinutes: 2,
      timeLimitMs: Number.MIN_VALUE,
    };
    const got = order(request);
    expect(got.order).toHaveLength(42);
    const between = got.order.slice(got.order.indexOf('loose') + 1, got.order.indexOf('in'));
    expect(between.every((id) => request.moves.find((m) => m.id === id)?.sideUp !== 'under')).toBe(true);
  });

  it('gives an empty order where all is done', () => {
    const moves: OrderMove[] = [{ id: 'a', minutes: 1, tool: null, sideUp: null }];
    expect(order({ moves, goal: ['a'], done: ['a'], toolMinutes: 1, flipMinutes: 1 })).toMatchObject({
      order: [],
      minutes: 0,
      optimal: true,
    });
  });

  it.each<[string, Partial<OrderRequest>, RegExp]>([
    ['an empty goal', { goal: [] }, /reached/],
    ['an unknown goal', { goal: ['zz'] }, /zz/],
    [
      'a loop',
      {
        moves: [
          { id: 'a', minutes: 1, tool: null, sideUp: null, after: ['b'] },
          { id: 'b', minutes: 1, tool: null, sideUp: null, after: ['a'] },
        ],
      },
      /a, b/,
    ],
    ['negative minutes', { moves: [{ id: 'a', minutes: -1, tool: null, sideUp: null }] }, /a/],
    [
      'a double id',
      {
        moves: [
          { id: 'a', minutes: 1, tool: null, sideUp: null },
          { id: 'a', minutes: 1, tool: null, sideUp: null },
        ],
      },
      /a/,
    ],
  ])('refuses %s by name', (_n, wrong, words) => {
    const base: OrderRequest = {
      moves: [{ id: 'a', minutes: 1, tool: null, sideUp: null }],
      goal: ['a'],
      toolMinutes: 1,
      flipMinutes: 1,
    };
    expect(refusal({ ...base, ...wrong })?.message).toMatch(words);
  });
});

describe('a budget that is counted and not timed', () => {
  /** Numbers that look thrown, the same every time (a linear congruence, Numerical Recipes, from memory). */
  const thrown = (seed: number) => {
    let s = seed;
    return () => {
      s = (s * 1664525 + 1013904223) % 4294967296;
      return s / 4294967296;
    };
  };
  const drawn = (n: number, seed: number): OrderRequest => {
    const x = thrown(seed);
    const moves = Array.from({ length: n }, (_, i) => ({
      id: `m${i}`,
      minutes: 0.2 + x() * 2,
      tool: x() < 0.2 ? null : `t${Math.floor(x() * 8)}`,
      sideUp: x() < 0.3 ? null : `s${Math.floor(x() * 4)}`,
      after: i && x() < 0.7 ? [`m${Math.floor(x() * i)}`] : [],
    }));
    return { moves, goal: moves.map((m) => m.id), toolMinutes: 0.3, flipMinutes: 1, timeLimitMs: 20 };
  };
  it.each([40, 90, 160])('answers a unit of %i moves the same twice, with a bound that holds', (n) => {
    for (const seed of [1, 2, 3]) {
      const a = order(drawn(n, seed));
      expect(order(drawn(n, seed))).toEqual(a);
      expect(a.order).toHaveLength(n);
      expect(a.lowerBound).toBeLessThanOrEqual(a.minutes + 1e-9);
      expect(a.lowerBound).toBeGreaterThan(0);
    }
  });
  it('more budget never finds a dearer order, and its bound never falls', () => {
    for (const seed of [4, 5, 6]) {
      const little = order({ ...drawn(30, seed), timeLimitMs: 1 });
      const more = order({ ...drawn(30, seed), timeLimitMs: 200 });
      expect(more.minutes).toBeLessThanOrEqual(little.minutes + 1e-9);
      expect(more.lowerBound).toBeGreaterThanOrEqual(little.lowerBound - 1e-9);
    }
  });
  it('twelve moves that can each follow one of two are answered within one budget, honestly', () => {
    const moves: OrderRequest['moves'] = Array.from({ length: 12 }, (_, i) => [
      { id: `a${i}`, minutes: 1 + (i % 3), tool: `t${i % 5}`, sideUp: `s${i % 3}` },
      { id: `b${i}`, minutes: 1 + ((i + 1) % 3), tool: `t${(i + 2) % 5}`, sideUp: `s${(i + 1) % 3}` },
      { id: `g${i}`, minutes: 1, tool: null, sideUp: null, afterAny: [[`a${i}`], [`b${i}`]] },
    ]).flat();
    const goal = {
      id: 'out',
      minutes: 1,
      tool: null,
      sideUp: null,
      after: moves.flatMap((m) => (m.afterAny ? [m.id] : [])),
    };
    const answer = order({
      moves: [...moves, goal],
      goal: ['out'],
      toolMinutes: 0.3,
      flipMinutes: 1,
      timeLimitMs: 100,
    });
    expect(answer.order.at(-1)).toBe('out');
    expect(answer.order).toHaveLength(25);
    expect(answer.optimal).toBe(false);
    // Every order has the thirteen moves that all ways share.
    expect(answer.lowerBound).toBeGreaterThanOrEqual(13);
    expect(answer.lowerBound).toBeLessThan(answer.minutes);
  });
  it('looks at the other group although the first is in the set by chance', () => {
    // z needs a in any case, and a lies under; b is on top and a moment’s work.
    const answer = order({
      moves: [
        { id: 'a', minutes: 1, tool: null, sideUp: 'under' },
        { id: 'b', minutes: 0.1, tool: null, sideUp: 'top' },
        { id: 'z', minutes: 1, tool: null, sideUp: 'under', after: ['a'] },
        { id: 'g', minutes: 1, tool: null, sideUp: 'top', afterAny: [['a'], ['b']] },
      ],
      goal: ['g', 'z'],
      start: { sideUp: 'top' },
      toolMinutes: 0,
      flipMinutes: 1,
    });
    expect(answer.order).toEqual(['b', 'g', 'a', 'z']);
    // By hand: 0.1 + 1 + flip 1 + 1 + 1 = 4.1, against 1 + 1 + 1 and two flips = 5.
    expect(answer.minutes).toBeCloseTo(4.1, 9);
    expect(answer.optimal).toBe(true);
  });
});
