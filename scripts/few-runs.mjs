import { vi } from 'vitest';

/** Most cases that a property tries while code is changed on purpose: a score needs many runs of the tests, not long ones. */
const MOST_RUNS = 25;

vi.mock('fast-check', async (importOriginal) => {
  const original = await importOriginal();
  const assert = (property, options) =>
    original.assert(property, {
      ...options,
      numRuns: Math.min(options?.numRuns ?? MOST_RUNS, MOST_RUNS),
      seed: 1,
    });
  return { ...original, assert, default: { ...original.default, assert } };
});
