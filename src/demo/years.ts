import { ulid } from 'ulid';
import {
  coversNeeded,
  entryOf,
  gatesAhead,
  type JobRecord,
  openAccess,
  openPoints,
  traceRequest,
} from '../core/job';
import { drawing, hide } from '../core/practice';
import { suspicion } from '../core/trace';
import { deriveChecks, type MapCheck, type MapRemedy, type UnitMap } from '../core/unit';
import { DEMO_UNITS, TECHNICIAN } from './jobs';
import { Told } from './told';

/** What is true of the pier, and what its record has to come near to. */
export const TRUTH = {
  jobs: 160,
  days: 730,
  /** share of faults that a remedy takes away for good, by its kind */
  lasts: { replace: 0.95, reseat: 0.8, clean: 0.82, default: 0.9 } as Record<string, number>,
  /** how often a quote is asked for, and how often it is accepted */
  quoted: 0.25,
  accepted: 0.85,
  /** how often the element at fault is planned first, once the checks are made */
  found: 0.82,
  /** days until what did not last is back, in the middle */
  backAfter: 24,
  /** spread of the logarithm of minutes */
  sigma: 0.35,
};
type Draw = ReturnType<typeof drawing>;
const SEED = 1871;
const DAY = 86_400_000;
const PEOPLE = [TECHNICIAN, TECHNICIAN, TECHNICIAN, 'Bram Teasel', 'Oda Finch'];
const PLACES: { place: string; owner: string; reach: string }[] = [
  { place: 'ticket hall', owner: 'Saltmarsh Pier, ticket office', reach: 'extension 12' },
  { place: 'north arcade', owner: 'Pell Amusements', reach: 'extension 31' },
  { place: 'pier head', owner: 'Saltmarsh Pier, harbour office', reach: 'by radio, channel 8' },
  { place: 'tea room', owner: 'Wren & Daughters', reach: 'at the counter' },
  { place: 'bandstand', owner: 'Saltmarsh Town Band', reach: 'secretary, evenings' },
  { place: 'turnstile 2', owner: 'Saltmarsh Pier, ticket office', reach: 'extension 12' },
];
const TO = { works: 'the counter', referred: 'its maker' };

/** A time of that day at which the workshop is open. */
const atWork = (at: number, draw: Draw): number =>
  Math.floor(at / DAY) * DAY + (8 * 60 + draw.below(7 * 60)) * 60_000;

/** A unit of the pier, that comes more than once. */
interface OnThePier {
  map: UnitMap;
  mark: string;
  at: (typeof PLACES)[number];
}

const unitsOfThePier = (draw: Draw): OnThePier[] =>
  DEMO_UNITS.flatMap(({ map }, k) =>
    Array.from({ length: 40 }, (_, i) => ({
      map,
      mark: `${map.model.replace(/[^A-Z0-9]/gi, '')}-${String(1000 * (k + 1) + 13 * i + 4).padStart(4, '0')}`,
      at: draw.pick(PLACES),
    })),
  );

/** Minutes of a thing that takes so long in the middle. */
function minutesOf(draw: Draw, middle: number): number {
  // Two uniform draws make a normal one: Box and Muller 1958.
  const u = (draw.below(1_000_000) + 1) / 1_000_001;
  const v = draw.below(1_000_000) / 1_000_000;
  const normal = Math.sqrt(-2 * Math.log(u)) * Math.cos(2 * Math.PI * v);
  return Math.max(0.2, Math.round(middle * Math.exp(TRUTH.sigma * normal) * 10) / 10);
}

/** Hazards that hold the way are made safe, each with its reading. */
function clears(told: Told, draw: Draw): boolean {
  for (const gate of gatesAhead(told.state)) {
    const reading = gate.clear.reading ? { reading: draw.below(3), unit: gate.clear.reading.unit } : {};
    const done =
      told.may(minutesOf(draw, 2), {
        type: 'gate.cleared',
        hazard: gate.id,
        acted: true,
        source: 'meter',
        ...reading,
      }) || told.may(1, { type: 'gate.passed', hazard: gate.id, reason: 'it was dead when it came' });
    if (!done) return false;
  }
  return true;
}

/** The way in, the remedy, the way back, by the rules. */
function mends(told: Told, remedy: MapRemedy, draw: Draw): boolean {
  told.may(1, { type: 'power.set', power: 'off' });
  for (const step of told.state.map.powerDown ?? [])
    told.may(minutesOf(draw, 1), { type: 'power-down.done', step: step.id });
  for (const p of told.state.map.parties ?? [])
    told.may(1, { type: 'party.told', party: p.id, how: 'at the counter' });
  const names = new Map(told.state.map.access.map((a) => [a.id, a.name]));
  const covers = coversNeeded(told.state).filter((c) => !openAccess(told.state).includes(c));
  for (const id of [...covers].reverse()) if (!lifts(told, names.get(id) ?? id, draw)) return false;
  for (const id of covers)
    if (!openAccess(told.state).includes(id) && !lifts(told, names.get(id) ?? id, draw)) return false;
  if (!clears(told, draw)) return false;
  const element = told.state.plan?.element ?? '';
  if (remedy.kind === 'replace') {
    if (!told.may(minutesOf(draw, remedy.minutes / 2), { type: 'part.removed', name: `old ${element}` }))
      return false;
    const part = remedy.parts?.[0] ?? `new ${element}`;
    if (!told.may(minutesOf(draw, remedy.minutes / 2), { type: 'part.fitted', name: part })) return false;
    told.may(1, { type: 'item.proven', item: told.state.fix?.newItem ?? '', how: 'both ends looked at' });
  } else if (!told.may(minutesOf(draw, remedy.minutes), { type: 'remedy.done' })) return false;
  for (const item of [...told.state.ledger.items].reverse())
    if (item.kind === 'part' && !item.undoneBy)
      told.may(minutesOf(draw, 1.5), { type: 'item.returned', item: item.id, count: 1, state: 'fitted' });
  for (const cover of [...told.state.ledger.covers].reverse())
    if (cover.state !== 'final')
      told.may(minutesOf(draw, 1), { type: 'cover.closed', cover: cover.id, kind: 'final' });
  return true;
}

const lifts = (told: Told, name: string, draw: Draw): boolean =>
  clears(told, draw) &&
  told.may(minutesOf(draw, 2), {
    type: 'move.recorded',
    verb: 'lift',
    text: `lift ${name} > shelf`,
    item: { kind: 'part', name, count: 1, place: { kind: 'shelf' } },
  });

/** A job on a unit, from Take in to Hand over; null where its story did not come to an end. */
function story(unit: OnThePier, seed: number, at: number, tag: string, again?: string) {
  const draw = drawing(seed, 'years');
  const fault = hide(unit.map, seed, again ? { element: again } : {});
  const [hidden] = fault.hidden.faults;
  if (!hidden) return null;
  const by = draw.pick(PEOPLE);
  const told = Told.open(at, by, {
    job: ulid(at + 1),
    tag,
    map: unit.map,
    place: unit.at.place,
  });
  // The simulated unit beside it, which answers the checks.
  const twin = Told.open(at, by, {
    job: ulid(at + 2),
    tag: 'practice',
    map: unit.map,
    practice: { exercise: 'years', hidden: fault.hidden, seed, coach: false },
  });
  const intake = { type: 'intake.recorded', ...fault.intake };
  twin.tell(3, intake);
  told.tell(1, { type: 'unit.identified', mark: unit.mark, owner: unit.at.owner, reach: unit.at.reach });
  told.tell(minutesOf(draw, 4), intake);
  looks(told, twin, draw);
  const faulty = unit.map.elements.find((e) => e.id === hidden.id);
  if (draw.chance(TRUTH.quoted)) quotes(told, faulty?.name ?? '', draw);
  // What came back is replaced; else the gentlest rung is as often tried first.
  let rung = again || draw.chance(0.5) ? Math.max(0, (faulty?.remedies.length ?? 1) - 1) : 0;
  let sure = draw.chance(TRUTH.found);
  for (let round = 0; round < 4; round++) {
    const others = traceSuspects(told, hidden.id);
    const wrong = sure ? undefined : others[0];
    const element = wrong ?? hidden.id;
    const remedies = unit.map.elements.find((e) => e.id === element)?.remedies ?? [];
    const remedy = wrong ? remedies[0] : remedies[Math.min(rung, remedies.length - 1)];
    if (!remedy || (again && round > 0 && draw.chance(0.5))) break;
    sure = true;
    if (!wrong) rung++;
    told.tell(1, { type: 'plan.chosen', element, remedy: remedy.id, why: 'as the checks say' });
    if (!mends(told, remedy, draw)) return null;
    const mended = element === hidden.id && draw.chance(remedy.fixes);
    const symptom = `symptom:${fault.intake.function}`;
    if (
      !told.may(minutesOf(draw, 2), {
        type: 'proof.recorded',
        check: symptom,
        outcome: mended ? 'ok' : 'bad',
        source: 'eye',
      })
    )
      return null;
    if (!mended) {
      told.tell(1, { type: 'remedy.tried' });
      continue;
    }
    for (let k = 0; k < 12 && openPoints(told.state).some((p) => p.id === 'repeats'); k++)
      told.tell(minutesOf(draw, 2), { type: 'proof.recorded', check: symptom, outcome: 'ok', source: 'eye' });
    for (const p of openPoints(told.state))
      told.tell(1, { type: 'point.passed', point: p.id, reason: 'seen to at the counter' });
    if (!told.may(3, { type: 'job.handed-over', to: TO.works, result: 'works' })) return null;
    const lasts = draw.chance(TRUTH.lasts[remedy.kind] ?? (TRUTH.lasts.default as number));
    const backDays = lasts ? null : minutesOf(draw, TRUTH.backAfter);
    return { record: told.record, at: told.at, back: backDays === null ? null : { element, days: backDays } };
  }
  told.tell(2, { type: 'job.referred', to: 'the maker', why: 'the remedies it has were in vain' });
  if (!told.may(3, { type: 'job.handed-over', to: TO.referred, result: 'referred' })) return null;
  return { record: told.record, at: told.at, back: null };
}

/** A quote goes out and is answered; the work goes on in any case. */
function quotes(told: Told, what: string, draw: Draw): void {
  const until = new Date(told.at + 30 * DAY).toISOString().slice(0, 10);
  const line = {
    way: 'like for like',
    what: `Replace ${what}`,
    minutes: 20 + 5 * draw.below(9),
    parts: 500 + 250 * draw.below(20),
  };
  const terms = { currency: 'EUR', ratePerHour: 6000, validUntil: until, needed: false };
  told.tell(2, { type: 'quote.made', lines: [line], ...terms });
  told.tell(2, {
    type: 'quote.answered',
    line: draw.chance(TRUTH.accepted) ? 0 : null,
    who: told.state.identity?.owner ?? 'the owner',
  });
}

/** Elements that are suspected beside the one at fault, the most suspected first. */
const traceSuspects = (told: Told, but: string): string[] =>
  suspicion(traceRequest(told.state))
    .belief.filter((b) => b.id !== but)
    .sort((a, b) => b.p - a.p)
    .map((b) => b.id);

/** Checks from outside that part the suspects best, answered by the simulated unit. */
function looks(told: Told, twin: Told, draw: Draw): void {
  for (let k = 0; k < 3; k++) {
    const p = new Map(suspicion(traceRequest(told.state)).belief.map((b) => [b.id, b.p]));
    if (Math.max(...p.values()) > 0.8) return;
    const done = new Set(told.state.trace.map((t) => t.check));
    const half = (c: MapCheck) =>
      Math.abs(0.5 - (c.trace.exercises ?? []).reduce((sum, id) => sum + (p.get(id) ?? 0), 0));
    const [check] = deriveChecks(told.state.map)
      .filter((c) => c.tap && !c.trace.needs?.length && !c.answers && !c.leaves && !done.has(c.id))
      .filter((c) => half(c) < 0.48)
      .sort((a, b) => half(a) - half(b));
    if (!check) return;
    const { type, payload } = entryOf(twin.state, { check: check.id });
    if (!told.may(minutesOf(draw, check.trace.minutes + 0.5), { type, ...payload })) return;
    twin.tell(1, { type, ...payload });
  }
}

/**
 * Two years of the pier: made by the simulator, so that what its record says can be held against what is
 * true of it.
 *
 * @param now time the demo is seeded
 * @param most how many jobs at most
 */
export function demoYears(now: Date, most = TRUTH.jobs): JobRecord[] {
  const draw = drawing(SEED, 'pier');
  const units = unitsOfThePier(draw);
  const begin = now.getTime() - TRUTH.days * DAY;
  const due: { at: number; unit: OnThePier; element?: string }[] = [];
  const every = (TRUTH.days - 6) / TRUTH.jobs;
  for (let i = 0; i < TRUTH.jobs; i++)
    due.push({ at: atWork(begin + (i + draw.below(100) / 100) * every * DAY, draw), unit: draw.pick(units) });
  const jobs: JobRecord[] = [];
  const free = new Map<OnThePier, number>();
  for (let n = 0; jobs.length < most && due.length; n++) {
    due.sort((a, b) => a.at - b.at);
    const next = due.shift();
    if (!next || next.at > now.getTime() - 3 * DAY) break;
    if ((free.get(next.unit) ?? 0) > next.at) continue;
    const told = [0, 1, 2, 3]
      .map((k) => SEED + 1000 * k + n)
      .reduce<ReturnType<typeof story>>(
        (found, seed) => found ?? story(next.unit, seed, next.at, `SY-${101 + jobs.length}`, next.element),
        null,
      );
    if (!told) continue;
    jobs.push(told.record);
    free.set(next.unit, told.at);
    if (told.back)
      due.push({
        at: atWork(told.at + told.back.days * DAY, draw),
        unit: next.unit,
        element: told.back.element,
      });
  }
  return jobs;
}
