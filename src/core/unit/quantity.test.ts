import fc from 'fast-check';
import { sampleStandardDeviation } from 'simple-statistics';
import { describe, expect, it } from 'vitest';
import { formatReading, parseReading, quantityOf, readAs, spreadOf, UNITS_KNOWN } from '.';

const why = (f: () => unknown) => {
  try {
    f();
    return '';
  } catch (error) {
    return (error as Error).message;
  }
};

describe('a typed quantity', () => {
  it.each([
    ['775m', 0.775, ''],
    ['0,775 V', 0.775, 'V'],
    ['4k7', 4700, ''],
    ['2R2', 2.2, 'Ω'],
    ['31 mV', 0.031, 'V'],
    ['−12.1', -12.1, ''],
    ['4µ7F', 4.7e-6, 'F'],
    ['-6 dBu', -6, 'dBu'],
    ['72 °F', 72, '°F'],
    ['1e3', 1000, ''],
    ['.5A', 0.5, 'A'],
  ])('%s', (text, value, unit) => {
    const q = quantityOf(text);
    expect(q.value).toBeCloseTo(value, 12);
    expect(q.unit).toBe(unit);
  });

  it('says what is wrong with what it cannot read', () => {
    expect(why(() => parseReading(''))).toContain('Type a value');
    expect(why(() => parseReading('abc'))).toContain('“abc” is not a reading');
    expect(why(() => parseReading('1,234.5'))).toContain('two kinds of point');
    expect(why(() => parseReading('OL'))).toContain('over range');
    expect(why(() => parseReading('1e999'))).toContain('too large');
    expect(why(() => parseReading('Infinity'))).toContain('not a reading');
  });

  it('reads back what it writes', () => {
    fc.assert(
      fc.property(fc.double({ noNaN: true, noDefaultInfinity: true, min: -1e9, max: 1e9 }), (x) => {
        const shown = Number(x.toPrecision(6));
        expect(parseReading(formatReading(x, 'V'))).toBeCloseTo(shown, 6);
      }),
    );
  });
});

describe('a value read into a unit', () => {
  it.each([
    // 0 dBu is 0.7746 V, 0 dBV is 1 V. IEC 60268, from memory.
    ['0 dBu', 'V', 0.7746],
    ['-6dBu', 'V', 0.38822],
    ['0 dBV', 'dBu', 2.2185],
    ['0.7746 V', 'dBu', 0],
    ['212 °F', '°C', 100],
    ['0K', '°C', -273.15],
    ['1500 rpm', 'Hz', 25],
    ['1.2kHz', 'Hz', 1200],
    ['8m', 'mA', 8],
    ['8', 'mA', 8],
    ['8 mA', 'A', 0.008],
    ['4k7', 'kΩ', 4.7],
    ['4700 ohm', 'kΩ', 4.7],
    ['2in', 'mm', 50.8],
    ['90 min', 'h', 1.5],
  ])('%s in %s', (text, unit, value) => {
    expect(readAs(text, unit).value).toBeCloseTo(value, 4);
  });

  it('does not mix what measures different things', () => {
    expect(why(() => readAs('3 V', 'A'))).toContain('is in V, this is read in A');
    expect(why(() => readAs('3 lx', 'V'))).toContain('not a reading');
    expect(why(() => readAs('0 V', 'dBu'))).toContain('no value in dBu');
    expect(readAs('12 lx', 'lx').value).toBe(12);
    expect(why(() => readAs('12 V', 'lx'))).toContain('this is read in lx');
  });

  it('says what it was turned from, and nothing when it was not', () => {
    expect(readAs('-6 dBu', 'V').from).toBe('-6 dBu');
    expect(readAs('31 mV', 'V').from).toBeUndefined();
  });

  it.each([
    [['V', 'dBu', 'dBV']],
    [['Hz', 'rpm']],
    [['s', 'min', 'h']],
    [['°C', '°F', 'K']],
    [['m', 'in']],
    [['J', 'Wh']],
  ])('turns %s into each other and back', (kind) => {
    for (const a of kind)
      for (const b of kind) {
        const there = readAs(`5 ${a}`, b).value;
        expect(readAs(`${there} ${b}`, a).value).toBeCloseTo(5, 6);
        expect(UNITS_KNOWN).toContain(a);
      }
  });
});

describe('several readings', () => {
  it('have the mean and spread of a statistics package', () => {
    // Outside check: simple-statistics, sample standard deviation.
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: -1e3, max: 1e3, noNaN: true }), { minLength: 2, maxLength: 40 }),
        (xs) => {
          const t = spreadOf(xs);
          expect(t.spread).toBeCloseTo(sampleStandardDeviation(xs), 8);
          expect(t.count).toBe(xs.length);
        },
      ),
    );
    expect(spreadOf([3]).spread).toBeNull();
    expect(why(() => spreadOf([]))).toContain('at least one');
    expect(why(() => spreadOf([Number.NaN]))).toContain('not a number');
  });
});
