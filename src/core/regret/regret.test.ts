import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { Refusal } from '../refusal';
import type { TraceCheck, TraceElement, TraceLogEntry } from '../trace';
import { type Chosen, handWays, regret, score } from '.';
import {
  acts,
  best,
  charge,
  type Entry,
  follow,
  ladderOf,
  leadsTo,
  type Moment,
  mass,
  type Plain,
  type PlainAct,
  q,
  start,
} from './plain.test.reference';

const near = (a: number, b: number) =>
  expect(Math.abs(a - b), `${a} beside ${b}`).toBeLessThanOrEqual(1e-6 * Math.max(1, Math.abs(b)));

const whole = (min: number, max: number) => fc.integer({ min, max });
const power = fc.constantFrom('on' as const, 'off' as const, undefined);
const needs = fc.subarray(['lid', 'shield']);
/** Small units of any kind: ladders, faults that come and go, several answers, covers, the power. */
const unit = (size: { elements: number; checks: number; noise?: boolean }): fc.Arbitrary<Plain> =>
  whole(2, size.elements).chain((n) => {
    const ids = Array.from({ length: n }, (_, i) => `e${i}`);
    const element = (id: string) =>
      fc
        .record({
          weight: whole(1, 9),
          q: fc.constantFrom(1, 1, 0.5),
          needs,
          power,
          ladder: fc.array(fc.record({ minutes: whole(1, 30), fixes: fc.constantFrom(0.1, 0.6, 0.95) }), {
            minLength: 1,
            maxLength: 2,
          }),
        })
        .map(
          ({ ladder, power: p, ...e }): TraceElement => ({
            id,
            ...e,
            ...(size.noise === false ? { q: 1 } : {}),
            ...(p ? { power: p } : {}),
            ...(ladder.length > 1
              ? { remedies: ladder.map((r, k) => ({ id: `r${k}`, ...r })) }
              : { repairMinutes: ladder[0]?.minutes ?? 1 }),
          }),
        );
    const check = (id: string) =>
      fc
        .record({
          exercises: fc.subarray(ids, { minLength: 1 }),
          minutes: whole(1, 9),
          noise: fc.constantFrom([1, 0], [0.97, 0.02], [0.7, 0.1]),
          needs,
          power,
          several: fc.constantFrom(false, false, true),
        })
        .map(
          ({ noise: [s, f], several, exercises, power: p, ...c }): TraceCheck => ({
            id,
            ...c,
            ...(p ? { power: p } : {}),
            ...(several && size.noise !== false
              ? {
                  outcomes: [
                    { id: 'red', points: exercises },
                    { id: 'dark', points: ids.slice(0, 1) },
                  ],
                }
              : {
                  exercises,
                  sensitivity: size.noise === false ? 1 : (s as number),
                  falseAlarm: size.noise === false ? 0 : (f as number),
                }),
          }),
        );
    return fc
      .record({
        elements: fc.tuple(...ids.map(element)),
        checks: whole(1, size.checks).chain((c) =>
          fc.tuple(...Array.from({ length: c }, (_, i) => check(`c${i}`))),
        ),
      })
      .map((u) => ({
        ...u,
        access: [
          { id: 'lid', minutes: 4 },
          { id: 'shield', minutes: 3, needs: ['lid'] },
        ],
        power: { now: 'off' as const, onMinutes: 2, offMinutes: 1 },
      }));
  });

const entryOf = (m: Plain, { act, answer }: Entry): TraceLogEntry => {
  if ('check' in act) return { check: (m.checks[act.check] as TraceCheck).id, outcome: answer as string };
  const e = m.elements[act.element] as TraceElement;
  return e.remedies ? { tried: e.remedies[act.rung]?.id as string, element: e.id } : { repaired: e.id };
};
const chosenOf = (m: Plain, act: PlainAct): Chosen => {
  if ('check' in act) return { check: (m.checks[act.check] as TraceCheck).id };
  const e = m.elements[act.element] as TraceElement;
  return { repair: e.id, ...(e.remedies ? { remedy: e.remedies[act.rung]?.id as string } : {}) };
};
const decide = (m: Plain, s: Moment, log: Entry[], act: PlainAct) =>
  regret({
    ...m,
    opened: s.open,
    power: { ...m.power, now: s.power },
    log: log.map((e) => entryOf(m, e)),
    chosen: chosenOf(m, act),
  });

describe('what a decision costs', () => {
  it('is what trying every act at every moment finds, from any moment of any story', () => {
    fc.assert(
      fc.property(unit({ elements: 3, checks: 2 }), fc.array(fc.nat(), { maxLength: 3 }), (m, dice) => {
        let s = start(m);
        const log: Entry[] = [];
        for (const die of dice) {
          const list = acts(m, s);
          const act = list[die % list.length] as PlainAct;
          const ways = leadsTo(m, s, act).filter(({ then }) => mass(then) > 1e-9);
          const way = ways[die % Math.max(1, ways.length)];
          if (!way) return;
          log.push({ act, ...(way.answer === undefined ? {} : { answer: way.answer }) });
          s = way.then;
        }
        const list = acts(m, s);
        const chosen = list[(dice[0] ?? 0) % list.length] as PlainAct;
        const answer = decide(m, s, log, chosen);
        expect(answer.method).toBe('exact');
        expect(answer.q).toHaveLength(list.length);
        const least = best(m, s);
        near(answer.q[0]?.minutes as number, least);
        near(answer.regret, q(m, s, chosen) - least);
        expect(answer.regret).toBeGreaterThanOrEqual(0);
        for (const act of list) {
          const c = chosenOf(m, act);
          const own = answer.q.find((v) =>
            'check' in c
              ? v.kind === 'check' && v.id === c.check
              : v.kind === 'repair' && v.id === c.repair && v.remedy === c.remedy,
          );
          near(own?.minutes as number, q(m, s, act));
        }
      }),
      { numRuns: 35, endOnFailure: true },
    );
  });

  it('of the best way sums to nothing, and of any way to its minutes over the best', () => {
    fc.assert(
      fc.property(unit({ elements: 3, checks: 2 }), fc.nat(5), (m, taste) => {
        const rule = (s: Moment): PlainAct => {
          const list = acts(m, s);
          return list[(taste + s.made.length + s.rungs.reduce((a, b) => a + b, 0)) % list.length] as PlainAct;
        };
        // Mean over all stories of the sum of regrets, each by how likely it is met.
        const paid = (s: Moment, log: Entry[]): number => {
          const all = mass(s);
          if (all < 1e-9) return 0;
          const act = rule(s);
          return leadsTo(m, s, act).reduce(
            (sum, { answer, then }) =>
              sum + paid(then, [...log, { act, ...(answer === undefined ? {} : { answer }) }]),
            all * decide(m, s, log, act).regret,
          );
        };
        near(follow(m, rule), best(m, start(m)) + paid(start(m), []));
      }),
      { numRuns: 25, endOnFailure: true },
    );
  });

  it('follows a case worked by hand', () => {
    const twoBoards = {
      elements: [
        { id: 'a', weight: 1, repairMinutes: 10 },
        { id: 'b', weight: 1, repairMinutes: 10 },
      ],
      checks: [{ id: 'tap', exercises: ['a'], minutes: 1, sensitivity: 1, falseAlarm: 0 }],
    };
    // Replacing at once: 10, and in half of all cases 10 more; the tap: 1, then surely 10.
    expect(regret({ ...twoBoards, chosen: { repair: 'a' } })).toEqual({
      q: [
        { kind: 'check', id: 'tap', minutes: 11 },
        { kind: 'repair', id: 'a', minutes: 15 },
        { kind: 'repair', id: 'b', minutes: 15 },
      ],
      best: { kind: 'check', id: 'tap' },
      regret: 4,
      method: 'exact',
    });
    expect(score(11, [4])).toBeCloseTo(11 / 15, 12);
    // The tap a second time tells nothing new: a minute lost, and named though it is not offered.
    const again = regret({ ...twoBoards, log: [{ check: 'tap', outcome: 'bad' }], chosen: { check: 'tap' } });
    expect(again.q.map((a) => [a.id, a.minutes])).toEqual([
      ['a', 10],
      ['tap', 11],
    ]);
    expect(again.regret).toBe(1);
  });

  it('values a check that is made once too often by itself, noise and all', () => {
    const m: Plain = {
      elements: [
        { id: 'a', weight: 2, repairMinutes: 10 },
        { id: 'b', weight: 1, repairMinutes: 30 },
      ],
      checks: [
        { id: 'tap', exercises: ['a'], minutes: 1, sensitivity: 0.9, falseAlarm: 0.1 },
        { id: 'other', exercises: ['b'], minutes: 2, sensitivity: 0.7, falseAlarm: 0.2 },
      ],
      access: [],
      power: { now: 'off', onMinutes: 0, offMinutes: 0 },
    };
    const act = { check: 0 };
    const s = leadsTo(m, start(m), act)[0]?.then as Moment;
    const answer = decide(m, s, [{ act, answer: 'bad' }], act);
    expect(answer.q.map((a) => a.id).sort()).toEqual(['a', 'b', 'other', 'tap']);
    near(answer.q.find((a) => a.id === 'tap')?.minutes as number, q(m, s, act));
    near(answer.q.find((a) => a.id === 'other')?.minutes as number, q(m, s, { check: 1 }));
  });

  it('skips a rung and never goes back down', () => {
    const ladder = {
      elements: [
        {
          id: 'a',
          weight: 1,
          remedies: [
            { id: 'reseat', minutes: 1, fixes: 0.5 },
            { id: 'clean', minutes: 4, fixes: 0.5 },
            { id: 'replace', minutes: 20, fixes: 0.9 },
          ],
        },
      ],
      checks: [],
    };
    // Reseat, clean, replace: 1 + 0.5 · (4 + 0.5 · 20) = 8; clean first 14; at once 20.
    const all = regret({ ...ladder, chosen: { repair: 'a', remedy: 'replace' } });
    expect(all.q.map((a) => [a.remedy, a.minutes])).toEqual([
      ['reseat', 8],
      ['clean', 14],
      ['replace', 20],
    ]);
    expect(all.regret).toBe(12);
    const log = [{ tried: 'clean', element: 'a' }];
    expect(regret({ ...ladder, log, chosen: { repair: 'a' } }).best).toEqual({
      kind: 'repair',
      id: 'a',
      remedy: 'replace',
    });
    expect(() => regret({ ...ladder, log, chosen: { repair: 'a', remedy: 'reseat' } })).toThrow(
      'lies below what was tried last',
    );
  });

  it('looks two checks ahead where there are too many moments, two faults, or maybe none', () => {
    const many = {
      elements: Array.from({ length: 12 }, (_, i) => ({ id: `e${i}`, weight: 1, repairMinutes: 60, q: 0.5 })),
      checks: Array.from({ length: 11 }, (_, i) => ({
        id: `t${i}`,
        exercises: Array.from({ length: i + 1 }, (__, k) => `e${k}`),
        minutes: 1,
      })),
    };
    const far = regret({ ...many, chosen: { check: 't10' } });
    expect(far.method).toBe('lookahead 2');
    expect(far.q).toHaveLength(23);
    expect(far.regret).toBeGreaterThan(0);
    const few = { elements: many.elements.slice(0, 3), checks: many.checks.slice(0, 2) };
    const chosen = { check: 't0' };
    expect(regret({ ...few, chosen }).method).toBe('exact');
    expect(regret({ ...few, chosen, options: { maxFaults: 2 } }).method).toBe('lookahead 2');
    expect(regret({ ...few, chosen, options: { noFaultWeight: 1 } }).method).toBe('lookahead 2');
  });

  it('is never dearer looked at to the end than two checks ahead', () => {
    fc.assert(
      fc.property(unit({ elements: 4, checks: 3 }), (m) => {
        const chosen = { check: 'c0' };
        const exact = regret({ ...m, chosen });
        const ahead = regret({ ...m, chosen, options: { noFaultWeight: 1e-13 } });
        expect(ahead.method).toBe('lookahead 2');
        if (exact.method === 'exact')
          expect(exact.q[0]?.minutes as number).toBeLessThanOrEqual((ahead.q[0]?.minutes as number) + 1e-6);
      }),
      { numRuns: 100 },
    );
  });

  it.each([
    [{ check: 'x' }, '/chosen/check'],
    [{ repair: 'x' }, '/chosen/repair'],
    [{ repair: 'a', remedy: 'x' }, '/chosen/remedy'],
  ])('refuses %j and names it', (chosen, path) => {
    const ask = () =>
      regret({ elements: [{ id: 'a', weight: 1, repairMinutes: 1 }], checks: [], chosen: chosen as Chosen });
    expect(ask).toThrow(Refusal);
    try {
      ask();
    } catch (error) {
      expect((error as Refusal).path).toBe(path);
    }
  });

  it('says where everything was tried', () => {
    const elements = [{ id: 'a', weight: 1, remedies: [{ id: 'clean', minutes: 3, fixes: 0.6 }] }];
    const log = [{ tried: 'clean', element: 'a' }];
    expect(() => regret({ elements, checks: [], log, chosen: { repair: 'a' } })).toThrow(
      'every remedy of “a” was tried',
    );
  });
});

/** The three ways by hand once more, from their description alone. */
const believe = (m: Plain, log: Entry[]): number[] => {
  const done = new Set(
    log.flatMap(({ act }) =>
      'element' in act && act.rung === ladderOf(m.elements[act.element] as TraceElement).length - 1
        ? [act.element]
        : [],
    ),
  );
  let left = m.elements.map((_, i) => i);
  const tried = new Set<number>();
  for (const { act, answer } of log) {
    if ('element' in act) {
      if (act.rung < ladderOf(m.elements[act.element] as TraceElement).length - 1) continue;
      tried.add(act.element);
      left = left.filter((e) => e !== act.element);
      if (!left.length) left = m.elements.flatMap((_, i) => (tried.has(i) ? [] : [i]));
      continue;
    }
    const c = m.checks[act.check] as TraceCheck;
    const named = new Set(c.outcomes ? c.outcomes.find((o) => o.id === answer)?.points : c.exercises);
    const stay = left.filter(
      (e) => named.has(m.elements[e]?.id ?? '') === (!!c.outcomes || answer === 'bad'),
    );
    if (stay.length) left = stay;
  }
  return left.filter((e) => !done.has(e));
};
const byHand =
  (m: Plain, worth: (all: number, inside: number, of: number, minutes: number) => number, checks = true) =>
  (s: Moment, log: Entry[]): PlainAct => {
    const left = believe(m, log);
    let act: PlainAct | undefined;
    let most = Number.NEGATIVE_INFINITY;
    m.checks.forEach((c, check) => {
      if (!checks || s.made[check]) return;
      const named = new Set(c.outcomes ? c.outcomes.flatMap((o) => o.points) : c.exercises);
      const inside = left.filter((e) => named.has(m.elements[e]?.id ?? '')).length;
      if (inside === 0 || inside === left.length) return;
      const w = worth(named.size, inside, left.length, charge(m, s, { check }).minutes);
      if (w > most) {
        most = w;
        act = { check };
      }
    });
    if (act) return act;
    const element = left.reduce((a, b) =>
      (m.elements[b]?.weight ?? 0) > (m.elements[a]?.weight ?? 0) ? b : a,
    );
    return { element, rung: s.rungs[element] as number };
  };

describe('the ways by hand', () => {
  it('cost what following each of them through every fault and answer costs', () => {
    fc.assert(
      fc.property(unit({ elements: 4, checks: 3 }), (m) => {
        const { optimum, ways } = handWays(m);
        const cost = new Map(ways.map((w) => [w.name, w.minutes]));
        near(
          cost.get('from the source on') as number,
          follow(
            m,
            byHand(m, (all) => -all),
          ),
        );
        near(
          cost.get('halving') as number,
          follow(
            m,
            byHand(m, (_, k, n, minutes) => Math.min(k, n - k) / minutes),
          ),
        );
        near(
          cost.get('most likely first') as number,
          follow(
            m,
            byHand(m, () => 0, false),
          ),
        );
        for (const w of ways) {
          if (optimum.method === 'exact') expect(w.minutes).toBeGreaterThanOrEqual(optimum.minutes - 1e-6);
          expect(w.score).toBeGreaterThan(0);
          near(w.score, optimum.minutes / w.minutes);
        }
      }),
      { numRuns: 120, endOnFailure: true },
    );
  });

  it('stand beside an optimum that is the mean over all faults of following it, with perfect checks', () => {
    fc.assert(
      fc.property(unit({ elements: 3, checks: 2, noise: false }), (m) => {
        const rule = (s: Moment): PlainAct =>
          acts(m, s)
            .map((a) => ({ a, minutes: q(m, s, a) }))
            .reduce((x, y) => (y.minutes < x.minutes ? y : x)).a;
        near(handWays(m).optimum.minutes, follow(m, rule));
      }),
      { numRuns: 60 },
    );
  });

  // Outside reference: the Huffman code, Proc. IRE 40(9), 1952; its mean depth for n equal leaves is
  // ⌊log2 n⌋ + 2 − 2^(⌊log2 n⌋ + 1) / n (from memory).
  it.each([2, 3, 4, 5, 6, 7, 8])('halve a chain of %i as a Huffman code does', (n) => {
    const ids = Array.from({ length: n }, (_, i) => `e${i}`);
    const { optimum, ways } = handWays({
      elements: ids.map((id) => ({ id, weight: 1, repairMinutes: 500 })),
      checks: ids.slice(1).map((_, i) => ({
        id: `t${i}`,
        exercises: ids.slice(0, i + 1),
        minutes: 1,
        sensitivity: 1,
        falseAlarm: 0,
      })),
    });
    const k = Math.floor(Math.log2(n));
    expect(optimum.minutes - 500).toBeCloseTo(k + 2 - 2 ** (k + 1) / n, 9);
    expect(optimum.method).toBe('exact');
    const of = (name: string) => ways.find((w) => w.name === name);
    expect(of('halving')?.minutes).toBeCloseTo(optimum.minutes, 9);
    expect(of('Mulch')?.minutes).toBeCloseTo(optimum.minutes, 9);
    // From the source on: the i-th is known after i taps, the last two after n − 1.
    expect(of('from the source on')?.minutes).toBeCloseTo(
      500 + ids.reduce((s, _, i) => s + Math.min(i + 1, n - 1), 0) / n,
      9,
    );
    // Most likely first: one after the other, half of them in the mean.
    expect(of('most likely first')?.minutes).toBeCloseTo((500 * (n + 1)) / 2, 9);
  });

  it('leave Mulch within three in a hundred of the best, as a mean over small units', () => {
    const scores = fc
      .sample(unit({ elements: 4, checks: 3 }), { numRuns: 80, seed: 4 })
      .map((m) => handWays(m))
      .filter((a) => a.optimum.method === 'exact')
      .map((a) => a.ways.find((w) => w.name === 'Mulch')?.score ?? 0);
    expect(scores.length).toBeGreaterThan(60);
    expect(scores.reduce((a, b) => a + b, 0) / scores.length).toBeGreaterThan(0.97);
  });

  it('are compared with one fault that is there', () => {
    const elements = [{ id: 'a', weight: 1, repairMinutes: 1 }];
    expect(() => handWays({ elements, checks: [], options: { maxFaults: 2 } })).toThrow('with one fault');
    expect(() => handWays({ elements, checks: [], options: { noFaultWeight: 1 } })).toThrow('that is there');
  });
});
