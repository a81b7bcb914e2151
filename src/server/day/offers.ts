import { type DayOffer, type StopMinutes, tasksLeft } from '../../core/day-plan';
import { type JobState, type JobSummary, modelOf } from '../../core/job';
import type { Database } from '../../data/database';
import { factsPage } from '../../data/facts';
import { summariesById, summariesOf } from '../../data/jobs';
import { recordsOf } from '../records';

/** Jobs here whose minutes are worked out without being asked for. */
const WORKED_OUT = 30;
/** Jobs of a model that its minutes are taken from, the newest first. */
const MOST_FACTS = 500;

/** Minutes at each stop of earlier jobs on a model. */
async function stopMinutesOf(db: Database, model: string): Promise<StopMinutes> {
  const known: StopMinutes = {};
  for (const f of await factsPage(db.read, { model }, 0, MOST_FACTS))
    for (const { stop, minutes } of f.minutes?.stops ?? [])
      if (minutes > 0) known[stop] = [...(known[stop] ?? []), minutes];
  return known;
}

const rowOf = (j: JobSummary): DayOffer => ({
  job: j.id,
  tag: j.tag,
  unit: j.unit,
  place: j.place,
  stop: j.stop,
  next: j.next,
  ...(j.owner ? { owner: j.owner } : {}),
  ...(j.next.kind === 'waiting' ? { parked: [j.next.head, j.next.detail].filter(Boolean).join(', ') } : {}),
  ...(j.handedOver ? { over: true as const } : {}),
  tasks: [],
  known: 0,
});

/** Jobs that are here, as a day may take them in; those asked for by id with their minutes, here or not. */
export async function dayOffers(db: Database, wanted: string[], now: string): Promise<DayOffer[]> {
  const here = (await summariesOf(db.read, false)).filter((j) => !j.practice);
  const ids = new Set(here.map((j) => j.id));
  const gone = await summariesById(
    db.read,
    wanted.filter((id) => !ids.has(id)),
  );
  const worked = new Set([
    ...wanted,
    ...here
      .filter((j) => j.next.kind !== 'waiting')
      .slice(0, WORKED_OUT)
      .map((j) => j.id),
  ]);
  const byModel = new Map<string, Promise<StopMinutes>>();
  const known = (model: string) => {
    const there = byModel.get(model) ?? stopMinutesOf(db, model);
    byModel.set(model, there);
    return there;
  };
  const offers: DayOffer[] = [];
  for (const j of [...here, ...gone]) {
    const row = rowOf(j);
    const record = worked.has(j.id) ? await recordsOf(db).of(db.read, j.id) : null;
    if (!record) offers.push(row);
    else {
      const { state } = record;
      const reach = state.identity?.reach;
      offers.push({
        ...row,
        ...(reach ? { reach } : {}),
        ...tasksLeft(state, await known(modelOf(state.map)), now),
      });
    }
  }
  return offers;
}

/** The stories of the jobs of a day that are still to be done. */
export async function statesOf(db: Database, jobs: string[]): Promise<JobState[]> {
  const states: JobState[] = [];
  for (const id of jobs) {
    const record = await recordsOf(db).of(db.read, id);
    if (record && !record.state.handedOver) states.push(record.state);
  }
  return states;
}
