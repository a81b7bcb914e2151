import { RECORD_FILTERS, type RecordAsked } from '../../core/record';

/** What is asked of the record, as the end of an address. */
export function queryOf(asked: RecordAsked, more: Record<string, string> = {}): string {
  const q = new URLSearchParams();
  for (const key of RECORD_FILTERS) {
    const value = asked[key];
    if (value) q.set(key, value);
  }
  for (const [key, value] of Object.entries(more)) q.set(key, value);
  const text = q.toString();
  return text ? `?${text}` : '';
}

/** How many filters are set. */
export const filtersSet = (asked: RecordAsked): number => RECORD_FILTERS.filter((key) => asked[key]).length;
