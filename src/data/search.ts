import { and, eq, inArray, type SQL, sql } from 'drizzle-orm';
import { sqliteTable, text } from 'drizzle-orm/sqlite-core';
import { type JobEvent, mapWords, searchText } from '../core/job';
import type { Asked } from '../core/search';
import type { UnitMap } from '../core/unit';
import type { Handle } from './database';
import { jobEvents, jobs, units } from './tables';

/** The full-text index (SQLite FTS5): a row for each entry with words, and for each unit. */
const search = sqliteTable('search', {
  body: text('body').notNull(),
  ref: text('ref').notNull(),
  event: text('event').notNull(),
  kind: text('kind').$type<'job' | 'unit'>().notNull(),
});
/** Entries that were taken back: they stay in the index, and are passed over. */
const searchGone = sqliteTable('search_gone', { event: text('event').primaryKey() });

/** An undo takes an entry out of what is found, an undo of that brings it back. */
async function takeBack(db: Handle, undone: string, fresh: JobEvent[]): Promise<void> {
  const [row] = await db.select({ body: jobEvents.body }).from(jobEvents).where(eq(jobEvents.id, undone));
  const target = fresh.find((e) => e.id === undone) ?? row?.body;
  if (target?.type === 'undone') await db.delete(searchGone).where(eq(searchGone.event, target.event));
  else await db.insert(searchGone).values({ event: undone }).onConflictDoNothing();
}

/** Adds entries to what is found, in the transaction that keeps them. */
export async function indexEvents(db: Handle, job: string, events: JobEvent[]): Promise<void> {
  const rows = events.flatMap((e) => {
    const body = searchText(e);
    return body ? [{ body, ref: job, event: e.id, kind: 'job' as const }] : [];
  });
  if (rows.length) {
    const [of] = await db
      .select({ practice: sql<unknown>`json_extract(${jobs.summary}, '$.practice')` })
      .from(jobs)
      .where(eq(jobs.id, job));
    // Nothing of a simulated unit is found.
    if (of?.practice) return;
  }
  for (let i = 0; i < rows.length; i += 100) await db.insert(search).values(rows.slice(i, i + 100));
  for (const e of events) if (e.type === 'undone') await takeBack(db, e.event, events);
}

/** Takes everything of a job out of what is found. */
export async function forgetIndexed(db: Handle, job: string): Promise<void> {
  await db.delete(search).where(eq(search.ref, job));
}

/** Puts a unit into what is found, in place of what was found of it. */
export async function indexUnit(db: Handle, id: string, map: UnitMap, place: string): Promise<void> {
  await db.delete(search).where(eq(search.ref, id));
  await db
    .insert(search)
    .values({ body: [mapWords(map), place].filter(Boolean).join(' · '), ref: id, event: '', kind: 'unit' });
}

/** Whether nothing is in the index. */
export async function isIndexEmpty(db: Handle): Promise<boolean> {
  const [row] = await db.select({ ref: search.ref }).from(search).limit(1);
  return row === undefined;
}

/** Fills the index anew from all that is kept. */
export async function reindex(db: Handle): Promise<void> {
  await db.delete(search);
  await db.delete(searchGone);
  for (const u of await db.select().from(units)) await indexUnit(db, u.id, u.map, u.place);
  for (const { id } of await db.select({ id: jobs.id }).from(jobs)) {
    const events = await db
      .select({ body: jobEvents.body })
      .from(jobEvents)
      .where(eq(jobEvents.job, id))
      .orderBy(jobEvents.seq);
    await indexEvents(
      db,
      id,
      events.map((e) => e.body),
    );
  }
}

/** Something that was found. */
export interface Hit {
  kind: 'job' | 'unit';
  ref: string;
  /** where the words stand, the words themselves between ‹ and › */
  where: string;
}

/** What a term of the index stands in, as a list of ids. */
export const matching = (term: string): SQL =>
  sql`(select ref from search where search match ${term} and event not in (select event from search_gone))`;
interface Row {
  row: number;
  kind: Hit['kind'];
  ref: string;
}

/** What of the rest of the question an entry has to stand, of its own job or unit. */
const beside = (asked: Asked, others: string[]): SQL | undefined =>
  and(
    sql`s.event not in (select event from search_gone)`,
    ...others.map((t) => sql`s.ref in ${matching(t)}`),
    ...asked.unwanted.map((t) => sql`s.ref not in ${matching(t)}`),
    ...(asked.tag
      ? [sql`s.ref in (select id from jobs where substr(upper(tag), 1, ${asked.tag.length}) = ${asked.tag})`]
      : []),
  );

/**
 * Entries that match, the best first: so many of them as the index has them in its order, without a look at
 * the others.
 */
const entriesWith = (db: Handle, match: string, asked: Asked, most: number): Promise<Row[]> =>
  db
    .select({ row: sql<number>`i.row`, kind: sql<Hit['kind']>`s.kind`, ref: sql<string>`s.ref` })
    .from(
      sql`(select rowid as row, rank as r from search where search match ${match} order by rank limit ${most * ENTRIES}) i join search s on s.rowid = i.row`,
    )
    .where(beside(asked, []))
    .orderBy(sql`i.r`);

/** Jobs and units with all terms in whatever entries of theirs, each with its best entry of the first. */
const jobsWith = (db: Handle, first: string, others: string[], asked: Asked, most: number): Promise<Row[]> =>
  db
    .select({
      row: sql<number>`s.row`,
      kind: sql<Hit['kind']>`s.kind`,
      ref: sql<string>`s.ref`,
      best: sql<number>`min(s.r)`,
    })
    .from(sql`(select rowid as row, kind, ref, event, rank as r from search where search match ${first}) s`)
    .where(beside(asked, others))
    .groupBy(sql`s.ref`)
    // A bare column beside min() is that of the row which has it.
    .orderBy(sql`min(s.r)`)
    .limit(most);

/** So many entries are looked at for each hit that is wanted. */
const ENTRIES = 20;

/**
 * Jobs and units in which all that is wanted stands: first those that have it all in one entry, then those
 * that have it in several; the best first.
 *
 * @param asked terms, each in the syntax of the index
 * @param most how many
 */
export async function findHits(db: Handle, asked: Asked, most: number): Promise<Hit[]> {
  const [first, ...others] = asked.wanted;
  if (first === undefined) return [];
  const together = asked.wanted.map((t) => `(${t})`).join(' AND ');
  // Several entries of one job are one thing that was found.
  const seen = new Map<string, Row>();
  for (const r of await entriesWith(db, together, asked, most)) if (!seen.has(r.ref)) seen.set(r.ref, r);
  if (seen.size < most)
    for (const r of await jobsWith(db, first, others, asked, most)) if (!seen.has(r.ref)) seen.set(r.ref, r);
  const best = [...seen.values()].slice(0, most);
  // Words are cut out of the rows that are shown alone.
  const cut = await db
    .select({ row: sql<number>`rowid`, where: sql<string>`snippet(search, 0, '‹', '›', '…', 12)` })
    .from(search)
    .where(
      and(
        sql`search match ${first}`,
        sql`rowid in (${sql.join(
          best.map((b) => sql`${b.row}`),
          sql`, `,
        )})`,
      ),
    );
  const where = new Map(cut.map((c) => [c.row, c.where]));
  return best.map(({ row, kind, ref }) => ({ kind, ref, where: where.get(row) ?? '' }));
}

/** Names of units by their ids. */
export async function unitNames(
  db: Handle,
  ids: string[],
): Promise<Map<string, { name: string; place: string }>> {
  if (ids.length === 0) return new Map();
  const rows = await db
    .select({ id: units.id, name: units.name, place: units.place })
    .from(units)
    .where(inArray(units.id, ids));
  return new Map(rows.map((r) => [r.id, r]));
}
