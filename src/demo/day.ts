import type { DayHouse, DayPlan } from '../core/day-plan';
import type { JobRecord } from '../core/job';
import { TECHNICIAN } from './jobs';

/** Minutes on foot over the pier, and what the hand cart holds. */
export const PIER_WAYS: DayHouse = {
  travel: [
    { from: 'workshop', to: 'ticket hall', minutes: 4 },
    { from: 'ticket hall', to: 'turnstile 2', minutes: 2 },
    { from: 'workshop', to: 'north arcade', minutes: 7 },
    { from: 'north arcade', to: 'pier head', minutes: 9 },
    { from: 'workshop', to: 'landing stage', minutes: 12 },
    { from: 'landing stage', to: 'pier head', minutes: 5 },
  ],
  litres: 12,
};

/** Two technicians’ days: what is in hand for one, what waits for the other. */
export function demoDays(now: Date, jobs: JobRecord[]): DayPlan[] {
  const id = (tag: string) => jobs.find((j) => j.state.tag === tag)?.state.id ?? '';
  const base = {
    day: now.toISOString().slice(0, 10),
    zone: Intl.DateTimeFormat().resolvedOptions().timeZone,
    start: { place: 'workshop', at: '08:00' },
    order: [],
    van: { ticked: [], back: [] },
  };
  return [
    {
      ...base,
      person: TECHNICIAN,
      end: { place: 'workshop', at: '16:30' },
      jobs: [
        { job: id('SP-117'), until: '12:00', must: true },
        { job: id('SP-109'), mayLeave: true },
        { job: id('SP-098') },
        { job: id('SP-126'), from: '13:00' },
      ],
      busy: [{ from: '12:00', until: '12:45', what: 'harbour office, keys', place: 'landing stage' }],
    },
    {
      ...base,
      person: 'Bram Teal',
      end: { place: 'workshop', at: '12:00' },
      jobs: [{ job: id('SP-115'), worth: 2 }],
      busy: [],
    },
  ];
}
