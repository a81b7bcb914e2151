import { fold, type JobEvent, type JobRecord, judge } from '../src/core/job';
import { closeRefusals, wayBack } from '../src/core/ledger';
import { type OrderRequest, order } from '../src/core/order';
import { wayHome } from '../src/core/recipe';
import { regret } from '../src/core/regret';
import { type TraceRequest, trace } from '../src/core/trace';
import { hearingLoop } from '../src/demo/units/hearing-loop';

const id = (n: number) => `01ARZ3NDEKTSV4RRFF${String(n).padStart(8, '0')}`;
const at = '2026-11-25T10:00:00.000Z';

/** A chain of n elements with a tap after each, and one tap in the middle found bad. */
export function chainOf(n: number, options: TraceRequest['options']): TraceRequest {
  const elements = Array.from({ length: n }, (_, i) => ({
    id: `e${i}`,
    weight: 1 + ((i * 7919) % 13),
    repairMinutes: 5 + ((i * 31) % 17),
  }));
  const checks = elements.map((_, i) => ({
    id: `c${i}`,
    exercises: elements.slice(0, i + 1).map((e) => e.id),
    minutes: 1 + (i % 3),
  }));
  return {
    elements,
    checks,
    log: [{ check: `c${n >> 1}`, outcome: 'bad' }],
    ...(options ? { options } : {}),
  };
}

/** The work of each figure of the core. */
export const CORE: { name: string; runs: number; work: () => unknown }[] = [
  {
    name: 'trace, 1,000 elements × 1,000 checks, lookahead 1',
    runs: 9,
    work: (
      (r) => () =>
        trace(r)
    )(chainOf(1000, {})),
  },
  {
    name: 'trace, the same where no check shows every fault',
    runs: 9,
    work: (
      (r) => () =>
        trace({ ...r, checks: r.checks.map((c) => ({ ...c, sensitivity: 0.8, falseAlarm: 0.1 })) })
    )(chainOf(1000, {})),
  },
  {
    name: 'trace, the same where every element has its own chance to show',
    runs: 5,
    work: (
      (r) => () =>
        trace({ ...r, elements: r.elements.map((e, i) => ({ ...e, q: 0.3 + (i % 60) / 100 })) })
    )(chainOf(1000, {})),
  },
  {
    name: 'trace, 1,000 × 1,000, lookahead 2 over 40 checks',
    runs: 5,
    work: (
      (r) => () =>
        trace(r)
    )(chainOf(1000, { lookahead: 2 })),
  },
  {
    name: 'trace, pairs of 300 elements, 300 checks',
    runs: 3,
    work: (
      (r) => () =>
        trace(r)
    )(chainOf(300, { maxFaults: 2 })),
  },
  {
    name: 'regret, exact over 93,000 moments',
    runs: 5,
    work: (
      (r) => () =>
        regret({ ...r, log: [], checks: r.checks.slice(0, 6), chosen: { repair: 'e0' } })
    )(chainOf(7, {})),
  },
  {
    name: 'reducer over 5,000 events, folded at once',
    runs: 5,
    work: (
      (e) => () =>
        fold(e)
    )(manyEvents(5000)),
  },
  {
    name: 'order, 300 moves, 12 tools, 6 sides',
    runs: 5,
    work: (
      (r) => () =>
        order(r)
    )(manyMoves(300, 12, 6)),
  },
  {
    name: 'ledger of 2,000 items: way back and what a close refuses',
    runs: 5,
    work: ((s) => () => [wayBack(s.ledger).length, closeRefusals(s.ledger, 'lid').length])(
      fold(manyEvents(6000, 0)).state,
    ),
  },
  {
    name: 'ledger of 2,000 items: both orders of the way home',
    runs: 3,
    work: (
      (s) => () =>
        wayHome(s)
    )(fold(manyEvents(6000, 0)).state),
  },
];

/** Moves of a large unit: runs of one tool and side, each waiting for some before it. */
export function manyMoves(n: number, tools: number, sides: number): OrderRequest {
  let seed = 7;
  const dice = (k: number) => {
    seed = (seed * 1103515245 + 12345) % 2147483648;
    return Math.floor((seed / 2147483648) * k);
  };
  const moves = Array.from({ length: n }, (_, i) => ({
    id: `m${i}`,
    minutes: 0.3 + dice(10) / 10,
    tool: dice(4) === 0 ? null : `tool ${dice(tools)}`,
    sideUp: `side ${Math.min(sides - 1, Math.floor((i * sides) / n) + dice(2))}`,
    after: i < 6 ? [] : [`m${i - 1 - dice(6)}`],
  }));
  return { moves, goal: moves.map((m) => m.id), toolMinutes: 0.3, flipMinutes: 1, timeLimitMs: 300 };
}

/** A long job: moves, returns and notes in turn; with `back` 0 nothing goes home again. */
export function manyEvents(n: number, back = 2): JobEvent[] {
  let record: JobRecord = judge(null, {
    id: id(0),
    at,
    by: 'bench',
    type: 'job.opened',
    job: id(0),
    tag: 'B-1',
    map: hearingLoop,
  });
  const events: JobEvent[] = [...record.events];
  for (let i = 1; i < n; i++) {
    const stamp = { id: id(i), at, by: 'bench' };
    const event: JobEvent =
      i % 3 === 1
        ? {
            ...stamp,
            type: 'move.recorded',
            verb: 'undo',
            text: '',
            item: {
              kind: 'fastener',
              name: 'screw',
              thread: 'M3',
              lengthMm: 8,
              drive: 'PH1',
              count: 2,
              from: `part ${i}`,
              place: { kind: 'cup', label: String(i) },
            },
          }
        : i % 3 === 2 && back > 0
          ? { ...stamp, type: 'item.returned', item: id(i - 1), count: 2, state: 'tight' }
          : { ...stamp, type: 'note.added', text: `note ${i}` };
    events.push(event);
  }
  record = fold(events);
  return record.events;
}
