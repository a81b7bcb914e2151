/**
 * Faults put into the core one at a time, to see whether a test notices (`npm run mutants`). What was tried
 * before and has not changed since is not tried again.
 *
 * @type {import('@stryker-mutator/api/core').PartialStrykerOptions}
 */
export default {
  testRunner: 'vitest',
  plugins: ['@stryker-mutator/vitest-runner', './scripts/mutants/drawn.mjs'],
  ignorers: ['drawn'],
  vitest: { configFile: 'vitest.mutants.config.ts', related: false },
  coverageAnalysis: 'perTest',
  // A table that is read before the first test costs a run of all tests per figure.
  ignoreStatic: true,
  mutate: ['src/core/**/*.ts', '!src/core/**/*.test.ts', '!src/core/**/*.{fixture,test.reference}.ts'],
  incremental: true,
  incrementalFile: 'reports/mutants/incremental.json',
  reporters: ['clear-text', 'json', 'progress'],
  jsonReporter: { fileName: 'reports/mutants/mutants.json' },
  clearTextReporter: { logTests: false, allowColor: false, reportTests: false, reportScoreTable: true },
  tempDirName: 'reports/mutants/scratch',
  // Words are told by the screens; that each is there is no rule.
  mutator: { excludedMutations: ['StringLiteral'] },
  ignorePatterns: ['dist', 'data', 'docs', 'drizzle', 'e2e', 'test-results', 'reports'],
  timeoutMS: 8000,
  dryRunTimeoutMinutes: 20,
  concurrency: 2,
};
