import { demand } from '../refusal';

/** Decimals of each currency that has not two. Source: ISO 4217, by way of the runtime’s own tables. */
const decimalsOf = (currency: string): number =>
  new Intl.NumberFormat('en', { style: 'currency', currency }).resolvedOptions().maximumFractionDigits ?? 2;

const known = (currency: string): void =>
  demand(/^[A-Z]{3}$/.test(currency), 'give the currency as three letters, such as EUR', '/currency');

/**
 * An amount of money in words.
 *
 * @param minor in minor units, a whole number
 * @param currency three letters
 * @returns with its decimals and a no-break space
 * @throws Refusal when it is no whole number, or no currency
 * @example formatMoney(123450, 'EUR') // '1,234.50 EUR'
 */
export function formatMoney(minor: number, currency: string): string {
  const [whole = '', rest] = plainMoney(minor, currency).split('.');
  const parted = whole.replace('-', '−').replace(/\B(?=(\d{3})+$)/g, ',');
  return `${parted}${rest ? `.${rest}` : ''}\u00a0${currency}`;
}

/**
 * An amount of money as bare digits: for a table, or a field in which it is typed.
 *
 * @param minor in minor units, a whole number
 * @param currency three letters
 * @returns with its decimals after a point, thousands not parted
 * @throws Refusal when it is no whole number, or no currency
 * @example plainMoney(123450, 'EUR') // '1234.50'
 */
export function plainMoney(minor: number, currency: string): string {
  known(currency);
  demand(Number.isSafeInteger(minor), 'an amount is a whole number of minor units', '/minor');
  const decimals = decimalsOf(currency);
  const digits = String(Math.abs(minor)).padStart(decimals + 1, '0');
  const whole = digits.slice(0, digits.length - decimals);
  const rest = decimals ? `.${digits.slice(-decimals)}` : '';
  return `${minor < 0 ? '-' : ''}${whole}${rest}`;
}

/**
 * Reads an amount of money as it is typed: with a point or a comma, with or without parted thousands.
 *
 * @param text as typed: 12.50, 12,50, 1 200, 1.200,50
 * @param currency three letters
 * @returns minor units
 * @throws Refusal when it cannot be read as one amount, or has more decimals than the currency
 * @example parseMoney('1.200,50', 'EUR') // 120050
 */
export function parseMoney(text: string, currency: string): number {
  known(currency);
  const decimals = decimalsOf(currency);
  const bare = text
    .normalize('NFKC')
    .replace(new RegExp(`\\s*${currency}\\s*`, 'i'), '')
    .replace(/[\s'’]/g, '');
  const no = `“${text.trim()}” is no amount of money: write it as 12.50`;
  demand(/^\d[\d.,]*$/.test(bare), no, '/amount');
  // Of two signs the last parts the decimals; one alone does unless it looks like thousands.
  const last = Math.max(bare.lastIndexOf('.'), bare.lastIndexOf(','));
  const sign = bare[last] ?? '';
  const behind = last < 0 ? 0 : bare.length - last - 1;
  const alone = sign !== '' && bare.split(sign).length === 2 && !/[.,]/.test(bare.replace(sign, ''));
  const mixed = bare.includes('.') && bare.includes(',');
  const asDecimals = last >= 0 && (mixed || (alone && (behind !== 3 || decimals === 3)));
  const whole = asDecimals ? bare.slice(0, last) : bare;
  const rest = asDecimals ? bare.slice(last + 1) : '';
  // What is left parts thousands.
  demand(/^\d{1,3}([.,]\d{3})*$|^\d+$/.test(whole) && /^\d*$/.test(rest), no, '/amount');
  demand(
    rest.length <= decimals,
    decimals === 0 ? `${currency} has no decimals` : `${currency} has ${decimals} decimals`,
    '/amount',
  );
  const minor = Number(`${whole.replace(/[.,]/g, '')}${rest.padEnd(decimals, '0')}`);
  demand(Number.isSafeInteger(minor), 'that is more than can be reckoned with', '/amount');
  return minor;
}
