import { ulid } from 'ulid';
import { effective, type JobEvent, judge } from '../../core/job';
import type { Person } from '../../core/people';
import { type Exercise, FIND_IT, hide, kindOf, madeUnit, type Wanted, type Wish } from '../../core/practice';
import { shownOf } from '../../core/record';
import { Refusal } from '../../core/refusal';
import type { UnitMap } from '../../core/unit';
import type { Database, Handle } from '../../data/database';
import { exerciseById, insertExercise } from '../../data/exercises';
import { eventsOf, insertJob } from '../../data/jobs';
import { unitById } from '../../data/units';
import { Problem, refused } from '../problem';

export interface StartExercise extends Wanted {
  /** id of the new exercise: asking twice starts one */
  exercise: string;
  at: string;
  by: string;
}

/** Seeds that are drawn lie below this. */
const SEEDS = 1_000_000;
/** A unit where the exercise needs none of its own. */
const PLAIN = { shape: 'chain' as const, size: 8 };

async function mapOf(db: Handle, command: StartExercise, seed: number): Promise<UnitMap> {
  if (!command.unit) {
    const { shape, size } = command.made ?? PLAIN;
    return madeUnit(shape, size, seed);
  }
  const unit = await unitById(db, command.unit);
  if (!unit)
    throw new Problem(404, 'No such unit', `there is no unit ${command.unit} on this Mulch`, '/unit');
  return unit.map;
}

/** Words of the core, in place of a failure. */
function inWords<T>(f: () => T): T {
  try {
    return f();
  } catch (error) {
    if (error instanceof Refusal) throw refused(error);
    throw error;
  }
}

/** A practice job: opened and taken in with what it hides. */
function practiceJob(
  exercise: Exercise,
  map: UnitMap,
  coach: boolean,
  wish: Wish,
): { events: JobEvent[]; job: string; skills: Exercise['skills'] } {
  const { hidden, intake, practises } = hide(map, exercise.seed, wish);
  const job = ulid();
  const stamp = () => ({ id: ulid(), at: exercise.startedAt, by: exercise.by });
  const events: JobEvent[] = [
    {
      ...stamp(),
      type: 'job.opened',
      job,
      tag: 'practice',
      map,
      practice: { exercise: exercise.id, hidden, seed: exercise.seed, coach },
    },
    { ...stamp(), type: 'intake.recorded', ...intake },
  ];
  return { events, job, skills: practises };
}

/** Keeps a practice job: its events are judged like any. */
async function keepJob(tx: Handle, events: JobEvent[]): Promise<void> {
  let record: ReturnType<typeof judge> | null = null;
  for (const event of events) record = judge(record, event);
  if (record) await insertJob(tx, shownOf(record), events);
}

/** Whose exercises they are: a person’s where somebody is signed in, else those of this Mulch. */
export const practiser = (person: Person | null): string => person?.id ?? '';

/** What is to be kept of a new exercise; made before anything is written, since it may take its time. */
function made(command: StartExercise, map: UnitMap, seed: number, by: string) {
  const plain: Exercise = {
    id: command.exercise,
    by,
    kind: command.kind,
    unit: map.name,
    seed,
    startedAt: command.at,
    skills: [],
  };
  if (command.kind === FIND_IT) {
    const { events, job, skills } = practiceJob(plain, map, command.coach ?? false, {
      ...(command.element ? { element: command.element } : {}),
      ...(command.likeliest ? { likeliest: true } : {}),
      ...(command.faults ? { faults: command.faults } : {}),
    });
    return { exercise: { ...plain, job, skills }, events };
  }
  const kind = kindOf(command.kind);
  if (!kind) throw new Problem(404, 'No such exercise', `there is no exercise “${command.kind}”`, '/kind');
  return { exercise: { ...plain, skills: kind.practises(kind.make(map, seed)) }, events: [] };
}

/** Starts an exercise. Asking again with the same id answers the same one. */
export async function startExercise(
  db: Database,
  command: StartExercise,
  person: Person | null,
): Promise<Exercise> {
  const seed = command.seed ?? Math.floor(Math.random() * SEEDS);
  const map = await mapOf(db.read, command, seed).catch((error) => {
    throw error instanceof Refusal ? refused(error, '/made') : error;
  });
  const { exercise, events } = inWords(() => made(command, map, seed, person?.name ?? command.by));
  return db.write(async (tx) => {
    const known = await exerciseById(tx, command.exercise);
    if (known) return known.exercise;
    if (events.length) await keepJob(tx, events);
    await insertExercise(tx, practiser(person), exercise, map);
    return exercise;
  });
}

export interface Again {
  exercise: string;
  at: string;
  by: string;
  /** decisions of the earlier run that stand */
  decisions: number;
}

const isDecision = (e: JobEvent): boolean => e.type === 'check.recorded' || e.type === 'remedy.practised';

/** The entries of a run before one of its decisions, under new ids: they belong to another job. */
function upTo(events: JobEvent[], decisions: number, command: Again, by: string): JobEvent[] {
  const kept: JobEvent[] = [];
  let met = 0;
  for (const e of effective(events) as JobEvent[]) {
    if (e.type === 'practice.ended') continue;
    if (isDecision(e) && met++ === decisions) break;
    kept.push(e);
  }
  // Entries name each other by their ids.
  const fresh = new Map(kept.map((e) => [e.id, ulid()]));
  const renamed = JSON.parse(
    JSON.stringify(kept).replace(/"([0-9A-Z]{26})"/g, (whole, id: string) =>
      fresh.has(id) ? `"${fresh.get(id)}"` : whole,
    ),
  ) as JobEvent[];
  const job = ulid();
  return renamed.map((e) => ({
    ...e,
    by,
    ...(e.type === 'job.opened' && e.practice
      ? { job, practice: { ...e.practice, exercise: command.exercise } }
      : {}),
  }));
}

/**
 * Begins a run anew from one of its decisions: what was done before stands, the same fault is hidden.
 * It is not counted, since it is played knowing more.
 */
export function playAgain(
  db: Database,
  id: string,
  command: Again,
  person: Person | null,
): Promise<Exercise> {
  return db.write(async (tx) => {
    const known = await exerciseById(tx, command.exercise);
    if (known) return known.exercise;
    const from = await exerciseById(tx, id);
    if (!from || from.person !== practiser(person))
      throw new Problem(404, 'No such exercise', `there is no exercise ${id} of yours`);
    if (!from.exercise.job)
      throw new Problem(422, 'Refused', 'only a fault that was looked for is gone over again');
    const by = person?.name ?? command.by;
    const events = upTo(await eventsOf(tx, from.exercise.job), command.decisions, command, by);
    await keepJob(tx, events);
    const [opened] = events;
    const exercise: Exercise = {
      id: command.exercise,
      by,
      kind: FIND_IT,
      unit: from.exercise.unit,
      seed: from.exercise.seed,
      ...(opened?.type === 'job.opened' ? { job: opened.job } : {}),
      startedAt: command.at,
      skills: from.exercise.skills,
      from: { exercise: id, decisions: command.decisions },
      again: true,
    };
    await insertExercise(tx, practiser(person), exercise, from.map);
    return exercise;
  });
}
