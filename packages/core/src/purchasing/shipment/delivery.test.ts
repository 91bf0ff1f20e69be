import { expect, it } from 'vitest';
import { isInSellersPrice, STOPS } from './index.js';

it('the stops of the goods end where they are unloaded at the buyer, before what the customs take', () => {
  expect(STOPS.at(-1)).toBe('handling');
  expect(STOPS).toContain('freight');
  expect(
    STOPS.filter(
      (stop) =>
        ['duty', 'import tax', 'customs clearance'].includes(stop) && STOPS.indexOf(stop) > STOPS.indexOf('handling'),
    ),
  ).toEqual([]);
  // Incoterms 2020: under EXW the buyer pays every stop, under DPU none up to the unloading.
  expect(STOPS.filter((stop) => isInSellersPrice('EXW', stop))).toEqual([]);
  expect(
    STOPS.filter(
      (stop) => !isInSellersPrice('DPU', stop) && !['duty', 'import tax', 'customs clearance'].includes(stop),
    ),
  ).toEqual([]);
});
