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
});
