import { JOINT_METHODS, type JointMethod } from '@nuvar/book';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { amount, evaluated, rowsOf } from '../../testing/evaluated.js';
import { VIEWS } from '../../views/index.js';

interface Output {
  readonly name: string;
  readonly quantity?: string | null;
  readonly unit?: string;
  readonly splitOffPrice?: string | null;
  readonly furtherCost?: string | null;
  readonly finalPrice?: string | null;
  readonly isByProduct?: boolean;
}

function batchOf(outputs: readonly Output[], fields: Record<string, unknown> = {}) {
  let id = '';
  const ids: string[] = [];
  const rows = rowsOf((book) => {
    book.add('settings', { name: 'Dairy' });
    id = book.add('jointProcess', { name: 'Separating', jointCost: '400000', ...fields });
    outputs.forEach((output, position) =>
      ids.push(book.add('jointOutput', { processId: id, position, unit: 'l', ...output })),
    );
  });
  const evaluation = evaluated(rows);
  const view = VIEWS.joint(evaluation, id);
  const shares = (method: JointMethod) =>
    ids.map((output) => Number(view.outputs[output]?.methods[method].share.amount));
  return { view, ids, shares, evaluation };
}

// Horngren, Datar & Rajan, Cost Accounting (Farmland Dairy: cream and liquid skim), from memory, recomputed: 25,000 and
// 75,000 gallons for 400,000; 8 and 4 a gallon at split-off; further costs of 280,000 and 520,000 to sales of 500,000 and
// 1,100,000. Prices and costs are stated for a gallon at split-off.
const DAIRY: readonly Output[] = [
  { name: 'Cream', quantity: '25000', splitOffPrice: '8', furtherCost: '11.2', finalPrice: '20' },
  {
    name: 'Skim',
    quantity: '75000',
    splitOffPrice: '4',
    furtherCost: '6.933333333333',
    finalPrice: '14.666666666667',
  },
];

describe('the cost of a joint batch', () => {
  it.each([
    ['quantity', [100_000, 300_000]],
    ['sales value at split-off', [160_000, 240_000]],
    ['net realisable value', [110_000, 290_000]],
    ['constant margin', [95_000, 305_000]],
  ] as const)('is split by %s into %j', (method, wanted) => {
    const { shares } = batchOf(DAIRY);
    shares(method).forEach((share, index) => expect(share).toBeCloseTo(wanted[index] ?? 0, 3));
  });

  it('leaves the same margin on every product under a constant margin', () => {
    const { view, ids } = batchOf(DAIRY);
    for (const id of ids) expect(Number(view.outputs[id]?.methods['constant margin'].margin.amount)).toBeCloseTo(25, 6);
  });

  it('is taken further where the increment of revenue exceeds its cost', () => {
    const { view, ids } = batchOf([
      { name: 'Cream', quantity: '100', splitOffPrice: '8', furtherCost: '3', finalPrice: '12' },
      { name: 'Skim', quantity: '200', splitOffPrice: '4', furtherCost: '3', finalPrice: '6' },
    ]);
    expect(ids.map((id) => view.outputs[id]?.further?.gain.amount)).toEqual(['100', '-200']);
  });

  it('puts each output to its best use, by-products too, and leaves what brings nothing', () => {
    const { view, ids } = batchOf(
      [
        { name: 'Cream', quantity: '100', splitOffPrice: '8', furtherCost: '3', finalPrice: '12' },
        { name: 'Skim', quantity: '200', splitOffPrice: '4', furtherCost: '3', finalPrice: '6' },
        { name: 'Rind', quantity: '50', furtherCost: '3', finalPrice: '2' },
        { name: 'Whey', quantity: '10', splitOffPrice: '1', isByProduct: true },
      ],
      { jointCost: '1000' },
    );
    const outputs = ids.map((id) => view.outputs[id]);
    expect(outputs.map((output) => output?.use)).toEqual([
      'taken further',
      'sold at split-off',
      'left',
      'sold at split-off',
    ]);
    expect(outputs.map((output) => output?.worth.amount)).toEqual(['900', '800', '0', '10']);
    // 900 + 800 + 0 + 10 less 1,000; taken as entered, cream, skim and rind leave 900 + 600 - 50.
    expect(view.bestProfit.amount).toBe('710');
    expect(view.profit.amount).toBe('460');
  });

  it('brings by its best uses never less than by any other choice of uses', () => {
    const price = fc.option(fc.integer({ min: 0, max: 20 }).map(String), { nil: null });
    const output = fc.record({
      quantity: fc.integer({ min: 0, max: 9 }).map(String),
      splitOffPrice: price,
      furtherCost: price,
      finalPrice: price,
      isByProduct: fc.boolean(),
    });
    fc.assert(
      fc.property(fc.array(output, { minLength: 1, maxLength: 5 }), (made) => {
        const priced = made.map((each, index) => ({
          name: `P${index}`,
          ...each,
          splitOffPrice: each.splitOffPrice ?? (each.finalPrice === null ? '1' : null),
        }));
        const { view } = batchOf(priced, { jointCost: '50' });
        const choices = priced.map(({ quantity, splitOffPrice, furtherCost, finalPrice }) => [
          0,
          ...(splitOffPrice === null ? [] : [Number(quantity) * Number(splitOffPrice)]),
          ...(finalPrice === null ? [] : [Number(quantity) * (Number(finalPrice) - Number(furtherCost ?? 0))]),
        ]);
        const all = choices.reduce<number[]>((so, of) => so.flatMap((sum) => of.map((each) => sum + each)), [0]);
        expect(Number(view.bestProfit.amount)).toBe(Math.max(...all) - 50);
      }),
    );
  });

  it('does not know the best use of what has no price', () => {
    const { view, ids } = batchOf([{ name: 'Cream', quantity: '100' }]);
    const output = view.outputs[ids[0] ?? ''];
    expect([output?.use, output?.worth.gaps[0]?.code, view.bestProfit.amount]).toEqual([null, 'no-output-price', null]);
  });

  it.each([
    ['taken off the joint cost', '900', ['540', '360']],
    ['income', '1000', ['600', '400']],
  ])('with a by-product %s splits %s', (byProducts, toSplit, shares) => {
    const { view, ids } = batchOf(
      [
        { name: 'Firsts', quantity: '60', finalPrice: '20' },
        { name: 'Seconds', quantity: '40', finalPrice: '20' },
        { name: 'Grog', quantity: '50', unit: 'kg', splitOffPrice: '2', isByProduct: true },
      ],
      { jointCost: '1000', byProducts },
    );
    expect(view.toSplit.amount).toBe(toSplit);
    expect(ids.map((id) => view.outputs[id]?.share.amount)).toEqual([...shares, '0']);
    // 2,000 of sales and 100 of grog less 1,000, whichever way the grog is shown.
    expect(view.profit.amount).toBe('1100');
  });

  it('is split without a rest, by every method', () => {
    const output = fc.record({
      quantity: fc.integer({ min: 1, max: 500 }),
      split: fc.integer({ min: 1, max: 90 }),
      further: fc.integer({ min: 0, max: 20 }),
    });
    fc.assert(
      fc.property(fc.array(output, { minLength: 1, maxLength: 4 }), (outputs) => {
        const { shares, view } = batchOf(
          outputs.map(({ quantity, split, further }, index) => ({
            name: `O${index}`,
            quantity: String(quantity),
            splitOffPrice: String(split),
            furtherCost: String(further),
            finalPrice: String(split + further + 1),
          })),
        );
        for (const method of JOINT_METHODS)
          expect(shares(method).reduce((so, share) => so + share, 0)).toBeCloseTo(Number(view.toSplit.amount), 4);
      }),
      { numRuns: 30 },
    );
  });

  it.each([
    [
      'an output without a quantity',
      [{ name: 'A', quantity: null, finalPrice: '2' }],
      'net realisable value',
      'no-output-quantity',
    ],
    [
      'a price at split-off that is not entered',
      [{ name: 'A', quantity: '1', finalPrice: '2' }],
      'sales value at split-off',
      'no-output-price',
    ],
    [
      'units that do not add up',
      [
        { name: 'A', quantity: '1', finalPrice: '2' },
        { name: 'B', quantity: '1', unit: 'kg', finalPrice: '2' },
      ],
      'quantity',
      'joint-units-differ',
    ],
    ['a basis of zero', [{ name: 'A', quantity: '0', finalPrice: '2' }], 'quantity', 'joint-basis-of-zero'],
  ] as const)('of %s is a gap', (_what, outputs, method, code) => {
    const { view, ids } = batchOf(outputs);
    const gaps = ids.flatMap((id) => view.outputs[id]?.methods[method].share.gaps ?? []);
    expect(gaps.map((gap) => gap.code)).toContain(code);
  });

  it('without any cost asks for it', () => {
    expect(batchOf(DAIRY, { jointCost: null }).view.jointCost.gaps[0]?.code).toBe('no-joint-cost');
  });
});

describe('a product that comes out of a joint batch', () => {
  const made = (fields: Record<string, unknown>) => {
    const ids: Record<string, string> = {};
    const rows = rowsOf((book) => {
      book.add('settings', { name: 'Mill', normalLabourHoursPerMonth: '100' });
      const gradeId = book.add('labourGrade', { name: 'Miller', wagePerHour: '20' });
      const grain = book.add('material', { name: 'Grain', baseUnit: 'kg' });
      book.add('supplierPrice', {
        materialId: grain,
        packQuantity: '1',
        packUnit: 'kg',
        price: '0.40',
        currency: 'EUR',
        validFrom: '2026-01-01',
      });
      ids.milling = book.add('product', { name: 'Milling', outputUnit: 'kg', batchSize: '100' });
      book.add('billLine', { productId: ids.milling, materialId: grain, quantity: '1', unit: 'kg' });
      book.add('labourStep', {
        productId: ids.milling,
        name: 'Mill',
        gradeId,
        timeBasis: 'minutes per batch',
        time: '90',
      });
      ids.flour = book.add('product', { name: 'Flour', outputUnit: 'kg' });
      ids.bran = book.add('product', { name: 'Bran', outputUnit: 'kg' });
      const processId = book.add('jointProcess', { name: 'Milling', productId: ids.milling, ...fields });
      const output = (productId: string | null, name: string, quantity: string, finalPrice: string, more = {}) =>
        book.add('jointOutput', { processId, productId, name, quantity, unit: 'kg', finalPrice, ...more });
      output(ids.flour ?? null, 'Flour', '75', '1.20');
      output(ids.bran ?? null, 'Bran', '20', '0.50');
      output(null, 'Dust', '5', '0.20', { isByProduct: true, position: 2 });
    });
    return { evaluation: evaluated(rows), ids };
  };

  // 100 kg of grain at 0.40 and 1.5 h at 20 is 70.00 a batch; the dust brings 1.00.
  it.each([
    ['net realisable value', 'income', 70],
    ['net realisable value', 'taken off the joint cost', 69],
    ['quantity', 'taken off the joint cost', 69],
    ['constant margin', 'taken off the joint cost', 69],
  ])('bears its share by element, and all shares are the batch: %s, %s', (method, byProducts, batch) => {
    const { evaluation, ids } = made({ method, byProducts });
    const of = (id: string | undefined, member: string) => Number(amount(evaluation, `product/${id}/${member}`));
    expect(of(ids.flour, 'variableCost') * 75 + of(ids.bran, 'variableCost') * 20).toBeCloseTo(batch, 8);
    expect(of(ids.flour, 'labour')).toBeGreaterThan(0);
    const hours = (id: string | undefined) => Number(amount(evaluation, `labourHours/${id}/perUnit`));
    expect(hours(ids.flour) * 75 + hours(ids.bran) * 20).toBeCloseTo(1.5, 10);
  });

  it.each([null, 'batch'])('that is counted in another unit than its output has a gap, costed by %s', (costedBy) => {
    let flour = '';
    const rows = rowsOf((book) => {
      book.add('settings', { name: 'Mill' });
      const productId = costedBy === null ? null : book.add('product', { name: 'Grain, milled' });
      flour = book.add('product', { name: 'Flour', outputUnit: 'each' });
      const processId = book.add('jointProcess', { name: 'Milling', productId, jointCost: '70', method: 'quantity' });
      book.add('jointOutput', { processId, productId: flour, name: 'Flour', quantity: '75', unit: 'kg' });
    });
    expect(amount(evaluated(rows), `product/${flour}/variableCost`)).toBe('joint-unit-of-product');
  });

  it('that would go into its own batch has a gap, and nothing hangs', () => {
    const ids: Record<string, string> = {};
    const rows = rowsOf((book) => {
      book.add('settings', { name: 'Loop' });
      ids.cheese = book.add('product', { name: 'Cheese' });
      ids.milk = book.add('product', { name: 'Milk' });
      book.add('billLine', { productId: ids.milk, componentId: ids.cheese, quantity: '1', unit: 'each' });
      const processId = book.add('jointProcess', { name: 'Milking', productId: ids.milk, method: 'quantity' });
      book.add('jointOutput', { processId, productId: ids.cheese, name: 'Cheese', quantity: '1', unit: 'each' });
    });
    expect(amount(evaluated(rows), `product/${ids.cheese}/variableCost`)).toBe('component-loop');
  });
});
