import { useMemo } from 'react';
import type { JobState } from '../../core/job';
import { type WayIn, wayIn } from '../../core/recipe';
import { Refusal } from '../../core/refusal';
import { useJob } from '../job/use-job';
import { useWays } from '../job/use-ways';

/** Null where the way cannot be worked out; why is asked for apart. */
const quietly = (job: JobState, ms: number): WayIn | null => {
  try {
    return wayIn(job, ms);
  } catch (error) {
    if (error instanceof Refusal) return null;
    throw error;
  }
};

/** What the way in has to say, worked out anew after every move; a reason when it cannot be. */
export function useWayIn(): { way: WayIn | null; wrong: string | null; reckoning: boolean } {
  const { job } = useJob();
  const { answer, reckoning } = useWays(job, quietly, (w, state, ms) => w.wayIn(state, ms));
  const wrong = useMemo(() => {
    if (answer) return null;
    try {
      wayIn(job, 1);
      return null;
    } catch (error) {
      return error instanceof Refusal ? error.message : null;
    }
  }, [answer, job]);
  return { way: answer, wrong, reckoning };
}
