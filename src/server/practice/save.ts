import { fold } from '../../core/job';
import type { Person } from '../../core/people';
import { type Exercise, FIND_IT, type Judged, judgeAnswer, type KindId } from '../../core/practice';
import { Refusal } from '../../core/refusal';
import type { Database } from '../../data/database';
import { exerciseById, saveExercise } from '../../data/exercises';
import { eventsOf } from '../../data/jobs';
import { Problem, refused } from '../problem';
import { practiser } from './start';

/** What is said of a run that was done on the screens of the run. */
export interface RunScored {
  /** null where it has none: stopped, left, two faults */
  score: number | null;
  minutes: number;
  optimum?: number;
  ways?: { name: string; score: number }[];
  remember: string;
}

export interface SaveExercise {
  at: string;
  /** as far as it was answered */
  answer?: unknown;
  /** it is answered: judge it */
  done: boolean;
  run?: RunScored;
}

const gone = (id: string) => new Problem(404, 'No such exercise', `there is no exercise ${id} of yours`);

function judged(exercise: Exercise, map: Parameters<typeof judgeAnswer>[1], answer: unknown): Judged {
  try {
    return judgeAnswer(exercise.kind as KindId, map, exercise.seed, answer);
  } catch (error) {
    if (error instanceof Refusal) throw refused(error, `/answer${error.path}`);
    throw error;
  }
}

/** What a run came to, once it is over. */
async function runEnded(
  db: Database,
  exercise: Exercise,
  run: RunScored | undefined,
): Promise<Partial<Exercise>> {
  const over = exercise.job ? fold(await eventsOf(db.read, exercise.job)).state.practiceOver : null;
  if (!over) throw new Problem(422, 'Refused', 'this run is not over yet', '/done');
  if (!run) throw new Problem(422, 'Refused', 'say what the run came to', '/run');
  const { score, minutes, optimum, ways, remember } = run;
  return {
    minutes,
    remember,
    ...(score === null ? {} : { score }),
    ...(optimum === undefined ? {} : { optimum }),
    ...(ways ? { ways } : {}),
  };
}

/**
 * Keeps how far an exercise came; where it is done, what it came to. An exercise is ended once. It is judged
 * before anything is written: that may take its time.
 */
export async function keepExercise(
  db: Database,
  id: string,
  { answer, done, at, run }: SaveExercise,
  person: Person | null,
): Promise<{ exercise: Exercise; judged?: Judged }> {
  const found = await exerciseById(db.read, id);
  if (!found || found.person !== practiser(person)) throw gone(id);
  const { exercise, map } = found;
  const judgedAs = (e: Exercise) => (e.kind === FIND_IT ? {} : { judged: judged(e, map, e.answer) });
  if (exercise.endedAt) return { exercise, ...judgedAs(exercise) };
  const so = answer === undefined ? exercise : { ...exercise, answer };
  const result = done ? judgedAs(so) : {};
  const ended: Partial<Exercise> = !done
    ? {}
    : exercise.kind === FIND_IT
      ? await runEnded(db, exercise, run)
      : { score: result.judged?.score ?? 0, remember: result.judged?.remember ?? '' };
  const next: Exercise = { ...so, ...ended, ...(done ? { endedAt: at } : {}) };
  const taken = await db.write((tx) => saveExercise(tx, next));
  if (taken) return { exercise: next, ...result };
  // Somebody was quicker, on another device: what it came to there stands.
  const stands = (await exerciseById(db.read, id))?.exercise ?? exercise;
  return { exercise: stands, ...judgedAs(stands) };
}
