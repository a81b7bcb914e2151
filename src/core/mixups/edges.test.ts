import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { type Header, type HeaderLine, lineText, mixups, type Plug, picturesWanted, readLineText } from '.';
import { harmOf } from './harm';
import { gnd, header, nc, plug, sig, sup } from './harness.test.fixture';
import { type Meeting, mates, reversed, shifts, straight } from './mating';

/** An open header, and a plug of it. */
const open = (lines: HeaderLine[], more: Partial<Header> = {}) => header('J', lines, { open: true, ...more });
const plugOf = (home: Header, more: Partial<Plug> = {}) => plug('P', home, more);
const blank = (n: number) => Array.from({ length: n }, () => gnd);

describe('a plug one off, against contacts as they lie on the board', () => {
  /** Contact by place and row: in one row 0, 1, 2 …; in two zig-zag, as they are numbered. */
  const where = (i: number, rows: number) =>
    rows === 1 ? { place: i, row: 0 } : { place: Math.floor(i / 2), row: i % 2 };
  const numberAt = (place: number, row: number, rows: number, positions: number): number | null => {
    if (place < 0 || row < 0 || row >= rows) return null;
    const i = rows === 1 ? place : place * 2 + row;
    return i < positions ? i : null;
  };
  it('each contact meets what lies where it comes to lie, or hangs', () => {
    fc.assert(
      fc.property(
        fc.constantFrom<1 | 2>(1, 2),
        fc.integer({ min: 1, max: 6 }),
        fc.integer({ min: 0, max: 4 }),
        (rows, places, more) => {
          const p = plugOf(open(blank(places * rows), { rows }));
          const h = open(blank((places + more) * rows), { rows });
          const moved = (dPlace: number, dRow: number): Meeting =>
            straight(p).map((_, i) => {
              const { place, row } = where(i, rows);
              return numberAt(place + dPlace, row + dRow, rows, h.positions);
            });
          const wanted = [
            { shift: rows, meeting: moved(1, 0) },
            { shift: -rows, meeting: moved(-1, 0) },
            ...(rows === 2
              ? [
                  { shift: 1, meeting: moved(0, 1) },
                  { shift: -1, meeting: moved(0, -1) },
                ]
              : []),
          ];
          expect(shifts(p, h)).toEqual(wanted);
        },
      ),
    );
  });
  it('turned round, first and last change places, and twice is as before', () => {
    const p = plugOf(open(blank(5)));
    expect(straight(p)).toEqual([0, 1, 2, 3, 4]);
    expect(reversed(p)).toEqual([4, 3, 2, 1, 0]);
  });
  it('reaches as far as its cable and a little slack, and not further', () => {
    const h = open(blank(2), { at: { x: 66, y: 88, board: 'main' } });
    expect(mates(plugOf(open(blank(2))), h)).toBe(true);
    expect(mates(plugOf(open(blank(2)), { freeLength: 99.9 }), h)).toBe(false);
  });
});

describe('the worst that any contact does', () => {
  const harm = (home: HeaderLine[], there: HeaderLine[], meeting?: Meeting) => {
    const p = plugOf(open(home));
    return harmOf(p, open(home), open(there), meeting ?? straight(p));
  };
  it('is that of the first contact that does so much', () => {
    expect(harm([sig('A', 3), sig('B', 3)], [sup(5), sup(12)])).toEqual({
      severity: 3,
      says: 'contact 1: +5 V onto A (max 3 V)',
    });
    expect(harm([sig('A'), sig('B', 3)], [sig('X'), sup(12)])).toEqual({
      severity: 3,
      says: 'contact 2: +12 V onto B (max 3 V)',
    });
  });
  it('a limit that is not known is said, and taken for passed', () => {
    expect(harm([sig('A')], [sup(5)])).toEqual({
      severity: 3,
      says: 'contact 1: +5 V onto A (limit not known)',
    });
  });
  it.each<[number, number, number]>([
    [5, 5, 1],
    [5.01, 5, 3],
    [-5, 5, 3],
    [-5, -5, 1],
    [-5.01, -5, 3],
    [0, 5, 1],
  ])('%f V onto a line of at most %f V: severity %i', (volts, max, severity) => {
    // The plug's own line is no supply, so that nothing else is told.
    expect(harm([sig('A', max)], [{ ...sup(volts), name: 'A' }]).severity).toBe(severity);
  });
  it('a contact that meets nothing hangs: a missing supply, an open signal, nothing at nc', () => {
    expect(harm([sup(5)], [nc])).toEqual({ severity: 2, says: 'contact 1: +5 V (+5V) is missing' });
    expect(harm([sig('A')], [], [null])).toEqual({ severity: 1, says: 'contact 1: A is open' });
    expect(harm([sup(5)], [gnd], [null])).toEqual({ severity: 2, says: 'contact 1: +5 V (+5V) is missing' });
    expect(harm([sup(5)], [gnd], [])).toEqual({ severity: 2, says: 'contact 1: +5 V (+5V) is missing' });
    expect(harm([nc], [sup(12)])).toEqual({ severity: 0, says: '' });
  });
  it('a wire that is not there, and one whose line is not told, do nothing', () => {
    const home = open([sig('A', 3), sig('B', 3)]);
    const p = plugOf(home, { lines: [null, 'B'] });
    expect(harmOf(p, home, open([sup(12), sig('B', 3)]), straight(p)).severity).toBe(0);
    const short = { ...home, lines: [sig('A', 3)] };
    expect(harmOf(plugOf(home), short, open([sig('A', 3), sup(12)]), straight(p)).severity).toBe(0);
  });
});

describe('what the contacts carry, as jotted', () => {
  const line = fc.oneof(
    fc.constant(nc),
    fc.constantFrom('GND', '0V', 'PE').map((name): HeaderLine => ({ name, kind: 'ground' })),
    fc.tuple(fc.constantFrom(3.3, 5, 12, -12), fc.option(fc.constantFrom(5, 15), { nil: undefined })).map(
      ([volts, maxVolts]): HeaderLine => ({
        name: `${volts < 0 ? '' : '+'}${volts}V`,
        kind: 'supply',
        volts,
        ...(maxVolts === undefined ? {} : { maxVolts }),
      }),
    ),
    fc
      .tuple(fc.constantFrom('VBAT', 'VIN', 'AUX'), fc.option(fc.constantFrom(3.7, 24), { nil: undefined }))
      .map(
        ([name, volts]): HeaderLine => ({ name, kind: 'supply', ...(volts === undefined ? {} : { volts }) }),
      ),
    fc
      .constantFrom('A', 'CAM_TX', '+5V_EN')
      .map((name): HeaderLine => ({ name, kind: 'signal', maxVolts: 3.6 })),
    fc.constantFrom('SHIELD', 'RTN').map((name): HeaderLine => ({ name, kind: 'ground' })),
  );
  it('written out and read again it is the same', () => {
    fc.assert(
      fc.property(fc.array(line, { minLength: 1, maxLength: 8 }), (lines) => {
        expect(readLineText(lineText(lines))).toEqual(lines);
      }),
    );
  });
  it('says no more than it has to', () => {
    expect(lineText([{ name: '+12V', kind: 'supply', volts: 12 }])).toBe('+12V');
    expect(lineText([{ name: '+12V', kind: 'supply', volts: 11.7 }])).toBe('+12V supply 11.7');
    expect(lineText([{ name: '+12V', kind: 'signal' }])).toBe('+12V signal');
    expect(lineText([{ name: 'VIN', kind: 'supply' }])).toBe('VIN supply');
    expect(lineText([gnd, nc, sig('A', 3.6)])).toBe('GND; nc; A max 3.6');
  });
});

describe('pictures to take', () => {
  /** So many plugs in a line, each turned round with harm. */
  const row = (xs: number[], board = 'main') => {
    const headers = xs.map((x, i) =>
      open([sup(12), gnd], { id: `J${i}`, key: null, open: false, at: { x, y: 0, board } }),
    );
    const plugs = headers.map((h) =>
      plugOf(h, { id: `P${h.id}`, key: null, exit: { ...h.at }, freeLength: 0 }),
    );
    return { headers, plugs };
  };
  const wanted = (r: { headers: Header[]; plugs: Plug[] }) => picturesWanted(r, mixups(r)).pictures;
  it('what lies exactly as far apart as a picture is wide fits into one', () => {
    expect(wanted(row([0, 120]))).toHaveLength(1);
    expect(wanted(row([0, 120.1]))).toHaveLength(2);
    expect(wanted(row([0, 200, 210]))[0]?.plugs).toHaveLength(2);
  });
  it('two boards are two pictures, however near', () => {
    const a = row([0]);
    const b = row([0], 'front');
    const r = {
      headers: [...a.headers, ...b.headers.map((h) => ({ ...h, id: 'F0' }))],
      plugs: [...a.plugs, ...b.plugs.map((p) => ({ ...p, id: 'PF0', home: 'F0' }))],
    };
    expect(wanted(r)).toHaveLength(2);
  });
  it('more doubts than are tried exactly are all shown, most first', () => {
    // Clusters of 1 to 6 plugs, each a picture of its own.
    const xs = [1, 2, 3, 4, 5, 6].flatMap((n) => Array.from({ length: n }, (_, k) => n * 1000 + k * 11));
    const pictures = wanted(row(xs));
    const shown = pictures.map((p) => p.plugs.length);
    expect(shown).toEqual([6, 5, 4, 3, 2, 1]);
  });
});
