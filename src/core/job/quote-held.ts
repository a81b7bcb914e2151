import { demand } from '../refusal';
import type { JobState } from './state';

/**
 * Why nothing may be mended yet: a quote that work waits for is not accepted.
 *
 * @param state a job
 * @returns the reason, or null
 * @example quoteHolds(state) // 'the quote is not accepted yet'
 */
export function quoteHolds({ quote }: JobState): string | null {
  if (!quote?.needed) return null;
  if (!quote.answer) return 'the quote is not accepted yet';
  return quote.answer.line === null ? 'the quote was refused' : null;
}

/** Makes sure that what is to be mended was agreed to. */
export function demandAgreed(state: JobState): void {
  const held = quoteHolds(state);
  demand(!held, held ? `Held: ${held}. Its answer is written down in Plan` : '');
}
