import type { Learned, Lesson } from '../core/job';
import { learnedWeights } from '../core/learn';
import type { UnitMap } from '../core/unit';
import type { Database, Handle } from '../data/database';
import { allLessons } from '../data/jobs';
import { putSetting, settingOf } from '../data/settings';

const SINCE = 'lessons since';

export interface Lessons {
  /** lessons older than this are passed over; null when all count */
  since: string | null;
  lessons: Lesson[];
}

/** Lessons of closed jobs that count: those since the last reset. */
export async function lessonsOf(db: Handle): Promise<Lessons> {
  const since = (await settingOf(db, SINCE)) as string | null | undefined;
  const all = await allLessons(db);
  return { since: since ?? null, lessons: since ? all.filter((l) => l.at > since) : all };
}

/** Begins to learn anew from a moment on, or with null counts every closed job again. */
export async function resetLessons(db: Database, since: string | null): Promise<Lessons> {
  return db.write(async (tx) => {
    await putSetting(tx, SINCE, since);
    return lessonsOf(tx);
  });
}

/** Weights for a job about to be opened, or undefined while nothing was learned. */
export async function learnedFor(db: Handle, map: UnitMap): Promise<Learned | undefined> {
  const { lessons } = await lessonsOf(db);
  if (lessons.length === 0) return undefined;
  const weights = learnedWeights(map, lessons);
  return {
    jobs: weights[0]?.jobs ?? 0,
    weights: weights.map(({ element, weight, faults }) => ({ element, weight, faults })),
  };
}
