import { ensureBuild } from './ensure-build.mjs';

ensureBuild();
await import('./serve.mjs');
