import { inWords, type JobEvent, type JobRecord, judge, namesOf, wayBackOf } from '../job';
import { owed, proofsOf, readLine } from '../ledger';
import { demand, Refusal } from '../refusal';
import type { Hazard, UnitMap } from '../unit';
import { type TearDownMove, tearDown } from './tear-down';

type Told<E = JobEvent> = E extends JobEvent ? Omit<E, 'id' | 'at' | 'by'> : never;

/** One line of a rehearsed job. */
export interface RehearsedLine {
  event: JobEvent;
  words: string;
  /** what it is part of */
  part: 'gate' | 'in' | 'back' | 'proof' | 'close';
}

export interface Rehearsal {
  /** the job before the first line */
  start: JobEvent[];
  lines: RehearsedLine[];
}

/** Steps after which a rehearsal is given up. */
const LONGEST = 400;
/** Made ids: those of real entries are drawn where they are made, these have to be the same each time. */
const ID = '01M2PRACT1CE0000000000';
const at = (n: number) => new Date(Date.UTC(2026, 0, 5, 9, 0, n)).toISOString();

/** A job that is played through by the rules of real jobs. */
class Player {
  private n = 0;
  record: JobRecord;
  readonly start: JobEvent[] = [];
  readonly lines: RehearsedLine[] = [];
  /** why the last thing was refused that was */
  refused = '';

  constructor(map: UnitMap) {
    const opened: JobEvent = {
      ...this.stamp(),
      type: 'job.opened',
      job: `${ID}JOB0`,
      tag: 'practice',
      map,
    };
    this.record = judge(null, opened);
    this.start.push(opened);
  }

  private stamp() {
    const k = this.n++;
    return { id: `${ID}${String(1000 + k)}`, at: at(k), by: 'practice' };
  }

  /** Records what is taken; the reason where it is refused. */
  try(told: Told, part: RehearsedLine['part'] | null): string | null {
    const event = { ...told, ...this.stamp() } as JobEvent;
    const before = this.record.state;
    try {
      this.record = judge(this.record, event);
    } catch (error) {
      if (error instanceof Refusal) {
        this.refused = error.message;
        return error.message;
      }
      throw error;
    }
    if (part) this.lines.push({ event, words: inWords(event, before), part });
    else this.start.push(event);
    return null;
  }
}

const gateOf = (h: Hazard): Told => ({
  type: 'gate.cleared',
  hazard: h.id,
  acted: true,
  source: 'meter',
  ...(h.clear.reading
    ? { reading: Number((h.clear.reading.max * 0.2).toPrecision(2)), unit: h.clear.reading.unit }
    : {}),
});

/** Clears what can be cleared now: the way it is powered down first, then gate after gate. */
function clearGates(player: Player): boolean {
  const { map } = player.record.state;
  let any = false;
  for (const party of map.parties ?? [])
    if (player.try({ type: 'party.told', party: party.id, how: 'in person' }, 'gate') === null) any = true;
  for (const step of map.powerDown ?? [])
    if (player.try({ type: 'power-down.done', step: step.id }, 'gate') === null) any = true;
  for (const h of map.hazards) {
    const state = player.record.state.hazards.find((s) => s.id === h.id);
    if (state?.status === 'made safe') continue;
    if (player.try(gateOf(h), 'gate') === null) any = true;
  }
  return any;
}

function takeOff(player: Player, move: TearDownMove): void {
  const said = readLine(move.text, { kind: 'shelf' }, namesOf(player.record.state)).moves[0];
  demand(said, `“${move.text}” says no move`, '/unit');
  const told: Told = { type: 'move.recorded', ...said };
  let refused = player.try(told, 'in');
  if (refused !== null && clearGates(player)) refused = player.try(told, 'in');
  demand(refused === null, `the way into this unit cannot be rehearsed: ${refused}`, '/unit');
}

/** The next step home, as the way back says it. */
function bringBack(player: Player): boolean {
  for (const step of wayBackOf(player.record.state)) {
    const { item, cover } = step;
    if (step.kind === 'return' && item && step.to) {
      const once = item.back?.fresh ? { once: 'new ones' } : {};
      const told: Told = { type: 'item.returned', item: item.id, count: step.left, state: step.to, ...once };
      if (player.try(told, 'back') === null) return true;
      // Held by a twin: one is laid on the rule first.
      const { lengthMm } = item;
      if (lengthMm !== undefined && !item.measured) {
        const laid: Told = { type: 'length.checked', item: item.id, measuredMm: lengthMm };
        if (player.try(laid, 'proof') === null) return true;
      }
    }
    if (step.kind === 'prove' && item) {
      const told: Told = { type: 'item.proven', item: item.id, how: proofsOf(item)[0] ?? 'looked at' };
      if (player.try(told, 'proof') === null) return true;
    }
    if (step.kind === 'close' && cover) {
      const told: Told = { type: 'cover.closed', cover: cover.id, kind: 'final' };
      if (player.try(told, 'close') === null) return true;
    }
  }
  return false;
}

function playedThrough(map: UnitMap, seed: number): Rehearsal {
  const moves = tearDown(map, seed);
  const works = map.functions[0];
  demand(works, `${map.name} has no function on its map: say first what it should do`, '/unit');
  const player = new Player(map);
  const taken = player.try(
    { type: 'intake.recorded', function: works.id, symptom: 'practice', pattern: 'always', keep: [] },
    null,
  );
  demand(taken === null, `this unit cannot be taken in: ${taken}`, '/unit');
  clearGates(player);
  for (const move of moves) takeOff(player, move);
  for (let guard = 0; guard < LONGEST && bringBack(player); guard++);
  const { ledger } = player.record.state;
  demand(
    !ledger.items.some((i) => owed(i)) && ledger.covers.every((c) => c.state === 'final'),
    `the way back of this unit cannot be rehearsed: ${player.refused}`,
    '/unit',
  );
  return { start: player.start, lines: player.lines };
}

/** Screws that are made up may be too long for holes that the map knows: then others are drawn. */
const DRAWS = 6;

/**
 * A tear-down and its way back, played by the rules of real jobs: gates, moves, everything home and
 * proven, every cover closed. Each line was taken by the reducer that judges real entries.
 *
 * @param map any unit
 * @param seed a whole number
 * @returns the job before it, and its lines
 * @throws Refusal where the unit cannot be taken apart by its map alone
 * @example rehearse(map, 3).lines[0].words // 'Gate up: Mains, read 1 V'
 */
export function rehearse(map: UnitMap, seed: number): Rehearsal {
  for (let k = 1; ; k++) {
    try {
      return playedThrough(map, seed + (k - 1) / DRAWS);
    } catch (error) {
      if (!(error instanceof Refusal) || k === DRAWS) throw error;
    }
  }
}

/**
 * Plays lines after a start, up to the first that is refused.
 *
 * @param start entries of the job before
 * @param lines entries that follow
 * @returns the place of the first that is refused and why, or null where all are taken
 * @example heldAt(start, lines) // { place: 4, why: 'lid stays open: …' }
 */
export function heldAt(start: JobEvent[], lines: JobEvent[]): { place: number; why: string } | null {
  let record: JobRecord | null = null;
  for (const event of start) record = judge(record, event);
  for (const [place, event] of lines.entries()) {
    try {
      record = judge(record, event);
    } catch (error) {
      if (error instanceof Refusal) return { place, why: error.message };
      throw error;
    }
  }
  return null;
}
