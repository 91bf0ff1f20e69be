import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { type Decimal, decimal } from '../number/index.js';
import { evaluated, workshop, type WorkshopFields } from '../testing/evaluated.js';
import { goalSeek, type Sought, type SoughtInput } from './index.js';

const PLAIN: WorkshopFields = { pricePoint: { price: '31' } };

function seek(fields: WorkshopFields, goal: string, input: Partial<SoughtInput> = {}, sought: Partial<Sought> = {}) {
  const { rows, point } = workshop(fields);
  const evaluation = evaluated(rows);
  const today = decimal(rows.row('pricePoint', point)?.price ?? '0');
  return goalSeek(
    evaluation,
    {
      kind: 'pricePoint',
      id: point,
      field: 'price',
      from: decimal(0),
      to: decimal(1000),
      step: decimal('0.01'),
      today,
      ...input,
    },
    { key: `pricePoint/${point}/contribution`, goal: decimal(goal), moreIsBetter: true, ...sought },
  );
}
const shown = (all: readonly { value: Decimal; figure: Decimal }[]) =>
  all.map(({ value, figure }) => [value.toFixed(), figure.toFixed(4)]);

/** 9.00 a unit, and a fee of 6 % of the price up to 30.00, 14 % above. */
const BANDED: WorkshopFields = {
  labourStep: { time: '0' },
  supplierPrice: { price: '180' },
  fees: [
    {
      takenOf: 'price paid',
      percent: '14',
      bandRule: 'whole price',
      bands: [
        { upTo: '30', percent: '6' },
        { upTo: null, percent: '14' },
      ],
    },
  ],
};

describe('seeking a goal', () => {
  it.each([
    [
      '31',
      [
        ['29.79', '19.0026'],
        ['32.56', '19.0016'],
      ],
    ],
    [
      '33',
      [
        ['32.56', '19.0016'],
        ['29.79', '19.0026'],
      ],
    ],
  ])('finds both prices of example W7, and from %s the nearest first', (price, expected) => {
    expect(shown(seek({ ...BANDED, pricePoint: { price } }, '19').values)).toEqual(expected);
  });

  it('solves a straight way exactly, and rounds the price towards what is not worse', () => {
    // Material 2.00 and 15 minutes at 20.00: 7.00 a unit.
    expect(shown(seek(PLAIN, '3.005').values)).toEqual([['10.01', '3.0100']]);
    expect(shown(seek(PLAIN, '3').values)).toEqual([['10', '3.0000']]);
    expect(shown(seek(PLAIN, '3.005', {}, { moreIsBetter: false }).values)).toEqual([['10', '3.0000']]);
  });

  it('says what comes nearest where nothing in the range reaches it', () => {
    const { values, nearest, isUnmoved } = seek(PLAIN, '30', { to: decimal('35') });
    expect([values, isUnmoved, nearest && shown([nearest])]).toEqual([[], false, [['35', '28.0000']]]);
  });

  it('says of a figure that it does not depend on the input', () => {
    const { rows, product, point } = workshop();
    const found = goalSeek(
      evaluated(rows),
      {
        kind: 'pricePoint',
        id: point,
        field: 'price',
        from: decimal(0),
        to: decimal(100),
        step: decimal('0.01'),
        today: decimal(20),
      },
      { key: `fullCost/${product}/fullCost`, goal: decimal(1), moreIsBetter: false },
    );
    expect([found.values, found.isUnmoved]).toEqual([[], true]);
  });

  it('shows both sides of a jump over the goal, and takes the one that is not worse', () => {
    // At 30.00 the fee jumps: 19.20 are left just below, 16.80 just above, and 18 is left nowhere near 30 but by 28.72 and 31.40.
    const { values, jumps } = seek({ ...BANDED, pricePoint: { price: '30' } }, '18', {
      from: decimal('29.5'),
      to: decimal('30.5'),
    });
    expect(jumps.map((sides) => sides.map(({ figure }) => figure.toFixed(3)))).toEqual([['19.200', '16.800']]);
    expect(shown(values)).toEqual([['30', '19.2000']]);
  });

  it('closes in on a curve: the batch size at which set-up and labour come to so much a unit', () => {
    const fields = { labourStep: { timeBasis: 'minutes per unit', time: '15', setUpMinutes: '90' } };
    const { rows, product } = workshop(fields);
    const batch = {
      kind: 'product',
      id: product,
      field: 'batchSize',
      from: decimal(1),
      to: decimal(1000),
      step: decimal(1),
      today: decimal(1),
    } as const;
    const sought = { key: `fullCost/${product}/fullCost`, moreIsBetter: false } as const;
    // 2.00 + 5.00 + rent 5.00 + 30.00 / batch: 15.00 at a batch of 10, and 14.87 needs one more than 10.45.
    const found = (goal: string) => shown(goalSeek(evaluated(rows), batch, { ...sought, goal: decimal(goal) }).values);
    expect(found('15')).toEqual([['10', '15.0000']]);
    expect(found('14.87')).toEqual([['11', '14.7273']]);
  });

  it('put back, reaches its goal: over random fees, prices and goals', () => {
    const band = fc.record({
      upTo: fc.integer({ min: 5, max: 80 }),
      percent: fc.integer({ min: 0, max: 40 }),
      amount: fc.integer({ min: 0, max: 5 }),
    });
    fc.assert(
      fc.property(
        fc.array(band, { minLength: 1, maxLength: 3 }),
        fc.integer({ min: 1, max: 90 }),
        fc.integer({ min: -5, max: 40 }),
        (bands, price, goal) => {
          const limits = [...new Set(bands.map(({ upTo }) => upTo))].sort((one, other) => one - other);
          const fees = [
            {
              takenOf: 'price paid',
              percent: '10',
              bandRule: 'whole price',
              bands: [
                ...limits.map((upTo, index) => ({
                  ...bands[index],
                  upTo: String(upTo),
                  percent: String(bands[index]?.percent),
                  amount: String(bands[index]?.amount),
                })),
                { upTo: null, percent: '10' },
              ],
            },
          ];
          const fields: WorkshopFields = { fees, pricePoint: { price: String(price) } };
          const { values, jumps } = seek(fields, String(goal), { to: decimal(200) });
          // Every whole cent is tried: the goal is met, or jumped over, exactly where the search says.
          const { rows, point } = workshop(fields);
          const evaluation = evaluated(rows);
          const fork = evaluation.fork([]);
          const at = (cents: number) => {
            fork.lay([{ kind: 'pricePoint', id: point, field: 'price', how: 'set', value: (cents / 100).toFixed(2) }]);
            return fork.figure(`pricePoint/${point}/contribution`)?.amount?.minus(goal) ?? decimal(0);
          };
          for (const { value, figure } of values) {
            expect(
              at(Math.round(value.mul(100).toNumber()))
                .plus(goal)
                .toFixed(),
            ).toBe(figure.toFixed());
            expect(figure.gte(goal)).toBe(true);
          }
          const crossings: number[] = [];
          for (let cents = 25; cents < 20_000; cents += 25)
            if (at(cents - 25).isNegative() !== at(cents).isNegative()) crossings.push(cents / 100);
          const told = [
            ...values.map(({ value }) => value.toNumber()),
            ...jumps.map(([below]) => below.value.toNumber()),
          ];
          for (const price of crossings) expect(told.some((each) => Math.abs(each - price) <= 0.3)).toBe(true);
        },
      ),
      { numRuns: 12 },
    );
  }, 300_000);
});
