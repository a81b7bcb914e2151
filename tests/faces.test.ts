import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  accessTree,
  checkFaces,
  type FaceShape,
  faceText,
  holesOf,
  mapFor,
  readFaceText,
  removeCover,
  renameCover,
  SHAPE_KINDS,
  type UnitMap,
  validateMap,
} from '../src/core/unit';
import { DEMO_UNITS } from '../src/demo/jobs';

const mm = fc.integer({ min: 0, max: 500 });
const size = fc.integer({ min: 1, max: 500 });
const cover = fc.constantFrom('lid', 'rear cover');
const hole: fc.Arbitrary<FaceShape> = fc
  .record({
    x: mm,
    y: mm,
    thread: fc.constantFrom(undefined, 'M3', '6-32'),
    of: cover,
    longest: fc.option(size),
  })
  .map(({ x, y, thread, of, longest }) => ({
    kind: 'hole' as const,
    x,
    y,
    ...(thread ? { thread } : {}),
    of,
    ...(longest === null ? {} : { longestMm: longest }),
  }));
const box: fc.Arbitrary<FaceShape> = fc
  .record({
    kind: fc.constantFrom(...SHAPE_KINDS.filter((k) => k !== 'hole')),
    x: mm,
    y: mm,
    w: size,
    h: size,
    words: fc.constantFrom('', 'rear cover', 'mains 230 V'),
  })
  .map(({ words, ...rest }) => ({
    ...rest,
    ...(words ? (rest.kind === 'panel' ? { of: words } : { text: words }) : {}),
  }));
const shape = fc.oneof(hole, box);

describe('a face written out', () => {
  it('reads back to the same drawing', () => {
    fc.assert(
      fc.property(fc.array(shape, { maxLength: 12 }), (shapes) => {
        expect(readFaceText(faceText(shapes))).toEqual(shapes);
      }),
    );
  });
  it('takes commas for points, and leaves empty lines out', () => {
    expect(readFaceText('\nhole 6,5 6 m2,5 lid longest 5,5 mm\n\n')).toEqual([
      { kind: 'hole', x: 6.5, y: 6, thread: 'M2.5', of: 'lid', longestMm: 5.5 },
    ]);
  });
  it.each([
    ['door 0 0 10 10', 'line 1: “door” is none of panel'],
    ['panel 0 0 10 10\nvent 4', 'line 2: vent: x and y come first'],
    ['vent 0 0 10', 'vent: after x and y come width and height'],
    ['panel 0 0 -4 10', 'panel: after x and y come width and height'],
  ])('what cannot be read is named with its line: %s', (text, reason) => {
    expect(() => readFaceText(text)).toThrow(reason);
  });
});

describe('faces hold together', () => {
  const face = { id: 'rear', name: 'rear', width: 100, height: 80 };
  const known = new Set(['lid']);
  it.each([
    [[face, face], 'there twice', '/faces/1/id'],
    [[{ ...face, width: 0 }], 'over 0 mm', '/faces/0/width'],
    [[{ ...face, under: 'hood' }], 'no cover', '/faces/0/under'],
    [[{ ...face, pins: [{ x: 101, y: 3, on: 'A1' }] }], 'lies off the face', '/faces/0/pins/0'],
    [
      [{ ...face, shapes: [{ kind: 'panel' as const, x: 0, y: 0, w: 3 }] }],
      'width and a height',
      '/faces/0/shapes/0',
    ],
    [
      [{ ...face, shapes: [{ kind: 'hole' as const, x: 0, y: 0, of: 'hood' }] }],
      'no cover',
      '/faces/0/shapes/0/of',
    ],
  ])('%#: %s', (faces, reason, path) => {
    let refused: unknown;
    try {
      checkFaces(faces, known);
    } catch (error) {
      refused = error;
    }
    expect(refused).toMatchObject({ path });
    expect(String(refused)).toContain(reason);
  });
  it('every unit of the demo is drawn, its holes as many as its moves take out', () => {
    for (const { map } of DEMO_UNITS) {
      validateMap(map);
      expect(map.faces?.length, map.name).toBeGreaterThan(1);
      for (const m of map.moves ?? []) {
        const found = /^(\d+) x \S+ \S+ (.+?) >/.exec(m.text);
        const at = map.access.find((a) => a.name === found?.[2]);
        if (found && at) expect(holesOf(map.faces, at.id).length, m.text).toBe(Number(found[1]));
      }
    }
  });
});

describe('covers', () => {
  const maps = fc.constantFrom(...DEMO_UNITS.map((u) => u.map));
  it('each stands once in the tree, under one of those it needs, and every element once under its last cover', () => {
    fc.assert(
      fc.property(maps, (map) => {
        const rows = accessTree(map);
        expect(rows.map((r) => r.cover.id).sort()).toEqual(map.access.map((a) => a.id).sort());
        const reached = rows.flatMap((r) => r.reaches);
        expect(new Set(reached).size).toBe(reached.length);
        expect(reached.length).toBe(map.elements.filter((e) => e.needs?.length).length);
        rows.forEach((r, i) => {
          const needs = r.cover.needs ?? [];
          const parent = rows.slice(0, i).findLast((x) => x.depth === r.depth - 1);
          if (r.depth > 0) expect(needs).toContain(parent?.cover.id);
          expect(r.also.length).toBe(Math.max(0, needs.length - (r.depth > 0 ? 1 : 0)));
        });
      }),
    );
  });
  it('a cover under two others hangs under the deeper one and names the other', () => {
    const map = {
      ...(DEMO_UNITS[1]?.map as UnitMap),
      access: [
        { id: 'a', name: 'a', minutes: 1 },
        { id: 'b', name: 'b', minutes: 1, needs: ['a'] },
        { id: 'c', name: 'c', minutes: 1, needs: ['b', 'a'] },
      ],
      elements: [],
    };
    expect(accessTree(map).map((r) => [r.cover.id, r.depth, r.also])).toEqual([
      ['a', 0, []],
      ['b', 1, []],
      ['c', 2, ['a']],
    ]);
  });
  it('renamed and back again leaves the map as it was; taken away leaves no word of it', () => {
    fc.assert(
      fc.property(maps, fc.nat(), (map, k) => {
        const id = map.access[k % map.access.length]?.id as string;
        const there = renameCover(map, id, 'zz');
        expect(JSON.stringify(there)).not.toContain(`"under":"${id}"`);
        validateMap(there);
        const back = renameCover(there, 'zz', id);
        expect({ ...back, access: [] }).toEqual({ ...map, access: [] });
        const gone = removeCover(map, id);
        expect(gone.access.some((a) => a.id === id)).toBe(false);
        for (const f of gone.faces ?? []) {
          expect(f.under).not.toBe(id);
          expect(f.shapes?.some((s) => s.of === id) ?? false).toBe(false);
        }
      }),
    );
  });
  it('a variant without a cover has neither its panel nor what is seen under it', () => {
    const [loop] = DEMO_UNITS;
    const map = loop?.map as UnitMap;
    const drawn = { ...map, faces: [{ id: 's', name: 's', width: 9, height: 9, under: 'shield' }] };
    expect(mapFor(drawn, 'one loop').faces).toEqual([]);
    expect(mapFor(drawn, 'shielded').faces).toHaveLength(1);
  });
});
