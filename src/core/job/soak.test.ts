import fc from 'fast-check';
import jstat from 'jstat';
import { describe, expect, it } from 'vitest';
import { describeUnit } from '../unit';
import { repeatsFor, repeatsWanted, soakNow } from '.';
import { bench } from './bench.test.fixture';

const map = describeUnit({
  name: 'Bell',
  maker: '',
  model: '',
  does: 'rings',
  cover: '',
  coverMinutes: 1,
  hazards: [],
  rows: [
    { id: 'S1', name: 'switch', kind: 'setting', outside: true },
    { id: 'W1', name: 'bell wire', kind: 'cable', outside: true },
  ],
});

describe('repeats', () => {
  // Outside reference: binomial distribution of the statistics package jstat, no success in n tries.
  it('are the fewest after which a hidden fault is less likely than the doubt left', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.02, max: 1, noNaN: true }),
        fc.double({ min: 0.5, max: 0.999, noNaN: true }),
        (q, sure) => {
          const n = repeatsFor(q, sure);
          const hidden = (tries: number) => jstat.binomial.pdf(0, tries, 0.97 * q);
          expect(hidden(n)).toBeLessThanOrEqual(1 - sure + 1e-9);
          if (n > 1) expect(hidden(n - 1)).toBeGreaterThan(1 - sure - 1e-9);
        },
      ),
    );
  });
  it('one for a fault that always shows, more the rarer it comes', () => {
    expect(repeatsFor(1)).toBe(1);
    expect(repeatsFor(0.5)).toBe(5);
    expect(repeatsFor(0.2)).toBe(14);
  });
  it.each([
    [0, 0.95],
    [1.1, 0.95],
    [0.5, 1],
    [0.5, 0],
    [Number.NaN, 0.95],
  ])('q %d, sure %d is refused', (q, sure) => {
    expect(() => repeatsFor(q, sure)).toThrow();
  });
});

describe('soak', () => {
  const mended = () => {
    const b = bench(map);
    b.takenIn({ symptom: 'dumb', pattern: 'rarely' });
    b.tell({ type: 'plan.chosen', element: 'S1', remedy: 'set', why: 'seen' });
    b.tell({ type: 'remedy.done' });
    return b;
  };
  const look = (b: ReturnType<typeof mended>, outcome: 'ok' | 'bad', minutes: number) =>
    b.tell(
      { type: 'proof.recorded', check: `symptom:${map.functions[0]?.id}`, outcome, source: 'eye' },
      minutes,
    );
  const at = (b: ReturnType<typeof mended>, minutes: number) =>
    new Date(Date.parse(b.state().soak?.startedAt ?? '') + minutes * 60_000).toISOString();

  it('asks for its looks in time, and passes when all of them were good', () => {
    const b = mended();
    expect(repeatsWanted(b.state())).toBe(14);
    look(b, 'ok', 1);
    b.tell({ type: 'soak.started', minutes: 60, everyMinutes: 20 });
    expect(soakNow(b.state(), at(b, 5))).toMatchObject({ due: false, nextIn: 15, running: true });
    expect(soakNow(b.state(), at(b, 21))).toMatchObject({ due: true, wantedByNow: 1 });
    look(b, 'ok', 22);
    expect(soakNow(b.state(), at(b, 23))).toMatchObject({ due: false, nextIn: 17 });
    look(b, 'ok', 20);
    expect(soakNow(b.state(), at(b, 61))).toMatchObject({ due: true, passed: false, running: false });
    look(b, 'ok', 20);
    expect(soakNow(b.state(), at(b, 63))).toMatchObject({ passed: true, failed: false });
  });
  it('one bad look fails it, and a clock that goes backwards does not run under 0', () => {
    const b = mended();
    b.tell({ type: 'soak.started', minutes: 60, everyMinutes: 60 });
    look(b, 'bad', 5);
    expect(soakNow(b.state(), at(b, 70))).toMatchObject({ failed: true, passed: false });
    expect(soakNow(b.state(), at(b, -30))).toMatchObject({ minutes: 0, due: false });
  });
  it('is asked for in figures that hold', () => {
    const b = mended();
    expect(() => b.tell({ type: 'soak.started', minutes: 0, everyMinutes: 1 })).toThrow('over 0');
    expect(() => b.tell({ type: 'soak.started', minutes: 10, everyMinutes: 11 })).toThrow('once within');
    b.tell({ type: 'soak.started', minutes: 10, everyMinutes: 5 });
    expect(() => b.tell({ type: 'soak.started', minutes: 10, everyMinutes: 5 })).toThrow('running already');
    b.tell({ type: 'soak.ended' });
    expect(() => b.tell({ type: 'soak.ended' })).toThrow('no soak');
  });
});
