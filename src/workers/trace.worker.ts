import { expose } from 'comlink';
import { trace } from '../core/trace';

/** The trace computation beside the page, so that ranking never holds up a hand. */
const api = { trace };
export type TraceWorker = typeof api;

expose(api);
