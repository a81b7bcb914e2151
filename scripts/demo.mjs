// Saltmarsh Pier in one command: builds if the build is stale, seeds once, starts.
import { ensureBuild } from './ensure-build.mjs';

ensureBuild();
process.env.MULCH_DEMO = '1';
process.env.MULCH_DATA ??= './data/demo';
await import('./serve.mjs');
