import type { LineEntry } from './entry';
import type { Place } from './place';

/** What one piece of a line was read as. */
export interface Part {
  of: LineEntry[];
  /** joined to the one before by "and" */
  joined: boolean;
  /** told of the one before: behind a colon, in brackets */
  told: boolean;
  /** what was done is not said */
  verbless?: boolean;
  /** where each of several is kept, in their order */
  places: readonly Place[];
}

const isFasteners = ({ of }: Part): boolean => of.length > 0 && of.every((e) => e.kind === 'fastener');
const fromOf = (e: LineEntry | undefined) =>
  e?.from ? { from: e.from, ...(e.fromKnown ? { fromKnown: e.fromKnown } : {}) } : undefined;

/** Parts that "and" joins. */
function runs(parts: readonly Part[]): Part[][] {
  const out: Part[][] = [];
  for (const p of parts) {
    const last = out.at(-1);
    if (last && p.joined && isFasteners(p) && last.every(isFasteners)) last.push(p);
    else out.push([p]);
  }
  return out;
}

/**
 * Where the last of several is kept, all are; as many places as there are things, and each has its own: "6 M3x8 and
 * 2 M3x12 back > cup 1, cup 2". Fasteners that are joined come from one thing where it is said once.
 */
function kept(run: readonly Part[]): Part[] {
  const each = run.flatMap(({ of }) => of);
  const places = run.at(-1)?.places ?? [];
  const own = places.length > 1 && places.length === each.length;
  let from = fromOf(undefined);
  let place = own ? undefined : places[0];
  let at = each.length;
  return run
    .toReversed()
    .map((part) => {
      place = own ? undefined : (part.places[0] ?? place);
      const of = part.of.toReversed().map((e) => {
        at--;
        const kept = e.takesOff ? (own ? places[at] : (e.place ?? place)) : undefined;
        const read = { ...e, ...(kept ? { place: kept } : {}), ...(e.from || run.length === 1 ? {} : from) };
        from = fromOf(e) ?? from;
        return read;
      });
      return { ...part, of: of.toReversed() };
    })
    .toReversed();
}

/** What a verb without a name is done to is what was spoken of last: "lid stuck, pry with card". */
function named(parts: readonly Part[]): Part[] {
  const out: Part[] = [];
  for (const part of parts) {
    const [entry] = part.of;
    const before = out.at(-1)?.of.at(-1);
    const nameless = part.of.length === 1 && entry !== undefined && !entry.name && !entry.kind && !entry.to;
    if (!nameless || !before?.name || (!entry.takesOff && before.does !== 'look')) out.push(part);
    else if (!entry.takesOff)
      // "knob stuck, heated 2 min"
      out.push({
        ...part,
        of: [{ ...entry, name: before.name, ...(before.known ? { known: before.known } : {}) }],
      });
    else if (before.takesOff)
      // It is off already: how it came off is said now.
      out.at(-1)?.of.splice(-1, 1, { ...before, ...entry, does: entry.does });
    else {
      const { name, known } = before;
      const off = { ...entry, kind: 'part' as const, name, count: 1, ...(known ? { known } : {}) };
      out.push({ ...part, of: [off] });
    }
  }
  return out;
}

/** Where on a thing, and no thing itself. */
const WHERE =
  /^(?:the )?(?:top|bottom|left|right|front|back|rear|sides?|corners?|middle|cent(?:er|re)|inside|outside|edges?)$/i;

/** Screws of the same thing at another place of it: "3 screws panel bottom, 2 sides". */
function elsewhere(parts: readonly Part[]): Part[] {
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
function sorted(parts: readonly Part[]): Part[] {
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

/** Screws that are told of a thing held it, and came out before it: "hood off: 4 screws". */
function held(parts: readonly Part[]): Part[] {
  const out: Part[] = [];
  for (const part of parts) {
    const thing = out.at(-1)?.of.at(-1);
    const [more] = part.of;
    // "deck plate bolts: 8 hex 3" are eight of them.
    if (part.told && more?.kind === 'fastener' && thing?.kind === 'fastener' && thing.count === null) {
      const name = more.name === 'screw' ? thing.name : more.name;
      out.at(-1)?.of.splice(-1, 1, { ...thing, ...more, ...(name ? { name } : {}), ...fromOf(thing) });
      if (part.of.length > 1) out.push({ ...part, of: part.of.slice(1) });
    } else if (
      part.told &&
      part.verbless &&
      thing?.takesOff &&
      part.of.every((e) => e.kind !== 'fastener' && e.count === 1 && !e.place)
    ) {
      // "battery leads off: red, black"
      const words = part.of.map((e) => [e.name, e.note].filter(Boolean).join(', ')).join(', ');
      out.at(-1)?.of.splice(-1, 1, { ...thing, note: [thing.note, words].filter(Boolean).join('; ') });
    } else if (
      part.told &&
      part.verbless &&
      out.at(-1)?.verbless &&
      thing?.kind === 'part' &&
      !isFasteners(part)
    ) {
      // "engine board: 14 connectors" says nothing of the board itself.
      const from = { from: thing.name ?? '', ...(thing.known ? { fromKnown: thing.known } : {}) };
      out.splice(-1, 1, { ...part, of: part.of.map((e) => ({ ...from, ...e })) });
    } else if (part.told && isFasteners(part) && thing?.kind === 'part' && thing.takesOff) {
      const from = { from: thing.name ?? '', ...(thing.known ? { fromKnown: thing.known } : {}) };
      // "controller: 2 screws" says nothing of the controller itself.
      const only = out.at(-1)?.verbless === true;
      out.splice(-1, only ? 1 : 0, { ...part, of: part.of.map((e) => (e.from ? e : { ...e, ...from })) });
    } else out.push(part);
  }
  return out;
}

/**
 * The moves of a line, each with what is said once of several.
 *
 * @param parts of the line, in their order
 * @returns the moves in the order in which they were made
 * @example gathered([{ of: [screws], … }, { of: [washers], joined: true, places: [cup], … }])[0].place // cup
 */
export const gathered = (parts: readonly Part[]): LineEntry[] =>
  held(sorted(elsewhere(named(runs(parts).flatMap(kept))))).flatMap(({ of }) => of);
