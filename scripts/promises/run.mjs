/**
 * Breaks promises one at a time in a copy, and sees whether the test that holds each fails: `npm run promises`,
 * or `npm run promises -- WORDS` for those with these words. Ends with one line that counts.
 */
import { execFileSync, spawnSync } from 'node:child_process';
import { cpSync, mkdirSync, readFileSync, rmSync, symlinkSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { BREAKS } from './breaks.mjs';

const words = process.argv.slice(2).join(' ').toLowerCase();
const asked = BREAKS.filter((b) => b.promise.toLowerCase().includes(words));
const table = readFileSync('docs/promises.md', 'utf8');
const copy = path.resolve('reports/promises');

rmSync(copy, { recursive: true, force: true });
for (const file of execFileSync('git', ['ls-files', '-z'], { encoding: 'utf8' })
  .split('\0')
  .filter(Boolean)) {
  mkdirSync(path.dirname(path.join(copy, file)), { recursive: true });
  cpSync(file, path.join(copy, file));
}
symlinkSync(path.resolve('node_modules'), path.join(copy, 'node_modules'));

/** The copy as it is built before anything is broken: what is built anew there stays there. */
function unbroken() {
  for (const made of ['dist', 'src/gen']) {
    rmSync(path.join(copy, made), { recursive: true, force: true });
    cpSync(made, path.join(copy, made), { recursive: true });
  }
}
unbroken();

/** Builds the copy as it stands. */
function build() {
  const { status, stderr } = spawnSync(process.execPath, ['scripts/ensure-build.mjs'], {
    cwd: copy,
    encoding: 'utf8',
  });
  if (status !== 0) throw new Error(`the copy cannot be built: ${stderr}`);
}

/** How many tests of a kind passed and failed, by what its runner says as JSON. */
const RUNNERS = {
  '.spec.ts': {
    say: (test, quoted) => [
      'node_modules/@playwright/test/cli.js',
      'test',
      test,
      '-g',
      quoted,
      '--reporter=json',
    ],
    count: ({ stats, errors }) => ({ passed: stats.expected, failed: stats.unexpected + errors.length }),
  },
  '.test.ts': {
    say: (test, quoted) => [
      'node_modules/vitest/vitest.mjs',
      'run',
      '--reporter=json',
      test,
      ...(quoted ? ['-t', quoted] : []),
    ],
    count: ({ numPassedTests, numFailedTests }) => ({ passed: numPassedTests, failed: numFailedTests }),
  },
};

/** Whether the tests of a break pass as the copy stands. */
function passes({ test, named }) {
  const runner = RUNNERS[/\.(spec|test)\.ts$/.exec(test)[0]];
  const { status, stdout } = spawnSync(
    process.execPath,
    runner.say(test, named.replace(/[.*+?^${}()|[\]\\]/g, '\\$&')),
    { cwd: copy, encoding: 'utf8', maxBuffer: 64 * 1024 * 1024 },
  );
  const { passed, failed } = runner.count(JSON.parse(stdout.slice(stdout.indexOf('{'))));
  if (passed + failed === 0) throw new Error(`no test of ${test} is called “${named}”`);
  return status === 0 && failed === 0;
}

/** What came of a break, in words; undefined where its test noticed it. */
function wrong(b) {
  if (!table.includes(b.promise)) return 'stands in no row of docs/promises.md';
  const at = path.join(copy, b.file);
  const whole = readFileSync(at, 'utf8');
  if (!whole.includes(b.from)) return `${b.file} no longer says what is to be broken`;
  if (!passes(b)) return 'fails unbroken';
  writeFileSync(
    at,
    whole.replace(b.from, () => b.to),
  );
  try {
    if (b.built) build();
    return passes(b) ? 'was broken and nothing noticed' : undefined;
  } finally {
    writeFileSync(at, whole);
    if (b.built) unbroken();
  }
}

let noticed = 0;
for (const b of asked) {
  const why = wrong(b);
  if (!why) noticed++;
  console.log(`${why ? 'NOT NOTICED' : 'noticed'}: ${b.promise}${why ? `: ${why}` : ''}`);
}
rmSync(copy, { recursive: true, force: true });
console.log(`${noticed} of ${asked.length} broken promises noticed`);
process.exit(noticed === asked.length ? 0 : 1);
