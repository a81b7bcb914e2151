import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { DEMO_UNITS } from '../../demo/jobs';
import { removeCover, removeElement, renameCover, renameElement, type UnitMap, validateMap } from '.';

/** What is drawn or written for a person to read, and names nothing. */
const WORDS = new Set(['text', 'name', 'detail']);

/** Every place of a map where a word stands by itself, as a value or as the name of one. */
function placesOf(x: unknown, word: string, path = ''): string[] {
  if (x === word) return [path];
  if (Array.isArray(x)) return x.flatMap((v, i) => placesOf(v, word, `${path}/${i}`));
  if (typeof x !== 'object' || x === null) return [];
  return Object.entries(x).flatMap(([k, v]) => [
    ...(k === word ? [`${path}/${k}`] : []),
    ...(WORDS.has(k) ? [] : placesOf(v, word, `${path}/${k}`)),
  ]);
}
/** A map with one word for another wherever it stands by itself. */
function worded<T>(x: T, from: string, to: string): T {
  if (x === from) return to as T;
  if (Array.isArray(x)) return x.map((v) => worded(v, from, to)) as T;
  if (typeof x !== 'object' || x === null) return x;
  return Object.fromEntries(
    Object.entries(x).map(([k, v]) => [k === from ? to : k, WORDS.has(k) ? v : worded(v, from, to)]),
  ) as T;
}
const NEW = 'ZZ99';
const anyOf = (list: (map: UnitMap) => string[]) =>
  fc
    .constantFrom(...DEMO_UNITS.map((u) => u.map).filter((m) => list(m).length > 0))
    .chain((map) => fc.tuple(fc.constant(map), fc.constantFrom(...list(map))));
const elements = anyOf((m) => m.elements.map((e) => e.id));
const covers = anyOf((m) => m.access.map((a) => a.id));

describe('an element under another designator', () => {
  it('is called so wherever it was called by the old one, and nothing else is changed', () => {
    fc.assert(
      fc.property(elements, ([map, id]) => {
        const next = renameElement(map, id, NEW);
        // A hazard has its own name, which a running job knows it by.
        const unnamed = (m: UnitMap) => ({ ...m, hazards: m.hazards.map(({ id: _, ...h }) => h) });
        expect(placesOf(unnamed(next), id)).toEqual([]);
        // Words in which it is spoken of, in its remedies, are changed too.
        const without = (m: UnitMap) => ({
          ...unnamed(m),
          elements: m.elements.map(({ remedies: _, ...e }) => e),
        });
        expect(without(next)).toEqual(without(worded(map, id, NEW)));
        for (const [i, e] of next.elements.entries()) {
          const before = map.elements[i]?.remedies.map((r) => [r.id, r.minutes, r.fixes, r.name, r.parts]);
          const swap = (text: string) =>
            map.elements[i]?.id === id
              ? text
                  .split(' ')
                  .map((w) => (w === id ? NEW : w))
                  .join(' ')
              : text;
          expect(e.remedies.map((r) => [r.id, r.minutes, r.fixes, r.name, r.parts])).toEqual(
            before?.map(([a, b, c, name, parts]) => [
              a,
              b,
              c,
              swap(name as string),
              (parts as string[] | undefined)?.map(swap),
            ]),
          );
        }
        validateMap(next);
        expect(renameElement(next, NEW, id)).toEqual(map);
      }),
      { numRuns: 200 },
    );
  });
  it('not under one that is taken, and not under none', () => {
    fc.assert(
      fc.property(elements, ([map, id]) => {
        const other = map.elements.find((e) => e.id !== id)?.id ?? '';
        expect(() => renameElement(map, id, other)).toThrow('is taken already');
        expect(() => renameElement(map, id, '  ')).toThrow('give it a short mark');
        expect(renameElement(map, id, id)).toBe(map);
      }),
    );
  });
});

describe('an element that is taken away', () => {
  it('is spoken of nowhere, and what does not hang on it stays', () => {
    fc.assert(
      fc.property(elements, ([map, id]) => {
        const next = removeElement(map, id);
        // Headers and plugs are where they were: what is known of the leads is not lost with a board.
        // What makes a hazard live goes on doing so, whatever is on the map.
        const bare = { ...next, headers: [], plugs: [], hazards: next.hazards.map((h) => h.on) };
        expect(placesOf(bare, id)).toEqual([]);
        expect([next.headers, next.plugs]).toEqual([map.headers, map.plugs]);
        const stays = <T extends object>(list: readonly T[] | undefined, mine: (x: T) => boolean) =>
          list?.filter((x) => !mine(x));
        expect(next.elements).toEqual(stays(map.elements, (e) => e.id === id));
        expect(next.feeds).toEqual(stays(map.feeds, (f) => f.from === id || f.to === id));
        expect(next.taps).toEqual(stays(map.taps, (t) => t.after === id));
        expect(next.functions).toEqual(stays(map.functions, (f) => f.output === id));
        expect(next.hazards.map((h) => h.id)).toEqual(map.hazards.map((h) => h.id));
        expect(next.checks?.map((c) => c.id)).toEqual(map.checks?.map((c) => c.id));
        for (const c of next.checks ?? []) {
          const was = map.checks?.find((x) => x.id === c.id);
          expect(c.exercises).toEqual(was?.exercises.filter((e) => e !== id));
          expect(c.answers?.map((a) => a.points)).toEqual(
            was?.answers?.map((a) => a.points.filter((e) => e !== id)),
          );
        }
        // A channel of one is none.
        expect(next.channels).toEqual(
          map.channels
            ?.map((c) => ({ ...c, elements: c.elements.filter((e) => e !== id) }))
            .filter((c) => c.elements.length > 1),
        );
      }),
      { numRuns: 200 },
    );
  });
});

describe('a cover', () => {
  it('under another name is called so everywhere, and back again it is as before', () => {
    fc.assert(
      fc.property(covers, ([map, id]) => {
        const next = renameCover(map, id, ` ${NEW} `);
        expect(next.access.map((a) => a.id)).toEqual(map.access.map((a) => (a.id === id ? NEW : a.id)));
        const ids = (m: UnitMap) => ({ ...m, access: m.access.map(({ name: _, ...a }) => a) });
        expect(ids(next)).toEqual(ids(worded(map, id, NEW)));
        validateMap(next);
      }),
      { numRuns: 200 },
    );
  });
  it('that is taken away is spoken of nowhere, and no list is left empty', () => {
    fc.assert(
      fc.property(covers, ([map, id]) => {
        const next = removeCover(map, id);
        expect(placesOf({ ...next, name: '' }, id)).toEqual([]);
        expect(next.access.map((a) => a.id)).toEqual(map.access.map((a) => a.id).filter((a) => a !== id));
        expect(JSON.stringify(next)).not.toMatch(/"(?:needs|touch|exposedBy)":\[\]/);
        validateMap(next);
      }),
      { numRuns: 200 },
    );
  });
});
