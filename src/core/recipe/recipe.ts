import { workOf } from '../hazard';
import { effective, type JobEvent, type JobState } from '../job';
import { coverOf, holds, type ItemDraft } from '../ledger';
import { takesOff } from '../line';
import type { MapMove } from '../unit';

/** Minutes of a move by what it takes off. Common practice, no source. */
const MINUTES: Partial<Record<ItemDraft['kind'], number>> = {
  fastener: 0.25,
  plug: 0.3,
  part: 0.5,
  tie: 0.2,
  tape: 0.3,
  media: 0.2,
};
const OTHER_MINUTES = 0.5;
/** A pause longer than this was not the move. */
const LONGEST_MOVE = 10;

/** What a drive is turned with. */
export const toolOf = (item: ItemDraft): string | null =>
  item.kind === 'fastener'
    ? item.drive
      ? `${item.drive} driver`
      : 'driver'
    : item.kind === 'tie'
      ? 'side cutter'
      : null;

function usual(item: ItemDraft | null): number {
  if (!item) return OTHER_MINUTES;
  const each = MINUTES[item.kind] ?? OTHER_MINUTES;
  return Number((item.kind === 'fastener' ? each * (item.count ?? 4) : each).toFixed(2));
}

/** The time since the entry before, when it can have been spent on the move; else what is usual. */
function spent(at: string, before: string | undefined, item: ItemDraft | null): number {
  const took = before ? (Date.parse(at) - Date.parse(before)) / 60_000 : 0;
  return took >= 0.05 && took <= LONGEST_MOVE ? Number(took.toFixed(2)) : usual(item);
}

/** What was noted of a thing for its way back, and what heat or lever took it off. */
function differs(state: JobState, id: string): Pick<MapMove, 'back' | 'works'> {
  const back = state.ledger.items.find((i) => i.id === id)?.back;
  const move = state.ledger.moves.find((m) => m.id === id);
  const works = move ? workOf(move.verb, move.text) : undefined;
  return { ...(back ? { back } : {}), ...(works ? { works } : {}) };
}

/**
 * The way in as it was found: one move per entry that took something off before the remedy, each
 * after the cover it lay under, and a cover after the fasteners that came from it.
 *
 * @param state the job
 * @param events its events
 * @returns moves in the order they were done, with the minutes they took
 * @example recipeOf(state, events).map((m) => m.text) // ['4 x M3x8 PH1 lid > cup 1', 'lift lid']
 */
export function recipeOf(state: JobState, events: JobEvent[]): MapMove[] {
  const moves: MapMove[] = [];
  const froms = new Map<string, string | undefined>();
  let sideUp: string | null = null;
  let lifted: string | undefined;
  let before: string | undefined;
  for (const e of effective(events)) {
    if (e.type === 'part.removed' || e.type === 'remedy.done') break;
    if (e.type === 'move.recorded') {
      if (e.sideUp) sideUp = e.sideUp;
      if (e.item || (!e.sideUp && !takesOff(e.verb))) {
        const id = `m${moves.length + 1}`;
        const cover = e.item?.kind === 'part' ? coverOf(e.item.name, state.map.access) : undefined;
        const access = state.map.access.find((a) => a.id === cover);
        const under = lifted ? [lifted] : [];
        const held = access ? moves.filter((m) => holds(froms.get(m.id), access)).map((m) => m.id) : [];
        // Where no screw says that it came from this cover, everything since the last one held it; heat and
        // the like were for what came after them.
        const late = moves.slice(moves.findIndex((m) => m.id === lifted) + 1);
        const since = late.map((m) => m.id);
        const worked = late.filter((m) => !froms.has(m.id)).map((m) => m.id);
        const mine = held.length ? [...held, ...worked] : since;
        const after = [...new Set([...under, ...(cover ? mine : worked)])];
        moves.push({
          id,
          text: e.text,
          tool: e.tool ?? (e.item ? toolOf(e.item) : null),
          sideUp,
          minutes: e.minutes ?? spent(e.at, before, e.item),
          ...(after.length ? { after } : {}),
          ...(access ? { opens: access.id } : {}),
          ...differs(state, e.id),
        });
        if (e.item) froms.set(id, e.item.from);
        if (cover) lifted = id;
      }
    }
    before = e.at;
  }
  // What comes after the last cover is done for the part that was planned.
  const last = moves.findLastIndex((m) => m.opens);
  const { plan } = state;
  return moves.map((m, k) => (k > last && plan?.element ? { ...m, reaches: [plan.element] } : m));
}
