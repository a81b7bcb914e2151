import { demandWhole, fold, type JobEvent, type JobSummary, summarise } from '../core/job';
import { Refusal } from '../core/refusal';

/**
 * Judges a whole story, and sums it up.
 *
 * @throws Refusal with the path of the event that breaks a rule
 */
export function judgeStory({ events }: { events: JobEvent[] }): JobSummary {
  try {
    demandWhole(events);
    return summarise(fold(events).state);
  } catch (error) {
    if (error instanceof Refusal) throw new Refusal(error.message, `/events${error.path}`);
    throw error;
  }
}
