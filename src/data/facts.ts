import { and, asc, count, desc, eq, gte, or, type SQL, sql } from 'drizzle-orm';
import { fold, unreadable } from '../core/job';
import { factsOf, type JobFacts, RECORD_SHAPE, type RecordAsked, type Shown } from '../core/record';
import { readQuery } from '../core/search';
import type { Handle } from './database';
import { matching } from './search';
import { putSetting, settingOf } from './settings';
import { jobEvents, jobFacts, jobs } from './tables';

const SHAPE = 'record shape';

/** Keeps what a job leaves for the record; a simulated unit leaves nothing. */
export async function keepFacts(db: Handle, { summary, facts }: Shown): Promise<void> {
  if (summary.practice) return;
  const row = { job: facts.job, openedAt: facts.openedAt, body: facts };
  await db.insert(jobFacts).values(row).onConflictDoUpdate({ target: jobFacts.job, set: row });
}

/** Whether the record was written by a Mulch that knew other facts, or none. */
export const isRecordOld = async (db: Handle): Promise<boolean> =>
  (await settingOf(db, SHAPE)) !== RECORD_SHAPE;

/** Writes the record anew from all that is kept. A story this Mulch cannot tell leaves nothing. */
export async function rebuildFacts(db: Handle): Promise<void> {
  await db.delete(jobFacts);
  for (const { id, practice } of await db
    .select({ id: jobs.id, practice: sql<unknown>`json_extract(${jobs.summary}, '$.practice')` })
    .from(jobs)) {
    if (practice) continue;
    const rows = await db
      .select({ body: jobEvents.body })
      .from(jobEvents)
      .where(eq(jobEvents.job, id))
      .orderBy(asc(jobEvents.seq));
    const events = rows.map((r) => r.body);
    if (unreadable(events)) continue;
    const body = factsOf(fold(events));
    await db.insert(jobFacts).values({ job: id, openedAt: body.openedAt, body });
  }
  await putSetting(db, SHAPE, RECORD_SHAPE);
}

const said = (path: string) => sql`json_extract(${jobFacts.body}, ${path})`;
const among = (list: string, is: SQL) =>
  sql`exists (select 1 from json_each(${jobFacts.body}, ${list}) where ${is})`;

/** How each filter is asked of the database. */
const FILTERS: { [K in keyof RecordAsked]-?: (value: string) => SQL | undefined } = {
  q(text) {
    const asked = readQuery(text);
    const tag = asked.tag;
    return and(
      ...asked.wanted.map((t) => sql`${jobFacts.job} in ${matching(t)}`),
      ...asked.unwanted.map((t) => sql`${jobFacts.job} not in ${matching(t)}`),
      ...(tag ? [sql`substr(upper(${said('$.tag')}), 1, ${tag.length}) = ${tag}`] : []),
    );
  },
  model: (v) => sql`${said('$.model')} = ${v}`,
  stop: (v) => sql`${said('$.stop')} = ${v} and ${said('$.handedOverAt')} is null`,
  element: (v) => among('$.remedies', sql`json_extract(value, '$.element') = ${v}`),
  remedy: (v) => among('$.remedies', sql`json_extract(value, '$.remedyKind') = ${v}`),
  code: (v) => sql`instr(lower(coalesce(${said('$.unitSays')}, '')), ${v.toLowerCase()}) > 0`,
  person: (v) => among('$.people', sql`value = ${v}`),
  owner: (v) => sql`${said('$.owner')} = ${v}`,
  place: (v) => sql`${said('$.place')} = ${v}`,
  result: (v) => sql`${said('$.result')} = ${v}`,
  from: (v) => gte(jobFacts.openedAt, v),
  // The day itself counts whole.
  to: (v) => sql`substr(${jobFacts.openedAt}, 1, 10) <= ${v}`,
};

function where(asked: RecordAsked): SQL | undefined {
  const filters = Object.entries(asked).map(([key, value]) =>
    value ? FILTERS[key as keyof RecordAsked](value) : undefined,
  );
  return and(...filters);
}

/** How many jobs are asked for. */
export async function countFacts(db: Handle, asked: RecordAsked): Promise<number> {
  const [row] = await db.select({ n: count() }).from(jobFacts).where(where(asked));
  return row?.n ?? 0;
}

/** Some of the jobs that are asked for, the newest first. */
export async function factsPage(
  db: Handle,
  asked: RecordAsked,
  from = 0,
  most = Number.MAX_SAFE_INTEGER,
): Promise<JobFacts[]> {
  const rows = await db
    .select({ body: jobFacts.body })
    .from(jobFacts)
    .where(where(asked))
    .orderBy(desc(jobFacts.openedAt), desc(jobFacts.job))
    .limit(most)
    .offset(from);
  return rows.map((r) => r.body);
}

/** Jobs of units kept for their parts, and jobs that took a part from one. */
export async function donorFacts(db: Handle): Promise<JobFacts[]> {
  const rows = await db
    .select({ body: jobFacts.body })
    .from(jobFacts)
    .where(
      or(FILTERS.result('kept for parts'), among('$.parts', sql`json_extract(value, '$.donor') is not null`)),
    );
  return rows.map((r) => r.body);
}
