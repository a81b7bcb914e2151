import type { LineEntry } from './entry';
import type { Part } from './part';

/** Where on a thing, and no thing itself. */
const WHERE =
  /^(?:the )?(?:top|bottom|left|right|front|back|rear|sides?|corners?|middle|cent(?:er|re)|inside|outside|edges?)$/i;

/** Screws of the same thing at another place of it: "3 screws panel bottom, 2 sides". */
export function elsewhere(parts: readonly Part[]): Part[] {
  const out: Part[] = [];
  for (const part of parts) {
    const before = out.at(-1)?.of.at(-1);
    const [e] = part.of;
    const same =
      part.of.length === 1 && e?.kind === 'part' && !e.known && WHERE.test(e.name ?? '') && e.does === 'lift';
    if (!same || before?.kind !== 'fastener') {
      out.push(part);
      continue;
    }
    const { count: _many, place, note: _note, from = '', ...screws } = before;
    const own = from.replace(/ \S+$/, (last) => (WHERE.test(last.trim()) ? '' : last));
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

/** Sorts of the screws that were told first, as many together as those: "9 Y0 shell, 4 long 5 short". */
export function sorted(parts: readonly Part[]): Part[] {
  const out: Part[] = [];
  for (let i = 0; i < parts.length; i++) {
    const part = parts[i] as Part;
    const [all] = part.of;
    let left = part.of.length === 1 && all?.kind === 'fastener' ? (all.count ?? 0) : 0;
    let end = i + 1;
    for (; left > 0 && end < parts.length; end++) {
      const [e] = parts[end]?.of ?? [];
      const sort =
        parts[end]?.of.length === 1 && e?.kind === 'fastener' && !e.from && !e.thread && e.name !== 'screw';
      if (!sort || !e?.count || e.count > left) break;
      left -= e.count;
    }
    const sorts = parts.slice(i + 1, end);
    if (left !== 0 || sorts.length < 2 || !all) {
      out.push(part);
      continue;
    }
    const place = sorts.at(-1)?.of[0]?.place ?? all.place;
    for (const s of sorts) {
      const of = s.of.map((e) => ({ ...all, ...e, ...(e.place || !place ? {} : { place }) }));
      out.push({ ...s, of });
    }
    i = end - 1;
  }
  return out;
}
