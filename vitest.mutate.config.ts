import { basename } from 'node:path';
import { defineConfig } from 'vitest/config';

/** The room whose tests are to notice: what is told by all tests of book and core takes minutes for each run. */
const room = process.env.MUTATED_ROOM ?? 'packages/{book,core}/src';
const views = `packages/core/src/views/${basename(room)}`;

/** What looks at the figures of all rooms. */
const ALL_FIGURES = ['demo-figures', 'every-gap'].map((name) => `packages/core/src/evaluate/${name}.test.ts`);

/** Its tests, those of its views and those of all figures, in one worker a run: what they import is the longest part of a run. */
export default defineConfig({
  resolve: { conditions: ['nuvar-source'] },
  ssr: { resolve: { conditions: ['nuvar-source'] } },
  test: {
    include: [`${room}/**/*.test.ts`, `${views}/**/*.test.ts`, ...ALL_FIGURES],
    testTimeout: 60_000,
    setupFiles: ['scripts/few-runs.mjs'],
    isolate: false,
  },
});
