import { and, asc, eq, isNull } from 'drizzle-orm';
import type { Exercise } from '../core/practice';
import type { UnitMap } from '../core/unit';
import type { Handle } from './database';
import { exercises } from './tables';

/** Adds an exercise. */
export async function insertExercise(
  db: Handle,
  person: string,
  exercise: Exercise,
  map: UnitMap,
): Promise<void> {
  await db.insert(exercises).values({
    id: exercise.id,
    person,
    startedAt: exercise.startedAt,
    endedAt: exercise.endedAt ?? null,
    map,
    body: exercise,
  });
}

/** One exercise with the unit it is done on, and whose it is. */
export async function exerciseById(
  db: Handle,
  id: string,
): Promise<{ person: string; exercise: Exercise; map: UnitMap } | undefined> {
  const [row] = await db.select().from(exercises).where(eq(exercises.id, id));
  return row && { person: row.person, exercise: row.body, map: row.map };
}

/** Exercises of one person, the oldest first. */
export async function exercisesOf(db: Handle, person: string): Promise<Exercise[]> {
  const rows = await db
    .select({ body: exercises.body })
    .from(exercises)
    .where(eq(exercises.person, person))
    .orderBy(asc(exercises.startedAt));
  return rows.map((r) => r.body);
}

/** Writes an exercise that was not ended; false where it was, so that what it came to stands. */
export async function saveExercise(db: Handle, exercise: Exercise): Promise<boolean> {
  const rows = await db
    .update(exercises)
    .set({ body: exercise, endedAt: exercise.endedAt ?? null })
    .where(and(eq(exercises.id, exercise.id), isNull(exercises.endedAt)))
    .returning({ id: exercises.id });
  return rows.length === 1;
}
