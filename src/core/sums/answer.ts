import { Refusal } from '../refusal';
import type { Sum, SumAnswer, SumResult, Value } from './sum';

/** Refuses an answer that is no number: an input that has none gets a reason, not a NaN. */
function finite(result: SumResult): SumResult {
  for (const [name, x] of Object.entries(result.values))
    if (typeof x === 'number' && !Number.isFinite(x))
      throw new Refusal(`these figures give no ${name}: one of them is out of all bounds`);
  return result;
}

/**
 * Works a sum out and says where the answer comes from.
 *
 * @param sum one of the cabinet
 * @param given inputs by name, units as the sum states them
 * @returns its outputs, the formula with the numbers in it, the source, and what to beware of
 * @throws Refusal with the path of the input that has no answer
 * @example answerSum(ohms, { volts: 12, ohms: 4700 }).amps // 0.00255
 */
export function answerSum(
  sum: Sum,
  given: Record<string, Value | undefined>,
): SumAnswer & { say?: string; caution?: string } {
  const { values, formula, say, caution } = finite(sum.compute(given));
  return {
    ...values,
    formula,
    source: sum.source,
    ...(say ? { say } : {}),
    ...(caution ? { caution } : {}),
  };
}

/** What a change of one input does to one output. */
export interface Sensitivity {
  input: string;
  output: string;
  /** output with the input that much lower and higher, in percent of what it is */
  lower: number;
  higher: number;
}

const STEP = 0.05;

/**
 * How much each number matters: every input 5 % lower and higher, and what that does to the first
 * number of the answer.
 *
 * @param sum one of the cabinet
 * @param given inputs that have an answer
 * @returns one entry per input that moves it by more than a thousandth, the strongest first
 * @example sensitivityOf(ohms, { volts: 12, ohms: 4700 })[0] // ohms −5 % → amps +5.3 %
 */
export function sensitivityOf(sum: Sum, given: Record<string, Value | undefined>): Sensitivity[] {
  const { values } = finite(sum.compute(given));
  const output = sum.outputs.find(
    (o) => typeof values[o.name] === 'number' && values[o.name] !== 0 && values[o.name] !== given[o.name],
  );
  if (!output) return [];
  const now = values[output.name] as number;
  const at = (name: string, factor: number): number | null => {
    try {
      const x = sum.compute({ ...given, [name]: (given[name] as number) * factor }).values[output.name];
      return typeof x === 'number' && Number.isFinite(x) ? (100 * (x - now)) / Math.abs(now) : null;
    } catch (error) {
      if (error instanceof Refusal) return null;
      throw error;
    }
  };
  return sum.inputs
    .filter(
      (i) => i.kind === 'number' && !i.whole && typeof given[i.name] === 'number' && given[i.name] !== 0,
    )
    .flatMap((i) => {
      const lower = at(i.name, 1 - STEP);
      const higher = at(i.name, 1 + STEP);
      if (lower === null || higher === null || Math.max(Math.abs(lower), Math.abs(higher)) < 0.1) return [];
      return [{ input: i.name, output: output.name, lower, higher }];
    })
    .sort(
      (a, b) =>
        Math.max(Math.abs(b.lower), Math.abs(b.higher)) - Math.max(Math.abs(a.lower), Math.abs(a.higher)),
    );
}
