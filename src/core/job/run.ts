import { holding } from '../hazard';
import { tally } from '../ledger';
import { handOverHeldBy } from './hand-over-rule';
import { openAccess } from './open';
import { coversNeeded, fixesOf, isDone, plansOf } from './opening';
import { symptomProof } from './proofs';
import { quoteHolds } from './quote-held';
import { type JobState, STOPS, type Stop } from './state';

export type StopStatus = 'not begun' | 'in hand' | 'held' | 'done';

export interface RunStop {
  stop: Stop;
  status: StopStatus;
  /** two or three words beside the status */
  note: string;
}

/** Hazards that hold the way to the planned element, or a hand that is inside now. */
export function gatesAhead(state: JobState) {
  const open = openAccess(state);
  const ahead = coversNeeded(state).length ? coversNeeded(state) : state.map.access.map((a) => a.id);
  const bare = state.map.access.length === 0;
  const ways = [undefined, ...ahead].flatMap((next) =>
    holding(state.map.hazards, state.hazards, { open, next, bare }),
  );
  const held = new Map(ways.map((h) => [h.id, h]));
  return state.map.hazards.filter((h) => held.has(h.id));
}

/** How many pieces are off, and how many entries of the tray are not yet home. */
export function offCount(state: JobState): { pieces: number; places: number } {
  let pieces = 0;
  let places = 0;
  for (const item of state.ledger.items) {
    if (item.undoneBy === 'nothing') continue;
    const { off } = tally(item);
    pieces += off;
    if (off > 0) places++;
  }
  return { pieces, places };
}

const plural = (n: number, one: string, many = `${one}s`) => `${n} ${n === 1 ? one : many}`;

type Rule = (s: JobState) => {
  done: boolean;
  /** a gate or the tray: the stop is barred */
  heldBy?: string | undefined;
  note?: string;
  /** part of it is done, wherever the hands are */
  begun?: boolean;
  /** it was done and has to be done again */
  again?: string;
};

const RULES: Record<Stop, Rule> = {
  'take in': (s) => ({ done: s.intake !== null }),
  trace: (s) => ({
    done: s.plan !== null,
    note: s.trace.length ? plural(s.trace.filter((t) => t.check).length, 'check') : '',
  }),
  plan: (s) => ({
    done: s.plan !== null,
    note: plansOf(s)
      .map((p) => p.element)
      .join(', '),
  }),
  'make safe': (s) => {
    const gates = gatesAhead(s);
    const cleared = s.hazards.filter((h) => h.status === 'made safe' || h.passed).length;
    const inside = openAccess(s).length > 0;
    // A unit that is mended and shut needs no hand inside: what the power armed since is as it should be.
    if (isDone(s) && !inside) return { done: true };
    if (inside && gates.length > 0 && s.hazards.some((h) => h.armed))
      return { done: false, again: 'live again' };
    return {
      done: gates.length === 0 && cleared > 0,
      begun: cleared > 0,
      note: gates.length ? plural(gates.length, 'gate') : '',
    };
  },
  'open up': (s) => {
    const needed = coversNeeded(s);
    const open = openAccess(s);
    const reached =
      s.fix !== null ||
      s.out !== null ||
      (s.plan?.kind === 'remedy' && needed.length > 0 && needed.every((c) => open.includes(c)));
    const gate = s.plan && !reached ? gatesAhead(s)[0] : undefined;
    const n = offCount(s).pieces;
    return { done: reached, heldBy: gate?.name, begun: n > 0, note: n ? `${n} off` : '' };
  },
  swap: (s) => ({
    done: s.fix !== null,
    heldBy: s.plan?.kind === 'remedy' && quoteHolds(s) ? 'the quote' : undefined,
    note: s.fix
      ? fixesOf(s)
          .map((f) => f.element)
          .join(', ')
      : s.out
        ? 'old part out'
        : '',
  }),
  'close up': (s) => {
    const open = s.ledger.covers.filter((c) => c.state !== 'final').length;
    const n = offCount(s).pieces;
    return {
      done: isDone(s) && open === 0 && n === 0 && s.ledger.items.length > 0,
      note: n ? `${n} to go` : open ? plural(open, 'cover') : '',
    };
  },
  prove: (s) => {
    const proof = symptomProof(s);
    return {
      done: proof?.outcome === 'ok',
      note: proof ? (proof.outcome === 'ok' ? 'works' : 'still fails') : '',
    };
  },
  'hand over': (s) => {
    const result = s.plan?.kind === 'refer' ? 'referred' : 'works';
    const held = handOverHeldBy(s, result);
    const n = offCount(s).pieces;
    const tray = n > 0 || s.ledger.covers.some((c) => c.state !== 'final');
    return {
      done: s.handedOver !== null,
      heldBy: held.length && tray ? 'the tray' : undefined,
    };
  },
};

/**
 * The nine stops of a job with their state: not begun, in hand, held by what, done.
 *
 * @param state a job
 * @param here the stop being looked at; the job's own stop when absent
 * @returns nine entries in the order of the work
 * @example runOf(state)[0] // { stop: 'take in', status: 'done', note: '' }
 */
export function runOf(state: JobState, here: Stop = state.stop): RunStop[] {
  return STOPS.map((stop) => {
    const rule = RULES[stop](state);
    if (rule.done) return { stop, status: 'done', note: rule.note ?? '' };
    if (rule.again) return { stop, status: 'in hand', note: rule.again };
    const begun = stop === here || stop === state.stop || rule.begun === true;
    if (rule.heldBy) return { stop, status: 'held', note: `by ${rule.heldBy}` };
    return { stop, status: begun ? 'in hand' : 'not begun', note: begun ? (rule.note ?? '') : '' };
  });
}
