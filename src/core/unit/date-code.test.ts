import { addDays, addMonths, format, getISOWeek, getISOWeekYear, isWithinInterval, parseISO } from 'date-fns';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { ageMonths, readDateCode } from '.';

describe('date code', () => {
  // Outside reference: ISO 8601 weeks as the package date-fns reckons them.
  it('year and week hold every day of that ISO week, as a calendar package counts them', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 99 * 365 }), (days) => {
        const day = addDays(new Date(2001, 0, 2, 12), days % (98 * 365));
        const code = `${String(getISOWeekYear(day) % 100).padStart(2, '0')}${String(getISOWeek(day)).padStart(2, '0')}`;
        const { from, to } = readDateCode(code);
        const start = parseISO(from);
        expect(isWithinInterval(day, { start, end: addDays(parseISO(to), 1) })).toBe(true);
        expect(format(addDays(start, 6), 'yyyy-MM-dd')).toBe(to);
      }),
    );
  });
  it.each([
    ['2319', '2023-05-08', '2023-05-14', 'week 19 of 2023'],
    ['2023-W19', '2023-05-08', '2023-05-14', 'week 19 of 2023'],
    ['W19/2023', '2023-05-08', '2023-05-14', 'week 19 of 2023'],
    ['05/23', '2023-05-01', '2023-05-31', 'May 2023'],
    ['2024-02', '2024-02-01', '2024-02-29', 'February 2024'],
    ['2023-05-09', '2023-05-09', '2023-05-09', '9 May 2023'],
    ['2053', '2020-12-28', '2021-01-03', 'week 53 of 2020'],
  ])('%s', (text, from, to, words) => {
    expect(readDateCode(text)).toEqual({ from, to, words });
  });
  it.each(['2354', '2300', '13/23', '2023-02-30', 'A4-1', ''])('%s is no date', (text) => {
    expect(() => readDateCode(text)).toThrow();
  });
  it('2153 does not exist: 2021 has 52 weeks', () => {
    expect(() => readDateCode('2153')).toThrow('2021 has no week 53');
  });
  it('age counts from its last day, and is under 0 where it lies ahead', () => {
    expect(ageMonths(readDateCode('2025-11-26'), '2026-11-26T08:00:00Z')).toBe(12);
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 28 }), fc.integer({ min: 0, max: 240 }), (day, months) => {
        // The first 28 days of a month move by months without being cut short.
        const made = addDays(new Date(2001, 0, 1), day % 28);
        const now = `${format(addMonths(made, months), 'yyyy-MM-dd')}T12:00:00Z`;
        expect(ageMonths(readDateCode(format(made, 'yyyy-MM-dd')), now)).toBe(months);
      }),
    );
    expect(ageMonths(readDateCode('2024-05'), '2026-11-26T08:00:00Z')).toBe(29);
    expect(ageMonths(readDateCode('2027-01'), '2026-11-26T08:00:00Z')).toBeLessThan(0);
  });
});
