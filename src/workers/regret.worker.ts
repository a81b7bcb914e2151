import { expose } from 'comlink';
import { handScores, storyOf } from '../core/practice';

/** What decisions cost, beside the page: every way on is looked at, and how far it is is told. */
const api = { storyOf, handScores };
export type RegretWorker = typeof api;

expose(api);
