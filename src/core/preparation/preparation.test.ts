import { describe, expect, it } from 'vitest';
import { ELEMENT_KINDS, type ElementKind, ladderFor, type UnitMap } from '../unit';
import { PREPARATIONS, plugsOf, preparationsFor } from '.';

const unit = (kind: ElementKind, key: string | null = 'A'): UnitMap => ({
  name: 'unit',
  maker: '',
  model: '',
  elements: [
    { id: 'X1', name: 'thing', kind, weight: 1, remedies: ladderFor(kind, 'X1', 'thing') },
    { id: 'A9', name: 'other board', kind: 'board', weight: 1, remedies: ladderFor('board', 'A9', '') },
  ],
  feeds: [],
  taps: [],
  access: [],
  functions: [{ id: 'works', name: 'works', output: 'X1' }],
  hazards: [],
  headers: [
    {
      id: 'J1',
      family: 'wafer',
      pitch: 2.5,
      rows: 1,
      positions: 2,
      key,
      open: false,
      at: { x: 0, y: 0, board: 'X1' },
      lines: [
        { name: 'A', kind: 'signal' },
        { name: 'B', kind: 'signal' },
      ],
    },
  ],
  plugs: [
    {
      id: 'W1',
      home: 'J1',
      family: 'wafer',
      pitch: 2.5,
      rows: 1,
      positions: 2,
      key,
      exit: { x: 0, y: 0, board: 'A9' },
      freeLength: 100,
      lines: ['A', 'B'],
    },
  ],
});
const ids = (kind: ElementKind, key: string | null = 'A') =>
  preparationsFor(unit(kind, key), 'X1').map((l) => l.id);

describe('what is seen to for a part', () => {
  it.each<[ElementKind, string[]]>([
    ['board', ['picture', 'same plug', 'jumpers', 'carried over', 'pins', 'static']],
    ['cable', ['picture', 'same plug', 'contact side']],
    ['connector', ['same plug', 'pins', 'ferrules', 'tinned']],
    ['battery', ['picture', 'same plug', 'polarity', 'adhesive', 'glued cell']],
    ['supply', ['picture', 'same plug', 'polarity', 'carried over', 'ferrules']],
    ['motor', ['picture', 'same plug', 'carried over', 'ferrules']],
    ['lamp', ['picture', 'same plug', 'polarity']],
    ['sensor', ['picture', 'same plug', 'pins', 'static']],
    ['setting', []],
  ])('%s', (kind, lines) => {
    expect(ids(kind)).toEqual(lines);
  });
  it('a plug without a key on it asks for its mark, and holds', () => {
    for (const kind of ELEMENT_KINDS) expect(ids(kind, null)[0]).toBe('contact 1');
    expect(PREPARATIONS.filter((l) => l.must).map((l) => l.id)).toEqual(['contact 1', 'polarity']);
  });
  it('belongs to the board its header sits on, or to the lead itself', () => {
    const map = unit('board');
    const [x1, a9] = map.elements as [UnitMap['elements'][0], UnitMap['elements'][0]];
    expect(plugsOf({ element: x1, map }).map((p) => p.id)).toEqual(['W1']);
    expect(plugsOf({ element: a9, map })).toEqual([]);
    expect(plugsOf({ element: { ...a9, id: 'W1' }, map }).map((p) => p.id)).toEqual(['W1']);
  });
  it('is nothing for a part that is not on the map', () => {
    expect(preparationsFor(unit('board'), 'Z')).toEqual([]);
  });
  it('says why, and what comes before the old part is out comes first', () => {
    for (const l of PREPARATIONS) expect(l.why.length).toBeGreaterThan(10);
    const when = PREPARATIONS.map((l) => l.when);
    expect(when.lastIndexOf('before out')).toBeLessThan(when.indexOf('before in'));
  });
});

describe('polarity as it was read', () => {
  const judge = PREPARATIONS.find((l) => l.id === 'polarity')?.judge;
  it.each<[string, number | undefined, RegExp | null]>([
    ['+7.4 V', undefined, null],
    ['7,4', undefined, null],
    ['red to black +3.85 V', undefined, null],
    ['3850 mV', 3.7, null],
    ['-7.4 V', undefined, /reads -7.4 V where plus is expected: red and black are swapped/],
    ['− 7,4 V', undefined, /swapped/],
    ['–12V', undefined, /swapped/],
    ['0', undefined, /tells no polarity/],
    ['good', undefined, /write down what the meter read/],
    // Thirty percent off the nominal voltage on either side, and a little more.
    ['9.62 V', 7.4, null],
    ['9.63 V', 7.4, /the one it replaces has 7.4 V/],
    ['5.19 V', 7.4, null],
    ['5.17 V', 7.4, /the one it replaces has 7.4 V/],
  ])('“%s” against %s V', (note, volts, held) => {
    const said = judge?.(note, { volts }) ?? null;
    if (held) expect(said).toMatch(held);
    else expect(said).toBeNull();
  });
});
