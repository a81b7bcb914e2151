import { demand } from '../refusal';

/** The span of days that a date code names. */
export interface DateCode {
  /** first and last day, ISO */
  from: string;
  to: string;
  words: string;
}

const DAY = 86_400_000;
const iso = (ms: number) => new Date(ms).toISOString().slice(0, 10);
const MONTHS = [
  'January',
  'February',
  'March',
  'April',
  'May',
  'June',
  'July',
  'August',
  'September',
  'October',
  'November',
  'December',
];

/** Monday of an ISO 8601 week: week 1 holds the first Thursday of the year. */
function mondayOf(year: number, week: number): number {
  const fourth = Date.UTC(year, 0, 4);
  const day = (new Date(fourth).getUTCDay() + 6) % 7;
  return fourth - day * DAY + (week - 1) * 7 * DAY;
}

function ofWeek(year: number, week: number): DateCode {
  const monday = mondayOf(year, week);
  demand(
    week >= 1 && week <= 53 && new Date(monday + 3 * DAY).getUTCFullYear() === year,
    `${year} has no week ${week}`,
    '/dateCode',
  );
  return { from: iso(monday), to: iso(monday + 6 * DAY), words: `week ${week} of ${year}` };
}

function ofMonth(year: number, month: number): DateCode {
  demand(month >= 1 && month <= 12, `there is no month ${month}`, '/dateCode');
  return {
    from: iso(Date.UTC(year, month - 1, 1)),
    to: iso(Date.UTC(year, month, 1) - DAY),
    words: `${MONTHS[month - 1]} ${year}`,
  };
}

const FORMS: [RegExp, (m: string[]) => DateCode][] = [
  [/^(\d{4})-(\d{2})-(\d{2})$/, ([, y, m, d]) => ofDay(Number(y), Number(m), Number(d))],
  [/^(\d{4})-?W(\d{1,2})$/i, ([, y, w]) => ofWeek(Number(y), Number(w))],
  [/^W(\d{1,2})[/ .-](\d{4})$/i, ([, w, y]) => ofWeek(Number(y), Number(w))],
  [/^(\d{4})[-/.](\d{1,2})$/, ([, y, m]) => ofMonth(Number(y), Number(m))],
  [/^(\d{1,2})[-/.](\d{4})$/, ([, m, y]) => ofMonth(Number(y), Number(m))],
  [/^(\d{1,2})[/.](\d{2})$/, ([, m, y]) => ofMonth(2000 + Number(y), Number(m))],
  [/^(\d{2})(\d{2})$/, ([, y, w]) => ofWeek(2000 + Number(y), Number(w))],
];

function ofDay(year: number, month: number, day: number): DateCode {
  const ms = Date.UTC(year, month - 1, day);
  const there = new Date(ms);
  demand(
    there.getUTCFullYear() === year && there.getUTCMonth() === month - 1 && there.getUTCDate() === day,
    `there is no ${year}-${month}-${day}`,
    '/dateCode',
  );
  return { from: iso(ms), to: iso(ms), words: `${day} ${MONTHS[month - 1]} ${year}` };
}

/**
 * Reads the date stamped on a part: four digits are year and week (common practice, no source; weeks
 * by ISO 8601), otherwise a month or a day written out.
 *
 * @param text such as "2319", "2023-W19", "05/23", "2023-05", "2023-05-09"
 * @returns first and last day it may mean, and the words for it
 * @throws Refusal when it is none of these, or names a week or a day that there is not
 * @example readDateCode('2319').words // 'week 19 of 2023'
 */
export function readDateCode(text: string): DateCode {
  const t = text.trim();
  for (const [form, read] of FORMS) {
    const m = form.exec(t);
    if (m) return read([...m]);
  }
  demand(
    false,
    `“${t}” is no date code: year and week as 2319, a month as 05/23 or 2023-05, or a day as 2023-05-09`,
    '/dateCode',
  );
}

/**
 * How old a part is by its date code.
 *
 * @param code as read
 * @param now ISO time
 * @returns whole calendar months since its last day, 0 within its span, under 0 when all of it lies ahead
 * @example ageMonths(readDateCode('2025-11-26'), '2026-11-26T08:00:00Z') // 12
 */
export function ageMonths(code: DateCode, now: string): number {
  const [made, here] = [new Date(`${code.to}T00:00:00Z`), new Date(now)];
  const months =
    (here.getUTCFullYear() - made.getUTCFullYear()) * 12 + here.getUTCMonth() - made.getUTCMonth();
  const whole = here.getUTCDate() < made.getUTCDate() ? months - 1 : months;
  // Within the week or the month that the code names it is new, not ahead of its time.
  return new Date(`${code.from}T00:00:00Z`) <= here ? Math.max(0, whole) : whole;
}
