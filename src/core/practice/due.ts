import { type Card, createEmptyCard, fsrs, type Grade, Rating } from 'ts-fsrs';
import { SKILLS, type Skill } from './skills';

/** One exercise that was ended, as far as skills are concerned. */
export interface Practised {
  at: string;
  /** 0 to 1 */
  score: number;
  skills: Skill[];
}

/** How a skill stands. */
export interface SkillStands {
  skill: Skill;
  /** ISO time; null where it was never practised */
  due: string | null;
  /** exercises that practised it */
  times: number;
  /** mean score of the last five, 0 to 1 */
  lately: number | null;
}

const LATELY = 5;
/** From which score on a skill was hard, good, easy. Common practice, no source. */
const GRADES: readonly [number, Grade][] = [
  [0.97, Rating.Easy],
  [0.8, Rating.Good],
  [0.5, Rating.Hard],
];

/**
 * The grade that a score stands for.
 *
 * @param score 0 to 1
 * @returns again, hard, good or easy
 * @example gradeOf(0.85) // Rating.Good
 */
export const gradeOf = (score: number): Grade => GRADES.find(([from]) => score >= from)?.[1] ?? Rating.Again;

// Without its random spread: the same exercises give the same days.
const scheduler = fsrs({ enable_fuzz: false });

/**
 * How every skill stands after the exercises of one person, the most due first: what was never practised
 * comes before what lies ahead.
 *
 * Method: FSRS, the free spaced repetition scheduler, of the kept package, over the exercises in the order
 * in which they were ended.
 *
 * @param done exercises that were ended, in any order
 * @param now ISO time
 * @returns one for each skill
 * @example skillsOf([], now)[0] // { skill: 'halving a chain', due: null, times: 0, lately: null }
 */
export function skillsOf(done: Practised[], now: string): SkillStands[] {
  const inOrder = [...done].sort((a, b) => a.at.localeCompare(b.at));
  const stands = SKILLS.map((skill): SkillStands => {
    const mine = inOrder.filter((d) => d.skills.includes(skill));
    const [first] = mine;
    if (!first) return { skill, due: null, times: 0, lately: null };
    let card: Card = createEmptyCard(new Date(first.at));
    for (const d of mine) card = scheduler.next(card, new Date(d.at), gradeOf(d.score)).card;
    const last = mine.slice(-LATELY);
    return {
      skill,
      due: card.due.toISOString(),
      times: mine.length,
      lately: last.reduce((sum, d) => sum + d.score, 0) / last.length,
    };
  });
  const late = (s: SkillStands) => (s.due === null ? 1 : s.due <= now ? 0 : 2);
  return stands.sort((a, b) => late(a) - late(b) || (a.due ?? '').localeCompare(b.due ?? ''));
}

/**
 * The three skills that went worst lately.
 *
 * @param stands how every skill stands
 * @returns at most three that were practised, the weakest first
 * @example weakest(skillsOf(done, now)).map((s) => s.skill)
 */
export const weakest = (stands: SkillStands[]): SkillStands[] =>
  stands
    .filter((s) => s.lately !== null)
    .sort((a, b) => (a.lately as number) - (b.lately as number))
    .slice(0, 3);
