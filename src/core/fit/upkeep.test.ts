import { addMonths, format } from 'date-fns';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { CHEMISTRY_CLASSES, CHEMISTRY_ROWS, checkChemistry, pointsText, readPoints } from '../chemistry';
import {
  batteryFit,
  capacityFor,
  chargeHours,
  layoutWords,
  packOf,
  replaceBy,
  runtimeHours,
  spreadOfCells,
} from '.';

const line = (r: Parameters<typeof batteryFit>[0], name: string) =>
  batteryFit(r).lines.find((l) => l.line === name);

describe('packs', () => {
  it('series adds volts, parallel adds amp hours: three 12 V 20 Ah side by side are 60 Ah and 720 Wh', () => {
    expect(packOf({ series: 1, parallel: 3, eachVolts: 12, eachAmpHours: 20 })).toEqual({
      volts: 12,
      ampHours: 60,
      wattHours: 720,
    });
    expect(layoutWords({ series: 1, parallel: 2, eachAmpHours: 9 })).toBe('2 side by side, each 9\u00a0Ah');
  });
  it('found 2 × 9 Ah where the plate says 14: said, and gone by the plate', () => {
    const found = line({ old: { ampHours: 14, parallel: 2, eachAmpHours: 9 }, new: {} }, 'as found');
    expect(found).toMatchObject({ old: 'plate 14\u00a0Ah', new: 'found 2 × 9\u00a0Ah', verdict: 'warn' });
    expect(found?.why).toContain('more than the plate says');
  });
  it('another number in series fails, a mixed number side by side warns, a label that lies is named', () => {
    const old = { series: 2, parallel: 1 };
    expect(line({ old, new: { series: 3, parallel: 1 } }, 'put together')?.verdict).toBe('fail');
    expect(line({ old, new: { series: 2, parallel: 2 } }, 'put together')?.verdict).toBe('warn');
    expect(line({ old, new: old }, 'put together')?.verdict).toBe('pass');
    expect(line({ old, new: { series: 2, eachVolts: 3.7, volts: 11.1 } }, 'put together')?.why).toContain(
      '7.4\u00a0V, its label says 11.1\u00a0V',
    );
  });
  it('cells over 50 mV apart warn, with the one that is low', () => {
    expect(spreadOfCells([4.1, 4.1, 3.95])).toMatchObject({ lowest: 3, highest: 1 });
    expect(line({ old: {}, new: { cellVolts: [4.1, 4.1, 3.95] } }, 'cells even')).toMatchObject({
      verdict: 'warn',
      new: '150\u00a0mV apart',
    });
    expect(line({ old: {}, new: { cellVolts: [4.1, 4.06] } }, 'cells even')?.verdict).toBe('pass');
    expect(spreadOfCells([4.1])).toBeNull();
  });
});

describe('upkeep', () => {
  const today = '2026-11-26T09:00:00Z';
  it('age is judged by its chemistry, and only where a date code is known', () => {
    const sheet = { chemistry: 'lead-acid' as const };
    expect(line({ old: {}, new: { ...sheet, dateCode: '2640' }, today }, 'age')?.verdict).toBe('pass');
    expect(line({ old: {}, new: { ...sheet, dateCode: '2540' }, today }, 'age')?.verdict).toBe('warn');
    expect(line({ old: {}, new: { ...sheet, dateCode: '2740' }, today }, 'age')?.why).toContain('ahead');
    expect(line({ old: {}, new: {}, today }, 'age')).toBeUndefined();
    expect(() => batteryFit({ old: { dateCode: '2599' }, new: {} })).toThrow('no week 99');
  });
  it('a date that is none, and a figure that no battery has, are refused at their place', () => {
    const sheet = { chemistry: 'li-ion' as const, dateCode: '2640' };
    expect(() => batteryFit({ old: {}, new: sheet, today: 'tomorrow' })).toThrow('“tomorrow” is no date');
    expect(() => batteryFit({ old: { eachVolts: 1e300, series: 400 }, new: {} })).toThrow('no battery has');
  });
  it('a bare cell is never soldered: a holder is the work', () => {
    const l = line({ old: { mount: 'tagged, soldered' }, new: { mount: 'holder' } }, 'mounting');
    expect(l).toMatchObject({ verdict: 'fits after work' });
    expect(l?.caution).toContain('Never solder to a bare cell');
    expect(line({ old: { mount: 'holder' }, new: { mount: 'holder' } }, 'mounting')?.verdict).toBe('pass');
  });
  it('what is lost while it is out becomes work', () => {
    const { work } = batteryFit({ old: { keeps: 'clock and counts' }, new: {} });
    expect(work[0]).toBe('write down or save first: clock and counts');
  });
  it('a pack over 100 Wh and its recycling are noted', () => {
    const { notes } = batteryFit({
      old: { chemistry: 'li-ion' },
      new: { chemistry: 'li-ion', volts: 36, ampHours: 10 },
    });
    expect(notes.join(' ')).toMatch(/360\u00a0Wh: over 100 Wh.*battery recycling/s);
  });
  // Outside reference: calendar months of the package date-fns.
  it('replace-by is the fitting and the years of its chemistry, by the calendar', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...CHEMISTRY_CLASSES),
        fc.date({ min: new Date('2000-01-01'), max: new Date('2090-01-01'), noInvalidDate: true }),
        (chemistry, at) => {
          const due = replaceBy({ chemistry }, at.toISOString());
          const local = new Date(at.getUTCFullYear(), at.getUTCMonth(), at.getUTCDate());
          expect(due?.date).toBe(format(addMonths(local, (due?.years ?? 0) * 12), 'yyyy-MM-dd'));
        },
      ),
    );
    expect(replaceBy({}, today)).toBeNull();
    expect(replaceBy(undefined, today)).toBeNull();
  });
});

describe('hours', () => {
  it('the capacity for the hours wanted runs exactly those hours', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...CHEMISTRY_CLASSES),
        fc.double({ min: 0.05, max: 50, noNaN: true }),
        fc.double({ min: 0.2, max: 60, noNaN: true }),
        fc.integer({ min: -20, max: 40 }),
        (chemistry, amps, hours, celsius) => {
          const ampHours = capacityFor(chemistry, amps, hours, celsius);
          expect(runtimeHours({ chemistry, ampHours }, amps, celsius) as number).toBeCloseTo(hours, 6);
        },
      ),
    );
    expect(() => capacityFor('li-ion', 0, 1)).toThrow('load');
    expect(() => capacityFor('li-ion', 1, -1)).toThrow('hours');
    expect(() => capacityFor('NiMH', 1, 1, 20, [])).toThrow('no chemistry');
  });
  it('charging takes longer than capacity over current, and is not known without either', () => {
    expect(chargeHours({ chemistry: 'li-ion', ampHours: 3 }, 1)).toBeCloseTo(3.6, 9);
    expect(chargeHours({ chemistry: 'lead-acid', ampHours: 14 }, 1.4)).toBeGreaterThan(10);
    expect(chargeHours({ ampHours: 3 }, 1)).toBeNull();
    expect(chargeHours({ chemistry: 'li-ion', ampHours: 3 }, 0)).toBeNull();
  });
});

describe('chemistry rows', () => {
  it('as shipped hold together, each with its source, and read back as written', () => {
    checkChemistry(CHEMISTRY_ROWS);
    for (const r of CHEMISTRY_ROWS) {
      expect(r.source).not.toBe('');
      expect(readPoints(pointsText(r.points))).toEqual(r.points);
    }
    expect(new Set(CHEMISTRY_ROWS.map((r) => r.class))).toEqual(new Set(CHEMISTRY_CLASSES));
  });
  const first = CHEMISTRY_ROWS[0] as (typeof CHEMISTRY_ROWS)[number];
  it.each([
    [{ source: ' ' }, '/rows/0/source'],
    [{ depth: 1.2 }, '/rows/0/depth'],
    [{ peukert: 0.9 }, '/rows/0/peukert'],
    [{ restHours: 0 }, '/rows/0/restHours'],
    [{ lifeYears: 1e9 }, '/rows/0/lifeYears'],
    [{ usualTo: 9000 }, '/rows/0/usualTo'],
    [{ lifeYears: Number.NaN }, '/rows/0/lifeYears'],
    [{ points: [[12, 100]] as [number, number][] }, '/rows/0/points'],
    [
      {
        points: [
          [12, 50],
          [12.1, 20],
        ] as [number, number][],
      },
      '/rows/0/points',
    ],
  ])('%j is refused at its place', (change, path) => {
    let refused: unknown;
    try {
      checkChemistry([{ ...first, ...change }]);
    } catch (error) {
      refused = error;
    }
    expect(refused).toMatchObject({ path });
  });
  it('changed rows change what is judged, and only there', () => {
    const rows = CHEMISTRY_ROWS.map((r) =>
      r.class === 'li-ion' ? { ...r, lifeYears: 2, mostRate: 0.1 } : r,
    );
    expect(replaceBy({ chemistry: 'li-ion' }, '2026-11-26T09:00:00Z', rows)?.date).toBe('2028-11-26');
    const r = { old: {}, new: { chemistry: 'li-ion' as const, ampHours: 10 }, chargerAmps: 2 };
    expect(line(r, 'charging')?.verdict).toBe('pass');
    expect(line({ ...r, rows }, 'charging')?.verdict).toBe('fail');
    expect(() => batteryFit({ ...r, rows: [] })).toThrow('at least one');
  });
  it.each(['4.2', '4.2 100 3', 'full 100'])('“%s” is no pair of volts and percent', (text) => {
    expect(() => readPoints(text)).toThrow('pair 1');
  });
});
