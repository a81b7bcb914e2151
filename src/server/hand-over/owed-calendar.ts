import ical from 'ical-generator';
import type { JobState } from '../../core/job';
import { Problem } from '../problem';

/**
 * What is still owed by a day, as an iCalendar file: one whole day for each.
 *
 * @throws Problem 409 when nothing is owed by a day
 */
export function owedCalendar(job: JobState): string {
  const open = job.owed.filter((o) => o.due && !o.settled);
  if (open.length === 0)
    throw new Problem(409, 'Nothing owed', 'nothing is owed by a day in this job: give what is owed a date');
  const calendar = ical({ name: `Mulch, ${job.tag}`, prodId: { company: 'Mulch', product: 'bench' } });
  for (const o of open)
    calendar.createEvent({
      id: `${o.id}@mulch`,
      start: new Date(`${o.due}T00:00:00Z`),
      allDay: true,
      timezone: 'UTC',
      stamp: new Date(job.openedAt),
      summary: `${o.what}: ${job.map.name}`,
      description: `Owed from job ${job.tag}: ${o.kind}.`,
      ...(job.place ? { location: job.place } : {}),
    });
  return calendar.toString();
}
