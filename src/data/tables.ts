import { index, integer, primaryKey, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import type { DayPlan } from '../core/day-plan';
import type { JobEvent, JobSummary } from '../core/job';
import type { Role } from '../core/people';
import type { Exercise } from '../core/practice';
import type { JobFacts } from '../core/record';
import type { Movement, StockItem } from '../core/stock';
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

/** What each job leaves for the record, written in the same transaction as the events it follows from. */
export const jobFacts = sqliteTable(
  'job_facts',
  {
    job: text('job')
      .primaryKey()
      .references(() => jobs.id),
    openedAt: text('opened_at').notNull(),
    body: text('body', { mode: 'json' }).$type<JobFacts>().notNull(),
  },
  (t) => [index('job_facts_by_opening').on(t.openedAt)],
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

/** Who may come in. */
export const people = sqliteTable('people', {
  id: text('id').primaryKey(),
  /** the name as it is compared, so that two who look alike are one */
  key: text('key').notNull().unique(),
  name: text('name').notNull(),
  role: text('role').$type<Role>().notNull(),
  /** argon2id, with its salt and its cost */
  passcode: text('passcode').notNull(),
  addedAt: text('added_at').notNull(),
});

/** Browsers that a person signed in with. */
export const devices = sqliteTable(
  'devices',
  {
    id: text('id').primaryKey(),
    /** SHA-256 of what the browser shows: whoever reads the table cannot come in with it */
    token: text('token').notNull().unique(),
    person: text('person')
      .notNull()
      .references(() => people.id, { onDelete: 'cascade' }),
    /** what it says of itself, in words */
    words: text('words').notNull(),
    startedAt: text('started_at').notNull(),
    seenAt: text('seen_at').notNull(),
    endsAt: text('ends_at').notNull(),
  },
  (t) => [index('devices_of_person').on(t.person)],
);

/** Links that bring one more device to a job: each valid once, and not for long. */
export const links = sqliteTable('links', {
  /** SHA-256 of what the link says */
  token: text('token').primaryKey(),
  person: text('person')
    .notNull()
    .references(() => people.id, { onDelete: 'cascade' }),
  /** where it leads */
  to: text('to').notNull(),
  endsAt: text('ends_at').notNull(),
  usedAt: text('used_at'),
});

/** Exercises on the practice bench: what each was made of, how far it came, what it came to. */
export const exercises = sqliteTable(
  'exercises',
  {
    id: text('id').primaryKey(),
    /** who practises, as their name is compared; empty where nobody is registered */
    person: text('person').notNull(),
    startedAt: text('started_at').notNull(),
    endedAt: text('ended_at'),
    /** the unit it is done on, as it stood: the exercise is made from it and its seed */
    map: text('map', { mode: 'json' }).$type<UnitMap>().notNull(),
    body: text('body', { mode: 'json' }).$type<Exercise>().notNull(),
  },
  (t) => [index('exercises_of_person').on(t.person, t.startedAt)],
);

/** What the store keeps. */
export const stockItems = sqliteTable('stock_items', {
  id: text('id').primaryKey(),
  /** raised by one with every save */
  version: integer('version').notNull(),
  body: text('body', { mode: 'json' }).$type<StockItem>().notNull(),
});

/** The ledger of the store: lines are added, never changed. */
export const stockMovements = sqliteTable(
  'stock_movements',
  {
    /** place in the ledger */
    seq: integer('seq').primaryKey({ autoIncrement: true }),
    id: text('id').notNull().unique(),
    item: text('item')
      .notNull()
      .references(() => stockItems.id),
    /** the job it was for */
    job: text('job'),
    body: text('body', { mode: 'json' }).$type<Movement>().notNull(),
  },
  (t) => [index('stock_movements_of_item').on(t.item), index('stock_movements_of_job').on(t.job)],
);

/** Days as they are planned, one for each technician. */
export const dayPlans = sqliteTable(
  'day_plans',
  {
    /** as 2026-11-27 */
    day: text('day').notNull(),
    person: text('person').notNull(),
    /** raised by one with every save */
    version: integer('version').notNull(),
    body: text('body', { mode: 'json' }).$type<DayPlan>().notNull(),
  },
  (t) => [primaryKey({ columns: [t.day, t.person] })],
);
