// Saltmarsh Pier in one command: builds if the build is stale, seeds once, starts.
import { spawn } from 'node:child_process';
import { fileURLToPath } from 'node:url';
import { ensureBuild } from './ensure-build.mjs';

ensureBuild();
process.env.MULCH_DEMO = '1';
process.env.MULCH_DATA ??= './data/demo';
if (process.env.MULCH_METER === undefined) process.env.MULCH_METER = await standInMeter();
await import('./serve.mjs');

/** Starts the stand-in bench meter beside Mulch; it ends with it. Answers its address, empty when it does not start. */
function standInMeter() {
  const meter = spawn(process.execPath, ['--import', 'tsx', 'src/standins/meter/main.ts'], {
    cwd: fileURLToPath(new URL('../', import.meta.url)),
    stdio: ['pipe', 'pipe', 'inherit'],
  });
  process.on('exit', () => meter.kill());
  return new Promise((done) => {
    meter.stdout.once('data', (line) => done(String(line).trim()));
    meter.once('exit', () => done(''));
  });
}
