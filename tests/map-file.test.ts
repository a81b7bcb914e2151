import { strToU8, unzipSync, zipSync } from 'fflate';
import Papa from 'papaparse';
import { describe, expect, it } from 'vitest';
import { mapFromTables, tablesOf } from '../src/core/map-file';
import { DEMO_UNITS } from '../src/demo/jobs';
import { hearingLoop } from '../src/demo/units/hearing-loop';
import { mapAsJson, mapAsZip, readMapFile } from '../src/server/map-file';

const why = (f: () => unknown) => {
  try {
    f();
    return '';
  } catch (error) {
    return (error as { detail?: string }).detail ?? (error as Error).message;
  }
};
const zip = (files: Record<string, string>) =>
  zipSync(Object.fromEntries(Object.entries(files).map(([n, t]) => [n, strToU8(t)])));

describe('a map as a file', () => {
  it.each(DEMO_UNITS.map(({ map }) => [map.name, map] as const))('%s comes back whole', (_n, map) => {
    expect(readMapFile(strToU8(mapAsJson(map)), '')).toEqual(map);
    expect(readMapFile(mapAsZip(map), '')).toEqual(map);
    expect(mapFromTables(tablesOf(map), map)).toEqual(map);
  });

  it('the tables are what any spreadsheet reads', () => {
    const files = unzipSync(mapAsZip(hearingLoop));
    const { data, meta } = Papa.parse<Record<string, string>>(
      new TextDecoder().decode(files['elements.csv']),
      {
        header: true,
      },
    );
    expect(meta.fields?.slice(0, 3)).toEqual(['id', 'name', 'kind']);
    expect(data).toHaveLength(hearingLoop.elements.length);
  });

  it('three tables filled by hand are enough: semicolons, a byte-order mark, decimal commas', () => {
    const map = readMapFile(
      zip({
        'elements.csv': '\uFEFFid;kind;weight;needs\r\nA1;board;1,5;lid\r\nW1;cable;;lid\r\nM1;motor;;\r\n',
        'feeds.csv': 'from;to\r\nA1;W1\r\nW1;M1\r\n',
        'taps.csv': 'id;after;nominal;tolerance;unit;needs\r\nTP1;A1;0,775;100m;V;lid\r\n',
      }),
      'Tide bell',
    );
    expect(map.name).toBe('Tide bell');
    expect(map.elements[0]?.weight).toBe(1.5);
    expect(map.elements[1]?.weight).toBe(3);
    expect(map.access).toEqual([{ id: 'lid', name: 'lid', minutes: 3 }]);
    expect(map.functions).toEqual([{ id: 'M1', name: 'motor works', output: 'M1' }]);
    expect(map.taps[0]?.expect).toMatchObject({ nominal: 0.775, tolerance: 0.1, unit: 'V' });
  });

  it('columns that are not known are kept and go out again', () => {
    const first = readMapFile(
      zip({
        'elements.csv': 'id,kind,shelf\nA1,board,C4\nM1,motor,\n',
        'feeds.csv': 'from,to,gauge\nA1,M1,0.5\n',
      }),
      'Bell',
    );
    expect(first.extra).toEqual({
      columns: { elements: { A1: { shelf: 'C4' } }, feeds: { 'A1 M1': { gauge: '0.5' } } },
    });
    const again = readMapFile(mapAsZip(first), '');
    expect(again).toEqual(first);
    expect(tablesOf(again).elements[0]?.shelf).toBe('C4');
    expect(readMapFile(strToU8(JSON.stringify({ ...first, colour: 'red' })), '').extra).toMatchObject({
      colour: 'red',
    });
  });

  it('names the table and the row that is wrong', () => {
    const read = (files: Record<string, string>) => why(() => readMapFile(zip(files), 'Bell'));
    expect(read({ 'elements.csv': 'id,kind\nA1,board\nA2,wheel\n' })).toContain(
      'elements.csv, row 3: kind “wheel”',
    );
    expect(read({ 'elements.csv': 'id,kind\nA1,board\n,motor\n' })).toContain('row 3: id is empty');
    expect(read({ 'elements.csv': 'id,kind\nA1,board\nA1,motor\n' })).toContain('elements.csv, row 3');
    expect(read({ 'elements.csv': 'id,kind\nA1,board\n', 'feeds.csv': 'from,to\nA1,A7\n' })).toContain(
      'feeds.csv, row 2: A7 is not an element',
    );
    expect(
      read({
        'elements.csv': 'id,kind\nA1,board\n',
        'taps.csv': 'id,after,nominal,tolerance,unit\nT1,A1,5,0,V\n',
      }),
    ).toContain('taps.csv, row 2: tolerance at T1 must be over 0');
    expect(
      read({
        'elements.csv': 'id,kind\nA1,board\n',
        'taps.csv': 'id,after,nominal,tolerance,unit\nT1,A1,much,1,V\n',
      }),
    ).toContain('row 2: nominal: “much” is not a reading');
    expect(read({ 'elements.csv': 'id,kind\nA1,board,9,9\n' })).toContain('row 2');
    expect(read({ 'notes.txt': 'hello' })).toContain('neither map.json nor elements.csv');
  });

  it('a table with too many rows, a damaged archive and other bytes are turned away', () => {
    const rows = Array.from({ length: 4001 }, (_, i) => `E${i},board`).join('\n');
    expect(why(() => readMapFile(zip({ 'elements.csv': `id,kind\n${rows}` }), 'Bell'))).toContain(
      '4001 rows',
    );
    expect(why(() => readMapFile(mapAsZip(hearingLoop).slice(0, 200), 'x'))).toContain('damaged');
    expect(why(() => readMapFile(strToU8('hello'), 'x'))).toContain('not JSON');
    expect(why(() => readMapFile(strToU8('{"name":5}'), 'x'))).not.toBe('');
    const bomb = zipSync({ 'elements.csv': new Uint8Array(21 * 1024 * 1024) });
    expect(why(() => readMapFile(bomb, 'x'))).toContain('over 20 MB');
  });
});
