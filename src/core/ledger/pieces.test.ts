import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { Refusal } from '../refusal';
import {
  type BackState,
  countItem,
  EMPTY_LEDGER,
  giveBack,
  ITEM_KINDS,
  type ItemKind,
  JOURNEYS,
  type Ledger,
  miss,
  OFF_STATES,
  type OffState,
  prove,
  take,
  takeAgain,
  tally,
  writeOff,
} from '.';

/**
 * The ledger against pieces that lie on a table: each is one thing with one state, and what the ledger reckons
 * in counts is done to them one at a time.
 */
interface Table {
  kind: ItemKind;
  pieces: string[];
  counted: boolean;
  missing: number;
  proof: boolean;
}

const AT = '2026-11-27T10:00:00.000Z';
const isOff = (s: string) => (OFF_STATES as readonly string[]).includes(s);
const isBack = (s: string) => !isOff(s) && s !== 'written off';
const wayOf = (t: Table): string[] => JOURNEYS[t.kind].way;

/** Takes so many pieces that are in one of these states, in the order of the states, to another. */
function move(t: Table, count: number, from: readonly string[], to: string): void {
  for (let n = 0; n < count; n++) {
    const state = from.find((s) => t.pieces.includes(s));
    if (state === undefined) throw new Error('fewer than were asked for');
    t.pieces[t.pieces.indexOf(state)] = to;
  }
}

type Act =
  | { does: 'back'; count: number; state: BackState }
  | { does: 'again'; count: number }
  | { does: 'write off'; count: number; reason: string; replacement: string }
  | { does: 'miss'; count: number }
  | { does: 'count'; count: number }
  | { does: 'prove'; how: string };

/** What stands before a state on the way back, nearest first; nothing is put back from a proof. */
const before = (t: Table, state: string) => [
  ...wayOf(t)
    .slice(0, wayOf(t).indexOf(state))
    .filter((s) => s !== 'proven')
    .reverse(),
  ...OFF_STATES,
];

const isWhole = (n: number) => Number.isInteger(n) && n >= 1;
const among = (t: Table, states: readonly string[]) => t.pieces.filter((p) => states.includes(p)).length;

/** Whether such an act is possible, and the act. */
const ACTS: {
  [K in Act['does']]: {
    may: (t: Table, a: Extract<Act, { does: K }>) => boolean;
    act: (t: Table, a: Extract<Act, { does: K }>) => void;
    ledger: (l: Ledger, a: Extract<Act, { does: K }>) => Ledger;
  };
} = {
  back: {
    may: (t, a) =>
      isWhole(a.count) &&
      t.counted &&
      a.state !== 'proven' &&
      wayOf(t).includes(a.state) &&
      among(t, before(t, a.state)) - t.missing >= a.count,
    act: (t, a) => move(t, a.count, before(t, a.state), a.state),
    ledger: (l, a) => giveBack(l, 'it', a.count, a.state),
  },
  again: {
    may: (t, a) => isWhole(a.count) && t.pieces.filter(isBack).length >= a.count,
    act: (t, a) => {
      move(t, a.count, wayOf(t).toReversed(), 'off');
      t.proof = false;
    },
    ledger: (l, a) => takeAgain(l, 'it', a.count),
  },
  'write off': {
    may: (t, a) =>
      isWhole(a.count) &&
      t.counted &&
      a.reason.trim() !== '' &&
      a.replacement.trim() !== '' &&
      among(t, OFF_STATES) >= a.count,
    act: (t, a) => {
      move(t, a.count, OFF_STATES, 'written off');
      // What is written off first is what cannot be found.
      t.missing = Math.max(0, t.missing - a.count);
    },
    ledger: (l, a) => writeOff(l, 'it', a),
  },
  miss: {
    may: (t, a) => Number.isInteger(a.count) && a.count >= 0 && a.count <= among(t, OFF_STATES),
    act: (t, a) => {
      t.missing = a.count;
    },
    ledger: (l, a) => miss(l, 'it', a.count),
  },
  count: {
    may: (t, a) => isWhole(a.count) && !t.counted,
    act: (t, a) => {
      t.pieces = Array.from({ length: a.count }, () => t.pieces[0] as string);
      t.counted = true;
    },
    ledger: (l, a) => countItem(l, 'it', a.count),
  },
  prove: {
    may: (t, a) =>
      a.how.trim() !== '' &&
      wayOf(t).includes('proven') &&
      among(t, OFF_STATES) === 0 &&
      t.pieces.some(isBack),
    act: (t) => {
      t.pieces = t.pieces.map((p) => (isBack(p) ? 'proven' : p));
      t.proof = true;
    },
    ledger: (l, a) => prove(l, 'it', a.how, AT),
  },
};

const counts = fc.oneof(
  { weight: 12, arbitrary: fc.integer({ min: 1, max: 5 }) },
  { weight: 1, arbitrary: fc.constantFrom(0, -1, 1.5) },
);
const words = fc.constantFrom('stripped', 'M3 from stock', ' a tug ', '  ', '');
const actsOn = (kind: ItemKind): fc.Arbitrary<Act> =>
  fc.oneof(
    fc.record({
      does: fc.constant('back' as const),
      count: counts,
      state: fc.oneof(
        { weight: 4, arbitrary: fc.constantFrom(...JOURNEYS[kind].way) },
        { weight: 1, arbitrary: fc.constantFrom(...ITEM_KINDS.flatMap((k) => JOURNEYS[k].way)) },
      ),
    }),
    fc.record({ does: fc.constant('again' as const), count: counts }),
    fc.record({ does: fc.constant('write off' as const), count: counts, reason: words, replacement: words }),
    fc.record({ does: fc.constant('miss' as const), count: fc.oneof(counts, fc.constant(0)) }),
    fc.record({ does: fc.constant('count' as const), count: counts }),
    { arbitrary: fc.record({ does: fc.constant('prove' as const), how: words }), weight: 2 },
  );

/** What the ledger says of the thing, in the words of the table. */
function told(l: Ledger) {
  const item = l.items.find((i) => i.id === 'it');
  if (!item) throw new Error('the thing is in the ledger');
  const { taken, off, back, writtenOff } = tally(item);
  return {
    by: Object.fromEntries(Object.entries(item.by).filter(([, n]) => n > 0)),
    taken,
    off,
    back,
    writtenOff,
    counted: item.count !== null,
    missing: item.missing ?? 0,
    proof: item.proof !== undefined,
  };
}
function seen(t: Table) {
  const by: Record<string, number> = {};
  for (const p of t.pieces) if (p !== 'written off') by[p] = (by[p] ?? 0) + 1;
  return {
    by,
    taken: t.pieces.length,
    off: t.pieces.filter(isOff).length,
    back: t.pieces.filter(isBack).length,
    writtenOff: t.pieces.filter((p) => p === 'written off').length,
    counted: t.counted,
    missing: t.missing,
    proof: t.proof,
  };
}

describe('counts are those of pieces on a table', () => {
  it.each(ITEM_KINDS)(
    '%s: every act is taken or refused as the pieces allow, and leaves what they show',
    (kind) => {
      const done = new Map<string, number>();
      fc.assert(
        fc.property(
          fc.constantFrom(null, null, 1, 1, 2, 4),
          fc.constantFrom<OffState>(...OFF_STATES),
          fc.array(actsOn(kind), { minLength: 12, maxLength: 40 }),
          (count, state, list) => {
            let ledger = take(
              EMPTY_LEDGER,
              {
                verb: 'lift',
                text: '',
                item: {
                  kind,
                  name: 'it',
                  count,
                  place: { kind: 'shelf' },
                  ...(state === 'off' ? {} : { state }),
                },
              },
              { id: 'it', at: AT },
            );
            const table: Table = {
              kind,
              pieces: Array.from({ length: count ?? 1 }, () => state),
              counted: count !== null,
              missing: 0,
              proof: false,
            };
            expect(told(ledger)).toEqual(seen(table));
            for (const a of list) {
              const { may, act, ledger: enter } = ACTS[a.does] as (typeof ACTS)['back'];
              const allowed = may(table, a as never);
              let taken = true;
              const was = structuredClone(ledger);
              try {
                ledger = enter(ledger, a as never);
              } catch (error) {
                if (!(error instanceof Refusal)) throw error;
                taken = false;
                expect(ledger).toEqual(was);
              }
              expect(taken, JSON.stringify([a, seen(table)])).toBe(allowed);
              if (taken) {
                act(table, a as never);
                done.set(a.does, (done.get(a.does) ?? 0) + 1);
              }
              expect(told(ledger), JSON.stringify(a)).toEqual(seen(table));
            }
          },
        ),
        { numRuns: 200 },
      );
      // Nothing was only ever refused.
      const possible = Object.keys(ACTS).filter(
        (does) => does !== 'prove' || wayOf({ kind } as Table).includes('proven'),
      );
      expect([...done.keys()].sort()).toEqual(possible.sort());
    },
  );
});
