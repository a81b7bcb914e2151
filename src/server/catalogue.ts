import { type CatalogueAnswer, CatalogueAnswerSchema } from '../schemas/catalogue';
import { guardOf } from './guard';
import { Problem } from './problem';

const TIMEOUT_MS = 4000;
const MOST_BYTES = 1_000_000;

/** Where the parts catalogue is; null when there is none. */
export const catalogueAddress = (): string | null => process.env.MULCH_CATALOGUE || null;

/**
 * Parts that the catalogue offers for a few words; where no catalogue is set, none, and that it is so.
 *
 * @throws Problem 502 or 504 when it does not answer as it should
 */
export async function searchCatalogue(
  q: string,
  address = catalogueAddress(),
  timeoutMs = TIMEOUT_MS,
): Promise<CatalogueAnswer> {
  if (!address) return { none: 'no parts catalogue is set: MULCH_CATALOGUE says where it is', parts: [] };
  const url = new URL('/parts', address);
  url.searchParams.set('q', q.slice(0, 200));
  let text: string;
  try {
    const res = await fetch(url, { signal: AbortSignal.timeout(timeoutMs), redirect: 'error' });
    if (!res.ok) throw new Problem(502, 'Wrong answer', `the catalogue answered ${res.status}`);
    text = await res.text();
  } catch (error) {
    if (error instanceof Problem) throw error;
    const late = error instanceof Error && error.name === 'TimeoutError';
    throw new Problem(
      late ? 504 : 502,
      late ? 'No answer' : 'No catalogue',
      late
        ? `the catalogue did not answer within ${timeoutMs / 1000} s`
        : `nothing answers at ${url.host}. Prices and lead times are not known now`,
    );
  }
  let answer: unknown = null;
  try {
    answer = text.length > MOST_BYTES ? null : JSON.parse(text);
  } catch {
    // said below
  }
  if (!guardOf(CatalogueAnswerSchema)(answer))
    throw new Problem(502, 'Wrong answer', 'the catalogue did not answer as a catalogue does');
  return answer;
}
