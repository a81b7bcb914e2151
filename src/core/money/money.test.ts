import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { formatMoney, parseMoney, plainMoney } from '.';

describe('money', () => {
  it('is written with the decimals of its currency', () => {
    expect(formatMoney(123450, 'EUR')).toBe('1,234.50\u00a0EUR');
    expect(formatMoney(-123456789, 'EUR')).toBe('−1,234,567.89\u00a0EUR');
    expect(plainMoney(123456789, 'EUR')).toBe('1234567.89');
    expect(plainMoney(-5, 'JPY')).toBe('-5');
    expect(formatMoney(5, 'EUR')).toBe('0.05\u00a0EUR');
    expect(formatMoney(-5, 'EUR')).toBe('−0.05\u00a0EUR');
    // Source: ISO 4217: JPY has none, KWD has three.
    expect(formatMoney(1200, 'JPY')).toBe('1,200\u00a0JPY');
    expect(formatMoney(1200, 'KWD')).toBe('1.200\u00a0KWD');
  });
  it.each([
    ['12', 1200],
    ['12.5', 1250],
    ['12,5', 1250],
    ['12,50', 1250],
    ['1.200,50', 120050],
    ['1,200.50', 120050],
    ['1 200', 120000],
    ["1'200.05", 120005],
    ['1.200', 120000],
    ['1,200', 120000],
    ['1,200,300', 120030000],
    ['12 EUR', 1200],
    ['EUR 12,00', 1200],
    ['0', 0],
  ])('%s is read as %d', (text, minor) => {
    expect(parseMoney(text, 'EUR')).toBe(minor);
  });
  it.each(['', 'abc', '-5', '1.2.3', '1,23,4', '12..5', '1e3', '12.345.6', '10 USD', '९'])(
    '“%s” is no amount',
    (text) => {
      expect(() => parseMoney(text, 'EUR')).toThrow(/is no amount/);
    },
  );
  it('more decimals than the currency has are refused, in its words', () => {
    expect(() => parseMoney('1,5', 'JPY')).toThrow('JPY has no decimals');
    expect(() => parseMoney('12.3456', 'EUR')).toThrow('EUR has 2 decimals');
    expect(() => parseMoney('1', 'euro')).toThrow('three letters');
    expect(() => formatMoney(0.5, 'EUR')).toThrow('whole number');
  });
  it('what is written is read again, whatever the amount and the currency', () => {
    fc.assert(
      fc.property(fc.nat(2 ** 40), fc.constantFrom('EUR', 'JPY', 'KWD', 'GBP'), (minor, currency) => {
        const text = formatMoney(minor, currency);
        expect(parseMoney(text, currency)).toBe(minor);
      }),
    );
  });
});
