import type { JobEvent } from '../../core/job';

/** Entries that no server has taken, as the address of a file that can be saved. */
export const fileOfWaiting = (job: string, events: JobEvent[]): string =>
  `data:application/json,${encodeURIComponent(JSON.stringify({ format: 'mulch entries', version: 1, job, events }, null, 2))}`;
