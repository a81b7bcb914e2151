import { type JobRecord, type JobSummary, summarise } from '../job';
import { factsOf, type JobFacts } from './facts';

/** What is kept beside the entries of a job, written in the same transaction as they are. */
export interface Shown {
  /** what the bench shows of it */
  summary: JobSummary;
  /** what it leaves for the record */
  facts: JobFacts;
}

/**
 * What is kept beside the entries of a job, so that nobody need fold it to list it.
 *
 * @param record a job with its entries
 * @returns its summary and its facts
 * @example shownOf(record).summary.tag // 'J-7'
 */
export const shownOf = (record: JobRecord): Shown => ({
  summary: summarise(record.state),
  facts: factsOf(record),
});
