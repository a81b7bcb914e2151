import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { Refusal } from '../refusal';
import {
  CHEMISTRY_CLASSES,
  CHEMISTRY_ROWS,
  type ChemistryRow,
  CLASS_ROWS,
  checkChemistry,
  chemistrySaid,
  FIGURE_NAMES,
  pointsText,
  readPoints,
  restSpan,
  rowOfClass,
  sameChargeVolts,
  seriesSaid,
  voltsSaid,
} from '.';

const ROW = CHEMISTRY_ROWS.find((r) => r.chemistry === 'li-ion cell') as ChemistryRow;
const refusal = (rows: ChemistryRow[]): string => {
  try {
    checkChemistry(rows);
  } catch (error) {
    if (error instanceof Refusal) return `${error.path}: ${error.message}`;
    throw error;
  }
  return 'taken';
};

describe('what the name of a battery says', () => {
  it.each([
    ['36 V deck pack', 'li-ion cell', 10],
    ['pack 48V', 'li-ion cell', 13],
    ['11,1 V pack', 'li-ion cell', 3],
    ['3.7 V cell', 'li-ion cell', 1],
    ['12.8 V LiFePO4', 'LFP cell', 4],
    ['siren SLA 12 V 7 Ah', 'AGM 12 V', 1],
    ['24 V lead bank', 'AGM 12 V', 2],
    ['backup battery 12 V', 'AGM 12 V', 1],
    ['24V bank', 'AGM 12 V', 2],
    ['12 V Li-ion pack', 'li-ion cell', 3],
    ['pack 11.12 V', 'li-ion cell', 3],
    ['9.6 V Ni-MH stick', 'NiMH cell', 8],
    // No voltage, or none that such cells add up to.
    ['deck pack', 'li-ion cell', undefined],
    ['9 V block', 'li-ion cell', undefined],
    ['2.2 V something', 'li-ion cell', undefined],
    ['J12 Vane', 'li-ion cell', undefined],
  ])('%s: %s, %s in series', (name, chemistry, cells) => {
    expect(chemistrySaid(name)).toBe(chemistry);
    const row = CHEMISTRY_ROWS.find((r) => r.chemistry === chemistry) as ChemistryRow;
    expect(seriesSaid(name, row)).toBe(cells);
  });
  it('a lithium pack that is named among what can hurt is lithium, whatever its voltage; what the name says comes first', () => {
    expect(chemistrySaid('12 V pack', true)).toBe('li-ion cell');
    expect(chemistrySaid('12 V pack', false)).toBe('AGM 12 V');
    expect(chemistrySaid('12.8 V LFP pack', true)).toBe('LFP cell');
    expect([voltsSaid('pack 11,1 V'), voltsSaid('pack'), voltsSaid('J12 Vane')]).toEqual([
      11.1,
      undefined,
      undefined,
    ]);
  });
  it('what it reads at rest is that of a cell, so many times', () => {
    const [empty, full] = restSpan(ROW, 1);
    expect([empty, full]).toEqual([ROW.points.at(-1)?.[0], ROW.points[0]?.[0]]);
    expect(restSpan(ROW, 10)).toEqual([Number((empty * 10).toFixed(2)), Number((full * 10).toFixed(2))]);
  });
});

describe('rows of chemistry', () => {
  it('as shipped hold together, each with its source', () => {
    expect(refusal(CHEMISTRY_ROWS)).toBe('taken');
  });
  it.each<[keyof typeof FIGURE_NAMES, number]>([
    ['restHours', 1000],
    ['doubt', 10],
    ['depth', 1],
    ['peukert', 2],
    ['ratedHours', 1000],
    ['chargeFactor', 10],
    ['mostRate', 100],
    ['shelfMonths', 600],
    ['lifeYears', 100],
    ['credibleTo', 10_000],
  ])('%s lies over 0 and up to %d, the last among them', (figure, most) => {
    expect(refusal([{ ...ROW, [figure]: most }])).toBe('taken');
    for (const wrong of [most + 0.001, 0, -1, Number.NaN, Number.POSITIVE_INFINITY])
      expect(refusal([{ ...ROW, [figure]: wrong }]), String(wrong)).toBe(
        `/rows/0/${figure}: ${FIGURE_NAMES[figure]} of li-ion cell lies over 0 and up to ${most}`,
      );
  });
  it('a Peukert exponent is 1 at least', () => {
    expect(refusal([{ ...ROW, peukert: 1 }])).toBe('taken');
    expect(refusal([{ ...ROW, peukert: 0.99 }])).toMatch(/^\/rows\/0\/peukert: .* from 1 to 2$/);
  });
  it('energy density rises from usual to credible', () => {
    expect(refusal([{ ...ROW, usualFrom: 300, usualTo: 400, credibleTo: 400 }])).toBe('taken');
    for (const [usualFrom, usualTo, credibleTo] of [
      [400, 400, 500],
      [450, 400, 500],
      [300, 400, 399],
    ] as const)
      expect(refusal([{ ...ROW, usualFrom, usualTo, credibleTo }])).toMatch(/^\/rows\/0\/usualTo: /);
  });
  it('rest voltages fall, from 100 % at most to 0 % at least', () => {
    const points = (p: [number, number][]) => refusal([{ ...ROW, points: p }]);
    expect(
      points([
        [4.2, 100],
        [3, 0],
      ]),
    ).toBe('taken');
    expect(points([[4.2, 100]])).toMatch(/needs two rest voltages at least$/);
    for (const wrong of [
      [
        [4.2, 101],
        [3, 0],
      ],
      [
        [4.2, 100],
        [3, -1],
      ],
      [
        [4.2, 100],
        [0, 0],
      ],
      [
        [Number.NaN, 100],
        [3, 0],
      ],
    ] as [number, number][][])
      expect(points(wrong)).toMatch(/volts over 0, percent from 0 to 100$/);
    for (const wrong of [
      [
        [4.2, 100],
        [4.2, 0],
      ],
      [
        [4.2, 100],
        [3, 100],
      ],
      [
        [3, 0],
        [4.2, 100],
      ],
    ] as [number, number][][])
      expect(points(wrong)).toMatch(/fall from full to empty/);
  });
  it('a name once, a source always, and one row at least', () => {
    expect(refusal([])).toBe('/rows: at least one chemistry is needed');
    expect(refusal([ROW, ROW])).toBe('/rows/1/chemistry: li-ion cell is there twice');
    expect(refusal([{ ...ROW, chemistry: '  ' }])).toBe('/rows/0/chemistry: give the chemistry a name');
    expect(refusal([{ ...ROW, source: '  ' }])).toMatch(/^\/rows\/0\/source: say where/);
  });
});

describe('the row of a class', () => {
  it.each(CHEMISTRY_CLASSES)('%s: the one that stands for it, in whatever order the rows are', (name) => {
    for (const rows of [CHEMISTRY_ROWS, CHEMISTRY_ROWS.toReversed()])
      expect(rowOfClass(rows, name)?.chemistry).toBe(CLASS_ROWS[name]);
  });
  it('where that was taken away, the one whose name comes first; where there is none, none', () => {
    const rest = CHEMISTRY_ROWS.filter((r) => r.chemistry !== CLASS_ROWS['lead-acid']);
    const more = [{ ...ROW, class: 'lead-acid' as const, chemistry: 'A gel' }, ...rest];
    for (const rows of [more, more.toReversed()])
      expect(rowOfClass(rows, 'lead-acid')?.chemistry).toBe('A gel');
    expect(rowOfClass([ROW], 'NiMH')).toBeUndefined();
    expect(rowOfClass(CHEMISTRY_ROWS, undefined)).toBeUndefined();
  });
});

describe('full-charge voltages', () => {
  it('are the same within 20 mV, and not with 30', () => {
    expect(sameChargeVolts(4.2, 4.22)).toBe(true);
    expect(sameChargeVolts(4.22, 4.2)).toBe(true);
    expect(sameChargeVolts(4.2, 4.23)).toBe(false);
    expect(sameChargeVolts(4.35, 4.2)).toBe(false);
  });
});

describe('rest voltages as typed', () => {
  it('written out and read again they are the same', () => {
    const figure = fc.integer({ min: 0, max: 9999 }).map((n) => n / 100);
    fc.assert(
      fc.property(fc.array(fc.tuple(figure, figure), { minLength: 1, maxLength: 8 }), (points) => {
        expect(readPoints(pointsText(points))).toEqual(points);
      }),
    );
  });
  it.each([['4.2 100, 3.98 80, 3 0'], ['4,2 100; 3,98 80; 3 0'], ['4.2 V 100 %\n3.98V 80%\n\n3 v 0 %;']])(
    '%j',
    (text) => {
      expect(readPoints(text)).toEqual([
        [4.2, 100],
        [3.98, 80],
        [3, 0],
      ]);
    },
  );
  it.each(['4.2 100; 3', '4.2 100; x 0', '4.2 100; 3 x', '4.2 100; 3 0 1'])(
    '%j names its second pair',
    (text) => {
      expect(() => readPoints(text)).toThrow(/^pair 2, “.*”: type volts and percent/);
    },
  );
});
