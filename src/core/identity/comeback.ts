/** Days within which the same fault is a comeback, where nothing else was set. Common practice, no source. */
export const COMEBACK_DAYS = 90;
const DAY = 86_400_000;

/**
 * Whole days from one moment to another.
 *
 * @param from ISO time
 * @param to ISO time
 * @returns days, under 0 where `to` lies before
 * @example daysBetween('2026-11-01T10:00:00Z', '2026-11-13T09:00:00Z') // 11
 */
export const daysBetween = (from: string, to: string): number =>
  Math.floor((Date.parse(to) - Date.parse(from)) / DAY);

/**
 * Whether a job is a comeback of an earlier one on the same unit: the same function fails again within the
 * days that count.
 *
 * @param earlier when it was handed over, and the functions that failed
 * @param now when it was taken in again, and the functions that fail
 * @param days that count; 90 when absent
 * @returns true for a comeback
 * @example isComeback({ at: '2026-11-01T00:00:00Z', functions: ['left'] }, { at: '2026-11-13T00:00:00Z', functions: ['left'] }) // true
 */
export function isComeback(
  earlier: { at: string; functions: string[] },
  now: { at: string; functions: string[] },
  days = COMEBACK_DAYS,
): boolean {
  const since = daysBetween(earlier.at, now.at);
  return since >= 0 && since <= days && earlier.functions.some((f) => now.functions.includes(f));
}
