import { priceOf } from '../cost';
import {
  type Aim,
  effective,
  fixesOf,
  type HandOver,
  type JobRecord,
  type JobState,
  modelOf,
  type Stop,
  symptomProof,
  verdictOf,
} from '../job';
import { deriveChecks, type ElementKind, type RemedyKind } from '../unit';
import { type Durations, durationsOf } from './durations';

/** What came of a remedy: alone it mended the unit, or with others in one opening, or it did not. */
export type RemedyEnd = 'mended' | 'mended with others' | 'in vain';

export interface RemedyFact {
  element: string;
  /** the element in words */
  name: string;
  kind: ElementKind;
  remedy: string;
  /** the remedy in words */
  words: string;
  remedyKind: RemedyKind;
  end: RemedyEnd;
  /** chance that it lasts, as the map says */
  fixes: number;
}

/** A check that was made while tracing. */
export interface CheckFact {
  check: string;
  /** in words */
  words: string;
  bad: boolean;
}

/** What one job leaves for the record: no text of its owner but who that is. */
export interface JobFacts {
  job: string;
  tag: string;
  unit: string;
  /** maker and model; empty where the map says neither */
  model: string;
  maker: string;
  place: string;
  owner?: string;
  mark?: string;
  openedAt: string;
  handedOverAt?: string;
  result?: HandOver['result'];
  stop: Stop;
  aim: Aim;
  symptom: string;
  /** functions that failed */
  failed: { id: string; name: string }[];
  /** message or code of the unit itself */
  unitSays?: string;
  /** everybody who recorded something */
  people: string[];
  remedies: RemedyFact[];
  checks: CheckFact[];
  /** whom it was referred to, and why */
  referred?: { to: string; why: string };
  /** what was fitted, in words, and the job of the unit it was taken from */
  parts: { name: string; donor?: string }[];
  /** what was quoted, the way that was chosen or the first, and what came of it */
  quote?: {
    currency: string;
    /** in minor units */
    price: number;
    minutes: number;
    answer: 'accepted' | 'refused' | 'open';
  };
  /** how often it was taken in hand: one more than it was parked */
  visits: number;
  /** minutes at work, once it is handed over */
  minutes?: Durations;
}

function remediesOf(state: JobState): RemedyFact[] {
  const proven = state.handedOver?.result === 'works' && symptomProof(state)?.outcome === 'ok';
  const done = fixesOf(state);
  const end: RemedyEnd = done.length > 1 ? 'mended with others' : 'mended';
  return [
    ...state.failed.map((f) => ({ f, end: 'in vain' as const })),
    ...(proven ? done.map((f) => ({ f, end })) : []),
  ].flatMap(({ f, end }) => {
    const element = state.map.elements.find((e) => e.id === f.element);
    const remedy = element?.remedies.find((r) => r.id === f.remedy);
    return element && remedy
      ? [
          {
            element: element.id,
            name: element.name,
            kind: element.kind,
            remedy: remedy.id,
            words: remedy.name,
            remedyKind: remedy.kind,
            end,
            fixes: remedy.fixes,
          },
        ]
      : [];
  });
}

function checksOf(state: JobState): CheckFact[] {
  const known = new Map(deriveChecks(state.map).map((c) => [c.id, c]));
  return state.trace.flatMap((r) => {
    const check = r.check === undefined ? undefined : known.get(r.check);
    return check ? [{ check: check.id, words: check.title, bad: verdictOf(check, r) !== 'ok' }] : [];
  });
}

/** What was put in where something else was. */
const partsOf = (state: JobState): JobFacts['parts'] =>
  [...state.failed, ...fixesOf(state)].flatMap((f) =>
    f.newItem ? [{ name: f.name, ...(f.donor ? { donor: f.donor.job } : {}) }] : [],
  );

function quoteOf({ quote }: JobState): Pick<JobFacts, 'quote'> {
  const line = quote?.lines[quote.answer?.line ?? 0];
  if (!quote || !line) return {};
  const { answer, currency, ratePerHour } = quote;
  return {
    quote: {
      currency,
      price: priceOf(line, ratePerHour),
      minutes: line.minutes,
      answer: answer === null ? 'open' : answer.line === null ? 'refused' : 'accepted',
    },
  };
}

/**
 * What a job leaves for the record.
 *
 * @param record a job with its entries
 * @returns its facts; minutes only once it is handed over
 * @example factsOf(record).remedies[0]?.end // 'mended'
 */
export function factsOf({ state, events }: JobRecord): JobFacts {
  const { intake, identity, handedOver, plan, map } = state;
  const ids = intake ? [intake.function, ...(intake.alsoFails ?? [])] : [];
  const referral = events.findLast((e) => e.type === 'job.referred');
  return {
    job: state.id,
    tag: state.tag,
    unit: map.name,
    model: modelOf(map),
    maker: map.maker,
    place: state.place ?? '',
    ...(identity?.owner ? { owner: identity.owner } : {}),
    ...(identity?.mark ? { mark: identity.mark } : {}),
    openedAt: state.openedAt,
    ...(handedOver ? { handedOverAt: handedOver.at, result: handedOver.result } : {}),
    stop: state.stop,
    aim: intake?.aim ?? 'fault',
    symptom: intake?.symptom ?? '',
    failed: map.functions.filter((f) => ids.includes(f.id)).map(({ id, name }) => ({ id, name })),
    ...(intake?.unitSays ? { unitSays: intake.unitSays } : {}),
    people: [...new Set(events.map((e) => e.by))],
    remedies: remediesOf(state),
    checks: checksOf(state),
    ...(plan?.kind === 'refer' && referral?.type === 'job.referred'
      ? { referred: { to: referral.to, why: referral.why } }
      : {}),
    parts: partsOf(state),
    ...quoteOf(state),
    visits: 1 + effective(events).filter((e) => e.type === 'job.parked').length,
    ...(handedOver ? { minutes: durationsOf(events) } : {}),
  };
}
