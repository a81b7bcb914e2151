import { replaceBy } from '../fit';
import {
  answerWords,
  beforeAfter,
  type Fix,
  fixesOf,
  fixWords,
  functionsTried,
  isDone,
  type JobState,
  type Owed,
  type Photo,
  type Receipt,
  symptomProof,
} from '../job';

/** A reading before and after, on the span it can lie in. */
export interface ReadingTwice {
  what: string;
  unit: string;
  low: number;
  high: number;
  nominal: number;
  tolerance: number;
  before?: number;
  after?: number;
}

/** What the owner of a unit reads of its repair: one page, in plain words. */
export interface OwnersPage {
  tag: string;
  unit: string;
  /** mark, maker and model, place: what tells it from others */
  about: string;
  owner?: string;
  takenIn: string;
  handedOver?: { at: string; to: string; result: string };
  wrong: string[];
  done: string[];
  fitted: { name: string; stamps: string }[];
  shown: { what: string; result: string }[];
  watch: string[];
  owed: Owed[];
  warrantyUntil?: string;
  pictures: Photo[];
  readings: ReadingTwice[];
  receipt: Receipt | null;
}

const COMES: Record<string, string> = {
  always: 'every time',
  'now and then': 'now and then',
  rarely: 'rarely',
  'only when warm': 'only when warm',
};

function wrongOf(state: JobState): string[] {
  const { intake, map } = state;
  if (!intake) return [];
  const names = [intake.function, ...(intake.alsoFails ?? [])].flatMap((id) => {
    const f = map.functions.find((x) => x.id === id);
    return f ? [f.name] : [];
  });
  const aimed = intake.aim !== undefined && intake.aim !== 'fault';
  return [
    ...(intake.symptom.trim() ? [`“${intake.symptom.trim()}”`] : []),
    ...(names.length
      ? [
          aimed
            ? `It came for ${intake.aim === 'upgrade' ? 'an upgrade' : `a ${intake.aim}`}.`
            : `Did not do what it should, ${COMES[intake.pattern] ?? intake.pattern}: ${names.join('; ')}.`,
        ]
      : []),
    ...(intake.unitSays ? [`The unit itself said: ${intake.unitSays}.`] : []),
  ];
}

function doneOf(state: JobState): string[] {
  const { plan, failed } = state;
  const done = fixesOf(state);
  const tried = failed.map((f) => `${f.name}: tried, and it stayed as it was.`);
  if (plan?.kind === 'refer') return [...tried, `${plan.name}: ${plan.why}.`];
  const named = (element: string, remedy: string) =>
    state.map.elements.find((e) => e.id === element)?.remedies.find((r) => r.id === remedy)?.name;
  if (done.length) return [...tried, ...done.map((f) => `${named(f.element, f.remedy) ?? f.name}.`)];
  const words = isDone(state) ? fixWords(state) : '';
  return words ? [...tried, `${words[0]?.toUpperCase()}${words.slice(1)}.`] : tried;
}

function shownOf(state: JobState): OwnersPage['shown'] {
  const proof = symptomProof(state);
  const failing = state.intake?.function;
  return functionsTried(state).flatMap(({ check, name, last }) => {
    if (!last) return [];
    const words = answerWords(check, last);
    const before = check.id === `symptom:${failing}` && proof ? '; it did not before' : '';
    return [{ what: name, result: `${words}${before}${last.note ? `, ${last.note}` : ''}` }];
  });
}

function readingsOf(state: JobState): ReadingTwice[] {
  return beforeAfter(state).flatMap(({ check, before, after }) => {
    const expect = check.tap?.expect;
    if (!expect || !('reading' in before) || before.reading === undefined) return [];
    const { low, high, nominal, tolerance, unit } = expect;
    return [
      {
        what: [check.title, check.about].filter(Boolean).join(', '),
        unit,
        low,
        high,
        nominal,
        tolerance,
        before: before.reading,
        ...(after?.reading === undefined ? {} : { after: after.reading }),
      },
    ];
  });
}

function watchOf(state: JobState): string[] {
  const { handedOver, fix, intake, ledger } = state;
  const compared = fix ? state.batteries[fix.element] : undefined;
  const due = fix && compared ? replaceBy(compared.request.new, fix.at, compared.request.rows) : null;
  const opened = ledger.covers.length > 0;
  const seals = opened ? (intake?.keep ?? []).filter((k) => /\bseal\b/i.test(k)) : [];
  return [
    ...(handedOver?.followUp ? [`To be looked at again: ${handedOver.followUp}.`] : []),
    ...(due ? [`The battery is usually replaced by ${due.date}: ${due.years} years for its kind.`] : []),
    ...(handedOver?.settings ? [`Settings put back: ${handedOver.settings}.`] : []),
    ...seals.map((s) => `${s[0]?.toUpperCase()}${s.slice(1)}: no longer its maker’s, the unit was opened.`),
    ...(handedOver?.disposal ? [`What was taken out: ${handedOver.disposal}.`] : []),
    ...(handedOver?.note ? [handedOver.note] : []),
  ];
}

/**
 * The owner’s page of a job, from the same record as the workshop’s report: nothing on it was not recorded.
 *
 * @param state a job
 * @returns what stands on it; lists that have nothing to say are empty
 * @example ownersPage(state).fitted[0] // { name: 'ribbon 10-way', stamps: 'serial 2612-0417' }
 */
export function ownersPage(state: JobState): OwnersPage {
  const { map, identity, handedOver, place } = state;
  const stamps = (f: Fix) =>
    [
      f.serial && `serial ${f.serial}`,
      f.dateCode && `date code ${f.dateCode}`,
      f.donor && 'used, from another unit',
    ]
      .filter(Boolean)
      .join(', ');
  return {
    tag: state.tag,
    unit: map.name,
    about: [identity?.mark, `${map.maker} ${map.model}`.trim(), place].filter(Boolean).join(', '),
    ...(identity?.owner ? { owner: identity.owner } : {}),
    takenIn: state.openedAt,
    ...(handedOver
      ? { handedOver: { at: handedOver.at, to: handedOver.to, result: handedOver.result } }
      : {}),
    wrong: wrongOf(state),
    done: doneOf(state),
    fitted: fixesOf(state).flatMap((f) => (f.newItem ? [{ name: f.name, stamps: stamps(f) }] : [])),
    shown: shownOf(state),
    watch: watchOf(state),
    owed: [
      ...(handedOver?.owed ? [{ id: 'said', kind: 'other' as const, what: handedOver.owed }] : []),
      ...state.owed,
    ],
    ...(handedOver?.warrantyUntil ? { warrantyUntil: handedOver.warrantyUntil } : {}),
    pictures: state.ownersPictures.flatMap((id) => state.photos.find((p) => p.id === id) ?? []),
    readings: readingsOf(state),
    receipt: state.receipt,
  };
}
