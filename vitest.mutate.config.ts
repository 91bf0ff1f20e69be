import { defineConfig } from 'vitest/config';

/** The room whose tests are to notice: what is told by all tests of book and core takes minutes for each run. */
const room = process.env.MUTATED_ROOM ?? 'packages/{book,core}/src';

/** Its tests alone, each file by itself: a mutant is not to outlive its file. */
export default defineConfig({
  resolve: { conditions: ['nuvar-source'] },
  ssr: { resolve: { conditions: ['nuvar-source'] } },
  test: { include: [`${room}/**/*.test.ts`], testTimeout: 60_000 },
});
