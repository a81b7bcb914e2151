const ONES = [
  'zero one two three four five six seven eight nine ten eleven twelve thirteen fourteen fifteen sixteen seventeen eighteen nineteen',
]
  .join(' ')
  .split(' ');
const TENS: Record<string, number> = { twenty: 20, thirty: 30, forty: 40, fifty: 50, sixty: 60 };

/** A word for whole tens, that takes a unit after it. */
export const isTens = (text: string): boolean => text in TENS;
/** A word for one to nine. */
export const isUnit = (text: string): boolean => ONES.indexOf(text) >= 1 && ONES.indexOf(text) <= 9;

/**
 * A number as it is written or spoken.
 *
 * @param text such as "8", "2.5", "eight", "twenty-five", "double zero"
 * @returns the number as it is spelled in figures, or undefined
 * @example numberIn('eight') // '8'
 */
export function numberIn(text: string | undefined): string | undefined {
  if (text === undefined) return undefined;
  if (/^\d+(?:\.\d+)?$/.test(text)) return text;
  const one = ONES.indexOf(text);
  if (one >= 0) return String(one);
  const [ten = '', rest] = text.split('-');
  if (TENS[ten] === undefined) return undefined;
  const unit = rest === undefined ? 0 : ONES.indexOf(rest);
  return unit >= 0 && unit < 10 ? String(TENS[ten] + unit) : undefined;
}
