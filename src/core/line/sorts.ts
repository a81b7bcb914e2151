import type { LineEntry } from './entry';
import { isWhere, type Part } from './part';

/** Screws of the same thing at another place of it: "3 screws panel bottom, 2 sides". */
export function elsewhere(parts: readonly Part[]): Part[] {
  const out: Part[] = [];
  for (const part of parts) {
    const before = out.at(-1)?.of.at(-1);
    const [e] = part.of;
    const same =
      part.verbless !== false &&
      part.of.length === 1 &&
      e?.kind === 'part' &&
      !e.known &&
      isWhere(e.name ?? '') &&
      e.does === 'lift';
    if (!same || before?.kind !== 'fastener') {
      out.push(part);
      continue;
    }
    const { count: _many, place, note: _note, from = '', ...screws } = before;
    const own = isWhere(from) ? '' : from.replace(/ \S+$/, (last) => (isWhere(last.trim()) ? '' : last));
    const read = {
      ...screws,
      ...e,
      kind: screws.kind,
      name: screws.name,
      does: screws.does,
      ...(e.place || !place ? {} : { place }),
    };
    out.push({ ...part, of: [{ ...read, from: `${own} ${e.name}`.trim() } as LineEntry] });
  }
  return out;
}

/** Whether something is said of screws that sets them apart from others. */
const isSort = (e: LineEntry): boolean =>
  e.name !== 'screw' || [e.thread, e.drive, e.head, e.lengthMm].some((own) => own !== undefined);

/** Whether screws may be some of those that were told first: of their own thread where those have none. */
function mayBeOf(all: LineEntry, part: Part, told: boolean): boolean {
  const [e] = part.of;
  if (part.of.length !== 1 || e?.kind !== 'fastener' || !e.count || !isSort(e)) return false;
  if (all.thread && e.thread) return false;
  return told || (!e.from && (!e.thread || !all.from || all.from === e.from));
}

/** What is said of all and what of some, in one. */
function inOne(all: LineEntry, e: LineEntry, place: LineEntry['place']): LineEntry {
  const from = [...new Set([all.from, e.from])].filter(Boolean).join(', ');
  return {
    ...all,
    ...e,
    name: (e.name === 'screw' ? all.name : e.name) ?? 'screw',
    ...(from ? { from } : {}),
    ...(e.place || !place ? {} : { place }),
  };
}

/**
 * Sorts of the screws that were told first, as many together as those: "9 Y0 shell, 4 long 5 short", "18 screws
 * round the back: 12 ST3x10, 6 M4x12 at the foot".
 */
export function sorted(parts: readonly Part[]): Part[] {
  const out: Part[] = [];
  for (let i = 0; i < parts.length; i++) {
    const part = parts[i] as Part;
    const [all] = part.of;
    let left = part.of.length === 1 && all?.kind === 'fastener' ? (all.count ?? 0) : 0;
    const told = parts[i + 1]?.told === true;
    let end = i + 1;
    for (; all && left > 0 && end < parts.length; end++) {
      const sort = parts[end] as Part;
      if (!mayBeOf(all, sort, told) || (sort.of[0]?.count ?? 0) > left) break;
      left -= sort.of[0]?.count ?? 0;
    }
    const sorts = parts.slice(i + 1, end);
    if (left !== 0 || sorts.length < 2 || !all) {
      out.push(part);
      continue;
    }
    const place = sorts.at(-1)?.of[0]?.place ?? all.place;
    for (const s of sorts) out.push({ ...s, told: false, of: s.of.map((e) => inOne(all, e, place)) });
    i = end - 1;
  }
  return out;
}

/** Sorts of things that were told first: "3 springs, 2 short 1 long". */
export function sortedThings(parts: readonly Part[]): Part[] {
  const out: Part[] = [];
  for (let i = 0; i < parts.length; i++) {
    const part = parts[i] as Part;
    const all = part.of.length === 1 ? part.of[0] : undefined;
    const end = parts.findIndex((p, k) => k > i && !(p.of.length === 1 && LENGTH.test(p.of[0]?.name ?? '')));
    const sorts = parts.slice(i + 1, end < 0 ? undefined : end).map((p) => p.of[0] as LineEntry);
    const many = sorts.reduce((n, e) => n + (e.count ?? 0), 0);
    const things = all?.takesOff && all.kind !== 'fastener' && (all.count ?? 0) > 1;
    if (!things || sorts.length < 2 || many !== all.count) {
      out.push(part);
      continue;
    }
    const place = sorts.at(-1)?.place ?? all.place;
    const said = sorts.map((e) => `${e.count} ${LENGTH.exec(e.name ?? '')?.[1]}`).join(', ');
    const note = [all.note, said].filter(Boolean).join('; ');
    out.push({ ...part, of: [{ ...all, note, ...(place ? { place } : {}) }] });
    i += sorts.length;
  }
  return out;
}
const LENGTH = /^((?:short|long)(?:er|est)?) screw$/;

/** So many of each of the things before: "2 speakers off, 2 screws each". */
export function perEach(parts: readonly Part[]): Part[] {
  return parts.map((part, i) => {
    const things = parts[i - 1]?.of.at(-1);
    const [e] = part.of;
    const each = part.of.length === 1 && e?.kind === 'fastener' && e.from === 'each';
    if (!each || !e.count || !things?.count || things.kind === 'fastener' || !things.name) return part;
    const count = e.count * things.count;
    return {
      ...part,
      of: [{ ...e, count, from: things.name, ...(things.known ? { fromKnown: things.known } : {}) }],
    };
  });
}
