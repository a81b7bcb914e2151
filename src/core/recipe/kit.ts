import { type JobState, plansOf } from '../job';
import { readLine } from '../ledger';
import { Refusal } from '../refusal';
import { toolOf } from './recipe';
import { wayIn } from './way-in';

/** What a job takes along. */
export interface Kit {
  /** what turns, pries and parts: of the known way in, of the drives that came off already */
  tools: string[];
  /** parts of every remedy of the opening */
  parts: string[];
  /** what is used up on the way */
  consumables: string[];
  /** what somebody added */
  own: string[];
}

/** What a move uses up. Common practice, no source. */
const USES_UP: [RegExp, string][] = [
  [/^(?:solder|unsolder)$/, 'solder, wick'],
  [/^(?:solvent|clean)$/, 'alcohol, lint-free swabs'],
  [/^tape$/, 'insulating tape'],
  [/^cut$/, 'cable ties'],
];
/** What a remedy uses up, by what it does to which kind of thing. Common practice, no source. */
const BY_KIND: Record<string, string[]> = {
  battery: ['insulating tape'],
  board: ['bag against static'],
  supply: ['insulating tape'],
};

const once = (list: (string | null | undefined)[]): string[] => [
  ...new Set(list.filter((x): x is string => Boolean(x))),
];

/**
 * What to lay out or pack before the opening: tools from drives and moves, parts, consumables, and what
 * somebody added.
 *
 * @param state a job
 * @returns four lists without doubles; empty where nothing is known
 * @example kitOf(state).tools // ['T20 driver', 'plastic card']
 */
export function kitOf(state: JobState): Kit {
  let steps: { text: string; tool: string | null }[] = [];
  try {
    steps = wayIn(state, 50)?.steps ?? [];
  } catch (error) {
    // A way in that goes round in a circle tells no tools; Open up says why.
    if (!(error instanceof Refusal)) throw error;
  }
  const moves = steps.flatMap((s) => readLine(s.text).moves);
  const used = moves.map((m) => USES_UP.find(([verb]) => verb.test(m.verb))?.[1]);
  const plans = plansOf(state);
  const kinds = plans.flatMap((p) => state.map.elements.find((e) => e.id === p.element)?.kind ?? []);
  const packs = state.map.hazards.some((h) => h.kind === 'cell pack');
  return {
    tools: once([
      ...steps.map((s) => s.tool),
      ...moves.map((m) => (m.item ? toolOf(m.item) : null)),
      ...state.ledger.items.map((i) => toolOf(i)),
    ]).filter((t) => t !== 'driver'),
    parts: once(plans.flatMap((p) => p.parts)),
    consumables: once([...used, ...kinds.flatMap((k) => BY_KIND[k] ?? []), packs ? 'insulating tape' : null]),
    own: state.kit,
  };
}
