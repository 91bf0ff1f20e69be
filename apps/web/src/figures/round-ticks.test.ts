import fc from 'fast-check';
import { expect, it } from 'vitest';
import { roundTicks } from './round-ticks.js';

it.each([
  [83, [0, 25, 50, 75, 100]],
  [100, [0, 25, 50, 75, 100]],
  [101, [0, 50, 100, 150]],
  [0.31, [0, 0.1, 0.2, 0.3, 0.4]],
  [4176, [0, 2000, 4000, 6000]],
  [0, [0, 1]],
])('the marks up to %d are %j', (most, marks) => {
  expect(roundTicks(most)).toEqual(marks);
});

it('reach beyond the value by less than a step, from three to six of them, each of at most two digits and a half', () => {
  fc.assert(
    fc.property(fc.double({ min: 1e-6, max: 1e9, noNaN: true }), (most) => {
      const marks = roundTicks(most);
      const step = marks[1] ?? 0;
      expect(marks.at(-1)).toBeGreaterThanOrEqual(most * (1 - 1e-8));
      expect((marks.at(-1) ?? 0) - step).toBeLessThan(most);
      expect(marks.length).toBeGreaterThanOrEqual(3);
      expect(marks.length).toBeLessThanOrEqual(6);
      const digits = step.toExponential().split('e')[0];
      expect(['1', '2', '2.5', '5']).toContain(digits);
    }),
  );
});
