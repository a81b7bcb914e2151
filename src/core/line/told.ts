import type { LineEntry } from './entry';
import { fromOf, isBeneath, isFasteners, isWhere, type Part } from './part';

/** What a part that is told of the one before makes of both; null where it says something else. */
type Rule = (before: Part, told: Part) => Part[] | null;

/** The last thing of a part in other words. */
const instead = (part: Part, last: LineEntry): Part => ({ ...part, of: [...part.of.slice(0, -1), last] });

const ofThing = (thing: LineEntry) => ({
  from: thing.name ?? '',
  ...(thing.known ? { fromKnown: thing.known } : {}),
});

/** "deck plate bolts: 8 hex 3" are eight of them. */
const counted: Rule = (before, told) => {
  const bolts = before.of.at(-1);
  const [more, ...others] = told.of;
  if (bolts?.kind !== 'fastener' || bolts.count !== null || more?.kind !== 'fastener') return null;
  const name = more.name === 'screw' ? bolts.name : more.name;
  const eight = { ...bolts, ...more, ...(name ? { name } : {}), ...fromOf(bolts) };
  return [instead(before, eight), ...(others.length ? [{ ...told, of: others }] : [])];
};

/** "battery leads off: red, black" */
const noted: Rule = (before, told) => {
  const thing = before.of.at(-1);
  const words = told.of.every(
    (e) => e.kind !== 'fastener' && e.count === 1 && !e.place && !(before.verbless && e.kind === 'plug'),
  );
  if (!thing?.takesOff || !told.verbless || !words) return null;
  const note = [thing.note, told.of.map((e) => [e.name, e.note].filter(Boolean).join(', ')).join(', ')];
  return [instead(before, { ...thing, note: note.filter(Boolean).join('; ') })];
};

/** "engine board: 14 connectors" says nothing of the board itself. */
const onIt: Rule = (before, told) => {
  const thing = before.of.at(-1);
  if (thing?.kind !== 'part' || !before.verbless || !told.verbless || isFasteners(told)) return null;
  return [{ ...told, of: told.of.map((e) => ({ ...ofThing(thing), ...e })) }];
};

/** "hood off: 4 screws": they held it, and came out before it. Of "hood: 4 screws" the hood is still on. */
const held: Rule = (before, told) => {
  const thing = before.of.at(-1);
  if (thing?.kind !== 'part' || !thing.takesOff || !isFasteners(told)) return null;
  const own = (e: LineEntry): LineEntry => {
    if (e.from && !isWhere(e.from)) return e;
    const { from, ...known } = ofThing(thing);
    return { ...e, ...known, from: [from, e.from].filter(Boolean).join(', ') };
  };
  const screws = { ...told, of: told.of.map(own) };
  return before.verbless ? [screws] : [screws, before];
};

/** "main board: unplug CN1" says nothing of the board itself. */
const pluggedIn: Rule = (before, told) => {
  const thing = before.of.at(-1);
  const plugs = told.of.every((e) => e.kind === 'plug');
  if (!(thing?.kind === 'part' || thing?.kind === 'plug') || !before.verbless || !plugs) return null;
  return [{ ...told, of: told.of.map((e) => ({ ...ofThing(thing), ...e })) }];
};

/** "measured R12: 0.5 ohm" is what was found. */
const found: Rule = (before, told) => {
  const move = before.of.at(-1);
  const words = told.of.every((e) => e.kind !== 'fastener' && e.name);
  if (!move || move.takesOff || !told.verbless || !words) return null;
  const note = [move.note, ...told.of.map((e) => [e.name, e.note].filter(Boolean).join(', '))];
  return [instead(before, { ...move, note: note.filter(Boolean).join('; ') })];
};

/** "crown: clip off, crown out" says of what it is told, and nothing that was done to it. */
const about: Rule = (before, told) => {
  const thing = before.of.at(-1);
  const spoken = thing?.kind === 'part' || thing?.kind === 'plug';
  return spoken && before.verbless && !told.verbless && !isFasteners(told) ? [told] : null;
};

/** The first that fits is taken. */
const RULES: Rule[] = [counted, noted, found, onIt, pluggedIn, held, about];

/** Screws that are told or joined with others, and come from nowhere else: "foot off: 4 M4x12 and 2 M4x20". */
function together(parts: readonly Part[]): Part[] {
  const out: Part[] = [];
  for (const part of parts) {
    const before = out.at(-1);
    const both = before && isFasteners(before) && isFasteners(part) && !part.told;
    const from = before?.of.at(-1)?.from;
    const more =
      both &&
      ((before.told && part.of.every((e) => !e.from || isWhere(e.from))) ||
        (part.joined && part.of.every((e) => e.from === from)));
    if (more) out.splice(-1, 1, { ...before, of: [...before.of, ...part.of] });
    else out.push(part);
  }
  return out;
}

/** "rubber feet off, 2 screws below": they were reached once it was off. */
const beneath: Rule = (before, told) => {
  const thing = before.of.at(-1);
  if (thing?.kind === undefined || thing.kind === 'fastener' || !thing.takesOff || !isFasteners(told))
    return null;
  if (!told.of.every((e) => isBeneath(e.from ?? ''))) return null;
  const own = ofThing(thing).from;
  return [before, { ...told, of: told.of.map((e) => ({ ...e, from: `${e.from?.split(' ')[0]} ${own}` })) }];
};

/** Behind a comma: "foot off, 4 screws" is as good as "foot off: 4 screws". */
const BEHIND_A_COMMA: Rule[] = [
  (before, screws) => (before.verbless ? null : counted(before, screws)),
  (before, screws) => held({ ...before, verbless: false }, screws),
];

function rulesFor(part: Part): Rule[] {
  if (part.told) return RULES;
  if (part.of.some((e) => isBeneath(e.from ?? ''))) return [beneath];
  const elsewhere = part.joined || part.then || part.of.some((e) => e.from && !isWhere(e.from));
  return elsewhere ? [] : BEHIND_A_COMMA;
}

/**
 * Parts of a line, with what is told of the one before behind a colon, in brackets, or of its screws behind a comma.
 *
 * @param parts of the line, in their order
 * @returns parts in the order in which the moves were made
 * @example told([hoodOff, fourScrews]).map((p) => p.of[0].kind) // ['fastener', 'part']
 */
export function told(parts: readonly Part[]): Part[] {
  const out: Part[] = [];
  for (const part of together(parts)) {
    const before = out.at(-1);
    const both =
      before &&
      rulesFor(part)
        .map((rule) => rule(before, part))
        .find((made) => made !== null);
    if (both) out.splice(-1, 1, ...both);
    else out.push(part);
  }
  return out;
}
