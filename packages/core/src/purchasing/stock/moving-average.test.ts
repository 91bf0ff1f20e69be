import fc from 'fast-check';
import { expect, it } from 'vitest';
import { decimal } from '../../number/index.js';
import { MovingAverage } from './moving-average.js';

const close = (value: unknown, expected: number) => {
  expect(Math.abs(Number(value) - expected), `${String(value)} for ${expected}`).toBeLessThan(1e-8);
};

/** A receipt of so many at so much in all, or so many that go out. */
const moves = fc.oneof(
  fc.record({ in: fc.integer({ min: 1, max: 5 }), cost: fc.integer({ min: 0, max: 40 }) }),
  fc.record({ out: fc.integer({ min: 1, max: 6 }) }),
);

it('follows a plain account of quantity and average, through nothing and below it', () => {
  fc.assert(
    fc.property(fc.array(moves, { maxLength: 14 }), (all) => {
      const holding = new MovingAverage();
      let [quantity, average] = [0, Number.NaN];
      for (const move of all) {
        const known = Number.isNaN(average) ? 0 : average;
        if ('out' in move) {
          const { cost } = holding.take(decimal(String(move.out)), null);
          // All of it costs the average, what is there and what is not.
          close(cost, move.out * known);
          quantity -= move.out;
        } else {
          const truedUp = holding.add('receipt', decimal(String(move.in)), decimal(String(move.cost)));
          const unitCost = move.cost / move.in;
          const covered = Math.min(move.in, Math.max(0, -quantity));
          close(truedUp, covered * (unitCost - known));
          const after = quantity + move.in;
          if (quantity >= 0) average = (quantity * known + move.cost) / after;
          else if (after >= 0) average = unitCost;
          quantity = after;
        }
        close(holding.quantity, quantity);
        close(holding.value, quantity === 0 || Number.isNaN(average) ? 0 : quantity * average);
        if (Number.isNaN(average)) expect(holding.nextCost).toBeNull();
        else close(holding.nextCost, average);
      }
    }),
    { numRuns: 400 },
  );
});
