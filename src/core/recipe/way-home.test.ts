import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { bench } from '../job/bench.test.fixture';
import type { WayBackStep } from '../ledger';
import { ladderFor, type UnitMap } from '../unit';
import { type Doing, overlapped, spend, wayHome } from '.';

const CHANGE = { tool: 0.3, flip: 1 };
const START = { tool: null, sideUp: null };

const NAMES = ['hood', 'flank', 'tail', 'crown', 'belly'];

/** A unit of covers that lie over each other, and plugs under them. */
function unitOf(covers: { over: number; side: string; drive: string }[]): UnitMap {
  return {
    name: 'Chest',
    maker: '',
    model: '',
    elements: [
      { id: 'A1', name: 'board', kind: 'board', weight: 1, remedies: ladderFor('board', 'A1', 'board') },
    ],
    feeds: [],
    taps: [],
    access: covers.map((c, i) => ({
      id: NAMES[i] as string,
      name: NAMES[i] as string,
      minutes: 1,
      ...(c.over >= 0 ? { needs: [NAMES[c.over] as string] } : {}),
    })),
    functions: [{ id: 'works', name: 'works', output: 'A1' }],
    hazards: [],
  };
}

const chest = fc.integer({ min: 1, max: 5 }).chain((n) =>
  fc.tuple(
    ...Array.from({ length: n }, (_, i) =>
      fc.record({
        over: fc.integer({ min: -1, max: i - 1 }),
        side: fc.constantFrom('top', 'rear'),
        drive: fc.constantFrom('PH1', 'T10'),
        plugs: fc.integer({ min: 0, max: 2 }),
        cures: fc.constantFrom(0, 0, 15),
      }),
    ),
  ),
);

/** Takes the chest apart, outer covers first. */
function takenApart(covers: { over: number; side: string; drive: string; plugs: number; cures: number }[]) {
  const b = bench(unitOf(covers));
  let up = '';
  covers.forEach((c, i) => {
    if (c.side !== up) b.line(`flip ${c.side}`);
    up = c.side;
    b.line(`4 x M3x8 ${c.drive} ${NAMES[i]} > cup ${i + 1}`);
    if (c.cures) b.tell({ type: 'way-back.noted', item: b.screws(NAMES[i] as string), cureMinutes: c.cures });
    b.line(`lift ${NAMES[i]} > shelf`);
    for (let p = 0; p < c.plugs; p++) b.line(`unplug J${i}${p}`);
  });
  return b;
}

function follow(b: ReturnType<typeof takenApart>, step: WayBackStep) {
  const { item, cover } = step;
  if (step.kind === 'close' && cover) b.tell({ type: 'cover.closed', cover: cover.id, kind: 'final' });
  else if (step.kind === 'prove' && item) b.tell({ type: 'item.proven', item: item.id, how: 'tug' });
  else if (item && step.to)
    b.tell({ type: 'item.returned', item: item.id, count: step.left, state: step.to });
}

describe('the way home', () => {
  it('either order, followed to the end, is taken entry by entry and leaves every cover closed', () => {
    fc.assert(
      fc.property(chest, fc.boolean(), (covers, quick) => {
        const b = takenApart(covers);
        for (let guard = 0; guard < 200; guard++) {
          const home = wayHome(b.state());
          const step = ((quick && home.quicker) || home.strict)[0];
          if (!step) break;
          follow(b, step);
        }
        expect(b.state().ledger.covers.map((c) => c.state)).toEqual(covers.map(() => 'final'));
        expect(wayHome(b.state()).strict).toEqual([]);
      }),
      { numRuns: 60 },
    );
  });
  it('the quicker one has the same steps, and saves what it says', () => {
    fc.assert(
      fc.property(chest, (covers) => {
        const home = wayHome(takenApart(covers).state());
        if (!home.quicker) return;
        const texts = (steps: WayBackStep[]) => steps.map((s) => s.text).sort();
        expect(texts(home.quicker)).toEqual(texts(home.strict));
        for (const steps of [home.strict, home.quicker])
          steps.forEach((s, at) => {
            // Screws wait for what they hold, and a cover closes over what is home.
            const held = steps.findIndex((h) => h.item?.kind === 'part' && h.item.name === s.item?.from);
            if (s.item?.kind === 'fastener') expect(held).toBeLessThan(at);
            if (s.kind !== 'close') return;
            const over = steps.slice(at + 1).filter((x) => x.item?.inside.includes(s.cover?.id ?? ''));
            expect(over.map((x) => x.text)).toEqual([]);
          });
        expect(home.savedMinutes).toBeCloseTo(
          home.strictSpent.minutes - (home.quickerSpent?.minutes ?? 0),
          9,
        );
        expect(home.savedMinutes).toBeGreaterThanOrEqual(0.5);
      }),
      { numRuns: 100 },
    );
  });
  it('two covers on each of two sides are closed side by side: one flip in place of three', () => {
    const covers = ['top', 'rear', 'top', 'rear'].map((side) => ({
      over: -1,
      side,
      drive: 'PH1',
      plugs: 0,
      cures: 0,
    }));
    const home = wayHome(takenApart(covers).state());
    expect(home.strictSpent.flips).toBe(3);
    expect(home.quickerSpent?.flips).toBe(1);
    expect(home.savedMinutes).toBeCloseTo(2, 9);
  });
  it('what cures is begun early, and what to do meanwhile is said', () => {
    const covers = [
      { over: -1, side: 'top', drive: 'PH1', plugs: 0, cures: 15 },
      { over: -1, side: 'top', drive: 'T10', plugs: 0, cures: 0 },
    ];
    const home = wayHome(takenApart(covers).state());
    expect(home.quicker?.[0]?.text).toContain('hood');
    expect(home.meanwhile?.minutes).toBe(15);
    expect(home.meanwhile?.steps.join(' ')).toContain('flank');
    expect(home.meanwhile?.steps.join(' ')).not.toContain('Close hood');
  });
});

describe('what a list costs', () => {
  const d = (id: string, minutes: number, more: Partial<Doing> = {}): Doing => ({
    id,
    minutes,
    handsOff: 0,
    tool: null,
    sideUp: null,
    after: [],
    ...more,
  });
  it('a worked example: glue first, the rest while it sets', () => {
    // Glue 2 min and 30 to set, then the lid 5; beside it a fan 10 and a label 3.
    const list = [
      d('fan', 10),
      d('label', 3),
      d('glue', 2, { handsOff: 30 }),
      d('lid', 5, { after: ['glue'] }),
    ];
    expect(spend(list, START, CHANGE)).toMatchObject({ minutes: 50, waiting: 30 });
    const better = overlapped(list);
    expect(better[0]?.id).toBe('glue');
    expect(spend(better, START, CHANGE)).toMatchObject({ minutes: 37, waiting: 17 });
  });
  it('overlapping never makes it longer where nothing is turned or changed', () => {
    const doing = fc.record({ minutes: fc.integer({ min: 1, max: 9 }), handsOff: fc.constantFrom(0, 0, 12) });
    fc.assert(
      fc.property(
        fc.array(doing, { minLength: 1, maxLength: 7 }),
        fc.infiniteStream(fc.nat()),
        (raw, dice) => {
          const list = raw.map((r, i) =>
            d(`t${i}`, r.minutes, {
              handsOff: r.handsOff,
              after:
                i > 0 && (dice.next().value as number) % 2 ? [`t${(dice.next().value as number) % i}`] : [],
            }),
          );
          const [as, better] = [spend(list, START, CHANGE), spend(overlapped(list), START, CHANGE)];
          expect(better.minutes).toBeLessThanOrEqual(as.minutes + 1e-9);
          expect(better.minutes).toBeGreaterThanOrEqual(list.reduce((m, x) => m + x.minutes, 0) - 1e-9);
        },
      ),
    );
  });
  it('changes of tool and flips are counted as they come', () => {
    const list = [
      d('a', 1, { tool: 'PH1', sideUp: 'top' }),
      d('b', 1),
      d('c', 1, { tool: 'PH1', sideUp: 'rear' }),
    ];
    expect(spend(list, { tool: 'PH1', sideUp: null }, CHANGE)).toEqual({
      minutes: 5,
      toolChanges: 0,
      flips: 2,
      waiting: 0,
    });
  });
});
