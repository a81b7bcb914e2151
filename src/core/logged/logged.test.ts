import { describe, expect, it } from 'vitest';
import { meanBetween, seriesOf } from '.';

const why = (f: () => unknown) => {
  try {
    f();
    return '';
  } catch (error) {
    return (error as Error).message;
  }
};

describe('the table of a logging meter', () => {
  it('with heading, unit in the heading and decimal commas', () => {
    const s = seriesOf(
      [
        ['Time', 'Reading [mV]'],
        ['0', '775,2'],
        ['1,5', '774,8'],
      ],
      'V',
    );
    expect(s.name).toBe('Reading [mV]');
    expect(s.points).toEqual([
      { t: 0, value: 0.7752 },
      { t: 1.5, value: 0.7748 },
    ]);
  });
  it('with clock times, units in the cells, gaps counted', () => {
    const s = seriesOf(
      [
        ['12:00:00', 'DC', '1.2 V'],
        ['12:00:01', 'DC', 'OL'],
        ['12:00:02.5', 'DC', '1.4 V'],
      ],
      'V',
    );
    expect(s.points.map((p) => p.t)).toEqual([0, 2.5]);
    expect(s.skipped).toBe(1);
  });
  it('with dates', () => {
    const s = seriesOf(
      [
        ['when', 'V'],
        ['2026-11-26T10:00:00Z', '5'],
        ['2026-11-26T10:01:00Z', '6'],
      ],
      'V',
    );
    expect(s.points[1]).toEqual({ t: 60, value: 6 });
  });
  it.each([
    ['7', 7],
    ['7.', 7],
    ['.5', 0.5],
    [',25', 0.25],
    ['-1,5', -1.5],
    ['+12.25', 12.25],
    ['1e2', 100],
    ['1.5E+2', 150],
    ['25e-12', 25e-12],
    [' 3 ', 3],
  ])('“%s” is a number', (cell, value) => {
    expect(seriesOf([['0', cell]], 'V').points).toEqual([{ t: 0, value }]);
    // A time is written the same ways.
    expect(
      seriesOf(
        [
          ['0', '1'],
          [String(value + 200), '2'],
        ],
        'V',
      ).points[1]?.t,
    ).toBeCloseTo(value + 200, 9);
  });
  it('with its unit behind a comma, blank rows and rows of other widths', () => {
    const s = seriesOf(
      [
        [' s ', ' U, mV ', 'remark'],
        [' ', ''],
        ['0', '500', ''],
        ['0', ' 600 '],
        ['', '', ' '],
        ['2', '700', '', ''],
      ],
      'V',
    );
    expect(s).toEqual({
      name: 'U, mV',
      points: [
        { t: 0, value: 0.5 },
        { t: 0, value: 0.6 },
        { t: 2, value: 0.7 },
      ],
      skipped: 0,
    });
    const under = (heading: string) =>
      seriesOf(
        [
          ['s', heading],
          ['0', '5'],
        ],
        'V',
      );
    for (const heading of ['U (mV)', 'mV']) expect(under(heading).points[0]?.value).toBe(0.005);
    // A heading that is blank over the readings names them by nothing of its own.
    expect(under(' ').name).toBe('reading');
    // The row is counted as it stands in the file.
    expect(
      why(() =>
        seriesOf(
          [
            ['s', 'V'],
            ['', ''],
            ['0', '1'],
            ['x', '1'],
          ],
          'V',
        ),
      ),
    ).toContain('row 4');
  });
  it('names the row it cannot read', () => {
    expect(
      why(() =>
        seriesOf(
          [
            ['s', 'V'],
            ['0', '1'],
            ['x', '2'],
          ],
          'V',
        ),
      ),
    ).toContain('row 3: “x” is no time');
    expect(
      why(() =>
        seriesOf(
          [
            ['0', '1'],
            ['1', 'much'],
          ],
          'V',
        ),
      ),
    ).toContain('row 2');
    expect(
      why(() =>
        seriesOf(
          [
            ['0', '1'],
            ['1', '2 A'],
          ],
          'V',
        ),
      ),
    ).toContain('is in A');
    expect(
      why(() =>
        seriesOf(
          [
            ['5', '1'],
            ['1', '2'],
          ],
          'V',
        ),
      ),
    ).toContain('row 2: the time runs backwards');
    expect(why(() => seriesOf([], 'V'))).toContain('empty');
    expect(why(() => seriesOf([['a', 'b']], 'V'))).toContain('no row under it');
    expect(why(() => seriesOf([['0'], ['1']], 'V'))).toContain('two columns');
    expect(
      why(() =>
        seriesOf(
          [
            ['0', 'OL'],
            ['1', ''],
          ],
          'V',
        ),
      ),
    ).toContain('no row holds a reading');
  });
  it('a stretch has its mean', () => {
    const s = seriesOf(
      [
        ['0', '1'],
        ['1', '2'],
        ['2', '6'],
      ],
      'V',
    );
    expect(meanBetween(s, 1, 0).mean).toBe(1.5);
    expect(why(() => meanBetween(s, 7, 9))).toContain('no reading');
  });
});
