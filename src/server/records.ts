import { fold, foldOn, type JobEvent, type JobRecord } from '../core/job';
import type { Database, Handle } from '../data/database';
import { eventsOf, storiesRewritten } from '../data/jobs';

/** Jobs whose folded record is kept, and how many entries they may have together. */
const MOST_JOBS = 40;
const MOST_ENTRIES = 60_000;

/**
 * The folded records of the jobs in hand. What is kept holds as long as its last entry still stands
 * where it stood; only what came after it is read.
 */
class Records {
  /** the one used last stands last */
  private readonly kept = new Map<string, JobRecord>();

  /** how often stories had been written anew when these were read */
  private rewritten = 0;

  /** The record of a job as it stands, or null where there is none. */
  async of(db: Handle, job: string): Promise<JobRecord | null> {
    const rewritten = await storiesRewritten(db);
    // Somebody was taken out of the stories, here or by another process: nothing that was read holds.
    if (rewritten !== this.rewritten) this.kept.clear();
    this.rewritten = rewritten;
    const known = this.kept.get(job);
    const record = known ? await this.goneOn(db, job, known) : await this.anew(db, job);
    if (record) this.keep(job, record);
    else this.kept.delete(job);
    return record;
  }

  /** Keeps a record whose entries are kept in the database. */
  keep(job: string, record: JobRecord): void {
    this.kept.delete(job);
    this.kept.set(job, record);
    let entries = 0;
    for (const r of this.kept.values()) entries += r.events.length;
    for (const [old, r] of this.kept) {
      if (old === job || (this.kept.size <= MOST_JOBS && entries <= MOST_ENTRIES)) break;
      entries -= r.events.length;
      this.kept.delete(old);
    }
  }

  private async anew(db: Handle, job: string): Promise<JobRecord | null> {
    const events = await eventsOf(db, job);
    return events.length ? fold(events) : null;
  }

  private async goneOn(db: Handle, job: string, known: JobRecord): Promise<JobRecord | null> {
    const last = known.events.length - 1;
    const [same, ...more] = await eventsOf(db, job, last);
    // Another database stands here now, or an older one.
    if (same?.id !== (known.events[last] as JobEvent).id) return this.anew(db, job);
    return more.length ? foldOn(known, more) : known;
  }
}

const records = new WeakMap<Database, Records>();

/** The records of a database. */
export function recordsOf(db: Database): Records {
  let there = records.get(db);
  if (!there) {
    there = new Records();
    records.set(db, there);
  }
  return there;
}
