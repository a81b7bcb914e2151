import { folded } from '../hazard';
import type { JobState } from '../job';
import { type MoveSaid, readLine } from '../ledger';

type Said = Pick<MoveSaid, 'verb' | 'item' | 'on' | 'sideUp'>;

/** Whether two moves are the same: the same thing off, or the same done to the same thing. */
function same(a: Said, b: Said): boolean {
  if (a.item && b.item) {
    if (a.item.kind !== b.item.kind) return false;
    return a.item.kind === 'fastener'
      ? folded(a.item.from ?? '') === folded(b.item.from ?? '') &&
          a.item.thread === b.item.thread &&
          a.item.lengthMm === b.item.lengthMm
      : folded(a.item.name) === folded(b.item.name);
  }
  return !a.item && !b.item && a.verb === b.verb && folded(a.on ?? '') === folded(b.on ?? '') && !a.sideUp;
}

/**
 * The move of the known way in that a line is, although it was written in other words or out of turn.
 *
 * @param state a job
 * @param said a move as the line says it
 * @returns its id, the first that is not done yet; undefined where it is none of them
 * @example recipeMove(state, { verb: 'lift', item: lid }) // 'm2'
 */
export function recipeMove(state: JobState, said: Said): string | undefined {
  const done = new Set(state.followed);
  return state.map.moves?.find((m) => !done.has(m.id) && same(readLine(m.text), said))?.id;
}
