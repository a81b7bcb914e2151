import { demandDay } from '../../core/job';
import { Refusal } from '../../core/refusal';

/** The day a page is asked for, or today where that is no day of the calendar. */
export function askedDay(text: string | null, now: string): string {
  try {
    demandDay(text ?? '', '/day');
    return text as string;
  } catch (error) {
    if (error instanceof Refusal) return now.slice(0, 10);
    throw error;
  }
}
