/** Which facts are kept of a job. Raised by one when they change: the record is then written anew. */
export const RECORD_SHAPE = 1;
