import { defineConfig } from 'vitest/config';

export default defineConfig({
  test: {
    include: ['src/**/*.test.{ts,tsx}', 'tests/**/*.test.{ts,tsx}'],
    environment: 'node',
    env: { MULCH_LOG: 'silent' },
    // How long a test takes is asked of `npm run bench`; here only what never ends is ended.
    testTimeout: 300_000,
    hookTimeout: 300_000,
  },
});
