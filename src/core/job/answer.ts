import { SOURCES, type Source } from '../hazard';
import { demand } from '../refusal';
import { Line, Name, oneOf, Type } from '../schema/words';
import { deriveChecks, formatReading, judgeReading, type MapCheck, spreadOf } from '../unit';
import { openAccess } from './open';
import type { JobState } from './state';

export interface Answer {
  check: string;
  /** ok or bad, or the id of one of its answers; absent when a reading says it */
  outcome?: string;
  /** in the unit of the tap */
  reading?: number;
  /** single readings whose mean `reading` is */
  takes?: number[];
  source: Source;
  note?: string;
}

/** What an answer carries, as it is stored. */
export const ANSWER = {
  check: Name,
  outcome: Type.Optional(Name),
  reading: Type.Optional(Type.Number()),
  takes: Type.Optional(Type.Array(Type.Number(), { minItems: 1, maxItems: 100 })),
  source: oneOf(SOURCES),
  note: Type.Optional(Line),
};

/**
 * The check an answer belongs to, after making sure that it could have been made now.
 *
 * @param state a job
 * @param a the answer
 * @returns the check of the map
 * @throws Refusal when the check is unknown, its cover is still on, or the answer does not suit it
 * @example answered(state, { check: 'tap:TP1', reading: 3.31, source: 'meter' }).how // 'measure'
 */
export function answered(state: JobState, a: Answer): MapCheck {
  const check = deriveChecks(state.map).find((c) => c.id === a.check);
  demand(check, `${a.check} is no check of this unit`, '/check');
  const open = openAccess(state);
  for (const id of check.trace.needs ?? []) {
    const name = state.map.access.find((x) => x.id === id)?.name ?? id;
    demand(open.includes(id), `${check.title}: the ${name} is still on. Record it off first`, '/check');
  }
  if (check.how === 'measure') {
    demand(
      a.reading !== undefined && Number.isFinite(a.reading),
      `${check.title}: type the reading`,
      '/reading',
    );
    demand(a.outcome === undefined, 'a measured check is judged by its reading', '/outcome');
    if (a.takes) {
      const { mean } = spreadOf(a.takes);
      demand(
        Math.abs(mean - a.reading) <= 1e-9 * Math.max(1, Math.abs(mean)),
        `${check.title}: the reading is not the mean of its takes`,
        '/reading',
      );
    }
  } else {
    const answers = check.answers?.map((x) => x.id) ?? ['ok', 'bad'];
    const words = check.answers?.map((x) => x.name) ?? [check.ok, check.bad];
    demand(a.outcome && answers.includes(a.outcome), `${check.title}: say ${words.join(' or ')}`, '/outcome');
    demand(a.reading === undefined, `${check.title} takes no reading`, '/reading');
  }
  return check;
}

/**
 * What an answer says of the unit.
 *
 * @param check it belongs to
 * @param a answer id, or a reading in the unit of the tap
 * @returns ok or bad
 * @example verdictOf(check, { reading: 3.31 }) // 'ok'
 */
export function verdictOf(check: MapCheck, a: { outcome?: string; reading?: number }): 'ok' | 'bad' {
  if (check.tap?.expect && a.reading !== undefined) {
    return judgeReading(a.reading, check.tap.expect).inRange ? 'ok' : 'bad';
  }
  const answer = check.answers?.find((x) => x.id === a.outcome);
  if (answer) return answer.points.length ? 'bad' : 'ok';
  return a.outcome === 'ok' ? 'ok' : 'bad';
}

/**
 * The answer as a technician reads it.
 *
 * @param check it belongs to
 * @param a answer id, or a reading in the unit of the tap
 * @returns "in range", "still fails", the code that was shown
 * @example answerWords(check, { reading: 3.31 }) // 'in range'
 */
export function answerWords(check: MapCheck, a: { outcome?: string; reading?: number }): string {
  const answer = check.answers?.find((x) => x.id === a.outcome);
  if (answer) return answer.name;
  return verdictOf(check, a) === 'ok' ? check.ok : check.bad;
}

/**
 * A check with its answer, for the log.
 *
 * @param state a job
 * @param a the answer
 * @returns such as "TP1 supply: 3.31 V, in range"
 * @example answerLine(state, { check: 'tap:TP1', reading: 3.31, source: 'meter' })
 */
export function answerLine(state: JobState, a: Answer): string {
  const check = deriveChecks(state.map).find((c) => c.id === a.check);
  if (!check) return a.check;
  const verdict = answerWords(check, a);
  return a.reading === undefined
    ? `${check.title}: ${verdict}`
    : `${check.title}: ${formatReading(a.reading, check.tap?.expect?.unit ?? '')}, ${verdict}`;
}
