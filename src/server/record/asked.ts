import { RECORD_FILTERS, type RecordAsked } from '../../core/record';
import { Problem } from '../problem';

const LONGEST = 300;
const DAY = /^\d{4}-\d{2}-\d{2}$/;
/** Filters that are a day. */
const DAYS: ReadonlySet<string> = new Set(['from', 'to']);

/**
 * What an address asks of the record. Words are never an error; a day that is none is.
 *
 * @throws Problem 400 naming the day
 */
export function recordAsked(url: URL): RecordAsked {
  const asked: RecordAsked = {};
  for (const key of RECORD_FILTERS) {
    const value = (url.searchParams.get(key) ?? '').slice(0, LONGEST).trim();
    if (!value) continue;
    if (DAYS.has(key) && !(DAY.test(value) && Number.isFinite(Date.parse(value))))
      throw new Problem(400, 'Not as described', `${value} is no day: write it as 2026-11-27`, key);
    asked[key] = value;
  }
  return asked;
}

/** As {@link recordAsked}, for a page: a day that is none is passed over. */
export function askedOrAll(url: URL): RecordAsked {
  try {
    return recordAsked(url);
  } catch (error) {
    if (!(error instanceof Problem)) throw error;
    const rest = new URL(url);
    for (const key of DAYS) rest.searchParams.delete(key);
    return recordAsked(rest);
  }
}
