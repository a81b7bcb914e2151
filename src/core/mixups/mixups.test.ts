import fc from 'fast-check';
import loadHighs from 'highs';
import { describe, expect, it } from 'vitest';
import { type Header, type HeaderLine, leastCover, mixupGroups, mixups, type Plug } from '.';
import { gnd, header, plug, sig as signal, sup } from './harness.test.fixture';

/** A signal that takes 3.6 V, unless it is said otherwise. */
const sig = (name: string, maxVolts = 3.6): HeaderLine => signal(name, maxVolts);
const fan = header('J1', [sup(12), gnd]);
const camera = header('J2', [gnd, sig('CAM_TX')]);
const worst = (plugs: Plug[], headers: Header[]) => mixups({ plugs, headers }).risks[0];

describe('a wrong mating', () => {
  it('is as bad as its worst contact, and says which', () => {
    const risk = worst([plug('P1', fan), plug('P2', camera)], [fan, camera]);
    expect(risk).toMatchObject({ how: 'wrong header', severity: 3 });
    const signal = header('J3', [gnd, gnd, sig('CAM_TX')]);
    const power = header('J4', [gnd, gnd, sup(12)]);
    const r = mixups({ plugs: [plug('P4', power)], headers: [signal, power] }).risks[0];
    expect(r?.why).toBe('contact 3: +12 V onto CAM_TX (max 3.6 V)');
  });
  it.each([
    ['a supply over the limit', sup(12), sig('A', 5), 3],
    ['a supply within the limit, its own supply missing', sup(3.3), sig('A', 5), 2],
    ['a supply onto a ground', sup(5), gnd, 3],
    ['equal supplies under another name', sup(5, 'VA'), sup(5, 'VB'), 0],
    ['a lower supply within limits', sup(12, 'V', 15), sup(5, 'W', 15), 2],
    ['a higher supply without a known limit', sup(5, 'V'), sup(12, 'W'), 3],
    ['a higher supply within its limit, the own one too low', sup(5, 'V', 15), sup(12, 'W', 15), 2],
    ['a signal on a supply within its limit', sig('A', 5), sup(3.3), 1],
    ['a signal on a supply over its limit', sig('A', 3.6), sup(5), 3],
    ['a signal without a known limit on a supply', { name: 'A', kind: 'signal' } as HeaderLine, sup(5), 3],
    ['ground with a driven signal', gnd, sig('A'), 2],
    ['two signals', sig('A'), sig('B'), 1],
    ['the same signal', sig('A'), sig('A'), 0],
    ['a supply that meets nothing', sup(5), { name: 'NC', kind: 'nc' } as HeaderLine, 2],
    ['a signal that meets nothing', sig('A'), { name: 'NC', kind: 'nc' } as HeaderLine, 1],
    ['nothing that meets a supply', { name: 'NC', kind: 'nc' } as HeaderLine, sup(5), 0],
  ])('%s', (_n, own, other, severity) => {
    const home = header('J1', [own, gnd]);
    const there = header('J2', [other, gnd]);
    expect(
      mixups({ plugs: [plug('P', home)], headers: [home, there] }).risks.find((r) => r.header === 'J2')
        ?.severity,
    ).toBe(severity);
  });
  it('needs family, pitch, rows, key, positions and reach to agree', () => {
    const can = (more: Partial<Header>, p: Partial<Plug> = {}) =>
      mixups({
        plugs: [plug('P', fan, p)],
        headers: [fan, { ...header('J9', [gnd, gnd]), ...more }],
      }).risks.some((r) => r.header === 'J9');
    expect(can({})).toBe(true);
    expect(can({ family: 'other' })).toBe(false);
    expect(can({ pitch: 2 })).toBe(false);
    expect(can({ key: 'x' })).toBe(false);
    expect(can({ key: null })).toBe(true);
    expect(can({ lines: [gnd, gnd, gnd], positions: 3 })).toBe(false);
    expect(can({ lines: [gnd, gnd, gnd], positions: 3, open: true })).toBe(true);
    expect(can({ at: { x: 110, y: 0, board: 'main' } })).toBe(true);
    expect(can({ at: { x: 110.1, y: 0, board: 'main' } })).toBe(false);
    expect(can({ at: { x: 0, y: 0, board: 'other' } })).toBe(false);
  });
});

describe('turned and shifted', () => {
  it('an unkeyed plug can be turned and needs a mark when that harms; one contact cannot', () => {
    const h = header('J1', [sup(12), sig('A'), gnd], { key: null });
    const a = mixups({ plugs: [plug('P', h)], headers: [h] });
    expect(a.risks.find((r) => r.how === 'reversed')?.severity).toBe(3);
    expect(a.orientationMarks).toEqual(['P']);
    const same = header('J2', [gnd, sig('A'), gnd], { key: null });
    expect(mixups({ plugs: [plug('P', same)], headers: [same] }).orientationMarks).toEqual([]);
    const one = header('J3', [sup(5)], { key: null });
    expect(mixups({ plugs: [plug('P', one)], headers: [one] }).risks).toEqual([]);
  });
  it('an open header lets a plug sit one off, and one row over in two rows', () => {
    const h = header('J1', [sup(5), sig('A'), gnd], { open: true });
    expect(
      mixups({ plugs: [plug('P', h)], headers: [h] })
        .risks.map((r) => r.shift)
        .sort(),
    ).toEqual([-1, 1]);
    const two = header('J2', [sup(5), gnd, sig('A'), sig('B')], { open: true, rows: 2 });
    const shifts = mixups({ plugs: [plug('P', two)], headers: [two] }).risks.map((r) => r.shift);
    expect(shifts.sort((a, b) => (a ?? 0) - (b ?? 0))).toEqual([-2, -1, 1, 2]);
  });
});

describe('labels', () => {
  const twins = (n: number, more: (i: number) => Partial<Plug & Header> = () => ({})) => {
    const headers = Array.from({ length: n }, (_, i) =>
      header(`J${i}`, [sup(5 + i), gnd], more(i) as Partial<Header>),
    );
    return { headers, plugs: headers.map((h, i) => plug(`P${i}`, h, more(i) as Partial<Plug>)) };
  };
  it('all but one of a group that can be exchanged', () => {
    expect(mixups(twins(5)).labels).toHaveLength(4);
  });
  it('none where colour tells plug and header apart, and it is said', () => {
    const a = mixups(twins(3, (i) => ({ colour: ['RD', 'WH', 'BK'][i] as string })));
    expect(a.labels).toEqual([]);
    expect(a.told).toHaveLength(3);
    expect(a.told[0]?.by).toContain('colour');
  });
  it('wire colours and bundles tell plugs apart only when both are recorded', () => {
    const { plugs, headers } = twins(2);
    const with_ = (a: Partial<Plug>, b: Partial<Plug>) =>
      mixups({
        headers,
        plugs: [
          { ...(plugs[0] as Plug), ...a },
          { ...(plugs[1] as Plug), ...b },
        ],
      }).labels.length;
    expect(with_({ wires: ['RD', 'BK'] }, { wires: ['YE', 'BK'] })).toBe(0);
    expect(with_({ wires: ['RD', 'BK'] }, {})).toBe(1);
    expect(with_({ bundle: 'left' }, { bundle: 'right' })).toBe(0);
  });
  it('a plug that fits a header that is nobody’s home needs its own label', () => {
    const spare = header('J9', [gnd, sup(12)]);
    expect(mixups({ plugs: [plug('P', fan)], headers: [fan, spare] }).labels).toEqual(['P']);
  });
  it('the more dangerous of two is labelled', () => {
    const a = header('J1', [sig('A'), gnd]);
    const b = header('J2', [sup(3.3, 'V', 5), gnd]);
    const answer = mixups({ plugs: [plug('P1', a), plug('P2', b)], headers: [a, b] });
    expect(answer.labels).toEqual(['P2']);
  });
});

describe('labels do what they are for', () => {
  const lines = fc.array(
    fc.constantFrom<HeaderLine>(sup(12), sup(5, '+5V', 5.5), gnd, sig('A'), sig('B', 5), {
      name: 'nc',
      kind: 'nc',
    }),
    { minLength: 2, maxLength: 4 },
  );
  const harness = fc.array(
    fc.record({
      lines,
      key: fc.constantFrom(null, 'k', 'x'),
      open: fc.boolean(),
      x: fc.integer({ min: 0, max: 120 }),
    }),
    { minLength: 1, maxLength: 7 },
  );
  const built = (list: { lines: HeaderLine[]; key: string | null; open: boolean; x: number }[]) => {
    const headers = list.map((h, i) =>
      header(`J${i}`, h.lines, { key: h.key, open: h.open, at: { x: h.x, y: 0, board: 'main' } }),
    );
    return {
      headers,
      plugs: headers.map((h, i) => plug(`P${i}`, h, { exit: h.at, freeLength: 40 * (i % 3) })),
    };
  };
  it('once the labelled ones carry their own mark, nothing harmful is left to be mistaken', () => {
    fc.assert(
      fc.property(harness, (list) => {
        const { plugs, headers } = built(list);
        const { labels } = mixups({ plugs, headers });
        // A label is a colour of its own on plug and header; whoever has none keeps what tells it from those.
        const marked = (id: string) => labels.includes(id);
        const after = mixups({
          plugs: plugs.map((p) => ({ ...p, colour: marked(p.id) ? p.id : 'plain' })),
          headers: headers.map((h, i) => ({ ...h, colour: marked(`P${i}`) ? `P${i}` : 'plain' })),
        });
        expect(after.labels.filter((l) => !marked(l))).toEqual([]);
      }),
    );
  });
  it('every risk is of a plug that really goes in, its severity agrees with its effect, and worst is first', () => {
    fc.assert(
      fc.property(harness, (list) => {
        const { risks } = mixups(built(list));
        const order = risks.map((r) => r.severity);
        expect(order).toEqual([...order].sort((a, b) => b - a));
        for (const r of risks) {
          expect(r.why).toBeTruthy();
          expect(r.effect === 'nothing changes').toBe(r.severity === 0);
          if (r.how !== 'wrong header') expect(r.header).toBe(`J${r.plug.slice(1)}`);
        }
      }),
    );
  });
});

describe('the least cover', () => {
  it('is what a solver package finds on random graphs', async () => {
    // Outside check: HiGHS, minimum weighted vertex cover as a mixed integer program.
    const highs = await loadHighs();
    const graph = fc.integer({ min: 2, max: 12 }).chain((n) =>
      fc.record({
        cost: fc.array(fc.integer({ min: 1, max: 9 }), { minLength: n, maxLength: n }),
        pairs: fc.array(fc.tuple(fc.nat(n - 1), fc.nat(n - 1)), { minLength: 1, maxLength: 30 }),
      }),
    );
    fc.assert(
      fc.property(graph, ({ cost, pairs }) => {
        const edges = pairs.filter(([a, b]) => a !== b);
        fc.pre(edges.length > 0);
        const lp = [
          'Minimize',
          ` obj: ${cost.map((c, i) => `${c} x${i}`).join(' + ')}`,
          'Subject To',
          ...edges.map(([a, b], i) => ` c${i}: x${a} + x${b} >= 1`),
          'Binary',
          ` ${cost.map((_, i) => `x${i}`).join(' ')}`,
          'End',
        ].join('\n');
        const { ObjectiveValue } = highs.solve(lp);
        const { cover, exact } = leastCover({ cost, edges });
        expect(exact).toBe(true);
        for (const [a, b] of edges) expect(cover.includes(a) || cover.includes(b)).toBe(true);
        expect(cover.reduce((s, v) => s + (cost[v] as number), 0)).toBeCloseTo(ObjectiveValue, 6);
      }),
      { numRuns: 60 },
    );
  });
  it('four hundred plugs in groups of twenty are settled exactly', () => {
    const headers = Array.from({ length: 400 }, (_, i) =>
      header(`J${i}`, [sup(5 + (i % 3)), gnd], { family: `f${Math.floor(i / 20)}` }),
    );
    const answer = mixups({ headers, plugs: headers.map((h, i) => plug(`P${i}`, h)) });
    expect(answer.fewest).toBe(true);
    expect(answer.risks.length).toBe(400 * 19);
  });
});

describe('data that does not hold together', () => {
  const path = (f: () => unknown) => {
    try {
      f();
      return '';
    } catch (error) {
      return (error as { path: string }).path;
    }
  };
  it('is pointed at in its row', () => {
    const at = (p: Partial<Plug>, h: Partial<Header> = {}) =>
      path(() => mixups({ plugs: [plug('P', fan, p)], headers: [{ ...fan, ...h }] }));
    expect(at({ positions: 12 })).toBe('/plugs/0/lines');
    expect(at({ home: 'J7' })).toBe('/plugs/0/home');
    expect(at({ rows: 3 })).toBe('/plugs/0/rows');
    expect(at({ freeLength: -1 })).toBe('/plugs/0/freeLength');
    expect(at({}, { lines: [gnd] })).toBe('/headers/0/lines');
    expect(at({ positions: 3, lines: ['a', 'b', 'c'] })).toBe('/plugs/0/positions');
    expect(path(() => mixups({ plugs: [plug('P', fan), plug('Q', fan)], headers: [fan] }))).toBe(
      '/plugs/1/home',
    );
    expect(path(() => mixups({ plugs: [], headers: [fan, fan] }))).toBe('/headers/1/id');
  });
});

describe('groups of plugs that can be taken for one another', () => {
  it('are joined by harmful wrong headers alone, and a plug with one home stands in none', () => {
    const plugs = [plug('P1', fan), plug('P2', camera), plug('P3', header('J9', [gnd], { family: 'pin' }))];
    const headers = [fan, camera, header('J9', [gnd], { family: 'pin' })];
    const groups = mixupGroups(plugs, headers, mixups({ plugs, headers }));
    expect(groups).toEqual([{ shape: 'wafer, 2.5 mm, one row', plugs: ['P1', 'P2'], headers: ['J1', 'J2'] }]);
  });
  it('every harmful wrong header lies within one group, and no plug in two', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.record({
            volts: fc.constantFrom(5, 12, 24),
            far: fc.boolean(),
            pitch: fc.constantFrom(1.5, 2.5),
          }),
          { minLength: 2, maxLength: 7 },
        ),
        (rows) => {
          const headers = rows.map((r, i) =>
            header(`J${i}`, [sup(r.volts), gnd], {
              pitch: r.pitch,
              at: { x: r.far ? 900 * i : 10 * i, y: 0, board: 'main' },
            }),
          );
          const plugs = headers.map((h, i) => plug(`P${i}`, h, { exit: h.at }));
          const answer = mixups({ plugs, headers });
          const groups = mixupGroups(plugs, headers, answer);
          const named = groups.flatMap((g) => g.plugs);
          expect(new Set(named).size).toBe(named.length);
          for (const r of answer.risks.filter((x) => x.how === 'wrong header' && x.severity > 0))
            expect(
              groups.filter((g) => g.plugs.includes(r.plug) && g.headers.includes(r.header)),
            ).toHaveLength(1);
        },
      ),
      { numRuns: 60 },
    );
  });
});
