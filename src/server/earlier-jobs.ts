import {
  daysBetween,
  type Earlier,
  type EarlierJob,
  isComeback,
  maybeSame,
  sameUnit,
} from '../core/identity';
import type { JobSummary } from '../core/job';
import type { Handle } from '../data/database';
import { markedSummaries, summaryOf } from '../data/jobs';
import { comebackDays } from './comeback-days';
import { Problem } from './problem';

const unitOf = (j: JobSummary) => ({ maker: j.maker ?? '', ...(j.mark ? { mark: j.mark } : {}) });

/** What was still owed from a job, in words. */
function owedBy(j: JobSummary): { owed?: string } {
  const owed = [...(j.owed ? [j.owed] : []), ...(j.owing ?? []).map((o) => o.what)].join('; ');
  return owed ? { owed } : {};
}

function told(now: JobSummary, j: JobSummary, within: number): EarlierJob {
  const ids = (x: JobSummary) => (x.failed ?? []).map((f) => f.id);
  const at = j.handedOverAt;
  return {
    id: j.id,
    tag: j.tag,
    openedAt: j.openedAt,
    symptom: j.symptom,
    failed: (j.failed ?? []).map((f) => f.name),
    mended: j.mended ?? [],
    ...owedBy(j),
    ...(j.warrantyUntil
      ? { warranty: { until: j.warrantyUntil, runs: j.warrantyUntil >= now.openedAt.slice(0, 10) } }
      : {}),
    ...(at ? { handedOverAt: at, days: daysBetween(at, now.openedAt) } : {}),
    comeback:
      at !== undefined &&
      isComeback({ at, functions: ids(j) }, { at: now.openedAt, functions: ids(now) }, within),
  };
}

/** Earlier jobs on the unit of a job, the newest first, and marks that may be meant. */
export async function earlierJobs(db: Handle, id: string): Promise<Earlier> {
  const now = await summaryOf(db, id);
  if (!now) throw new Problem(404, 'No such job', `there is no job ${id} on this Mulch`);
  const within = await comebackDays(db);
  if (!now.mark) return { jobs: [], near: [], comebackDays: within };
  const others = (await markedSummaries(db)).filter((j) => j.id !== id);
  const near = new Map<string, { mark: string; unit: string; tag: string }>();
  for (const j of others)
    if (j.mark && maybeSame(unitOf(now), unitOf(j)) && !near.has(j.mark))
      near.set(j.mark, { mark: j.mark, unit: j.unit, tag: j.tag });
  return {
    jobs: others
      .filter((j) => sameUnit(unitOf(now), unitOf(j)) && j.openedAt <= now.openedAt)
      .map((j) => told(now, j, within)),
    near: [...near.values()],
    comebackDays: within,
  };
}
