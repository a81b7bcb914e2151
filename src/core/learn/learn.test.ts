import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Lesson } from '../job';
import { ladderFor, type UnitMap } from '../unit';
import { learnedWeight, learnedWeights } from '.';

const map = (weights: number[]): Pick<UnitMap, 'elements' | 'maker' | 'model'> => ({
  maker: 'Hapstock',
  model: 'PB-3',
  elements: weights.map((weight, i) => ({
    id: `W${i}`,
    name: 'lead',
    kind: i % 2 ? 'board' : 'cable',
    weight,
    remedies: ladderFor('cable', `W${i}`, 'lead'),
  })),
});
const lesson = (element: string, model = 'Hapstock PB-3'): Lesson => ({
  job: element,
  model,
  at: '2026-01-01T00:00:00Z',
  element,
  kind: 'cable',
  shares: { cable: 0.5, board: 0.5 },
});

describe('learned weights', () => {
  it('a worked example of the Gamma–Poisson estimate', () => {
    // By hand: prior Gamma(2, 2/4), 3 faults in an exposure of 0.25 → (2+3)/(0.5+0.25) = 6.667.
    expect(learnedWeight(4, 3, 0.25, 2)).toBeCloseTo((2 + 3) / (2 / 4 + 0.25), 12);
  });
  it('nothing closed leaves what the map says', () => {
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: 0.1, max: 9, noNaN: true }), { minLength: 1, maxLength: 9 }),
        (w) => {
          for (const l of learnedWeights(map(w), [])) expect(l.weight).toBeCloseTo(l.start, 12);
        },
      ),
    );
  });
  it('as many faults as were to be expected leave the weight where it is', () => {
    expect(learnedWeight(3, 6, 2)).toBeCloseTo(3, 12);
  });
  it('faults raise an element, and its kind on other models a little', () => {
    const lessons = [lesson('W0'), lesson('W0'), lesson('W2')];
    const after = learnedWeights(map([1, 1, 1, 1]), lessons);
    expect(after[0]?.weight).toBeGreaterThan(after[2]?.weight as number);
    expect(after[2]?.weight).toBeGreaterThan(after[1]?.weight as number);
    expect(after[0]).toMatchObject({ jobs: 3, faults: 2 });
    const elsewhere = learnedWeights({ ...map([1, 1]), model: 'other' }, lessons);
    expect(elsewhere[0]).toMatchObject({ jobs: 0, faults: 0 });
    expect(elsewhere[0]?.weight).toBeGreaterThan(elsewhere[1]?.weight as number);
  });
  it('hearsay starts in place of the map and holds for as long as its count', () => {
    const said = map([1, 1]);
    const [first] = said.elements;
    if (first) first.hearsay = { weight: 5, count: 50, source: 'the other workshop' };
    const [w0] = learnedWeights(said, [lesson('W1'), lesson('W1')]);
    expect(w0?.start).toBe(5);
    expect(w0?.weight).toBeGreaterThan(4);
  });
  it('refuses what cannot be', () => {
    expect(() => learnedWeight(0, 1, 1)).toThrow('over 0');
    expect(() => learnedWeight(1, -1, 1)).toThrow('negative');
    expect(() => learnedWeight(1, 1, 1, 0)).toThrow('pseudo-count');
  });
});
