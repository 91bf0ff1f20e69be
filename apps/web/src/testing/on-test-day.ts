import { DEMO_DAY } from '@nuvar/book/demo';
import { beforeEach, vi } from 'vitest';

/** The day on which the tests run: that of `npm test -- --day 2028-02-29`, or the one for which the demo book is written. */
const TEST_DAY = String(import.meta.env.TEST_DAY ?? DEMO_DAY);

/** Sets the date of the page to the day of the tests; timers stay those of the machine. */
function onTestDay(): void {
  vi.useFakeTimers({ toFake: ['Date'], now: new Date(`${TEST_DAY}T10:00:00Z`) });
}

// Rows that a file makes outside its tests are of that day too.
onTestDay();
beforeEach(onTestDay);
