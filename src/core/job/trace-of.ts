import { suspicion, type TraceAnswer, type TraceLogEntry, type TraceRequest, trace } from '../trace';
import { deriveChecks, hazardsOf, type MapCheck, powerOf } from '../unit';
import type { Answer } from './answer';
import { clearedByLooks, LOOKED_AT } from './first-looks';
import { leaders, ranked } from './near-ties';
import { openAccess } from './open';
import { symptomId } from './proofs';
import { rungsOf } from './rungs';
import { isAimed, type JobState, PATTERN_Q } from './state';

/** Elements up to which two faults at once are reckoned. */
const MOST_FOR_TWO = 300;
/** Minutes to switch a unit on, and to take the power out again. Common practice, no source. */
export const POWER_MINUTES = { onMinutes: 1, offMinutes: 1 };

/**
 * The trace request that a job amounts to: elements of its map with q from the pattern of the
 * symptom, less weight on what a first look cleared, derived checks, what is open, the power, and the log
 * headed by the symptoms themselves.
 * When no single fault fits the log, two at once are allowed.
 *
 * @param state a job that has been taken in
 * @param extra an answer not yet recorded, to see what it would change
 * @returns a request for {@link trace}
 * @example traceRequest(state).log[0] // { check: 'symptom:left', outcome: 'bad' }
 */
export function traceRequest(
  state: JobState,
  extra?: Pick<Answer, 'check' | 'outcome' | 'reading'>,
): TraceRequest {
  const { map, intake } = state;
  const q = intake ? PATTERN_Q[intake.pattern] : 1;
  const checks = deriveChecks(map);
  const cleared = clearedByLooks(state);
  const learned = new Map(state.learned?.weights.map((w) => [w.element, w.weight]));
  const log: TraceLogEntry[] =
    intake && !isAimed(state)
      ? [symptomId(state), ...(intake.alsoFails ?? []).map((f) => `symptom:${f}`)].map((check) => ({
          check,
          outcome: 'bad',
        }))
      : [];
  for (const r of state.trace) {
    if (r.tried) log.push({ tried: r.tried.remedy, element: r.tried.element });
    else if (r.check && r.reading !== undefined && r.expect)
      log.push({ check: r.check, reading: r.reading, expect: r.expect });
    else if (r.check && r.outcome) log.push({ check: r.check, outcome: r.outcome });
  }
  if (extra) {
    const expect = checks.find((c) => c.id === extra.check)?.tap?.expect;
    if (extra.reading !== undefined && expect) {
      const { nominal, tolerance, low, high } = expect;
      log.push({ check: extra.check, reading: extra.reading, expect: { nominal, tolerance, low, high } });
    } else if (extra.outcome) log.push({ check: extra.check, outcome: extra.outcome });
  }
  const access = map.access.map((a) => ({
    id: a.id,
    minutes: a.minutes,
    ...(a.needs ? { needs: a.needs } : {}),
  }));
  const opened = openAccess(state).filter((id) => access.some((a) => a.id === id));
  const request: TraceRequest = {
    elements: map.elements.map((e) => ({
      id: e.id,
      weight: (learned.get(e.id) ?? e.hearsay?.weight ?? e.weight) * (cleared.has(e.kind) ? LOOKED_AT : 1),
      q,
      ...(e.needs ? { needs: e.needs } : {}),
      remedies: rungsOf(state, e).map((r) => ({
        id: r.id,
        minutes: r.minutes,
        fixes: r.fixes,
        ...(r.cost === undefined ? {} : { cost: r.cost }),
      })),
    })),
    checks: checks.map((c) => c.trace),
    access,
    opened,
    ...(state.power === 'unknown' ? {} : { power: { now: state.power, ...POWER_MINUTES } }),
    log,
    options: { lookahead: 2, top: 12, repeats: 'intermittent only', exact: true },
  };
  // Answers that fit no single fault are looked at again as two at once.
  const two = map.elements.length <= MOST_FOR_TWO && suspicion(request).contradiction;
  return two ? { ...request, options: { ...request.options, maxFaults: 2, lookahead: 1 } } : request;
}

/** A next check or repair with its words. */
export interface NextStep {
  kind: 'check' | 'repair';
  id: string;
  check?: MapCheck;
  element?: string;
  remedy?: string;
  title: string;
  /** the reason, one sentence */
  why: string;
  /** minutes of the action itself, opening and power included */
  minutes: number;
  expectedMinutes: number;
  openMinutes: number;
  pBad?: number;
  bits?: number;
  /** under power, dead, or either way */
  power: 'powered' | 'dead' | 'either';
  /** something live is near the hand while it is done */
  live: boolean;
  /** place in the ranking, from 1; near ties share it */
  place: number;
  tied: boolean;
}

export interface TraceView {
  answer: TraceAnswer;
  checks: MapCheck[];
  /** element ids with their suspicion, most suspect first */
  suspects: { id: string; p: number }[];
  /** those that are as suspect as the most suspect one, itself among them */
  leaders: { id: string; p: number }[];
  next: NextStep[];
  /** two faults at once that explain the log best, where no single one does */
  together?: { ids: string[]; p: number };
  /** whether repairing now beats every check, and the sentence with its figures */
  enough: boolean;
  reason: string;
}

/** Minutes that are no reason to open a unit before a look from outside. Common practice, no source. */
const FRACTION = 1;
/** Suspicion from which on a look from outside is no longer waited for. Common practice, no source. */
const SURE = 0.9;
/** An element that is rather the one than all others together. */
const MORE_LIKELY_THAN_NOT = 0.5;

const minutes = (m: number) => `${m < 10 ? Number(m.toFixed(1)) : Math.round(m)}\u00a0min`;

/** Suspicion from which on an element is named in a sentence. */
export const WORTH_NAMING = 0.015;
const some = (ids: string[]) =>
  ids.length > 4
    ? `${ids.slice(0, 3).join(', ')} or ${ids.length - 3} more`
    : ids.length > 1
      ? `${ids.slice(0, -1).join(', ')} or ${ids.at(-1)}`
      : ids[0];

/** The reason for a check in one sentence: what each answer would point to, by present suspicion. */
function reasonFor(check: MapCheck, p: Map<string, number>): string {
  const suspects = [...p]
    .filter(([, x]) => x >= WORTH_NAMING)
    .sort((a, b) => b[1] - a[1])
    .map(([id]) => id);
  const tested = new Set(check.trace.exercises ?? []);
  const before = suspects.filter((id) => tested.has(id));
  const after = suspects.filter((id) => !tested.has(id));
  if (check.trace.provokes || !before.length || !after.length) return check.why;
  return `“${check.ok}” points to ${some(after)}; “${check.bad}” to ${some(before)}.`;
}

function words(state: JobState, answer: TraceAnswer, checks: MapCheck[]): NextStep[] {
  const looked = clearedByLooks(state);
  const seen = new Set(state.map.elements.filter((e) => looked.has(e.kind)).map((e) => e.id));
  // What the first look found right is not asked once more by itself.
  const asksAgain = ({ trace: { exercises = [] } }: MapCheck) =>
    exercises.length > 0 && exercises.every((id) => seen.has(id));
  const p = new Map(answer.belief.map((b) => [b.id, b.p]));
  const steps = answer.next.flatMap((n): Omit<NextStep, 'place' | 'tied'>[] => {
    if (n.kind === 'check') {
      const check = checks.find((c) => c.id === n.id);
      if (!check || asksAgain(check)) return [];
      return [
        {
          kind: 'check',
          id: n.id,
          check,
          title: check.title,
          why: reasonFor(check, p),
          minutes: check.trace.minutes + (n.openMinutes ?? 0) + (n.powerMinutes ?? 0),
          expectedMinutes: n.expectedMinutes,
          openMinutes: n.openMinutes ?? 0,
          power: powerOf(check),
          live: hazardsOf(state.map, check).length > 0,
          ...(n.pBad === undefined ? {} : { pBad: n.pBad }),
          ...(n.bits === undefined ? {} : { bits: n.bits }),
        },
      ];
    }
    const e = state.map.elements.find((x) => x.id === n.id);
    const r = e?.remedies.find((x) => x.id === n.remedy);
    if (!e || !r) return [];
    return [
      {
        kind: 'repair',
        id: `${e.id} ${r.id}`,
        element: e.id,
        remedy: r.id,
        title: r.name,
        why: `${Math.round((p.get(e.id) ?? 0) * 100)}\u00a0% it is ${e.id}; this lasts in ${Math.round(r.fixes * 100)}\u00a0% of such faults.`,
        minutes: r.minutes + (n.openMinutes ?? 0),
        expectedMinutes: n.expectedMinutes,
        openMinutes: n.openMinutes ?? 0,
        power: 'dead',
        live: false,
      },
    ];
  });
  return ranked(steps.map((s) => ({ ...s, powered: s.power === 'powered' })));
}

/** Whether to check or to mend, in words. */
function reasonOf(of: {
  first: NextStep | undefined;
  best: NextStep | undefined;
  repair: NextStep | undefined;
  now: number;
  lookFirst: boolean;
  either: boolean;
  enough: boolean;
}): string {
  const { first, best, repair, now } = of;
  if (of.lookFirst && first)
    return `“${first.title}” is done from outside and costs next to nothing: about ${minutes(first.expectedMinutes)} to mended, ${minutes(now)} when repairing now.`;
  if (of.either && best) {
    const live = best.live && !first?.live ? ', which is done beside what is live' : '';
    return `As good either way: about ${minutes(now)} to mended with “${repair?.title}” now, ${minutes(best.expectedMinutes)} with “${best.title}” before it${live}.`;
  }
  if (!of.enough)
    return `Checking still pays: about ${minutes(best?.expectedMinutes ?? now)} to mended, against ${minutes(now)} when repairing now.`;
  return best
    ? `Enough: begin with “${repair?.title}”. Mended in about ${minutes(now)}; the best further check would make it ${minutes(best.expectedMinutes)}.`
    : `Enough: no further check would tell anything. Mended in about ${minutes(now)}.`;
}

/**
 * Suspicion and next actions of a job, with the words a technician reads.
 *
 * @param state a job that has been taken in
 * @param computed answer of {@link trace} for {@link traceRequest}, when it was worked out elsewhere
 * @returns suspects, ranked next steps, and whether it is enough
 * @example traceView(state).suspects[0].id // 'W4'
 */
export function traceView(state: JobState, computed?: TraceAnswer): TraceView {
  const answer = computed ?? trace(traceRequest(state));
  const checks = deriveChecks(state.map);
  const suspects = [...answer.belief].sort((a, b) => b.p - a.p);
  const next = words(state, answer, checks);
  const best = next.find((n) => n.kind === 'check');
  const repair = next.find((n) => n.kind === 'repair');
  const now = answer.repairNowMinutes;
  const first = next[0];
  // A look from outside that costs next to nothing is taken before the unit is opened for good.
  const lookFirst =
    first?.kind === 'check' &&
    first.openMinutes === 0 &&
    first.tied &&
    first.expectedMinutes - now < FRACTION &&
    (suspects[0]?.p ?? 0) < SURE &&
    (repair?.openMinutes ?? 0) > 0;
  // Where repairing and one more check come to the same, what decides between ties decides here too.
  const likely = suspects[0]?.id === first?.element && (suspects[0]?.p ?? 0) > MORE_LIKELY_THAN_NOT;
  const either = !answer.enough && first?.kind === 'repair' && likely;
  const enough = (answer.enough && !lookFirst) || either;
  const reason = reasonOf({ first, best, repair, now, lookFirst, either, enough: answer.enough });
  const far = answer.method === 'exact' ? ' Every way on was looked at.' : '';
  const pair = answer.faultSets?.find((f) => f.ids.length === 2);
  return {
    answer,
    checks,
    suspects,
    leaders: leaders(suspects),
    next,
    enough,
    reason: `${reason}${far}`,
    ...(pair ? { together: pair } : {}),
  };
}

/**
 * Suspicion of every element after each entry of the log, the symptom first.
 *
 * @param state a job that has been taken in
 * @returns one map of element id to chance per entry, one longer than `state.trace`
 * @example beliefHistory(state)[0].get('W4') // 0.18
 */
export function beliefHistory(state: JobState): Map<string, number>[] {
  return Array.from({ length: state.trace.length + 1 }, (_, k) => {
    const request = traceRequest({ ...state, trace: state.trace.slice(0, k) });
    const answer = suspicion(request);
    return new Map(answer.belief.map((b) => [b.id, b.p]));
  });
}
