import { demand } from '../refusal';

export type Value = number | string | boolean | null | string[] | number[];

/** One thing a sum needs. */
export interface SumInput {
  name: string;
  label: string;
  /** number, one of a list of words, free text, or a list of words or numbers */
  kind: 'number' | 'choice' | 'text' | 'words' | 'numbers';
  /** unit the number is in, with its prefix: V, mm², Ah */
  unit?: string;
  options?: readonly string[];
  /** the sum can do without it */
  optional?: boolean;
  /** the number must be over 0 */
  positive?: boolean;
  /** a whole number */
  whole?: boolean;
  /** it may be written in letters too: a gauge of 2/0 */
  alsoText?: boolean;
  /** a figure over this is more likely another unit, and is asked about */
  suspect?: { over: number; says: string };
  /** what the screen begins with */
  start?: string;
  hint?: string;
}

/** One thing a sum answers. */
export interface SumOutput {
  name: string;
  label: string;
  unit?: string;
}

export interface SumResult {
  values: Record<string, Value>;
  /** the formula with the numbers in it */
  formula: string;
  /** a sentence that belongs beside the figures */
  say?: string;
  caution?: string;
}

export type Given = Record<string, Value | undefined>;

/** One bench sum: what it is, what it needs, what it answers, how, and where that comes from. */
export interface Sum {
  /** as in the address: `wire-drop` */
  name: string;
  title: string;
  about: string;
  /** other words it is found by */
  also?: string[];
  inputs: SumInput[];
  outputs: SumOutput[];
  source: string;
  /** @throws Refusal with the path of the input that has no answer */
  compute(given: Given): SumResult;
  /** inputs with the answer they must give */
  example: { given: Record<string, Value>; answer: Record<string, Value> };
}

export interface SumAnswer {
  [output: string]: Value;
  formula: string;
  source: string;
}

export const input = (
  name: string,
  label: string,
  unit: string,
  start: string,
  more: Partial<SumInput> = {},
): SumInput => ({ name, label, kind: 'number', unit, start, positive: true, ...more });

export const choice = (
  name: string,
  label: string,
  options: readonly string[],
  more: Partial<SumInput> = {},
): SumInput => ({ name, label, kind: 'choice', options, start: options[0] ?? '', ...more });

export const output = (name: string, label: string, unit = ''): SumOutput => ({
  name,
  label,
  ...(unit ? { unit } : {}),
});

/**
 * A number of a sum, checked: there, finite, and over 0 where it has to be.
 *
 * @param given inputs
 * @param name of the input
 * @param positive whether it must be over 0
 * @returns the number
 * @throws Refusal with the path of the input
 * @example number({ volts: 5 }, 'volts') // 5
 */
export function number(given: Given, name: string, positive = true): number {
  const x = given[name];
  demand(x !== undefined && x !== null, `${name} is missing`, `/${name}`);
  demand(typeof x === 'number' && Number.isFinite(x), `${name} is not a number`, `/${name}`);
  demand(!positive || x > 0, `${name} must be over 0`, `/${name}`);
  return x;
}

/** A number that may be absent. */
export const maybe = (given: Given, name: string, positive = true): number | undefined =>
  given[name] === undefined || given[name] === null ? undefined : number(given, name, positive);

/** A word out of a list. */
export function word<T extends string>(given: Given, name: string, options: readonly T[], otherwise?: T): T {
  const x = given[name] ?? otherwise;
  const found = options.find((o) => o === x);
  demand(found, `${name} is none of ${options.join(', ')}`, `/${name}`);
  return found;
}

/** A share in percent, from 0 to 100. */
export function percentage(given: Given, name: string): number {
  const x = number(given, name, false);
  demand(x >= 0 && x <= 100, `${name} lies from 0 to 100`, `/${name}`);
  return x;
}

/** Digits enough to follow the sum, no more. */
export const show = (x: number): string => {
  if (x === 0) return '0';
  const a = Math.abs(x);
  return a >= 1e6 || a < 1e-4 ? x.toExponential(3).replace('e', ' · 10^') : String(Number(x.toPrecision(4)));
};

/** Takes binary noise off a figure. */
export const tidy = (x: number): number => Number(x.toPrecision(12));
