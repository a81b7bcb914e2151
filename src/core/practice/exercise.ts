import type { TSchema } from '../schema/words';
import type { UnitMap } from '../unit';
import type { Skill } from './skills';

/** One line of what is said afterwards. */
export interface JudgedLine {
  text: string;
  right: boolean;
  why: string;
}

/** What an exercise came to. */
export interface Judged {
  /** 0 to 1 */
  score: number;
  /** the one thing worth remembering */
  remember: string;
  lines: JudgedLine[];
}

/**
 * One kind of exercise, whole: how it is made from a map and a seed, what answers it takes, and how it is
 * judged by the core that judges real jobs. A kind is one file and one line of the registry.
 */
export interface ExerciseKind<Id extends string, Q, A> {
  id: Id;
  /** what is asked, in one sentence */
  asks: string;
  /** as a rule */
  minutes: number;
  /** everything that it can practise */
  skills: readonly Skill[];
  /** @throws Refusal in words where the map has nothing for it */
  make(map: UnitMap, seed: number): Q;
  /** the skills that this one practises */
  practises(question: Q): Skill[];
  /** the answer as it is kept */
  answer: TSchema;
  /** @throws Refusal where the answer names something that was not asked */
  judge(question: Q, answer: A): Judged;
}

/** Gives a kind of exercise the types of its question and its answer. */
export const exercise = <Id extends string, Q, A>(k: ExerciseKind<Id, Q, A>): ExerciseKind<Id, Q, A> => k;
