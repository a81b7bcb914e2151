import jsQR from 'jsqr';
import Papa from 'papaparse';
import sharp from 'sharp';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { offerFits, partWanted } from '../src/core/job';
import { bench } from '../src/core/job/bench.test.fixture';
import { HARNESS_COLUMNS, harnessFrom, harnessTable } from '../src/core/map-file';
import { readOptions, readRules } from '../src/core/settings';
import { DEMO_UNITS } from '../src/demo/jobs';
import { photoPrinter } from '../src/demo/units/photo-printer';
import { searchCatalogue } from '../src/server/catalogue';
import { readConsole, writeConsole } from '../src/server/console/console';
import { flagSheet } from '../src/server/flags';
import { search, standInCatalogue } from '../src/standins/catalogue/catalogue';
import { standInConsole } from '../src/standins/console/console';

/** As a file is read: with its separator found out. */
const rows = (csv: string) =>
  Papa.parse<Record<string, string>>(csv, { header: true, skipEmptyLines: 'greedy' }).data;

describe('headers and plugs as CSV', () => {
  it('come back as they went out, with commas or semicolons between', () => {
    for (const { map } of DEMO_UNITS.filter((u) => u.map.plugs)) {
      for (const delimiter of [',', ';']) {
        const csv = (t: 'headers' | 'plugs') =>
          Papa.unparse(harnessTable(map, t), { columns: [...HARNESS_COLUMNS[t]], delimiter });
        const headers = harnessFrom(map, rows(csv('headers')));
        expect(headers.headers).toEqual(map.headers);
        expect(harnessFrom(headers, rows(csv('plugs'))).plugs).toEqual(map.plugs);
      }
    }
  });
  it.each([
    ['id,lines\nJ1,+5V|GND\nJ1,GND', 'headers, row 3: header J1 is there twice'],
    ['id,lines,positions\nJ1,+5V|GND|TX|RX|A|B|C|D|E|F,12', 'headers, row 2: 12 positions and 10 lines'],
    ['id,lines,pitch\nJ1,GND,wide', 'headers, row 2: pitch “wide” is not a number'],
    ['id,lines\nJ1,+5V||GND', 'headers, row 2: lines: contact 2 is empty'],
    ['id,lines\n,GND', 'headers, row 2: id is empty'],
    ['id,home\nW1,J99', 'plugs, row 2: J99, its home, is no header'],
    ['a,b\n1,2', 'headings “a, b” are neither of plugs'],
    ['id,home', 'no row under its headings'],
  ])('%j is refused by row', (csv, reason) => {
    expect(() => harnessFrom(photoPrinter, rows(csv))).toThrow(reason);
  });
  it('20,000 rows are refused with the row from which they are too many', () => {
    const many = `id;lines\n${Array.from({ length: 20_000 }, (_, i) => `J${i};GND`).join('\n')}`;
    expect(() => harnessFrom(photoPrinter, rows(many))).toThrow('headers, row 402: up to 400 are kept');
  });
});

describe('flags for leads', () => {
  it('carry the same code on both halves, read back by a reader package', async () => {
    const link = 'http://127.0.0.1:4321/units/01M8/plugs#W6';
    const svg = await flagSheet([{ head: 'W6 <&>', lines: ['goes to J6', 'upper left'], link }], 'Plugs');
    expect(svg).toContain('W6 &#60;&#38;&#62;');
    const { data, info } = await sharp(Buffer.from(svg), { density: 150 })
      .flatten({ background: '#fff' })
      .ensureAlpha()
      .raw()
      .toBuffer({ resolveWithObject: true });
    // Millimetres of the sheet in pixels of the picture.
    const mm = info.width / 167;
    const part = async (from: number, to: number) => {
      const [left, width] = [Math.round(from * mm), Math.round((to - from) * mm)];
      const raw = await sharp(data, { raw: info })
        .extract({ left, top: Math.round(10 * mm), width, height: Math.round(13 * mm) })
        .raw()
        .toBuffer();
      return jsQR(new Uint8ClampedArray(raw), width, Math.round(13 * mm))?.data;
    };
    expect(await part(29.4, 41.6)).toBe(link);
    expect(await part(69.4, 81.6)).toBe(link);
  });
  it('nothing to label is said', async () => {
    await expect(flagSheet([], 'Plugs')).rejects.toMatchObject({ status: 422 });
  });
});

describe('the unit console', () => {
  let there: Awaited<ReturnType<typeof standInConsole>>;
  beforeAll(async () => {
    there = await standInConsole();
  });
  afterAll(() => there.close());
  it('gives all its settings as text, of either unit', async () => {
    const { who, dump } = await readConsole(there.address, 'TK-2');
    expect(who).toContain('ticket kiosk');
    expect(dump).toContain('sensor_gain = 1.32');
    expect((await readConsole(there.address)).who).toContain('photo-booth printer');
  });
  it('what is written is read back: kept, cut down, fixed, unknown', async () => {
    const { written } = await writeConsole(
      there.address,
      [
        { key: 'feed_steps', value: '810' },
        { key: 'lamp_level', value: '100' },
        { key: 'serial', value: 'X' },
        { key: 'nonsense', value: '1' },
      ],
      'PB-3',
    );
    expect(written.map((w) => [w.key, w.kept, w.readBack])).toEqual([
      ['feed_steps', true, '810'],
      ['lamp_level', false, '90'],
      ['serial', false, 'PB3-00417'],
      ['nonsense', false, null],
    ]);
  });
  it('a line break in a value is not passed on', async () => {
    await expect(
      writeConsole(there.address, [{ key: 'language', value: 'en\nSET serial X' }]),
    ).rejects.toMatchObject({ status: 422, path: '/changes/0/value' });
  });
  it('a unit it does not know, and no console at all, are said', async () => {
    await expect(readConsole(there.address, 'ZZ')).rejects.toMatchObject({ status: 422, path: '/unit' });
    await expect(readConsole('127.0.0.1:9', undefined, 500)).rejects.toMatchObject({ status: 502 });
  });
});

describe('the parts catalogue', () => {
  it('offers the nearest first, and nothing for words it does not know', async () => {
    const there = await standInCatalogue();
    const { parts } = await searchCatalogue('relay 48 V, 30 A K2', there.address);
    expect(parts[0]?.number).toBe('HR-48-30');
    expect((await searchCatalogue('zither strings', there.address)).parts).toEqual([]);
    await there.close();
    await expect(searchCatalogue('relay', there.address, 500)).rejects.toMatchObject({ status: 502 });
    expect(await searchCatalogue('relay', null)).toMatchObject({
      none: expect.stringContaining('MULCH_CATALOGUE'),
      parts: [],
    });
  });
  it('lists something for every part that a demo remedy names', () => {
    const named = DEMO_UNITS.flatMap((u) =>
      u.map.elements.flatMap((e) =>
        e.remedies.flatMap((r) => (r.parts ?? []).map((p) => ({ map: u.map, element: e.id, part: p }))),
      ),
    ).filter(({ part }) => /ribbon|pack|relay|strip lamp|row board/.test(part) && !/loop/.test(part));
    expect(named.length).toBeGreaterThan(5);
    for (const { map, element, part } of named) {
      const wanted = partWanted(bench(map).state(), element, part);
      const fitting = search(wanted.words).filter((p) => offerFits(p.name, wanted));
      expect(fitting.length, part).toBeGreaterThan(0);
    }
  });
});

describe('jumper rules as typed', () => {
  it('read into options and positions', () => {
    expect(readRules('volts=230 model=TK-2: JP1 open, JP2 Closed\n\nalways: JP9 open')).toEqual([
      { when: { volts: '230', model: 'TK-2' }, then: { JP1: 'open', JP2: 'closed' } },
      { when: {}, then: { JP9: 'open' } },
    ]);
    expect(readOptions('a=1; b=2')).toEqual({ a: '1', b: '2' });
  });
  it.each(['volts=230', 'x: JP1', 'x: JP1 half'])('“%s” is refused with its line', (text) => {
    expect(() => readRules(text)).toThrow('line 1');
  });
  it('what is no pair is named', () => {
    expect(() => readOptions('volts')).toThrow('“volts” is no option');
  });
});
