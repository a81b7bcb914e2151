import ical from 'ical-generator';
import type { DayAnswer } from '../../core/day';
import { type DayOffer, type DayPlan, momentAt } from '../../core/day-plan';

/** Visits of a day as an iCalendar file, with place and what is to be done there. */
export function dayCalendar(plan: DayPlan, offers: DayOffer[], answer: DayAnswer, now: string): string {
  const calendar = ical({
    name: `Mulch, ${plan.person}, ${plan.day}`,
    prodId: { company: 'Mulch', product: 'day' },
  });
  const by = new Map(offers.map((o) => [o.job, o]));
  answer.visits.forEach((v, i) => {
    const o = by.get(v.job);
    if (!o) return;
    const done = answer.tasks
      .filter((t) => t.job === v.job && t.start >= v.arrive - 1e-6 && t.start <= v.leave + 1e-6)
      .flatMap((t) => o.tasks.find((x) => x.id === t.task)?.words ?? []);
    calendar.createEvent({
      id: `${plan.day}-${v.job}-${i}@mulch`,
      start: momentAt(plan.day, v.arrive, plan.zone),
      end: momentAt(plan.day, v.leave, plan.zone),
      stamp: new Date(now),
      summary: `${o.tag} ${o.unit}`,
      location: v.place,
      description: [done.join(', '), o.owner, o.reach].filter(Boolean).join('\n'),
    });
  });
  return calendar.toString();
}
