/**
 * Puts faults into the core one at a time and sees whether a test notices.
 * `npm run mutants` for all of it, `npm run mutants -- ledger hazard` for some topics,
 * `npm run mutants -- --share 0.2 job` for a fifth of the declarations of one; `--anew` believes no earlier run.
 */
import { spawnSync } from 'node:child_process';
import { readdirSync, readFileSync } from 'node:fs';
import { parseArgs } from 'node:util';

const topics = readdirSync('src/core', { withFileTypes: true })
  .filter((d) => d.isDirectory())
  .map((d) => d.name);
const { values, positionals: asked } = parseArgs({
  options: { share: { type: 'string', default: '1' }, anew: { type: 'boolean', default: false } },
  allowPositionals: true,
});
const share = Number(values.share);
if (!(share > 0 && share <= 1)) {
  console.error(`A share is over 0 and up to 1, not “${values.share}”.`);
  process.exit(1);
}
const unknown = asked.filter((t) => !topics.includes(t));
if (unknown.length) {
  console.error(`No such topic: ${unknown.join(', ')}. There are ${topics.join(', ')}.`);
  process.exit(1);
}
const files = asked.flatMap((t) => [
  `src/core/${t}/**/*.ts`,
  `!src/core/${t}/**/*.test.ts`,
  `!src/core/${t}/**/*.fixture.ts`,
  `!src/core/${t}/**/*.reference.ts`,
]);
const run = spawnSync(
  process.execPath,
  [
    'node_modules/@stryker-mutator/core/bin/stryker.js',
    'run',
    ...(files.length ? ['--mutate', files.join(',')] : []),
    ...(values.anew ? ['--force'] : []),
  ],
  {
    stdio: 'inherit',
    env: { ...process.env, MUTANTS: (asked.length ? asked : topics).join(' '), MUTANTS_SHARE: String(share) },
  },
);
if (run.status) process.exit(run.status);

/** Noticed by a test, or by its running on for ever. */
const NOTICED = new Set(['Killed', 'Timeout']);
const COUNTED = new Set([...NOTICED, 'Survived', 'NoCoverage']);
const report = JSON.parse(readFileSync('reports/mutants/mutants.json', 'utf8'));
const by = new Map();
for (const [file, { mutants }] of Object.entries(report.files)) {
  const topic = file.split('/')[2];
  const sum = by.get(topic) ?? { all: 0, noticed: 0 };
  for (const m of mutants) {
    if (COUNTED.has(m.status)) sum.all++;
    if (NOTICED.has(m.status)) sum.noticed++;
  }
  by.set(topic, sum);
}
for (const [topic, { all, noticed }] of [...by].sort())
  console.log(
    `${topic.padEnd(14)} ${all ? `${noticed} of ${all} noticed, ${((100 * noticed) / all).toFixed(1)} %` : 'none drawn'}`,
  );
