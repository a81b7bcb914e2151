import { describe, expect, it } from 'vitest';
import { CHEMISTRY_ROWS } from '../chemistry';
import { type BatteryFitRequest, type BatterySheet, batteryFit, coldShare, runtimeHours } from '.';

const line = (name: string, old: BatterySheet, fresh: BatterySheet, more: Partial<BatteryFitRequest> = {}) =>
  batteryFit({ old, new: fresh, ...more }).lines.find((l) => l.line === name);

describe('how it is put together', () => {
  const built = (old: BatterySheet, fresh: BatterySheet) => line('put together', old, fresh);
  const two: BatterySheet = { series: 2, parallel: 1, eachVolts: 3.7, eachAmpHours: 2.5 };
  it('is judged where either is known, and asked for where one is not', () => {
    expect(built({}, {})).toBeUndefined();
    for (const [old, fresh, words] of [
      [two, {}, ['2 in series, each 3.7\u00a0V, 2.5\u00a0Ah', 'not known']],
      [{}, two, ['not known', '2 in series, each 3.7\u00a0V, 2.5\u00a0Ah']],
    ] as const) {
      const said = built(old, fresh);
      expect(said).toMatchObject({ verdict: 'not known' });
      expect([said?.old, said?.new]).toEqual(words);
    }
  });
  it('one of the two figures of a layout is enough, the other counts as one', () => {
    expect(built({ series: 2 }, { series: 2, parallel: 1 })?.verdict).toBe('pass');
    expect(built({ parallel: 2 }, { series: 1, parallel: 2 })?.verdict).toBe('pass');
    expect(built({ series: 2 }, { series: 3 })).toMatchObject({
      verdict: 'fail',
      why: '3 in series where 2 were',
    });
    expect(built({ series: 2 }, { series: 2, parallel: 2 })).toMatchObject({
      verdict: 'warn',
      why: '2 side by side where 1 were',
    });
  });
  it.each<[BatterySheet, string]>([
    [{ series: 1, parallel: 1 }, 'one'],
    [{ series: 1, parallel: 1, eachVolts: 3.7 }, 'one, each 3.7\u00a0V'],
    [{ series: 1, parallel: 2, eachAmpHours: 9 }, '2 side by side, each 9\u00a0Ah'],
    [{ series: 3, parallel: 2 }, '3 in series, 2 side by side'],
    [{ series: 2, parallel: 2 }, '2 in series, 2 side by side'],
  ])('%j is “%s”', (sheet, words) => {
    expect(built(sheet, sheet)?.old).toBe(words);
  });
  it('a label may be off the sum of its cells by a twentieth, not by more, either way', () => {
    // Two cells of 3.7 V are 7.4 V.
    const said = (volts: number) => built(two, { ...two, volts })?.why;
    expect(said(7.4 / 1.049)).toBe('put together alike');
    expect(said(7.4 / 0.951)).toBe('put together alike');
    expect(said(7.4 / 1.06)).toMatch(/^put together it is 7.4\u00a0V, its label says/);
    expect(said(7.4 / 0.94)).toMatch(/^put together it is 7.4\u00a0V, its label says/);
    expect(built(two, { ...two, ampHours: 5 })?.why).toBe(
      'put together it is 2.5\u00a0Ah, its label says 5\u00a0Ah',
    );
    expect(built(two, { ...two, ampHours: 2.5 })?.verdict).toBe('pass');
  });
});

describe('cells by their own voltage', () => {
  const even = (old: number[] | undefined, fresh: number[] | undefined) =>
    line('cells even', old ? { cellVolts: old } : {}, fresh ? { cellVolts: fresh } : {});
  it('are even at 50 mV, and not over it', () => {
    expect(even(undefined, [4.1, 4.05])?.verdict).toBe('pass');
    expect(even(undefined, [4.1, 4.049])).toMatchObject({
      verdict: 'warn',
      why: 'cell 2 is low, cell 1 high: over 50 mV is not even',
    });
  });
  it('of the new one are measured, whatever is known of the old', () => {
    expect(even([4.1, 4.1], undefined)).toMatchObject({
      verdict: 'not known',
      old: '0\u00a0mV apart',
      new: 'not measured',
      why: 'measure each cell of the new one by itself',
    });
    expect(even([4.1], undefined)).toBeUndefined();
  });
});

describe('age by the date codes', () => {
  const aged = (fresh: BatterySheet, today: string, old: BatterySheet = {}) =>
    line('age', old, fresh, { today });
  const li: BatterySheet = { chemistry: 'li-ion', dateCode: '2026-01' };
  const most = CHEMISTRY_ROWS.find((r) => r.chemistry === 'li-ion cell')?.shelfMonths as number;
  /** So many whole months after the last of January 2026. */
  const inMonths = (n: number) => new Date(Date.UTC(2026, n + 1, 1)).toISOString();
  it('passes to its months on the shelf, and not over them', () => {
    expect(aged(li, inMonths(most))).toMatchObject({ verdict: 'pass', old: 'not known' });
    expect(aged(li, inMonths(most + 1))?.verdict).toBe('warn');
  });
  it('of this month is none, and one that lies ahead is read again', () => {
    expect(aged(li, '2026-01-20T10:00:00.000Z')?.verdict).toBe('pass');
    expect(aged(li, '2025-12-20T10:00:00.000Z')).toMatchObject({
      verdict: 'warn',
      why: 'its date lies ahead: read it again',
    });
  });
  it('is asked for where the new one says none, or nothing that can be read', () => {
    const old = { dateCode: '2024-06' };
    expect(aged({}, inMonths(3), old)).toMatchObject({
      verdict: 'not known',
      why: 'read the date code of the new one',
      new: 'not known',
    });
    expect(aged({}, '2026-03-31T10:00:00.000Z', old)?.old).toMatch(/^.*2024.*, 21 months$/);
    expect(aged({}, inMonths(3))).toBeUndefined();
  });
  it('is not judged without a chemistry', () => {
    expect(aged({ dateCode: '2026-01' }, inMonths(3))).toMatchObject({
      verdict: 'not known',
      why: 'how long it keeps depends on its chemistry',
    });
  });
});

describe('charging', () => {
  const charged = (fresh: BatterySheet, chargerAmps?: number) =>
    line('charging', { ampHours: 1.5 }, fresh, chargerAmps === undefined ? {} : { chargerAmps });
  const row = CHEMISTRY_ROWS.find((r) => r.chemistry === 'li-ion cell');
  if (!row) throw new Error('there is a row of li-ion');
  it('takes the most its chemistry takes, and not more', () => {
    expect(charged({ chemistry: 'li-ion', ampHours: 2 }, 2 * row.mostRate)).toMatchObject({
      verdict: 'pass',
      old: `charger ${2 * row.mostRate}\u00a0A`,
      why: `about ${(row.chargeFactor / row.mostRate).toFixed(1)} h to full`,
    });
    expect(charged({ chemistry: 'li-ion', ampHours: 2 }, 2 * row.mostRate + 0.02)?.verdict).toBe('fail');
  });
  it('of a chemistry that is not known goes by what is usual', () => {
    expect(charged({ ampHours: 2 }, 2)).toMatchObject({ verdict: 'pass', why: 'about 1.2 h to full' });
    expect(charged({ ampHours: 2 }, 2.02)?.verdict).toBe('fail');
  });
  it('is not judged while the charger or the capacity is not known', () => {
    expect(charged({ ampHours: 2 })).toMatchObject({ verdict: 'not known', old: '1.5\u00a0Ah' });
    expect(charged({}, 1)?.verdict).toBe('not known');
  });
});

describe('what is compared as it was said', () => {
  it.each([
    ['plug facing', 'plugFacing'],
    ['lead fold', 'leadFold'],
    ['outline', 'outline'],
  ] as const)('%s: alike whatever blanks and case, asked for where one is not said', (name, of) => {
    expect(line(name, { [of]: ' up ' }, { [of]: 'UP' })).toMatchObject({ verdict: 'pass', old: 'up' });
    expect(line(name, { [of]: 'up' }, { [of]: 'down' })?.verdict).toBe('warn');
    expect(line(name, { [of]: 'up' }, { [of]: '  ' })).toMatchObject({
      verdict: 'not known',
      new: 'not known',
    });
    expect(line(name, {}, { [of]: 'up' })).toMatchObject({ verdict: 'not known', old: 'not known' });
    expect(line(name, { [of]: ' ' }, {})).toBeUndefined();
  });
  it('a plug is the same whatever blanks and case', () => {
    expect(line('plug', { plug: ' Wafer 3-way' }, { plug: 'wafer 3-way ' })?.verdict).toBe('pass');
  });
});

describe('how long it runs', () => {
  const acid: BatterySheet = { chemistry: 'lead-acid', ampHours: 20 };
  it.each<[number, number]>([
    [-40, 0.5],
    [-20, 0.5],
    [-15, 0.575],
    [-10, 0.65],
    [0, 0.8],
    [5, 0.85],
    [20, 1],
    [30, 1],
    [60, 1],
  ])('at %d °C it gives %f of its capacity', (celsius, share) => {
    expect(coldShare(celsius)).toBeCloseTo(share, 12);
  });
  it('is not told of a load of nothing, nor of what is not known', () => {
    expect(runtimeHours(acid, 1)).toBeCloseTo(16, 9);
    expect(runtimeHours(acid, 0)).toBeNull();
    expect(runtimeHours(acid, -1)).toBeNull();
    expect(runtimeHours(acid, Number.NaN)).toBeNull();
    expect(runtimeHours({ ampHours: 20 }, 1)).toBeNull();
    expect(runtimeHours({ chemistry: 'lead-acid' }, 1)).toBeNull();
    expect(runtimeHours(acid, 1, 20, [])).toBeNull();
  });
});
