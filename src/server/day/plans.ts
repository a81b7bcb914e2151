import { type DayPlan, type DaySheet, demandPlan, learnedTravel } from '../../core/day-plan';
import { demandDay } from '../../core/job';
import type { Database } from '../../data/database';
import { dayBefore, dayOf, daysBeside, putDay } from '../../data/days';
import { factsPage } from '../../data/facts';
import { allPeople } from '../../data/people';
import { Problem } from '../problem';
import { beside } from '../threads/beside';
import { houseOf } from './house';
import { dayOffers } from './offers';

/** Jobs of the record that ways are learned from. */
const MOST_FACTS = 1000;

/**
 * A day of one technician, with what could go into it.
 *
 * @param more jobs that are about to be taken in
 * @throws Refusal for no day of the calendar
 */
export async function readDaySheet(
  db: Database,
  day: string,
  person: string,
  more: string[],
  now: string,
): Promise<DaySheet> {
  demandDay(day, '/day');
  const kept = await dayOf(db.read, day, person);
  const others = await daysBeside(db.read, day, person);
  const wanted = [kept?.plan, ...others].flatMap((p) => p?.jobs.map((j) => j.job) ?? []);
  const { house, version: houseVersion } = await houseOf(db.read);
  const people = (await allPeople(db.read)).map((p) => p.name);
  return {
    plan: kept?.plan ?? null,
    version: kept?.version ?? 0,
    before: (await dayBefore(db.read, day, person)) ?? null,
    others,
    offers: await dayOffers(db, [...new Set([...wanted, ...more])], now),
    house,
    houseVersion,
    learned: learnedTravel(await factsPage(db.read, {}, 0, MOST_FACTS)),
    people: [...new Set([...people, ...others.map((o) => o.person)])],
  };
}

/**
 * Keeps a day.
 *
 * @param version it was begun from; 0 for a new one
 * @throws Refusal with the field, Problem 409 when it was saved in between
 */
export async function saveDay(db: Database, plan: DayPlan, version: number): Promise<{ version: number }> {
  demandPlan(plan);
  return db.write(async (tx) => {
    const here = await dayOf(tx, plan.day, plan.person);
    if ((here?.version ?? 0) !== version)
      throw new Problem(
        409,
        'Saved in between',
        `${plan.person}’s day was changed elsewhere: version ${here?.version ?? 0}`,
        '/version',
      );
    await putDay(tx, plan, version + 1);
    return { version: version + 1 };
  });
}

/**
 * A kept day, worked out.
 *
 * @throws Problem 404 where none is kept, Refusal with what cannot be
 */
export async function plannedDay(db: Database, day: string, person: string, now: string) {
  const kept = await dayOf(db.read, day, person);
  if (!kept) throw new Problem(404, 'No such day', `${person || 'nobody'} has no plan for ${day}`);
  const { plan } = kept;
  const offers = await dayOffers(
    db,
    plan.jobs.map((j) => j.job),
    now,
  );
  const { house } = await houseOf(db.read);
  const { answer } = await beside('workOut')([plan, offers, house]);
  return { plan, offers, answer };
}
