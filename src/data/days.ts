import { and, asc, desc, eq, lt, ne } from 'drizzle-orm';
import type { DayPlan } from '../core/day-plan';
import type { Handle } from './database';
import { dayPlans } from './tables';

export interface KeptDay {
  plan: DayPlan;
  version: number;
}

const kept = (r: typeof dayPlans.$inferSelect): KeptDay => ({ plan: r.body, version: r.version });

/** The day of one technician, or undefined. */
export async function dayOf(db: Handle, day: string, person: string): Promise<KeptDay | undefined> {
  const [row] = await db
    .select()
    .from(dayPlans)
    .where(and(eq(dayPlans.day, day), eq(dayPlans.person, person)));
  return row && kept(row);
}

/** The same day of everybody else. */
export async function daysBeside(db: Handle, day: string, person: string): Promise<DayPlan[]> {
  const rows = await db
    .select()
    .from(dayPlans)
    .where(and(eq(dayPlans.day, day), ne(dayPlans.person, person)))
    .orderBy(asc(dayPlans.person));
  return rows.map((r) => r.body);
}

/** The last day before one that a technician planned, or that anybody did. */
export async function dayBefore(db: Handle, day: string, person: string): Promise<DayPlan | undefined> {
  const before = (own: boolean) =>
    db
      .select()
      .from(dayPlans)
      .where(and(lt(dayPlans.day, day), ...(own ? [eq(dayPlans.person, person)] : [])))
      .orderBy(desc(dayPlans.day))
      .limit(1);
  const [row] = await before(true);
  return (row ?? (await before(false))[0])?.body;
}

/** Every day that has one of these jobs in it. */
export async function daysWith(db: Handle, jobs: string[]): Promise<KeptDay[]> {
  const wanted = new Set(jobs);
  return (await db.select().from(dayPlans))
    .map(kept)
    .filter((d) => d.plan.jobs.some((j) => wanted.has(j.job)));
}

/** Keeps a day under its next version. */
export async function putDay(db: Handle, plan: DayPlan, version: number): Promise<void> {
  const row = { day: plan.day, person: plan.person, version, body: plan };
  await db
    .insert(dayPlans)
    .values(row)
    .onConflictDoUpdate({ target: [dayPlans.day, dayPlans.person], set: row });
}
