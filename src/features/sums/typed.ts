import { Refusal } from '../../core/refusal';
import type { Sum, SumInput, Value } from '../../core/sums';
import { readAs } from '../../core/unit';

/** What stands in the fields of a sum, as typed. */
export type Texts = Record<string, string>;

export interface Read {
  given: Record<string, Value>;
  /** why a field cannot be read, by its name */
  wrong: Record<string, string>;
  /** fields that read well and are odd */
  asked: Record<string, string>;
}

const HOW: Record<SumInput['kind'], (text: string, i: SumInput) => Value> = {
  number: (text, i) => {
    if (i.alsoText && !/^[+-]?\d+([.,]\d+)?(\s*awg)?$/i.test(text)) return text;
    return readAs(text.replace(/\s*awg$/i, ''), i.unit ?? '').value;
  },
  choice: (text) => text,
  text: (text) => text,
  words: (text) => text.split(/[\s,]+/).filter(Boolean),
  numbers: (text, i) =>
    text
      .split(/[\s;]+/)
      .filter(Boolean)
      .map((x) => readAs(x, i.unit ?? '').value),
};

/** Reads the fields of a sum; an empty one is left out, and the sum says whether it needs it. */
export function readTexts(sum: Sum, texts: Texts): Read {
  const read: Read = { given: {}, wrong: {}, asked: {} };
  for (const i of sum.inputs) {
    const text = (texts[i.name] ?? '').trim();
    if (!text) continue;
    try {
      const value = HOW[i.kind](text, i);
      read.given[i.name] = value;
      if (i.suspect && typeof value === 'number' && value > i.suspect.over)
        read.asked[i.name] = i.suspect.says;
    } catch (error) {
      if (!(error instanceof Refusal)) throw error;
      read.wrong[i.name] = error.message;
    }
  }
  return read;
}

/** What a sum begins with. */
export const startOf = (sum: Sum): Texts =>
  Object.fromEntries(
    sum.inputs.map((i) => [i.name, i.optional && i.kind === 'choice' ? '' : (i.start ?? '')]),
  );

/** A figure with a prefix, as it would be typed: 0.00047 F is 470 µF. */
export function withPrefix(x: number, unit: string): string {
  const step: [number, string][] = [
    [1e9, 'G'],
    [1e6, 'M'],
    [1e3, 'k'],
    [1, ''],
    [1e-3, 'm'],
    [1e-6, 'μ'],
    [1e-9, 'n'],
    [1e-12, 'p'],
  ];
  const takes = ['V', 'A', 'Ω', 'W', 'F', 'Hz', 'J', 'Ah', 'Wh'].includes(unit);
  if (!takes || x === 0) return `${Number(x.toPrecision(4))}${unit ? `\u00a0${unit}` : ''}`;
  const [scale, letter] =
    step.find(([s]) => Math.abs(x) >= s * 0.99999) ?? ([1e-12, 'p'] as [number, string]);
  return `${Number((x / scale).toPrecision(4))}\u00a0${letter}${unit}`;
}

/** A value of an answer in words. */
export function worded(value: Value | undefined, unit = ''): string {
  if (value === null || value === undefined) return 'no figure';
  if (typeof value === 'boolean') return value ? 'yes' : 'no';
  if (typeof value === 'number') return withPrefix(value, unit);
  if (Array.isArray(value)) return value.map((v) => (typeof v === 'number' ? String(v) : v)).join(' ');
  return value;
}
