import { database } from '../context';
import { beside } from '../threads/beside';
import type { WHOLE_RECORD } from './whole-record';

/** Works something out of the whole record, beside the answering of others. */
export const ofRecord =
  <N extends keyof typeof WHOLE_RECORD>(name: N) =>
  async (asked: Parameters<(typeof WHOLE_RECORD)[N]>[0]) => {
    // The thread only reads: the tables are brought up to date here.
    await database();
    return beside(name)(asked as never);
  };
