import { type Item, type ItemDraft, tally } from './items';

/** Nominal diameters in millimetres of unified screw numbers (ASME B1.1). */
const NUMBERED: Record<string, number> = {
  '0': 1.524,
  '1': 1.854,
  '2': 2.184,
  '3': 2.515,
  '4': 2.845,
  '5': 3.175,
  '6': 3.505,
  '8': 4.166,
  '10': 4.826,
  '12': 5.486,
};

/** Two threads nearer than this are easily taken for each other. Common practice, no source. */
const NEAR_MM = 0.6;

/**
 * Nominal diameter of a thread.
 *
 * @param thread such as "M3", "M2.5", "6-32", "1/4-20", "ST3.5"
 * @returns millimetres, or null when the thread is not known
 * @example threadMm('6-32') // 3.505
 */
export function threadMm(thread: string): number | null {
  const metric = /^(?:M|ST)(\d+(?:\.\d+)?)$/.exec(thread);
  if (metric) return Number(metric[1]);
  const inch = /^#?(\d+)-\d+$/.exec(thread);
  if (inch) return NUMBERED[inch[1] as string] ?? null;
  const part = /^(\d+)\/(\d+)-\d+$/.exec(thread);
  return part ? (Number(part[1]) / Number(part[2])) * 25.4 : null;
}

type Screw = Pick<ItemDraft, 'kind' | 'thread' | 'drive' | 'lengthMm'>;

/**
 * Whether two kinds of fastener can be exchanged by mistake, and how far the longer one would reach:
 * same thread and drive but another length, or same length and a near thread (M3 and 6-32).
 *
 * @param a a fastener
 * @param b another
 * @returns null, or the protrusion in millimetres and what differs
 * @example lookAlike({kind:'fastener',thread:'M3',drive:'PH1',lengthMm:8},{kind:'fastener',thread:'M3',drive:'PH1',lengthMm:12}) // { protrusionMm: 4, differs: 'length' }
 */
export function lookAlike(a: Screw, b: Screw): { protrusionMm: number; differs: 'length' | 'thread' } | null {
  if (a.kind !== 'fastener' || b.kind !== 'fastener' || !a.thread || !b.thread) return null;
  if (a.lengthMm === undefined || b.lengthMm === undefined) return null;
  const protrusionMm = Math.abs(a.lengthMm - b.lengthMm);
  if (a.thread === b.thread) {
    return a.drive === b.drive && protrusionMm > 0 ? { protrusionMm, differs: 'length' } : null;
  }
  const da = threadMm(a.thread);
  const db = threadMm(b.thread);
  if (protrusionMm > 0.01 || da === null || db === null || Math.abs(da - db) > NEAR_MM) return null;
  return { protrusionMm: 0, differs: 'thread' };
}

/**
 * Pairs of items off at once that can be exchanged by mistake.
 *
 * @param items all items of a ledger
 * @returns pairs of ids with the protrusion in millimetres
 * @example twins(items)[0] // { a: '…', b: '…', protrusionMm: 4, differs: 'length' }
 */
export function twins(items: Item[]) {
  const off = items.filter((i) => i.kind === 'fastener' && tally(i).off > 0);
  return off.flatMap((a, k) =>
    off.slice(k + 1).flatMap((b) => {
      const like = lookAlike(a, b);
      return like ? [{ a: a.id, b: b.id, ...like }] : [];
    }),
  );
}

/**
 * Of every screw that is off, the thing kept first that it can be taken for: {@link twins} for a tray of any
 * size, since screws of one size and drive are looked at once.
 *
 * @param items everything in the tray
 * @returns by id, only those that have one
 * @example firstTwins(items).get('s1')?.lengthMm // 12
 */
export function firstTwins(items: Item[]): Map<string, Item> {
  const sizes = new Map<string, { first: Item; at: number; members: Item[] }>();
  for (const [at, i] of items.entries()) {
    if (i.kind !== 'fastener' || tally(i).off === 0) continue;
    const key = JSON.stringify([i.thread, i.lengthMm, i.drive]);
    const size = sizes.get(key);
    if (size) size.members.push(i);
    else sizes.set(key, { first: i, at, members: [i] });
  }
  const first = new Map<string, Item>();
  for (const size of sizes.values()) {
    const alike = [...sizes.values()].filter((o) => lookAlike(size.first, o.first));
    const earliest = alike.reduce<(typeof alike)[number] | null>((a, b) => (a && a.at < b.at ? a : b), null);
    if (earliest) for (const m of size.members) first.set(m.id, earliest.first);
  }
  return first;
}
