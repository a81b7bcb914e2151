import { ulid } from 'ulid';
import { shownOf } from '../core/record';
import { NEW_WORKSHOP } from '../core/workshop';
import type { Database } from '../data/database';
import { putDay } from '../data/days';
import { insertExercise } from '../data/exercises';
import { insertJob } from '../data/jobs';
import { putSetting } from '../data/settings';
import { addMovement, putStock } from '../data/stock';
import { allUnits, insertUnit } from '../data/units';
import { demoDays, PIER_WAYS } from './day';
import { DEMO_UNITS, demoJobs } from './jobs';
import { demoPractice } from './practice';
import { demoStore } from './store';
import { demoYears } from './years';

/** What stands on the papers of the pier’s workshop. */
const PIER = {
  ...NEW_WORKSHOP,
  name: 'Saltmarsh Pier, repair workshop',
  address: 'Boardwalk 3\nSaltmarsh',
  warrantyMonths: 6,
};

/**
 * Fills an empty Mulch with Saltmarsh Pier. A Mulch that holds anything is left alone.
 *
 * @param years whether the record of two years comes with it
 * @returns whether it was filled
 */
export function seedDemo(db: Database, now: Date, years = false): Promise<boolean> {
  return db.write(async (tx) => {
    if ((await allUnits(tx)).length > 0) return false;
    const ids: string[] = [];
    for (const { map, place } of DEMO_UNITS) {
      const id = ulid();
      ids.push(id);
      await insertUnit(tx, { id, version: 1, name: map.name, place, map, savedAt: now.toISOString() });
    }
    const here = demoJobs(now, ids);
    for (const job of here) await insertJob(tx, shownOf(job), job.events);
    if (years) {
      for (const job of demoYears(now)) await insertJob(tx, shownOf(job), job.events);
      for (const { item, movements } of demoStore(now)) {
        await putStock(tx, item, 1);
        for (const m of movements) await addMovement(tx, m);
      }
      await putSetting(tx, 'head of the papers', PIER);
      await putSetting(tx, 'days', { house: PIER_WAYS, version: 1 });
      for (const plan of demoDays(now, here)) await putDay(tx, plan, 1);
    }
    for (const { exercise, map, job } of demoPractice(now)) {
      if (job) await insertJob(tx, shownOf(job), job.events);
      await insertExercise(tx, '', exercise, map);
    }
    return true;
  });
}
