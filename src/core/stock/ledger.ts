import type { ChemistryRow } from '../chemistry';
import { demand } from '../refusal';
import { isSpent } from './cell';
import type { Holding, Movement, StockItem } from './types';

/** Counts are kept to thousandths, so that parts of a metre add up. */
const exact = (n: number): number => Math.round(n * 1000) / 1000;

const nothing = (item: string): Holding => ({
  item,
  received: 0,
  found: 0,
  used: 0,
  writtenOff: 0,
  onHand: 0,
  reserved: [],
  free: 0,
});

function setAside(h: Holding, job: Movement['job'], by: number): Holding['reserved'] {
  if (!job) return h.reserved;
  const there = h.reserved.find((r) => r.job === job.id)?.count ?? 0;
  const count = exact(Math.max(0, there + by));
  const others = h.reserved.filter((r) => r.job !== job.id);
  return count > 0 ? [...others, { job: job.id, tag: job.tag, count }] : others;
}

/** What each movement does to what is held. */
const EFFECT: Record<Movement['kind'], (h: Holding, m: Movement) => Partial<Holding>> = {
  received: (h, m) => ({ received: h.received + m.count }),
  found: (h, m) => ({ found: h.found + m.count }),
  // What is used for a job is no longer set aside for it.
  used: (h, m) => ({ used: h.used + m.count, reserved: setAside(h, m.job, -m.count) }),
  returned: (h, m) => ({ used: h.used - m.count }),
  'written off': (h, m) => ({ writtenOff: h.writtenOff + m.count }),
  reserved: (h, m) => ({ reserved: setAside(h, m.job, m.count) }),
  released: (h, m) => ({ reserved: setAside(h, m.job, -m.count) }),
};

function moved(h: Holding, m: Movement): Holding {
  const next = { ...h, ...EFFECT[m.kind](h, m) };
  const [received, found, used, writtenOff] = [next.received, next.found, next.used, next.writtenOff].map(
    exact,
  ) as [number, number, number, number];
  const onHand = exact(received + found - used - writtenOff);
  const aside = next.reserved.reduce((sum, r) => sum + r.count, 0);
  return { ...next, received, found, used, writtenOff, onHand, free: exact(onHand - aside) };
}

/**
 * What a store holds, by its ledger.
 *
 * @param item whose movements they are
 * @param movements in their order
 * @returns counts; received + found = used + written off + on hand
 * @example holdingOf('i', [{ kind: 'received', count: 5, … }, { kind: 'used', count: 2, … }]).onHand // 3
 */
export const holdingOf = (item: string, movements: Movement[]): Holding =>
  movements.reduce(moved, nothing(item));

/**
 * Judges one more movement.
 *
 * @param h what is held
 * @param m the movement
 * @returns what is held after it
 * @throws Refusal when it takes more than there is, or what is set aside for another job
 * @example judgeMovement(holdingOf('i', []), { kind: 'used', count: 1, … }) // throws: 0 on hand
 */
export function judgeMovement(h: Holding, m: Movement): Holding {
  demand(Number.isFinite(m.count) && m.count > 0, 'a count is over 0', '/count');
  demand(exact(m.count) === m.count, 'counts are kept to thousandths', '/count');
  const own = h.reserved.find((r) => r.job === m.job?.id)?.count ?? 0;
  const others = h.reserved.filter((r) => r.job !== m.job?.id).map((r) => `${r.count} for ${r.tag}`);
  const said = others.length ? `, ${others.join(', ')} set aside` : '';
  if (m.kind === 'used')
    demand(
      m.count <= exact(h.free + own),
      `${h.onHand} on hand${said}: count the store, or say that more was found`,
      '/count',
    );
  if (m.kind === 'written off') demand(m.count <= h.onHand, `${h.onHand} on hand`, '/count');
  if (m.kind === 'reserved') {
    demand(m.job, 'say for which job it is set aside', '/job');
    demand(m.count <= h.free, `${h.free} free of ${h.onHand} on hand${said}`, '/count');
  }
  if (m.kind === 'released') {
    demand(m.job, 'say for which job it was set aside', '/job');
    demand(m.count <= own, `${own} set aside for ${m.job?.tag}`, '/count');
  }
  if (m.kind === 'returned') demand(m.count <= h.used, `${h.used} were used`, '/count');
  return moved(h, m);
}

/**
 * What has to be written so that a job’s own use of a thing stands in the ledger, whatever the count said:
 * what nobody knew of was found, and that is said. What it takes of another job’s is missing there.
 *
 * @param h what is held
 * @param use the movement of the job
 * @param foundId id under which more is written as found
 * @returns movements in their order, the use last
 * @example usedByJob(holdingOf('i', []), use).map((m) => m.kind) // ['found', 'used']
 */
export function usedByJob(h: Holding, use: Movement, foundId: string): Movement[] {
  const short = exact(use.count - h.onHand);
  if (short <= 0) return [use];
  const why = `used in ${use.job?.tag ?? 'a job'}, and not counted before`;
  return [{ ...use, id: foundId, kind: 'found', count: short, why }, use];
}

/** Why a thing is on the list of what to order. */
export interface ToOrder {
  item: string;
  /** how many bring it to its minimum, and to what is set aside */
  count: number;
  why: string[];
}

/** Days before its last one from which a thing is ordered anew. Common practice, no source. */
export const ENDS_SOON_DAYS = 45;

/**
 * What to order: below the minimum, set aside and not here, its last day near, a cell that is spent.
 *
 * @param items of the store
 * @param holdings of each
 * @param today as 2026-11-27
 * @param rows chemistry in force
 * @returns one for each thing, with the reasons
 * @example toOrder([glue], holdings, '2026-11-27', CHEMISTRY_ROWS)[0]?.why // ['1 free, 2 wanted']
 */
export function toOrder(
  items: StockItem[],
  holdings: Map<string, Holding>,
  today: string,
  rows: ChemistryRow[],
): ToOrder[] {
  const soon = new Date(Date.parse(today) + ENDS_SOON_DAYS * 86_400_000).toISOString().slice(0, 10);
  return items.flatMap((i) => {
    const h = holdings.get(i.id) ?? nothing(i.id);
    const ends = i.useBy !== undefined && i.useBy <= soon && h.onHand > 0;
    // What may not be used any more is not there.
    const row = rows.find((r) => r.chemistry === i.cell?.chemistry);
    const spent = h.onHand > 0 && i.cell !== undefined && isSpent(i.cell, row);
    const usable = ends || spent ? 0 : h.free;
    const count = exact(Math.max(0, i.minimum - usable));
    const why = [
      ...(h.free < i.minimum ? [`${Math.max(0, h.free)} free, ${i.minimum} wanted`] : []),
      ...(h.free < 0 ? [`${-h.free} set aside and not here`] : []),
      ...(ends
        ? [i.useBy && i.useBy < today ? `past its last day, ${i.useBy}` : `its last day is ${i.useBy}`]
        : []),
      ...(spent ? ['spent at its last look'] : []),
    ];
    return why.length
      ? [{ item: i.id, count: Math.max(count, ends || spent ? Math.max(1, i.minimum) : 0, 0), why }]
      : [];
  });
}
