import ical from 'ical-generator';
import { replaceBy } from '../core/fit';
import type { JobState } from '../core/job';
import { Problem } from './problem';

/** The day by which the battery fitted in a job is usually replaced, as an iCalendar file. */
export function replaceByCalendar(job: JobState): string {
  const { fix } = job;
  const compared = fix ? job.batteries[fix.element] : undefined;
  const due = fix && compared ? replaceBy(compared.request.new, fix.at, compared.request.rows) : null;
  if (!fix || !due)
    throw new Problem(
      409,
      'No date known',
      'compare old and new battery in Plan and fit the new one: its chemistry says how long it usually lasts',
    );
  const calendar = ical({ name: `Mulch, ${job.tag}`, prodId: { company: 'Mulch', product: 'bench' } });
  calendar.createEvent({
    id: `${job.id}-${fix.element}@mulch`,
    // A whole day: no hour is meant by it.
    start: new Date(`${due.date}T00:00:00Z`),
    allDay: true,
    timezone: 'UTC',
    stamp: new Date(fix.at),
    summary: `Replace ${fix.element} of ${job.map.name}`,
    description: `Fitted ${fix.at.slice(0, 10)} in job ${job.tag}: ${fix.name}. ${due.chemistry}, usually replaced after ${due.years} years.`,
    ...(job.place ? { location: job.place } : {}),
  });
  return calendar.toString();
}
