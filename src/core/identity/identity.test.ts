import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { COMEBACK_DAYS, daysBetween, isComeback, markKey, maybeSame, nearMarks, sameUnit } from '.';

describe('a mark as it is compared', () => {
  it.each([
    [' sp-04 411', 'SP04411'],
    ['ＳＰ０４', 'SP04'],
    ['ß-1', 'SS1'],
    ['-- ', ''],
  ])('%j is %j', (mark, key) => {
    expect(markKey(mark)).toBe(key);
  });
  it('once compared it is its own key', () => {
    fc.assert(
      fc.property(fc.string(), (mark) => {
        expect(markKey(markKey(mark))).toBe(markKey(mark));
      }),
    );
  });
});

describe('marks that are nearly the same', () => {
  it.each([
    // Alike where signs are worn, however many.
    ['SP-O4411', 'SP-04411'],
    ['QDO0', '0000'],
    ['IL11', '1111'],
    ['BSZG', '8526'],
    // One sign off, one too many, one too few.
    ['SP04411', 'SP04412'],
    ['SP0441', 'SP04411'],
    ['AX04', 'BX04'],
  ])('%s and %s are', (a, b) => {
    expect(nearMarks(a, b)).toBe(true);
    expect(nearMarks(b, a)).toBe(true);
  });
  it.each([
    ['SP-04411', 'sp 04411'],
    ['SP04411', 'SP04422'],
    ['SP1', 'SP2'],
    ['SP1', 'SP12'],
    ['', ''],
  ])('%j and %j are not', (a, b) => {
    expect(nearMarks(a, b)).toBe(false);
  });
});

describe('the same unit', () => {
  const of = (mark: string | undefined, maker = 'Quayle') => ({
    maker,
    ...(mark === undefined ? {} : { mark }),
  });
  it('by mark and maker, whatever blanks and case', () => {
    expect(sameUnit(of('SP-1'), of('sp 1', 'QUAYLE'))).toBe(true);
    expect(sameUnit(of('SP-1'), of('SP-2'))).toBe(false);
    expect(sameUnit(of('SP-1'), of('SP-1', 'Ferrow'))).toBe(false);
  });
  it('never by a mark that is not there, or says nothing', () => {
    for (const mark of [undefined, '', ' - ']) {
      expect(sameUnit(of(mark), of(mark))).toBe(false);
      expect(maybeSame(of(mark), of('SP-04411'))).toBe(false);
      expect(maybeSame(of('SP-04411'), of(mark))).toBe(false);
    }
  });
  it('maybe, where the makers agree and the marks nearly do', () => {
    expect(maybeSame(of('SP-O4411'), of('SP-04411'))).toBe(true);
    expect(maybeSame(of('SP-O4411'), of('SP-04411', 'Ferrow'))).toBe(false);
    expect(maybeSame(of('SP-04411'), of('SP-04411'))).toBe(false);
  });
});

describe('a comeback', () => {
  const DAY = 86_400_000;
  const start = Date.parse('2026-08-01T10:00:00.000Z');
  const later = (ms: number) => new Date(start + ms).toISOString();
  const back = (ms: number, functions = ['left'], days?: number) =>
    isComeback({ at: later(0), functions: ['left', 'right'] }, { at: later(ms), functions }, days);
  it('counts whole days', () => {
    expect(daysBetween(later(0), later(DAY - 1))).toBe(0);
    expect(daysBetween(later(0), later(DAY))).toBe(1);
    expect(daysBetween(later(0), later(-1))).toBe(-1);
  });
  it('is one to the last of its days, from the moment of the hand over', () => {
    expect(back(0)).toBe(true);
    expect(back(-1)).toBe(false);
    expect(back((COMEBACK_DAYS + 1) * DAY - 1)).toBe(true);
    expect(back((COMEBACK_DAYS + 1) * DAY)).toBe(false);
    expect(back(31 * DAY, ['left'], 30)).toBe(false);
    expect(back(30 * DAY, ['left'], 30)).toBe(true);
  });
  it('of one of the functions that failed, no other', () => {
    expect(back(DAY, ['lamp', 'right'])).toBe(true);
    expect(back(DAY, ['lamp'])).toBe(false);
    expect(back(DAY, [])).toBe(false);
  });
});
