import { type JobEvent, judge } from '../core/job';
import { shownOf } from '../core/record';
import type { Database } from '../data/database';
import { allTags, insertJob, summaryOf } from '../data/jobs';
import { unitById } from '../data/units';
import { learnedFor } from './lessons';
import { Problem } from './problem';

const FIRST = 101;

/** The next free tag: the prefix last used, one number on. */
export function nextTag(tags: string[]): string {
  const parts = tags.map((t) => /^(.*?)(\d+)$/.exec(t)).filter((m) => m !== null);
  const highest = parts.reduce<RegExpExecArray | null>(
    (a, b) => (a && Number(a[2]) > Number(b[2]) ? a : b),
    null,
  );
  return highest ? `${highest[1]}${Number(highest[2]) + 1}` : `J-${FIRST}`;
}

export interface OpenJob {
  /** id of the new job, and of its first event */
  job: string;
  event: string;
  at: string;
  by: string;
  unit: string;
  place?: string;
}

/** Opens a job on a unit. Asking again with the same id answers the same job. */
export function openJob(db: Database, command: OpenJob): Promise<{ id: string; tag: string }> {
  return db.write(async (tx) => {
    const known = await summaryOf(tx, command.job);
    if (known) return { id: known.id, tag: known.tag };
    const unit = await unitById(tx, command.unit);
    if (!unit)
      throw new Problem(404, 'No such unit', `there is no unit ${command.unit} on this Mulch`, '/unit');
    const learned = await learnedFor(tx, unit.map);
    const place = command.place ?? unit.place;
    const event: JobEvent = {
      id: command.event,
      at: command.at,
      by: command.by,
      type: 'job.opened',
      job: command.job,
      tag: nextTag(await allTags(tx)),
      map: unit.map,
      unit: { id: unit.id, version: unit.version },
      ...(place ? { place } : {}),
      ...(learned ? { learned } : {}),
    };
    const opened = judge(null, event);
    await insertJob(tx, shownOf(opened), [event]);
    return { id: opened.state.id, tag: opened.state.tag };
  });
}
