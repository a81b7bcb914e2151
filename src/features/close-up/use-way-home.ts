import { type WayHome, wayHome } from '../../core/recipe';
import { useJob } from '../job/use-job';
import { useWays } from '../job/use-ways';

/** The way home of the job in hand: the strict reverse, and a quicker order where there is one. */
export function useWayHome(): WayHome {
  const { job } = useJob();
  const { answer } = useWays(job, wayHome, (w, state, ms) => w.wayHome(state, ms));
  return answer as WayHome;
}
