import { ulid } from 'ulid';
import {
  actsOf,
  decisionNow,
  decisionsOf,
  entryOf,
  type JobEvent,
  type JobRecord,
  judge,
  type PracticeAct,
  practiceClock,
} from '../core/job';
import {
  drawing,
  type Exercise,
  handScores,
  hide,
  judgeAnswer,
  type KindId,
  kindOf,
  madeUnit,
  type QuestionOf,
  type Shape,
  storyOf,
} from '../core/practice';
import { valued } from '../core/regret';
import type { UnitMap } from '../core/unit';
import { TECHNICIAN } from './jobs';

/** What somebody has practised, some weeks of it: a run is played by the rules, better with time. */
const RUNS: { daysAgo: number; shape: Shape; size: number; seed: number; sure: number }[] = [
  { daysAgo: 33, shape: 'chain', size: 5, seed: 3, sure: 0.2 },
  { daysAgo: 26, shape: 'chain', size: 5, seed: 14, sure: 0.4 },
  { daysAgo: 19, shape: 'two channels', size: 6, seed: 5, sure: 0.5 },
  { daysAgo: 12, shape: 'chain', size: 5, seed: 21, sure: 0.75 },
  { daysAgo: 5, shape: 'two channels', size: 6, seed: 9, sure: 0.9 },
  { daysAgo: 1, shape: 'chain', size: 5, seed: 30, sure: 1 },
];
const SHEETS: { daysAgo: number; kind: KindId; seed: number; right: boolean }[] = [
  { daysAgo: 30, kind: 'quick reading', seed: 2, right: false },
  { daysAgo: 23, kind: 'fits, or not', seed: 4, right: true },
  { daysAgo: 16, kind: 'quick reading', seed: 8, right: true },
  { daysAgo: 9, kind: 'what is missing', seed: 6, right: true },
  { daysAgo: 2, kind: 'quick reading', seed: 5, right: true },
];
const DAY = 86_400_000;
const MOST_ACTS = 25;

export interface DemoExercise {
  exercise: Exercise;
  map: UnitMap;
  job?: JobRecord;
}

/** Opens what an act lies under, the mains proven out first, and does it. */
function does(
  record: JobRecord,
  act: PracticeAct,
  next: (r: JobRecord, told: object) => JobRecord,
): JobRecord {
  let r = record;
  for (const h of r.state.map.hazards)
    if (
      r.state.hazards.find((s) => s.id === h.id)?.status !== 'made safe' &&
      r.state.ledger.covers.length === 0
    )
      r = next(r, {
        type: 'gate.cleared',
        hazard: h.id,
        acted: true,
        source: 'meter',
        ...(h.clear.reading ? { reading: 1, unit: h.clear.reading.unit } : {}),
      });
  for (const a of r.state.map.access)
    if (!r.state.ledger.covers.some((c) => c.id === a.id))
      r = next(r, {
        type: 'move.recorded',
        verb: 'lift',
        text: `lift ${a.name}`,
        item: { kind: 'part', name: a.name, count: 1, place: { kind: 'shelf' } },
      });
  const { type, payload } = entryOf(r.state, act);
  return next(r, { type, ...payload });
}

function run({ daysAgo, shape, size, seed, sure }: (typeof RUNS)[number], now: Date): DemoExercise {
  const map = madeUnit(shape, size, seed);
  const { hidden, intake, practises } = hide(map, seed);
  let time = now.getTime() - daysAgo * DAY;
  const id = ulid(time);
  const startedAt = new Date(time).toISOString();
  const next = (r: JobRecord | null, told: object): JobRecord => {
    time += 40_000;
    return judge(r, {
      id: ulid(time),
      at: new Date(time).toISOString(),
      by: TECHNICIAN,
      ...told,
    } as JobEvent);
  };
  const job = ulid(time);
  const practice = { exercise: id, hidden, seed, coach: false };
  let r = next(null, { type: 'job.opened', job, tag: 'practice', map, practice });
  r = next(r, { type: 'intake.recorded', ...intake });
  const draw = drawing(seed, 'demo');
  for (let guard = 0; guard < MOST_ACTS && !r.state.practiceOver; guard++) {
    const { acts } = valued(decisionNow(r.state));
    const chosen = draw.chance(sure) ? acts[0] : draw.pick(acts);
    if (!chosen) break;
    const remedy = chosen.remedy ?? map.elements.find((e) => e.id === chosen.id)?.remedies[0]?.id ?? '';
    r = does(r, chosen.kind === 'check' ? { check: chosen.id } : { tried: remedy, element: chosen.id }, next);
  }
  if (!r.state.practiceOver) r = next(r, { type: 'practice.ended', how: 'left' });
  const decided = decisionsOf(r.state);
  const story = storyOf(decided);
  const mended = r.state.practiceOver?.how === 'mended' && actsOf(r.state).length > 0;
  const ways = decided[0] ? handScores(decided[0]) : [];
  return {
    map,
    job: r,
    exercise: {
      id,
      by: TECHNICIAN,
      kind: 'find it',
      unit: map.name,
      seed,
      job,
      startedAt,
      endedAt: new Date(time).toISOString(),
      skills: practises,
      minutes: practiceClock(r.state).total,
      remember: story.remember,
      ...(mended && story.score !== null ? { score: story.score } : {}),
      ...(story.optimum === null ? {} : { optimum: story.optimum }),
      ...(ways.length ? { ways } : {}),
    },
  };
}

/** All answers that a question of this kind could be given. */
function answersTo(kind: KindId, map: UnitMap, seed: number): unknown[] {
  const question = kindOf(kind)?.make(map, seed);
  if (kind === 'quick reading')
    return (question as QuestionOf<'quick reading'>).options.map((value) => ({ value }));
  if (kind === 'fits, or not')
    return [null, ...(question as QuestionOf<'fits, or not'>).lines.map((l) => l.line)].map((line) => ({
      line,
    }));
  return (question as QuestionOf<'what is missing'>).lines.map((_, place) => ({ place }));
}

function sheet({ daysAgo, kind, seed, right }: (typeof SHEETS)[number], now: Date): DemoExercise {
  const map = madeUnit('chain', 7, seed);
  const at = now.getTime() - daysAgo * DAY;
  const judged = answersTo(kind, map, seed).map((answer) => ({
    answer,
    ...judgeAnswer(kind, map, seed, answer),
  }));
  const given = judged.find((j) => (j.score === 1) === right) ?? judged[0];
  return {
    map,
    exercise: {
      id: ulid(at),
      by: TECHNICIAN,
      kind,
      unit: map.name,
      seed,
      startedAt: new Date(at).toISOString(),
      endedAt: new Date(at + 90_000).toISOString(),
      answer: given?.answer,
      skills: given?.practised ?? [],
      ...(given ? { score: given.score, remember: given.remember } : {}),
    },
  };
}

/**
 * Some weeks of practice, told through the same rules as any other.
 *
 * @param now time the demo is seeded
 */
export const demoPractice = (now: Date): DemoExercise[] => [
  ...RUNS.map((r) => run(r, now)),
  ...SHEETS.map((s) => sheet(s, now)),
];
