import ICAL from 'ical.js';
import { type BusyTime, clockAt, minutesAt, minutesTo, momentAt } from '../../core/day-plan';
import { Problem } from '../problem';

/** A line of a calendar as it was written, unfolded, with its number. */
interface Content {
  number: number;
  text: string;
}

/** Repeats of one event that are gone through. */
const MOST_REPEATS = 20_000;

const wrong = (line: number, why: string) =>
  new Problem(422, 'Not a calendar', `line ${line}: ${why}`, '/text');

/** Lines as they belong together (RFC 5545, 3.1: a line that begins with a blank goes on the one before). */
function unfolded(text: string): Content[] {
  const out: Content[] = [];
  text.split(/\r\n|\n|\r/).forEach((line, i) => {
    const last = out.at(-1);
    if (/^[ \t]/.test(line) && last) last.text += line.slice(1);
    else if (line !== '') out.push({ number: i + 1, text: line });
  });
  return out;
}

const TIMES = /^(?:DTSTART|DTEND|RECURRENCE-ID|EXDATE|RDATE)(?:;[^:]*)?:(.+)$/i;
const TIME = /^(\d{4})(\d{2})(\d{2})(?:T(\d{2})(\d{2})(\d{2})Z?)?$/;

/** Whether a time of a calendar is one: the parser takes the thirteenth month as the first of the next year. */
function isTime(text: string): boolean {
  const [, y, m, d, h = '0', min = '0', s = '0'] = TIME.exec(text.split('/')[0] ?? '') ?? [];
  if (y === undefined) return false;
  const at = new Date(Date.UTC(Number(y), Number(m) - 1, Number(d)));
  const isDay = at.getUTCMonth() + 1 === Number(m) && at.getUTCDate() === Number(d);
  return isDay && Number(h) < 24 && Number(min) < 60 && Number(s) <= 60;
}

/** Every line by itself, and what is begun is ended; answers the lines events begin at. */
function checkedLines(lines: Content[]): number[] {
  const [first] = lines;
  if (!first) throw wrong(1, 'it is empty');
  if (!/^BEGIN:VCALENDAR$/i.test(first.text.trim()))
    throw wrong(first.number, 'a calendar begins with BEGIN:VCALENDAR');
  const open: { name: string; number: number }[] = [];
  const events: number[] = [];
  for (const { number, text } of lines) {
    const [, word, name = ''] = /^(BEGIN|END):(.+)$/i.exec(text.trim()) ?? [];
    if (word?.toUpperCase() === 'BEGIN') {
      open.push({ name: name.toUpperCase(), number });
      if (name.toUpperCase() === 'VEVENT') events.push(number);
    } else if (word) {
      const last = open.pop();
      if (last?.name !== name.toUpperCase())
        throw wrong(
          number,
          last ? `${name} ends, but ${last.name} was begun` : `${name} ends and was not begun`,
        );
    } else {
      if (open.length === 0) throw wrong(number, 'it stands outside of the calendar');
      if (!/^[A-Za-z0-9-]+[;:]/.test(text))
        throw wrong(number, `“${text.slice(0, 40)}” has no name and value`);
      try {
        ICAL.parse.property(text);
      } catch {
        throw wrong(number, `“${text.slice(0, 40)}” cannot be read`);
      }
      const times = TIMES.exec(text)?.[1]?.split(',') ?? [];
      const none = times.find((t) => !isTime(t.trim()));
      if (none !== undefined) throw wrong(number, `“${none.slice(0, 40)}” cannot be read as a time`);
    }
  }
  const last = open.at(-1);
  if (last) throw wrong(last.number, `${last.name} is begun here and not ended`);
  return events;
}

/** The moment a time of a calendar is. */
function momentOf(
  time: ICAL.Time,
  zone: string,
  described: Map<string, ICAL.Timezone>,
  line: number,
): number {
  if (time.zone === ICAL.Timezone.utcTimezone) return time.toJSDate().getTime();
  // A zone that is named and not described stands on the time as its name alone.
  const named = (time as ICAL.Time & { timezone?: string }).timezone;
  const tzid = time.zone?.tzid && time.zone.tzid !== 'floating' ? time.zone.tzid : named;
  const own = tzid ? described.get(tzid) : undefined;
  if (own) return time.convertToZone(ICAL.Timezone.utcTimezone).toJSDate().getTime();
  const two = (n: number) => String(n).padStart(2, '0');
  const day = `${time.year}-${two(time.month)}-${two(time.day)}`;
  const at = tzid && tzid !== 'floating' && tzid !== 'Z' ? tzid : zone;
  try {
    return momentAt(day, minutesAt(day, `${two(time.hour)}:${two(time.minute)}`, at, '/text'), at).getTime();
  } catch {
    throw wrong(line, `the zone ${at} is not described in it and not known`);
  }
}

/**
 * When somebody is busy on a day, by their calendar.
 *
 * @param text an iCalendar file (RFC 5545)
 * @param day as 2026-11-27
 * @param zone the clock it is read on, for times that name none
 * @returns times of the day, and what was passed over with the reason
 * @throws Problem 422 naming the line that is wrong
 */
export function busyFromCalendar(
  text: string,
  day: string,
  zone: string,
): { busy: BusyTime[]; passed: string[] } {
  const begins = checkedLines(unfolded(text));
  let calendar: ICAL.Component;
  try {
    calendar = new ICAL.Component(ICAL.parse(text));
  } catch (error) {
    throw wrong(1, error instanceof Error ? error.message : 'it cannot be read');
  }
  const described = new Map<string, ICAL.Timezone>();
  for (const c of calendar.getAllSubcomponents('vtimezone')) {
    const made = new ICAL.Timezone(c);
    described.set(made.tzid, made);
  }
  const from = minutesAt(day, '00:00', zone, '/day');
  const until = minutesAt(day, '00:00', zone, '/day', 1);
  const busy: BusyTime[] = [];
  const passed: string[] = [];
  const events = calendar.getAllSubcomponents('vevent').map((component, i) => ({
    component,
    line: begins[i] ?? 1,
    event: new ICAL.Event(component),
  }));
  for (const { component, line, event } of events) {
    const what = event.summary || 'busy';
    if (!component.getFirstProperty('dtstart'))
      throw wrong(line, `“${what}” does not say when it begins (DTSTART)`);
    if (event.isRecurrenceException()) continue;
    if (/^cancelled$/i.test(String(component.getFirstPropertyValue('status') ?? ''))) {
      passed.push(`${what}: cancelled`);
      continue;
    }
    if (/^transparent$/i.test(String(component.getFirstPropertyValue('transp') ?? ''))) {
      passed.push(`${what}: takes no time`);
      continue;
    }
    const put = (start: ICAL.Time, end: ICAL.Time, words: string, at: number): boolean => {
      const [a, b] = [momentOf(start, zone, described, at), momentOf(end, zone, described, at)];
      if (b < a) throw wrong(at, `“${words}” ends before it begins`);
      const [m, n] = [a, b].map((x) => minutesTo(day, new Date(x).toISOString(), zone)) as [number, number];
      if (n <= from || m >= until || m === n) return m < until;
      if (start.isDate) {
        if (!passed.includes(`${words}: all day`)) passed.push(`${words}: all day`);
        return true;
      }
      busy.push({
        from: clockAt(day, Math.max(from, m), zone),
        until: n >= until ? '23:59' : clockAt(day, n, zone),
        what: words.slice(0, 120),
      });
      return true;
    };
    if (!event.isRecurring()) {
      put(event.startDate, event.endDate, what, line);
      continue;
    }
    for (const other of events)
      if (other.event.isRecurrenceException() && other.event.uid === event.uid)
        event.relateException(other.event);
    const repeats = event.iterator();
    for (let k = 0, next = repeats.next(); next; k++, next = repeats.next()) {
      if (k === MOST_REPEATS) {
        passed.push(`${what}: repeats more than ${MOST_REPEATS.toLocaleString('en')} times before this day`);
        break;
      }
      const { item, startDate, endDate } = event.getOccurrenceDetails(next);
      if (!put(startDate, endDate, item.summary || what, line)) break;
    }
  }
  return { busy: busy.sort((a, b) => (a.from < b.from ? -1 : 1)), passed };
}
