import { and, asc, count, desc, eq, gte, inArray, max, sql } from 'drizzle-orm';
import type { JobEvent, JobSummary, Lesson } from '../core/job';
import type { Shown } from '../core/record';
import type { Handle } from './database';
import { keepFacts } from './facts';
import { forgetIndexed, indexEvents } from './search';
import { putSetting, settingOf } from './settings';
import { jobEvents, jobs } from './tables';

/** SQLite takes so many values to a statement, and more. */
const AT_ONCE = 500;

/** Events of a job in their order, from a place on. */
export async function eventsOf(db: Handle, job: string, from = 0): Promise<JobEvent[]> {
  const rows = await db
    .select({ body: jobEvents.body })
    .from(jobEvents)
    .where(and(eq(jobEvents.job, job), gte(jobEvents.seq, from)))
    .orderBy(asc(jobEvents.seq));
  return rows.map((r) => r.body);
}

/** How many entries a job has; 0 where there is none. */
export async function countOf(db: Handle, job: string): Promise<number> {
  const [row] = await db
    .select({ last: max(jobEvents.seq) })
    .from(jobEvents)
    .where(eq(jobEvents.job, job));
  return (row?.last ?? -1) + 1;
}

/** Stored events with these ids, of whatever job. */
export async function eventsById(db: Handle, ids: string[]): Promise<{ job: string; body: JobEvent }[]> {
  const found: { job: string; body: JobEvent }[] = [];
  for (let i = 0; i < ids.length; i += AT_ONCE)
    found.push(
      ...(await db
        .select({ job: jobEvents.job, body: jobEvents.body })
        .from(jobEvents)
        .where(inArray(jobEvents.id, ids.slice(i, i + AT_ONCE)))),
    );
  return found;
}

/** Adds a job with its first events. */
export async function insertJob(db: Handle, shown: Shown, events: JobEvent[]): Promise<void> {
  const { summary } = shown;
  await db.insert(jobs).values({ id: summary.id, tag: summary.tag, openedAt: summary.openedAt, summary });
  await keepFacts(db, shown);
  await appendEvents(db, summary.id, 0, events);
}

/** Adds events after the last one. */
export async function appendEvents(db: Handle, job: string, from: number, events: JobEvent[]): Promise<void> {
  const rows = events.map((body, i) => ({ job, seq: from + i, id: body.id, body }));
  for (let i = 0; i < rows.length; i += 200) await db.insert(jobEvents).values(rows.slice(i, i + 200));
  await indexEvents(db, job, events);
}

/** Writes what is kept beside the entries of a job. */
export async function saveShown(db: Handle, shown: Shown): Promise<void> {
  const { summary } = shown;
  await db.update(jobs).set({ summary }).where(eq(jobs.id, summary.id));
  await keepFacts(db, shown);
}

/** Summary of one job, or undefined. */
export async function summaryOf(db: Handle, job: string): Promise<JobSummary | undefined> {
  const [row] = await db.select({ summary: jobs.summary }).from(jobs).where(eq(jobs.id, job));
  return row?.summary;
}

/** Summaries of all jobs, the newest first. */
export async function allSummaries(db: Handle): Promise<JobSummary[]> {
  const rows = await db
    .select({ summary: jobs.summary })
    .from(jobs)
    .where(isReal)
    .orderBy(desc(jobs.openedAt));
  return rows.map((r) => r.summary);
}

/** Simulated units stand on no list of the workshop, and teach it nothing. */
const isReal = sql`json_extract(${jobs.summary}, '$.practice') is null`;
const isHandedOver = sql`json_extract(${jobs.summary}, '$.handedOver')`;

/** Summaries of the jobs that are here, or of those handed over, the newest first. */
export async function summariesOf(
  db: Handle,
  handedOver: boolean,
  most = Number.MAX_SAFE_INTEGER,
): Promise<JobSummary[]> {
  const rows = await db
    .select({ summary: jobs.summary })
    .from(jobs)
    .where(and(isReal, handedOver ? isHandedOver : sql`not ${isHandedOver}`))
    .orderBy(desc(jobs.openedAt))
    .limit(most);
  return rows.map((r) => r.summary);
}

/** How many jobs are here, and how many are handed over. */
export async function countJobs(db: Handle): Promise<{ here: number; gone: number }> {
  const [row] = await db
    .select({ all: count(), gone: sql<number>`coalesce(sum(${isHandedOver}), 0)` })
    .from(jobs)
    .where(isReal);
  const gone = row?.gone ?? 0;
  return { here: (row?.all ?? 0) - gone, gone };
}

/** Summaries of the jobs from which something is still owed, the newest first. */
export async function owingSummaries(db: Handle): Promise<JobSummary[]> {
  const rows = await db
    .select({ summary: jobs.summary })
    .from(jobs)
    .where(and(isReal, sql`json_extract(${jobs.summary}, '$.owing') is not null`))
    .orderBy(desc(jobs.openedAt));
  return rows.map((r) => r.summary);
}

/** All tags given out. */
export async function allTags(db: Handle): Promise<string[]> {
  return (await db.select({ tag: jobs.tag }).from(jobs).where(isReal)).map((r) => r.tag);
}

/** What closed jobs taught, the oldest first. */
export async function allLessons(db: Handle): Promise<Lesson[]> {
  const rows = await db
    .select({ summary: jobs.summary })
    .from(jobs)
    .where(and(isReal, sql`json_extract(${jobs.summary}, '$.lesson') is not null`))
    .orderBy(asc(jobs.openedAt));
  return rows.flatMap((r) => (r.summary.lesson ? [r.summary.lesson] : []));
}

/** Summaries of the jobs whose unit is known by a mark, the newest first. */
export async function markedSummaries(db: Handle): Promise<JobSummary[]> {
  const rows = await db
    .select({ summary: jobs.summary })
    .from(jobs)
    .where(and(isReal, sql`json_extract(${jobs.summary}, '$.mark') is not null`))
    .orderBy(desc(jobs.openedAt));
  return rows.map((r) => r.summary);
}

/** Summaries of these jobs, those of simulated units left out. */
export async function summariesById(db: Handle, ids: string[]): Promise<JobSummary[]> {
  if (ids.length === 0) return [];
  const rows = await db
    .select({ summary: jobs.summary })
    .from(jobs)
    .where(and(isReal, inArray(jobs.id, ids)));
  return rows.map((r) => r.summary);
}

/** Summaries of the jobs whose tag begins so, the newest first. */
export async function summariesByTag(db: Handle, begins: string, most: number): Promise<JobSummary[]> {
  const rows = await db
    .select({ summary: jobs.summary })
    .from(jobs)
    .where(and(isReal, sql`substr(upper(${jobs.tag}), 1, ${begins.length}) = ${begins}`))
    .orderBy(desc(jobs.openedAt))
    .limit(most);
  return rows.map((r) => r.summary);
}

const REWRITTEN = 'stories rewritten';

/** How often stories were written anew, so that whoever keeps one knows when it holds no longer. */
export const storiesRewritten = async (db: Handle): Promise<number> =>
  Number((await settingOf(db, REWRITTEN)) ?? 0);

/** Writes entries of a job anew, each under its id; what is found of it follows. */
export async function rewriteEvents(db: Handle, job: string, events: JobEvent[]): Promise<void> {
  await putSetting(db, REWRITTEN, (await storiesRewritten(db)) + 1);
  for (const body of events) await db.update(jobEvents).set({ body }).where(eq(jobEvents.id, body.id));
  await forgetIndexed(db, job);
  await indexEvents(db, job, events);
}

/** Jobs, but this one, in whose entries a text stands. */
export async function jobsNaming(db: Handle, text: string, but: string[]): Promise<string[]> {
  const rows = await db
    .select({ job: jobEvents.job })
    .from(jobEvents)
    .where(sql`instr(${jobEvents.body}, ${text}) > 0`);
  return [...new Set(rows.map((r) => r.job))].filter((j) => !but.includes(j));
}
