import { defineConfig } from 'vitest/config';

/** The tests that faults in the core are tried against: those of the core, and of its rules at the bench. */
export default defineConfig({
  test: {
    include: ['src/core/**/*.test.ts', 'tests/{bench-rules,charge,screw-length,batteries}.test.ts'],
    environment: 'node',
    testTimeout: 30_000,
    // The solver of a reference check says nothing about one fault.
    exclude: ['**/node_modules/**', 'src/core/order/solver.test.ts'],
  },
});
