import type { UnitMap } from '../unit';
import type { ExerciseKind, Judged } from './exercise';
import { fits } from './kinds/fits';
import { missing } from './kinds/missing';
import { plugsBack } from './kinds/plugs-back';
import { quickReading } from './kinds/quick-reading';
import { wayBackOrder } from './kinds/way-back';
import type { Skill } from './skills';

/** Kinds that are asked and answered on a sheet of their own. A new one is its file and a line here. */
export const KINDS = [missing, plugsBack, wayBackOrder, fits, quickReading] as const;
export type KindId = (typeof KINDS)[number]['id'];
export type QuestionOf<K extends KindId> = ReturnType<Extract<(typeof KINDS)[number], { id: K }>['make']>;

/** A kind without the types of its own question and answer. */
export const kindOf = (id: string): ExerciseKind<string, unknown, unknown> | undefined =>
  KINDS.find((k) => k.id === id) as ExerciseKind<string, unknown, unknown> | undefined;

/**
 * Judges an answer anew: the question is made from its map and seed, so that nothing but the answer is kept.
 *
 * @param id of the kind
 * @param map of the unit
 * @param seed a whole number
 * @param answer as the kind takes it
 * @returns what it came to, and the skills it practised
 * @throws Refusal where the map has nothing for it, or the answer names what was not asked
 * @example judgeAnswer('fits, or not', map, 7, { line: null }).score // 0 or 1
 */
export function judgeAnswer(
  id: KindId,
  map: UnitMap,
  seed: number,
  answer: unknown,
): Judged & { practised: Skill[] } {
  const kind = kindOf(id) as ExerciseKind<string, unknown, unknown>;
  const question = kind.make(map, seed);
  return { ...kind.judge(question, answer), practised: kind.practises(question) };
}
