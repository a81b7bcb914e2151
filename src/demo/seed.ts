import { ulid } from 'ulid';
import { summarise } from '../core/job';
import type { Database } from '../data/database';
import { insertExercise } from '../data/exercises';
import { insertJob } from '../data/jobs';
import { allUnits, insertUnit } from '../data/units';
import { DEMO_UNITS, demoJobs } from './jobs';
import { demoPractice } from './practice';

/** Fills an empty Mulch with Saltmarsh Pier. A Mulch that holds anything is left alone. */
export function seedDemo(db: Database, now: Date): Promise<boolean> {
  return db.write(async (tx) => {
    if ((await allUnits(tx)).length > 0) return false;
    const ids: string[] = [];
    for (const { map, place } of DEMO_UNITS) {
      const id = ulid();
      ids.push(id);
      await insertUnit(tx, { id, version: 1, name: map.name, place, map, savedAt: now.toISOString() });
    }
    for (const { events, state } of demoJobs(now, ids)) await insertJob(tx, summarise(state), events);
    for (const { exercise, map, job } of demoPractice(now)) {
      if (job) await insertJob(tx, summarise(job.state), job.events);
      await insertExercise(tx, '', exercise, map);
    }
    return true;
  });
}
