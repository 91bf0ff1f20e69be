/**
 * Mutation testing of a folder: `npm run mutate -- packages/core/src/purchasing/stock`. It changes the code in one place at a
 * time and runs the tests of book and core; what no test notices is listed. It takes long, and is no part of `npm test`.
 *
 * @type {import('@stryker-mutator/core').PartialStrykerOptions}
 */
export default {
  testRunner: 'vitest',
  plugins: ['@stryker-mutator/vitest-runner'],
  vitest: { configFile: 'vitest.mutate.config.ts', related: false },
  coverageAnalysis: 'perTest',
  // What counts only as a file is loaded asks for all tests again, each time.
  ignoreStatic: true,
  concurrency: 2,
  timeoutMS: 60_000,
  reporters: ['clear-text', 'progress'],
  clearTextReporter: { allowColor: false, logTests: false, reportTests: false },
  tempDirName: '.data/mutate',
  // A test reads the names of problems in all tests, and another the documents.
  ignorePatterns: ['.data', 'test-results', '**/dist'],
  thresholds: { high: 90, low: 85, break: null },
};
