import { expose } from 'comlink';
import { codeIn } from './code-in';

/** Codes read beside the page: a picture takes its time. */
const api = { read: codeIn };
export type ScanWorker = typeof api;

expose(api);
