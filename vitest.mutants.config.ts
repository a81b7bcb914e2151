import { fileURLToPath } from 'node:url';
import { defineConfig } from 'vitest/config';

/** Rooms whose tests take seconds and stand on many others: only asked about faults of their own. */
const LONG = ['day', 'day-plan', 'practice', 'regret', 'simulate', 'van'];
const asked = (process.env.MUTANTS ?? '').split(' ');

/** The tests that faults in the core are tried against: those of the core, and of its rules at the bench. */
export default defineConfig({
  resolve: {
    alias: [
      {
        find: /^fast-check$/,
        replacement: fileURLToPath(new URL('./scripts/mutants-runs.ts', import.meta.url)),
      },
    ],
  },
  test: {
    include: ['src/core/**/*.test.ts', 'tests/{bench-rules,charge,screw-length,batteries}.test.ts'],
    environment: 'node',
    testTimeout: 30_000,
    isolate: false,
    exclude: [
      '**/node_modules/**',
      // The solver of a reference check says nothing about one fault.
      'src/core/order/solver.test.ts',
      ...LONG.filter((room) => !asked.includes(room)).map((room) => `src/core/${room}/**`),
    ],
  },
});
