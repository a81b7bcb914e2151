import { useMemo } from 'react';
import { type WayIn, wayIn } from '../../core/recipe';
import { Refusal } from '../../core/refusal';
import { useJob } from '../job/use-job';

/** What the way in has to say, worked out anew after every move; a reason when it cannot be. */
export function useWayIn(): { way: WayIn | null; wrong: string | null } {
  const { job } = useJob();
  return useMemo(() => {
    try {
      return { way: wayIn(job), wrong: null };
    } catch (error) {
      if (error instanceof Refusal) return { way: null, wrong: error.message };
      throw error;
    }
  }, [job]);
}
