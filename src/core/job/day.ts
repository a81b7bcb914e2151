import { demand } from '../refusal';

/**
 * Makes sure that a text is a day of the calendar.
 *
 * @param text as 2026-11-27
 * @param path of the field
 * @throws Refusal when there is no such day
 * @example demandDay('2026-02-30', '/due') // throws: 2026-02-30 is no day of the calendar
 */
export function demandDay(text: string, path: string): void {
  const at = new Date(`${text}T00:00:00Z`);
  demand(
    /^\d{4}-\d{2}-\d{2}$/.test(text) &&
      Number.isFinite(at.getTime()) &&
      at.toISOString().slice(0, 10) === text,
    `${text || 'that'} is no day of the calendar: write it as 2026-11-27`,
    path,
  );
}
