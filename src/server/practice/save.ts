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

/** Keeps how far an exercise came; where it is done, what it came to. An exercise is ended once. */
export function keepExercise(
  db: Database,
  id: string,
  command: SaveExercise,
  person: Person | null,
): Promise<{ exercise: Exercise; judged?: Judged }> {
  return db.write(async (tx) => {
    const found = await exerciseById(tx, id);
    if (!found || found.person !== practiser(person)) throw gone(id);
    const { exercise, map } = found;
    const { answer, done, at, run } = command;
    if (exercise.endedAt) {
      const past = exercise.kind === FIND_IT ? undefined : judged(exercise, map, exercise.answer);
      return { exercise, ...(past ? { judged: past } : {}) };
    }
    const so = answer === undefined ? exercise : { ...exercise, answer };
    if (!done) {
      await saveExercise(tx, so);
      return { exercise: so };
    }
    if (exercise.kind === FIND_IT) {
      const over = exercise.job ? fold(await eventsOf(tx, exercise.job)).state.practiceOver : null;
      if (!over) throw new Problem(422, 'Refused', 'this run is not over yet', '/done');
      if (!run) throw new Problem(422, 'Refused', 'say what the run came to', '/run');
      const ended: Exercise = {
        ...so,
        endedAt: at,
        minutes: run.minutes,
        remember: run.remember,
        ...(run.score === null ? {} : { score: run.score }),
        ...(run.optimum === undefined ? {} : { optimum: run.optimum }),
        ...(run.ways ? { ways: run.ways } : {}),
      };
      await saveExercise(tx, ended);
      return { exercise: ended };
    }
    const result = judged(exercise, map, answer);
    const ended: Exercise = { ...so, endedAt: at, score: result.score, remember: result.remember };
    await saveExercise(tx, ended);
    return { exercise: ended, judged: result };
  });
}
