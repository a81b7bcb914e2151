import { index, integer, primaryKey, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import type { JobEvent, JobSummary } from '../core/job';
import type { UnitMap } from '../core/unit';

export const units = sqliteTable('units', {
  id: text('id').primaryKey(),
  /** raised by one with every save, for optimistic locking */
  version: integer('version').notNull(),
  name: text('name').notNull(),
  place: text('place').notNull().default(''),
  map: text('map', { mode: 'json' }).$type<UnitMap>().notNull(),
  savedAt: text('saved_at').notNull(),
});

export const jobs = sqliteTable(
  'jobs',
  {
    id: text('id').primaryKey(),
    tag: text('tag').notNull(),
    openedAt: text('opened_at').notNull(),
    /** what the bench shows, written in the same transaction as the events it follows from */
    summary: text('summary', { mode: 'json' }).$type<JobSummary>().notNull(),
  },
  (t) => [index('jobs_by_opening').on(t.openedAt)],
);

export const jobEvents = sqliteTable(
  'job_events',
  {
    job: text('job')
      .notNull()
      .references(() => jobs.id),
    /** place in the story, from 0 */
    seq: integer('seq').notNull(),
    id: text('id').notNull().unique(),
    body: text('body', { mode: 'json' }).$type<JobEvent>().notNull(),
  },
  (t) => [primaryKey({ columns: [t.job, t.seq] })],
);

/** What holds for the whole Mulch rather than for one unit or job. */
export const settings = sqliteTable('settings', {
  key: text('key').primaryKey(),
  value: text('value', { mode: 'json' }).$type<unknown>().notNull(),
});

export const photos = sqliteTable('photos', {
  /** SHA-256 of the picture as it is kept, which is also its name in the file store */
  id: text('id').primaryKey(),
  width: integer('width').notNull(),
  height: integer('height').notNull(),
  bytes: integer('bytes').notNull(),
  keptAt: text('kept_at').notNull(),
});
