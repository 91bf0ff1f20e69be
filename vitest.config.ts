import { availableParallelism } from 'node:os';
import { defineConfig } from 'vitest/config';

// Time limits carry a machine that is four times slower than a quiet one.
export default defineConfig({
  resolve: { conditions: ['nuvar-source'] },
  ssr: { resolve: { conditions: ['nuvar-source'] } },
  test: {
    // Both cores of a small machine: one less than there are, as is usual, would leave one of two idle.
    maxWorkers: Math.max(2, availableParallelism() - 1),
    projects: [
      // Book and core keep nothing between calls, so that their files can share what they import.
      {
        extends: true,
        test: { name: 'book', include: ['packages/book/src/**/*.test.ts'], isolate: false, testTimeout: 60_000 },
      },
      {
        extends: true,
        test: { name: 'core', include: ['packages/core/src/**/*.test.ts'], isolate: false, testTimeout: 60_000 },
      },
      {
        extends: true,
        test: {
          name: 'server',
          include: ['apps/server/src/**/*.test.ts'],
          // Wrong sign-ins and the like are made on purpose, by the hundred.
          env: { LOG_LEVEL: 'error' },
          testTimeout: 120_000,
          hookTimeout: 240_000,
          fileParallelism: false,
          // One file at a time: they share a database. `npm test` runs them beside the others, in a run of their own.
          sequence: { groupOrder: 1 },
          // Each file makes an application of its own; what they import they can share.
          isolate: false,
        },
      },
      {
        extends: true,
        test: {
          name: 'web',
          include: ['apps/web/src/**/*.test.{ts,tsx}'],
          setupFiles: ['apps/web/src/testing/on-test-day.ts', 'apps/web/src/testing/waiting.ts'],
          testTimeout: 60_000,
        },
      },
    ],
  },
});
