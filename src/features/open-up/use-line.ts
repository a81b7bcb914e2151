import { useCallback, useMemo } from 'react';
import { isPlannedPart, namesOf } from '../../core/job';
import { cupsInUse, freeCup, type MoveSaid, type Place, type QuickLine, readLine } from '../../core/ledger';
import { recipeMove } from '../../core/recipe';
import { useKept } from '../../ui/use-kept';
import type { Refused } from '../job/store';
import { useJob } from '../job/use-job';

/** Where screws go when the line does not say: kept for the whole job. */
export const SCREWS_GO = {
  cup: 'the next free cup',
  part: 'left in the part',
  hole: 'in their own holes',
} as const;
export type ScrewsGo = keyof typeof SCREWS_GO;

/** Reading and recording lines of this job: its names, its usual place for screws. */
export function useLine() {
  const { job, record } = useJob();
  const { items } = job.ledger;
  const names = useMemo(() => namesOf(job), [job]);
  const [go, setGo] = useKept<ScrewsGo>(`mulch-screws-go-${job.id}`, 'cup');
  const taken = useMemo(() => cupsInUse(items), [items]);
  const usual = useMemo((): Place => {
    if (go === 'part') return { kind: 'left in the part' };
    return go === 'hole' ? { kind: 'in its own hole' } : freeCup(taken);
  }, [go, taken]);
  const read = useCallback(
    (text: string): QuickLine => readLine(text, usual, names, taken),
    [usual, names, taken],
  );
  const keep = (said: MoveSaid, recipe?: string): Refused | null =>
    record('move.recorded', {
      ...said,
      ...(isPlannedPart(job, said.item) ? { out: true } : {}),
      ...(recipe ? { move: recipe } : {}),
    });
  /**
   * Records every move of a line, the last as the move of the recipe; stops at the first that is refused,
   * and answers why, with what is left to say.
   */
  const say = (line: QuickLine, recipe?: string): { refused: Refused | null; left: string } => {
    const { moves } = line;
    if (moves.length === 0)
      return { refused: { reason: 'Say what came off, such as: unplug J7', path: '' }, left: line.text };
    for (const [k, said] of moves.entries()) {
      const refused = keep(said, k === moves.length - 1 && recipe ? recipe : recipeMove(job, said));
      const left =
        k === 0
          ? line.text
          : moves
              .slice(k)
              .map((m) => m.text)
              .join(', ');
      if (refused) return { refused, left };
    }
    return { refused: null, left: '' };
  };
  return { names, read, say, go, setGo };
}
