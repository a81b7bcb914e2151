import { type Place, placeTag, specOf, tally } from '../ledger';
import { inUseWords } from './in-use';
import { type Lesson, lessonOf } from './lesson';
import { openAccess } from './open';
import { fixesOf } from './opening';
import { offCount, runOf } from './run';
import type { JobState, Stop } from './state';
import { stillFed } from './still-fed';

/** What the bench shows of a job without folding it. */
export interface JobSummary {
  id: string;
  tag: string;
  unit: string;
  model: string;
  place: string;
  symptom: string;
  stop: Stop;
  run: ReturnType<typeof runOf>;
  /** what it waits for, or what is next */
  next: { head: string; detail: string; kind: 'go' | 'held' | 'waiting' | 'done' };
  off: number;
  missing: {
    spec: string;
    count: number;
    of: number;
    place: string;
    /** the place by its kind; jobs summed up before it was kept have it in words only */
    kept?: Place;
    drive?: string;
    thread?: string;
    lengthMm?: number;
  }[];
  live: string[];
  /** batteries that go on feeding a unit that is open, by name */
  fed?: string[];
  openedAt: string;
  handedOver: boolean;
  /** which unit it was, where that was said, and who made it */
  mark?: string;
  maker?: string;
  owner?: string;
  /** functions that failed, by their ids and in words */
  failed?: { id: string; name: string }[];
  handedOverAt?: string;
  /** what was mended, in words */
  mended?: string[];
  /** what was still owed to somebody */
  owed?: string;
  /** what is still owed to somebody, by when */
  owing?: { id: string; what: string; due?: string }[];
  /** last day of the workshop’s own warranty */
  warrantyUntil?: string;
  /** a simulated unit: it stands on no list of the workshop */
  practice?: true;
  /** what this job taught, once it is handed over and proven */
  lesson?: Lesson;
}

const NEXT: Record<Stop, (s: JobState) => { head: string; detail: string }> = {
  'take in': () => ({ head: 'Take in', detail: 'say what fails' }),
  trace: (s) => ({
    head: 'Go on',
    detail: s.trace.length ? `${s.trace.length} checks so far` : 'first check',
  }),
  plan: () => ({ head: 'Plan', detail: 'choose the remedy' }),
  'make safe': (s) => ({ head: 'Make safe', detail: s.plan?.name ?? 'clear the gates' }),
  'open up': (s) => ({
    head: 'Go on',
    detail: offCount(s).pieces ? `${offCount(s).pieces} off` : 'first cover',
  }),
  swap: (s) => ({ head: 'Swap', detail: s.out ? 'new part in' : (s.plan?.name ?? '') }),
  'close up': (s) => ({ head: 'Close up', detail: `${offCount(s).pieces} to go back` }),
  prove: () => ({ head: 'Prove', detail: 'repeat the failing check' }),
  'hand over': (s) => ({
    head: 'Hand over',
    detail: s.plan?.kind === 'refer' ? s.plan.name : 'report ready',
  }),
};

function next(state: JobState): JobSummary['next'] {
  if (state.handedOver) return { head: 'Handed over', detail: `to ${state.handedOver.to}`, kind: 'done' };
  if (state.parked) {
    return { head: state.parked.why, detail: state.parked.until ?? 'parked', kind: 'waiting' };
  }
  const here = runOf(state).find((r) => r.stop === state.stop);
  const words = NEXT[state.stop](state);
  return here?.status === 'held'
    ? { head: words.head, detail: `held ${here.note}`, kind: 'held' }
    : { ...words, kind: 'go' };
}

/** What the next job on the same unit asks of this one. */
function identityOf(state: JobState): Partial<JobSummary> {
  const { identity, intake, handedOver, map } = state;
  if (!identity) return {};
  const ids = intake ? [intake.function, ...(intake.alsoFails ?? [])] : [];
  return {
    maker: map.maker,
    ...(identity.mark ? { mark: identity.mark } : {}),
    ...(identity.owner ? { owner: identity.owner } : {}),
    failed: map.functions.filter((f) => ids.includes(f.id)).map(({ id, name }) => ({ id, name })),
    ...(handedOver ? { handedOverAt: handedOver.at } : {}),
    ...(handedOver?.owed ? { owed: handedOver.owed } : {}),
    mended: fixesOf(state).map((f) => f.name),
  };
}

/** What is still open after a hand over. */
function owingOf(state: JobState): Partial<JobSummary> {
  const open = state.owed.filter((o) => !o.settled);
  const until = state.handedOver?.warrantyUntil;
  return {
    ...(open.length
      ? { owing: open.map(({ id, what, due }) => ({ id, what, ...(due ? { due } : {}) })) }
      : {}),
    ...(until ? { warrantyUntil: until } : {}),
  };
}

/**
 * Sums a job up for the bench.
 *
 * @param state a job
 * @returns what one row shows: stop, next thing, what is off, missing and live
 * @example summarise(state).next.head // 'Go on'
 */
export function summarise(state: JobState): JobSummary {
  const lesson = lessonOf(state);
  const open = !state.handedOver && openAccess(state).length > 0;
  const fed = open ? stillFed(state).map((f) => f.battery.name) : [];
  return {
    id: state.id,
    tag: state.tag,
    unit: state.map.name,
    model: `${state.map.maker} ${state.map.model}`.trim(),
    place: state.place ?? '',
    symptom: state.intake?.symptom ?? '',
    stop: state.stop,
    run: runOf(state),
    next: next(state),
    off: offCount(state).pieces,
    missing: state.ledger.items.flatMap((i) =>
      i.missing
        ? [
            {
              spec: specOf(i),
              count: i.missing,
              of: tally(i).taken,
              place: placeTag(i.place),
              kept: i.place,
              ...(i.drive ? { drive: i.drive } : {}),
              ...(i.thread ? { thread: i.thread } : {}),
              ...(i.lengthMm ? { lengthMm: i.lengthMm } : {}),
            },
          ]
        : [],
    ),
    live: state.handedOver
      ? []
      : [
          ...state.hazards
            .filter((h) => h.status === 'live')
            .map((h) => state.map.hazards.find((x) => x.id === h.id)?.name ?? h.id),
          ...state.inUse.map(inUseWords),
        ],
    ...(fed.length ? { fed } : {}),
    openedAt: state.openedAt,
    handedOver: state.handedOver !== null,
    ...identityOf(state),
    ...owingOf(state),
    ...(state.practice ? { practice: true } : {}),
    ...(lesson ? { lesson } : {}),
  };
}
