import { expose } from 'comlink';
import { mixups } from '../core/mixups';

/** Wrong matings beside the page: hundreds of plugs take their time. */
const api = { mixups };
export type MixupsWorker = typeof api;

expose(api);
