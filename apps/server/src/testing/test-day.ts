import { DEMO_DAY } from '@nuvar/book/demo';

/** The day on which the tests run: that of `npm test -- --day 2028-02-29`, or the one for which the demo book is written. */
export const TEST_DAY = process.env.TEST_DAY ?? DEMO_DAY;
