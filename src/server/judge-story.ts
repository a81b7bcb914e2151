import { demandWhole, fold, type JobEvent } from '../core/job';
import { type Shown, shownOf } from '../core/record';
import { Refusal } from '../core/refusal';

/**
 * Judges a whole story, and sums it up for lists and the record.
 *
 * @throws Refusal with the path of the event that breaks a rule
 */
export function judgeStory({ events }: { events: JobEvent[] }): Shown {
  try {
    demandWhole(events);
    return shownOf(fold(events));
  } catch (error) {
    if (error instanceof Refusal) throw new Refusal(error.message, `/events${error.path}`);
    throw error;
  }
}
