// Saltmarsh Pier in one command: builds if the build is stale, seeds once, starts.
import { spawn } from 'node:child_process';
import { fileURLToPath } from 'node:url';
import { ensureBuild } from './ensure-build.mjs';

ensureBuild();
process.env.MULCH_DEMO = 'years';
process.env.MULCH_DATA ??= './data/demo';
process.env.MULCH_METER ??= await standIn('meter');
process.env.MULCH_CONSOLE ??= await standIn('console');
process.env.MULCH_CATALOGUE ??= await standIn('catalogue');
await import('./serve.mjs');

/** Starts a stand-in beside Mulch; it ends with it. Answers its address, empty when it does not start. */
function standIn(name) {
  const child = spawn(process.execPath, ['--import', 'tsx', `src/standins/${name}/main.ts`], {
    cwd: fileURLToPath(new URL('../', import.meta.url)),
    stdio: ['pipe', 'pipe', 'inherit'],
  });
  process.on('exit', () => child.kill());
  return new Promise((done) => {
    child.stdout.once('data', (line) => done(String(line).trim()));
    child.once('exit', () => done(''));
  });
}
