import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  addElement,
  connect,
  deriveChecks,
  ELEMENT_KINDS,
  freeMark,
  gapsOf,
  ladderFor,
  removeElement,
  renameElement,
  type UnitMap,
  validateMap,
} from '.';

const bell: UnitMap = {
  name: 'Tide bell',
  maker: 'Hapstock',
  model: 'TB',
  elements: ['A1', 'W1', 'M1'].map((id, i) => ({
    id,
    name: 'part',
    kind: (['board', 'cable', 'motor'] as const)[i] ?? 'board',
    weight: 1,
    remedies: ladderFor('cable', id, 'part'),
  })),
  feeds: [
    { from: 'A1', to: 'W1', carries: 'signal' },
    { from: 'W1', to: 'M1', carries: 'signal' },
  ],
  taps: [{ id: 'TP1', name: 'rope end', after: 'W1', how: 'look', minutes: 1 }],
  access: [],
  functions: [{ id: 'rings', name: 'Rings', output: 'M1' }],
  hazards: [],
  checks: [
    {
      id: 'knock',
      name: 'Knock',
      exercises: ['W1'],
      minutes: 1,
      provokes: { W1: 0.5 },
    },
  ],
};

describe('editing a map', () => {
  it('a renamed element is renamed everywhere it is spoken of', () => {
    const map = renameElement(bell, 'W1', 'W9');
    expect(JSON.stringify(map)).not.toContain('"W1"');
    expect(map.checks?.[0]?.provokes).toEqual({ W9: 0.5 });
    validateMap(map);
    expect(() => renameElement(bell, 'W1', 'M1')).toThrow('taken');
    expect(() => renameElement(bell, 'W1', ' ')).toThrow('short mark');
  });
  it('a removed one leaves nothing behind that speaks of it', () => {
    const map = removeElement(bell, 'W1');
    expect(map.feeds).toEqual([]);
    expect(map.taps).toEqual([]);
    expect(map.checks?.[0]?.exercises).toEqual([]);
  });
  it('a feed is added once, by the kind of its source, and never in a circle', () => {
    expect(() => connect(bell, 'M1', 'A1')).toThrow('circle');
    expect(() => connect(bell, 'A1', 'A1')).toThrow('feed itself');
    expect(connect(bell, 'A1', 'W1')).toBe(bell);
    const supplied = addElement(bell, 'supply');
    expect(connect(supplied, 'PS1', 'A1').feeds.at(-1)?.carries).toBe('power');
    expect(() => connect(bell, 'X', 'A1')).toThrow('X is not');
  });
  it('marks are the lowest that are free', () => {
    expect(freeMark(bell, 'cable')).toBe('W2');
    expect(freeMark({ elements: [] }, 'supply')).toBe('PS1');
  });
  it('whatever is added, connected, renamed and removed, the map stays whole', () => {
    const act = fc.record({
      what: fc.nat(3),
      a: fc.nat(20),
      b: fc.nat(20),
      kind: fc.constantFrom(...ELEMENT_KINDS),
    });
    fc.assert(
      fc.property(fc.array(act, { maxLength: 30 }), (acts) => {
        let map = bell;
        for (const { what, a, b, kind } of acts) {
          const id = (n: number) => map.elements[n % map.elements.length]?.id ?? '';
          try {
            if (what === 0) map = addElement(map, kind, id(a));
            else if (what === 1) map = connect(map, id(a), id(b));
            else if (what === 2) map = renameElement(map, id(a), `Z${b}`);
            else if (map.elements.length > 2 && id(a) !== map.functions[0]?.output)
              map = removeElement(map, id(a));
          } catch {}
        }
        const checks = map.checks?.filter((c) => c.exercises.length);
        validateMap({ ...map, ...(checks ? { checks } : {}) });
        expect(deriveChecks(map).length).toBeGreaterThan(0);
      }),
    );
  });
  it('says what would make tracing on it better', () => {
    expect(gapsOf(bell)).toEqual([]);
    expect(gapsOf({ ...bell, taps: [] })[0]?.path).toBe('/taps');
    expect(
      gapsOf({ ...bell, feeds: [] })
        .map((g) => g.says)
        .join(' '),
    ).toContain('Nothing feeds M1');
    expect(
      gapsOf(addElement(bell, 'lamp'))
        .map((g) => g.says)
        .join(' '),
    ).toContain('E1: no function needs it');
  });
});
