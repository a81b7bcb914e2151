// Everything that has to hold, in one run: types, lint, unit and reference tests, browser tests.
import { spawnSync } from 'node:child_process';
import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { ensureBuild } from './ensure-build.mjs';

process.chdir(fileURLToPath(new URL('../', import.meta.url)));
process.env.ASTRO_TELEMETRY_DISABLED = '1';
let passed = 0;
let failed = 0;

const run = (command, args, env = {}) =>
  spawnSync(command, args, { stdio: 'inherit', env: { ...process.env, ...env } }).status === 0;
const node = (script, ...args) => run(process.execPath, [script, ...args]);
const suite = (name, ok) => {
  if (ok) passed++;
  else failed++;
  console.log(`${ok ? 'passed' : 'FAILED'}: ${name}`);
};

function ensureBrowser() {
  const path = process.env.CHROMIUM ?? '/usr/bin/chromium';
  if (existsSync(path)) return;
  if (process.getuid?.() === 0 && existsSync('/usr/bin/apt-get')) {
    console.log('Installing Chromium for the browser tests.');
    run('apt-get', ['update', '-qq'], { DEBIAN_FRONTEND: 'noninteractive' });
    run('apt-get', ['install', '-y', '-qq', 'chromium'], { DEBIAN_FRONTEND: 'noninteractive' });
  }
  if (existsSync(path)) return;
  console.log(
    'The browser tests need Chromium: install the package “chromium”, or name its path in CHROMIUM.',
  );
  process.exit(1);
}

/** Counts of one report; a suite that wrote none counts as one failure. */
function count(file, read) {
  if (!existsSync(file)) {
    failed++;
    return;
  }
  const [good, bad] = read(JSON.parse(readFileSync(file, 'utf8')));
  passed += good;
  failed += bad;
}

ensureBrowser();
ensureBuild();
rmSync('test-results', { recursive: true, force: true });
mkdirSync('test-results', { recursive: true });
suite('types', node('node_modules/astro/astro.js', 'check', '--minimumSeverity', 'error'));
suite('lint', run('node_modules/.bin/biome', ['check', '--error-on-warnings', '.']));
suite('layers', run('node_modules/.bin/depcruise', ['src', '--config', '.dependency-cruiser.mjs']));
const units = node(
  'node_modules/vitest/vitest.mjs',
  'run',
  '--reporter=default',
  '--reporter=json',
  '--outputFile.json=test-results/unit.json',
);
count('test-results/unit.json', (r) => [
  r.numPassedTests,
  r.numFailedTests + (units || r.numFailedTests ? 0 : 1),
]);
const pages = node('node_modules/@playwright/test/cli.js', 'test');
count('test-results/browser.json', ({ stats: s }) => [
  s.expected,
  s.unexpected + s.flaky + (pages || s.unexpected ? 0 : 1),
]);

console.log(`${passed} passed, ${failed} failed`);
process.exit(failed === 0 ? 0 : 1);
