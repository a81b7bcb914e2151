import { describe, expect, it } from 'vitest';
import { demandWorkshop, NEW_WORKSHOP, type Workshop, warrantyEnd } from '.';

const refused = (more: Partial<Workshop>): string | null => {
  try {
    demandWorkshop({ ...NEW_WORKSHOP, ...more });
    return null;
  } catch (error) {
    return (error as { path: string }).path;
  }
};

describe('a workshop that can be reckoned with', () => {
  it.each<[Partial<Workshop>, string | null]>([
    [{}, null],
    [{ currency: 'NOK' }, null],
    ...['euro', 'eur', 'EU', 'EURO', 'xEUR', 'EUR ', 'E1R', ''].map(
      (currency): [Partial<Workshop>, string] => [{ currency }, '/currency'],
    ),
    [{ ratePerHour: 0 }, null],
    [{ ratePerHour: 1 }, null],
    ...[-1, 0.5, Number.NaN, Number.POSITIVE_INFINITY].map((ratePerHour): [Partial<Workshop>, string] => [
      { ratePerHour },
      '/ratePerHour',
    ]),
    [{ warrantyMonths: 0 }, null],
    [{ warrantyMonths: 120 }, null],
    ...[-1, 121, 1.5, Number.NaN].map((warrantyMonths): [Partial<Workshop>, string] => [
      { warrantyMonths },
      '/warrantyMonths',
    ]),
  ])('%o: refused at %s', (more, path) => {
    expect(refused(more)).toBe(path);
  });
  it('gives a warranty to the same day of a later month, or to the last day there is', () => {
    const ends = [
      ['2026-11-30', 3, '2027-02-28'],
      ['2027-11-30', 3, '2028-02-29'],
      ['2026-01-31', 1, '2026-02-28'],
      ['2026-12-15', 1, '2027-01-15'],
      ['2026-03-31', 12, '2027-03-31'],
      ['2026-05-01', 0, '2026-05-01'],
    ] as const;
    for (const [from, months, end] of ends) expect(warrantyEnd(from, months)).toBe(end);
  });
});
