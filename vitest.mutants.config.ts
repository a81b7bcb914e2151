import { statSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { defineConfig } from 'vitest/config';
import { BaseSequencer, type TestSpecification } from 'vitest/node';

/** Rooms that are one story: a fault in one of them is also asked about by the tests of the others. */
const STORY = ['hazard', 'job', 'ledger', 'recipe', 'report'];
/** Tests of the rules at the bench, by the room whose faults they are about. */
const BENCH = {
  trace: ['trace-exact'],
  fit: ['batteries'],
  hazard: ['charge'],
  ledger: ['screw-length'],
  job: ['bench-rules', 'charge', 'screw-length', 'batteries', 'stored-jobs'],
  unit: ['faces', 'face-of'],
};
const asked = (process.env.MUTANTS ?? '').split(' ');
const rooms = [...new Set([...asked, ...(asked.some((room) => STORY.includes(room)) ? STORY : [])])];

/** The room's own tests first: what they notice need not be asked of the others. */
class OwnFirst extends BaseSequencer {
  override async sort(files: TestSpecification[]): Promise<TestSpecification[]> {
    const own = (f: TestSpecification) => asked.some((room) => f.moduleId.includes(`/core/${room}/`));
    const size = new Map(files.map((f) => [f, statSync(f.moduleId).size]));
    const rank = (f: TestSpecification) => (own(f) ? 0 : 1e9) + (size.get(f) ?? 0);
    return [...files].sort((a, b) => rank(a) - rank(b));
  }
}

/** The tests that faults in rooms of the core are tried against: their own, and those of their rules at the bench. */
export default defineConfig({
  resolve: {
    alias: [
      {
        find: /^fast-check$/,
        replacement: fileURLToPath(new URL('./scripts/mutants/fewer-runs.ts', import.meta.url)),
      },
    ],
  },
  test: {
    include: [
      ...rooms.map((room) => `src/core/${room}/**/*.test.ts`),
      ...rooms.flatMap((room) =>
        (BENCH[room as keyof typeof BENCH] ?? []).map((name) => `tests/${name}.test.ts`),
      ),
    ],
    sequence: { sequencer: OwnFirst },
    environment: 'node',
    testTimeout: 300_000,
    isolate: false,
    // The solver of a reference check says nothing about one fault.
    exclude: ['**/node_modules/**', 'src/core/order/solver.test.ts'],
  },
});
