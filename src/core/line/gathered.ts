import type { LineEntry } from './entry';
import { LEADS_LAST } from './kind-of';
import { fromOf, isFasteners, type Part } from './part';
import { isPlugMark } from './plug-words';
import { elsewhere, perEach, sorted, sortedThings } from './sorts';
import { told } from './told';

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

/** What is done to a thing that is off already: "plus off, insulated with tape". */
const OF_IT = /^(?:tape|mark|clean|photograph|measure|discharge)$/;

/** What is pulled and has contacts is unplugged. */
const takenOff = (does: string, name = ''): Pick<LineEntry, 'kind' | 'does'> =>
  does === 'unplug' || (does === 'lift' && LEADS_LAST.test(name.toLowerCase()))
    ? { kind: 'plug', does: 'unplug' }
    : { kind: 'part', does };

/** What the moves behind a colon are told of, where nothing is said of it itself. */
function topicOf(parts: readonly Part[]): Pick<LineEntry, 'name' | 'known'> | undefined {
  const at = parts.findLastIndex((_, i) => parts[i + 1]?.told);
  const of = parts[at];
  const thing = of?.of.at(-1);
  // Once another thing is off, it is that one that is spoken of.
  if (parts.slice(at + 1).some((p) => p.of.some((e) => e.kind === 'part'))) return undefined;
  if (!of?.verbless || !(thing?.kind === 'part' || thing?.kind === 'plug')) return undefined;
  return { ...(thing.name ? { name: thing.name } : {}), ...(thing.known ? { known: thing.known } : {}) };
}

/** What a verb without a name is done to is what was spoken of last: "lid stuck, pry with card". */
function named(parts: readonly Part[]): Part[] {
  const out: Part[] = [];
  for (const part of parts) {
    const [entry] = part.of;
    // A latch that was opened is no thing that was spoken of.
    const spoken = out.findLast((p) => p.of.at(-1)?.does !== 'unlatch') ?? out.at(-1);
    const before = spoken?.of.at(-1);
    const topic = topicOf(out);
    const nameless = part.of.length === 1 && entry !== undefined && !entry.name && !entry.kind && !entry.to;
    const ofIt = before?.does === 'look' || OF_IT.test(entry?.does ?? '');
    if (!nameless || !before?.name || (!entry.takesOff && !ofIt)) out.push(part);
    else if (!entry.takesOff)
      // "knob stuck, heated 2 min"
      out.push({
        ...part,
        of: [{ ...entry, name: before.name, ...(before.known ? { known: before.known } : {}) }],
      });
    else if (topic && part.told !== true)
      // "board: unplug J1, lift out" is the board, "flex: opened the latch and pulled out" the flex.
      out.push({ ...part, of: [{ ...entry, ...topic, ...takenOff(entry.does, topic.name), count: 1 }] });
    else if (before.kind === 'plug' && entry.does !== 'unplug')
      // "battery unplugged, peeled off": its plug, and then itself.
      out.push({ ...part, of: [{ ...entry, kind: 'part', name: before.name, count: 1 }] });
    else if (before.kind === 'fastener') {
      // "board: 4 screws, lifted"
      const { from: name, fromKnown: known } = before;
      const off = { ...entry, kind: 'part' as const, count: 1 };
      if (name) out.push({ ...part, of: [{ ...off, name, ...(known ? { known } : {}) }] });
    } else if (before.takesOff)
      // It is off already: how it came off is said now.
      spoken?.of.splice(-1, 1, { ...before, ...entry, does: entry.does });
    else {
      const { name, known } = before;
      const off = { ...entry, kind: 'part' as const, name, count: 1, ...(known ? { known } : {}) };
      out.push({ ...part, of: [off] });
    }
  }
  return out;
}

/** What was done to the one before is done to the next: "unplug J7 first, then the lamp, then the fan". */
function carried(parts: readonly Part[]): Part[] {
  const out: Part[] = [];
  for (const part of parts) {
    const before = out.at(-1)?.of.at(-1);
    const [e] = part.of;
    const same = part.then && part.verbless && part.of.length === 1 && e?.kind === 'part';
    if (same && before?.kind === 'plug' && before.does === 'unplug')
      out.push({ ...part, of: [{ ...fromOf(before), ...e, kind: 'plug', does: 'unplug' }] });
    else out.push(part);
  }
  return out;
}

/** What was done to the next was done to those before, where all are marks: "P9 fan, P10 fan unplugged". */
function carriedBack(parts: readonly Part[]): Part[] {
  let next: Part | undefined;
  return parts
    .toReversed()
    .map((part) => {
      const [e] = part.of;
      const after = next?.of[0];
      const marks = [e, after].every((x) => isPlugMark(x?.name?.split(/[ ,]/)[0]));
      const same =
        marks && part.verbless && part.of.length === 1 && e?.kind === 'part' && after?.does === 'unplug';
      next = same ? { ...part, of: [{ ...e, kind: 'plug', does: 'unplug' }] } : part;
      return next;
    })
    .toReversed();
}

/**
 * The moves of a line, each with what is said once of several.
 *
 * @param parts of the line, in their order
 * @returns the moves in the order in which they were made
 * @example gathered([{ of: [screws], … }, { of: [washers], joined: true, places: [cup], … }])[0].place // cup
 */
export const gathered = (parts: readonly Part[]): LineEntry[] =>
  carried(
    told(sorted(sortedThings(perEach(elsewhere(named(runs(carriedBack(parts)).flatMap(kept))))))),
  ).flatMap(({ of }) => of);
