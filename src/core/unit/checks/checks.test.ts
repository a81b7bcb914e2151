import { describe, expect, it } from 'vitest';
import { suspicion, trace } from '../../trace';
import { deriveChecks, ladderFor, mapFor, missingIn, type UnitMap, validateMap } from '..';

const part = (
  id: string,
  kind: UnitMap['elements'][number]['kind'],
  more = {},
): UnitMap['elements'][number] => ({
  id,
  name: id.toLowerCase(),
  kind,
  weight: 1,
  remedies: ladderFor(kind, id, ''),
  ...more,
});
const runs = (...ids: string[]): UnitMap['feeds'] =>
  ids.slice(1).map((to, i) => ({ from: ids[i] as string, to, carries: 'signal' }));

/** One mixer feeding a left and a right channel of driver, lead and motor. */
const twoChannels: UnitMap = {
  name: 'Twin crane',
  maker: 'Murrowby',
  model: 'TC',
  elements: [
    part('A1', 'board'),
    part('A2', 'board', { needs: ['lid'] }),
    part('W1', 'cable', { spare: true }),
    part('M1', 'motor'),
    part('A3', 'board'),
    part('W2', 'cable'),
    part('M2', 'motor'),
    part('S1', 'setting'),
  ],
  feeds: [
    ...runs('A1', 'A2', 'W1', 'M1'),
    ...runs('A1', 'A3', 'W2', 'M2'),
    { from: 'S1', to: 'A1', carries: 'power' },
  ],
  taps: [],
  access: [{ id: 'lid', name: 'lid', minutes: 3 }],
  functions: [
    { id: 'left', name: 'Left arm lifts', output: 'M1' },
    { id: 'right', name: 'Right arm lifts', output: 'M2' },
  ],
  hazards: [],
  channels: [
    { id: 'left', name: 'left arm', elements: ['A2', 'W1', 'M1'] },
    { id: 'right', name: 'right arm', elements: ['A3', 'W2', 'M2'] },
  ],
  checks: [
    {
      id: 'selftest',
      name: 'Self-test code',
      exercises: [],
      minutes: 1,
      answers: [
        { id: 'none', name: 'no code', points: [] },
        { id: 'E1', name: 'E1, left load', points: ['A2', 'W1', 'M1'] },
      ],
    },
  ],
};
const check = (id: string, map = twoChannels) => {
  const found = deriveChecks(map).find((c) => c.id === id);
  if (!found) throw new Error(`no check ${id}`);
  return found;
};

describe('exchange between channels', () => {
  it('exercises the donor’s cone up to the change and what was moved', () => {
    const c = check('exchange:M1:W2');
    expect(new Set(c.trace.exercises)).toEqual(new Set(['S1', 'A1', 'A3', 'W2', 'M1']));
    expect(c.why).toBe('Feed M1 from W2: still fails points to M1, works points to A2 or W1 or before.');
    expect(c.leaves).toBe('M1 fed from W2');
  });
  it('is offered where a lead can be changed over, in both directions', () => {
    const ids = deriveChecks(twoChannels)
      .filter((c) => c.how === 'exchange')
      .map((c) => c.id);
    expect(ids).toEqual(['exchange:W1:A3', 'exchange:M1:W2', 'exchange:W2:A2', 'exchange:M2:W1']);
    expect(check('exchange:W2:A2').trace.needs).toEqual(['lid']);
  });
  it('tells the motor from what drives it', () => {
    const checks = deriveChecks(twoChannels);
    const belief = (outcome: 'ok' | 'bad') =>
      new Map(
        suspicion({
          elements: twoChannels.elements.map((e) => ({ id: e.id, weight: 1, remedies: e.remedies })),
          checks: checks.map((c) => c.trace),
          access: twoChannels.access,
          log: [
            { check: 'symptom:left', outcome: 'bad' },
            { check: 'symptom:right', outcome: 'ok' },
            { check: 'exchange:M1:W2', outcome },
          ],
        }).belief.map((b) => [b.id, b.p]),
      );
    expect(belief('bad').get('M1')).toBeGreaterThan(0.8);
    expect(belief('ok').get('M1')).toBeLessThan(0.05);
  });
});

describe('other derived checks', () => {
  it('a spare exercises the cone less what it replaces', () => {
    const c = check('substitute:W1:left');
    expect(new Set(c.trace.exercises)).toEqual(new Set(['S1', 'A1', 'A2', 'M1']));
    expect(deriveChecks(twoChannels).some((x) => x.id === 'substitute:W1:right')).toBe(false);
  });
  it('reseating shows the chance of its gentle rungs together', () => {
    const c = check('reseat:W1');
    // cable ladder: reseat 0.45, clean 0.3 → 1 − 0.55 · 0.7
    expect(c.trace.provokes?.W1).toBeCloseTo(0.615, 12);
    expect(c.title).toBe('Reseat and clean W1');
  });
  it('a setting is looked at first, unless a tap shows it', () => {
    expect(check('setting:S1').trace.minutes).toBeLessThan(1);
    const shown = {
      ...twoChannels,
      taps: [{ id: 'D1', name: 'lamp', after: 'S1', how: 'look' as const, minutes: 0.5 }],
    };
    expect(deriveChecks(shown).some((c) => c.id === 'setting:S1')).toBe(false);
  });
  it('a code points at what it names', () => {
    const c = check('own:selftest');
    expect(c.trace.outcomes).toEqual([
      { id: 'none', points: [] },
      { id: 'E1', points: ['A2', 'W1', 'M1'] },
    ]);
    expect(c.why).toContain('“E1, left load” points to A2, W1 or M1');
  });
  it('every one of them is legal for the computation', () => {
    const answer = trace({
      elements: twoChannels.elements.map((e) => ({ id: e.id, weight: 1, remedies: e.remedies })),
      checks: deriveChecks(twoChannels).map((c) => c.trace),
      access: twoChannels.access,
      power: { now: 'on', onMinutes: 1, offMinutes: 1 },
      log: [{ check: 'symptom:left', outcome: 'bad' }],
    });
    expect(answer.belief).toHaveLength(8);
  });
});

describe('variants', () => {
  const map: UnitMap = {
    ...twoChannels,
    variants: [
      { id: 'twin', name: 'two arms', tell: 'two motors' },
      { id: 'single', name: 'one arm', tell: 'one motor' },
    ],
    elements: twoChannels.elements.map((e) =>
      ['A3', 'W2', 'M2'].includes(e.id) ? { ...e, only: ['twin'] } : e,
    ),
  };
  it('elements, feeds, functions, channels and checks follow', () => {
    const one = mapFor(map, 'single');
    expect(one.elements.map((e) => e.id)).toEqual(['A1', 'A2', 'W1', 'M1', 'S1']);
    expect(one.functions.map((f) => f.id)).toEqual(['left']);
    expect(one.channels?.map((c) => c.id)).toEqual(['left']);
    expect(deriveChecks(one).some((c) => c.how === 'exchange')).toBe(false);
    expect(missingIn(map, 'single')).toEqual(['A3', 'W2', 'M2']);
    validateMap(one);
  });
  it('without a variant the map is whole', () => {
    expect(mapFor(map, undefined)).toBe(map);
    expect(mapFor(map, 'twin').elements).toHaveLength(8);
  });
  it('a part of no known variant, or a variant without function, is named', () => {
    const path = (m: UnitMap) => {
      try {
        validateMap(m);
        return '';
      } catch (error) {
        return (error as { path: string }).path;
      }
    };
    expect(path({ ...map, elements: map.elements.map((e) => ({ ...e, only: ['triple'] })) })).toBe(
      '/elements/0/only/0',
    );
    expect(path({ ...map, functions: map.functions.map((f) => ({ ...f, only: ['twin'] })) })).toBe(
      '/variants/1',
    );
  });
});

describe('a map that runs in a circle', () => {
  it('is refused, naming the way round', () => {
    const map = {
      ...twoChannels,
      feeds: [...twoChannels.feeds, { from: 'M1', to: 'A1', carries: 'signal' as const }],
    };
    expect(() => validateMap(map)).toThrow('A1 feeds A2 feeds W1 feeds M1 feeds A1');
  });
  it('a chain of a thousand does not run out of stack', () => {
    const ids = Array.from({ length: 1000 }, (_, i) => `E${i}`);
    const map: UnitMap = {
      ...twoChannels,
      elements: ids.map((id) => part(id, 'board')),
      feeds: runs(...ids),
      functions: [{ id: 'f', name: 'works', output: 'E999' }],
      channels: [],
      checks: [],
    };
    validateMap(map);
    expect(deriveChecks(map)).toHaveLength(1);
  });
});
