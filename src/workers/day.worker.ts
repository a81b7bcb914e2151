import { expose } from 'comlink';
import { workOut } from '../core/day-plan';
import { Refusal } from '../core/refusal';

/** A day worked out beside the page: every order of it is gone over. What is refused keeps its place. */
const api = {
  workOut(...day: Parameters<typeof workOut>) {
    try {
      return { out: workOut(...day) };
    } catch (error) {
      if (error instanceof Refusal) return { refused: { reason: error.message, path: error.path } };
      throw error;
    }
  },
};
export type DayWorker = typeof api;

expose(api);
