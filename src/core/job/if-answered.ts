import { suspicion } from '../trace';
import type { MapCheck } from '../unit';
import type { JobState } from './state';
import { traceRequest, WORTH_NAMING } from './trace-of';

/** What one answer of a check would leave. */
export interface IfAnswered {
  /** id of the answer: ok, bad, or its own */
  id: string;
  /** the answer as it is read: "in range" */
  words: string;
  /** elements still suspect then, most suspect first */
  left: { id: string; p: number }[];
  /** how many elements share nine tenths of the suspicion then */
  among: number;
  /** elements worth naming now that would no longer be */
  cleared: string[];
}

const MOST_OF_IT = 0.9;

/** How many of the largest shares make up nine tenths. */
export function sharing(p: number[]): number {
  let sum = 0;
  const sorted = [...p].sort((a, b) => b - a);
  const n = sorted.findIndex((x) => {
    sum += x;
    return sum >= MOST_OF_IT;
  });
  return n < 0 ? p.length : n + 1;
}

/**
 * What each answer of a check would clear, reckoned from the job as it stands.
 *
 * @param state a job that has been taken in
 * @param check one of its checks
 * @param most how many suspects to name
 * @returns one entry per answer, in the order of the check
 * @example ifAnswered(state, tp5)[0].cleared // ['J1', 'A1', 'W4', 'A2', 'W7']
 */
export function ifAnswered(state: JobState, check: MapCheck, most = 4): IfAnswered[] {
  const answers = check.answers ?? [
    { id: 'ok', name: check.ok },
    { id: 'bad', name: check.bad },
  ];
  const now = suspicion(traceRequest(state)).belief.filter((b) => b.p >= WORTH_NAMING);
  return answers.map(({ id, name }) => {
    const then = suspicion(traceRequest(state, { check: check.id, outcome: id })).belief;
    const left = then.filter((b) => b.p >= WORTH_NAMING).sort((a, b) => b.p - a.p);
    const stays = new Set(left.map((b) => b.id));
    return {
      id,
      words: name,
      left: left.slice(0, most),
      among: sharing(then.map((b) => b.p)),
      cleared: now.map((b) => b.id).filter((x) => !stays.has(x)),
    };
  });
}
