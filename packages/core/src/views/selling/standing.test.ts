import fc from 'fast-check';
import { expect, it } from 'vitest';
import { priceLimits } from '../../selling/index.js';
import { evaluated, workshop } from '../../testing/evaluated.js';
import { standingOf } from './board-view.js';

/** The price that is suggested for a target, and where a price that is set stands against it. */
function saleOf(cost: string, quantity: number, percent: number, basis: string, target: string) {
  const fields = {
    supplierPrice: { packQuantity: '1', price: cost },
    billLine: { quantity: String(quantity), unit: 'kg' },
    fees: [{ takenOf: 'price before tax', percent: String(percent) }],
  };
  const at = (price: string) => {
    const { rows, point } = workshop({ ...fields, pricePoint: { basis, target, price } });
    const evaluation = evaluated(rows);
    return { standing: standingOf(evaluation, point), suggested: evaluation.read(priceLimits, point).suggested.amount };
  };
  return at;
}

it('a price that is set as it is suggested reaches its target, and a cent less does not, whatever quotient was typed', () => {
  const costs = fc.tuple(fc.integer({ min: 1, max: 90_000 }), fc.constantFrom<number>(3, 7, 12, 24, 36));
  const targets = fc.constantFrom<[string, string]>(
    ['profit', '3'],
    ['margin', '20'],
    ['margin of the price', '20'],
    ['markup', '50'],
  );
  fc.assert(
    fc.property(costs, fc.constantFrom<number>(0, 8, 15), targets, ([above, below], percent, [basis, target]) => {
      // As a field keeps it, to twelve decimals, and then taken as often as it was divided: a hair from whole cents.
      const at = saleOf((above / below).toFixed(12), below, percent, basis, target);
      const { suggested } = at('1');
      expect(suggested).not.toBeNull();
      expect(at(suggested?.toFixed() ?? '').standing).toBe('good');
      expect(at(suggested?.minus('0.01').toFixed() ?? '').standing).not.toBe('good');
    }),
    {
      numRuns: 60,
      examples: [
        [[20, 3], 0, ['profit', '3']],
        [[20, 3], 0, ['markup', '50']],
        [[200, 7], 0, ['margin', '0']],
      ],
    },
  );
});
