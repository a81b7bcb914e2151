import { expose } from 'comlink';
import { alternatives, wayHome, wayIn } from '../core/recipe';

/** The ways in and home beside the page: long lists of moves take their time. */
const api = { wayIn, wayHome, alternatives };
export type WaysWorker = typeof api;

expose(api);
