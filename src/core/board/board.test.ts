import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { readLineText } from '../mixups';
import { boardAlignment, boardFit } from '.';

describe('a plug-in board on its strip', () => {
  const strip = (columns: number, rows: 1 | 2 = 1) => ({ columns, rows, pitchMm: 2.54 });
  it('contacts of strip = contacts covered + bare ones, in every case that lies along it', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 20 }), fc.integer({ min: 0, max: 6 }), (n, spare) => {
        for (const c of boardAlignment({ board: strip(n), strip: strip(n + spare) })) {
          const hanging = Math.max(0, c.along + n - (n + spare)) + Math.max(0, -c.along);
          expect(c.bareLeft + c.bareRight + n - hanging).toBe(n + spare);
          expect(c.ruledOutBy.length).toBeGreaterThan(0);
        }
      }),
    );
  });
  it('two rows add the row over; a shroud rules all but the seat out; odd standoffs show it turned', () => {
    const cases = boardAlignment({ board: strip(10, 2), strip: strip(10, 2), standoffs: 3 });
    expect(cases.map((c) => [c.how, c.along, c.over])).toEqual([
      ['seated', 0, 0],
      ['one off along', 1, 0],
      ['one off along', -1, 0],
      ['one row over', 0, 1],
      ['one row over', 0, -1],
      ['turned round', 0, 0],
    ]);
    expect(cases[1]).toMatchObject({ bareLeft: 1, bareRight: 0 });
    expect(cases[5]?.ruledOutBy.join()).toContain('odd number of standoffs');
    const shrouded = boardAlignment({ board: strip(10), strip: strip(10), shrouded: true });
    expect(shrouded.filter((c) => c.possible).map((c) => c.how)).toEqual(['seated']);
  });
  it.each([
    [{ board: strip(11), strip: strip(10) }, 'do not go into'],
    [{ board: strip(10, 2), strip: strip(10) }, 'two rows'],
    [{ board: { ...strip(10), pitchMm: 2 }, strip: strip(10) }, 'does not go into'],
    [{ board: strip(0), strip: strip(10) }, 'whole number'],
  ])('%#: %j', (r, reason) => {
    expect(() => boardAlignment(r)).toThrow(reason);
  });
});

describe('a board in the place of another', () => {
  const header = (id: string, text: string) => {
    const lines = readLineText(text);
    return { id, positions: lines.length, lines, key: null };
  };
  const old = { headers: [header('J1', '+24V; GND'), header('J2', 'TX; RX; nc')] };
  const known = { supplyMin: 20, supplyMax: 28 };
  it('contact by contact alike and within its supply: it fits', () => {
    expect(boardFit({ old, new: { ...old, ...known }, supplyVolts: 24 }).verdict).toBe('pass');
  });
  it('a board against itself never fails, whatever its contacts carry', () => {
    const word = fc.constantFrom('+5V', '+24V max 30', 'GND', 'TX max 3.6', 'RX', 'nc');
    fc.assert(
      fc.property(
        fc.array(fc.array(word, { minLength: 1, maxLength: 6 }), { minLength: 1, maxLength: 4 }),
        (texts) => {
          const headers = texts.map((t, i) => header(`J${i}`, t.join('; ')));
          const { lines } = boardFit({ old: { headers }, new: { headers, ...known }, supplyVolts: 24 });
          expect(lines.filter((l) => l.line.startsWith('connector')).every((l) => l.verdict === 'pass')).toBe(
            true,
          );
        },
      ),
    );
  });
  it('supply and ground exchanged fail with the contact that makes it so', () => {
    const turned = { headers: [header('J1', 'GND; +24V'), header('J2', 'TX; RX; nc')], ...known };
    const r = boardFit({ old, new: turned, supplyVolts: 24 });
    expect(r.verdict).toBe('fail');
    expect(r.lines.find((l) => l.line === 'connector J1')?.why).toBe('contact 1: +24V meets GND');
  });
  it('signals exchanged are work; a connector or a supply that is missing fails', () => {
    const swapped = { headers: [header('J1', '+24V; GND'), header('J2', 'RX; TX; nc')], ...known };
    const r = boardFit({ old, new: swapped, supplyVolts: 24 });
    expect(r.verdict).toBe('fits after work');
    expect(r.work[0]).toContain('J2');
    expect(
      boardFit({ old, new: { headers: [header('J1', '+24V; GND')], ...known }, supplyVolts: 24 }).verdict,
    ).toBe('fail');
    expect(boardFit({ old, new: { ...old, supplyMin: 5, supplyMax: 12 }, supplyVolts: 24 }).verdict).toBe(
      'fail',
    );
    expect(boardFit({ old, new: {} }).verdict).toBe('not known');
  });
  it('numbers of the old one, of the order and of the one that came are set side by side', () => {
    const said = (old: string[], ordered: string[], fresh: string[]) =>
      boardFit({ old: { numbers: old }, new: { numbers: fresh }, ordered }).lines.find(
        (l) => l.line === 'numbers',
      );
    expect(said(['PB3-A2 C', 'L 4471'], [], ['pb3 a2-c'])).toMatchObject({ verdict: 'pass' });
    expect(said(['PB3-A2 C'], ['PB3-A2 C'], ['PB3-A2 D'])).toMatchObject({
      verdict: 'warn',
      old: 'old PB3-A2 C, ordered PB3-A2 C',
      why: expect.stringContaining('not what was ordered'),
    });
    expect(said(['PB3-A2 C'], ['PB3-A2 D'], ['PB3-A2 D'])?.why).toContain('another number');
    expect(said(['PB3-A2 C'], [], [])).toMatchObject({ verdict: 'not known' });
    expect(said([], [], ['PB3-A2 D'])?.why).toContain('numbers of the old one');
    expect(said([], [], [])).toBeUndefined();
  });
  it('holes, jumpers, firmware, level and what it carries are lines of their own', () => {
    const r = boardFit({
      old: {
        ...old,
        holes: [
          { x: 0, y: 0 },
          { x: 50, y: 0 },
        ],
        firmware: 'strip 2.1',
        control: 'RS-232',
        carries: ['heat sink'],
      },
      new: {
        ...old,
        ...known,
        holes: [
          { x: 0.2, y: 0 },
          { x: 53, y: 0 },
        ],
        firmware: 'strip 3',
        control: '5 V logic',
      },
      supplyVolts: 24,
      jumpers: {
        rules: [{ when: { volts: '230' }, then: { JP1: 'open' } }],
        options: { volts: '230' },
        set: { JP1: 'closed' },
      },
    });
    const verdicts = Object.fromEntries(r.lines.map((l) => [l.line, l.verdict]));
    expect(verdicts).toMatchObject({
      mounting: 'fits after work',
      jumpers: 'fits after work',
      firmware: 'warn',
      'control line': 'fail',
      'carried over': 'fits after work',
    });
    expect(r.work).toEqual(expect.arrayContaining(['set JP1 open', 'carry over: heat sink']));
  });

  /** What is said of one line of a comparison. */
  const lineOf = (name: string, r: Parameters<typeof boardFit>[0]) =>
    boardFit(r).lines.find((l) => l.line === name);
  it.each([
    // What is on the old contact, on the same of the new, what that means.
    ['+24V', '+24V', 'pass', 'every contact carries the same'],
    ['+24V', '+12V', 'fail', 'contact 1: 24 V where it wants 12 V'],
    ['+24V', 'GND', 'fail', 'contact 1: +24V meets GND'],
    ['GND', '+24V', 'fail', 'contact 1: GND meets +24V'],
    ['TX', '+5V', 'fail', 'contact 1: TX meets +5V'],
    ['+5V', 'TX', 'fail', 'contact 1: +5V meets TX'],
    ['TX', 'GND', 'fail', 'contact 1: TX meets GND'],
    ['GND', 'TX', 'fail', 'contact 1: GND meets TX'],
    ['GND', 'GND', 'pass', 'every contact carries the same'],
    ['TX', 'TX', 'pass', 'every contact carries the same'],
    ['TX', 'RX', 'fits after work', 'contact 1: TX meets RX'],
    ['TX', 'nc', 'fits after work', 'contact 1: TX meets'],
    ['+5V', 'nc', 'fail', 'contact 1: +5V meets'],
    // No wire goes to it.
    ['nc', '+24V', 'pass', 'every contact carries the same'],
    // A supply up to what the contact stands, and over it; below zero as above.
    ['+24V', '+24V max 24', 'pass', 'every contact carries the same'],
    ['+24V', '+24V max 23.9', 'fail', 'contact 1: +24V onto +24V, which stands 23.9 V'],
    ['-24V', '-24V max 23.9', 'fail', 'which stands 23.9 V'],
  ])('contact “%s” where “%s” is: %s', (was, is, verdict, why) => {
    const r = lineOf('connector J1', {
      old: { headers: [header('J1', was)] },
      new: { headers: [header('j1', is)] },
    });
    expect(r?.verdict).toBe(verdict);
    expect(r?.why).toContain(why);
  });
  it('the worst contact is named, how many more there are, and what cannot be counted', () => {
    const of = (was: string, is: string) =>
      lineOf('connector J1', { old: { headers: [header('J1', was)] }, new: { headers: [header('J1', is)] } });
    expect(of('TX; RX; +5V; GND', 'RX; TX; GND; +5V')?.why).toBe('contact 3: +5V meets GND');
    expect(of('TX; RX', 'RX; TX')?.why).toBe('contact 1: TX meets RX, and 1 more');
    expect(of('TX; RX', 'RX; RX')?.why).toBe('contact 1: TX meets RX');
    expect(of('TX; RX', 'TX')).toMatchObject({
      verdict: 'fail',
      old: '2 contacts',
      new: '1 contacts',
      why: '1 contacts where the plug has 2',
    });
    const keyed = { ...header('J1', 'TX'), key: 'A' };
    expect(
      lineOf('connector J1', { old: { headers: [keyed] }, new: { headers: [header('J1', 'TX')] } }),
    ).toMatchObject({ verdict: 'warn', why: 'same contacts, another key' });
  });
  it.each([
    [19.9, 'fail', 'too little for it to start'],
    [20, 'pass', 'within what it takes'],
    [28, 'pass', 'within what it takes'],
    [28.1, 'fail', 'more than it stands'],
  ])('a supply of %f V', (supplyVolts, verdict, why) => {
    expect(lineOf('supply', { old, new: { ...old, ...known }, supplyVolts })).toMatchObject({
      verdict,
      why,
      old: `the unit gives ${supplyVolts} V`,
      new: '20 to 28 V',
    });
    const half = { ...old, supplyMin: 20 };
    expect(lineOf('supply', { old, new: half, supplyVolts })).toMatchObject({ verdict: 'not known' });
  });
  it.each([
    ['control', undefined, undefined, undefined],
    ['control', 'RS-232', undefined, 'not known'],
    ['control', undefined, 'RS-232', 'not known'],
    ['control', 'RS-232', 'RS-232', 'pass'],
    ['control', 'RS-232', '5 V logic', 'fail'],
    ['firmware', undefined, undefined, undefined],
    ['firmware', 'strip 2.1', undefined, 'not known'],
    ['firmware', undefined, 'strip 2.1', 'not known'],
    ['firmware', 'strip 2.1', 'strip 2.1', 'pass'],
    ['firmware', 'strip 2.1', 'Strip 3', 'warn'],
    ['firmware', 'strip 2.1', 'band 2.1', 'fail'],
  ])('%s: %s where %s comes', (key, was, is, verdict) => {
    const sheet = (read: string | undefined) => ({ ...old, ...(read ? { [key]: read } : {}) });
    const r = lineOf(key === 'control' ? 'control line' : key, { old: sheet(was), new: sheet(is) });
    expect(r?.verdict).toBe(verdict);
    if (r) expect([r.old, r.new]).toEqual([was ?? 'not known', is ?? 'not known']);
  });
  it.each([
    [0.6, 'pass'],
    [0.61, 'fits after work'],
  ])('a hole %f mm off', (off, verdict) => {
    const at = (x: number) => ({ ...old, holes: [{ x, y: 0 }] });
    expect(lineOf('mounting', { old: at(0), new: at(off) })?.verdict).toBe(verdict);
    expect(lineOf('mounting', { old: at(0), new: old })?.verdict).toBe('not known');
  });
});
