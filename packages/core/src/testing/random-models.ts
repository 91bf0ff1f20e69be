import fc from 'fast-check';
import { exampleModel } from '../planning/mix/solver/mix-examples.js';

/** Numbers with one decimal. */
const tenths = (least: number, most: number) =>
  fc.integer({ min: least * 10, max: most * 10 }).map((each) => each / 10);

/** What a random plan is made of. */
const drawn = fc.record({
  products: fc.array(
    fc.record({
      gain: tenths(-2, 30),
      uses: fc.array(fc.oneof(fc.constant(0), tenths(0, 8)), { minLength: 4, maxLength: 4 }),
      most: fc.option(fc.integer({ min: 1, max: 40 }), { freq: 4 }),
      least: fc.oneof(
        { weight: 4, arbitrary: fc.constant(0) },
        { weight: 1, arbitrary: fc.integer({ min: 1, max: 4 }) },
      ),
      step: fc.constantFrom(null, 1, 6),
      setUpCost: fc.constantFrom(0, 0, 15, 60),
      setUpUse: fc.constantFrom(0, 0, 5),
      lot: fc.constantFrom(null, null, null, 8),
      isSoldToo: fc.boolean(),
      batch: fc.constantFrom(null, null, 5),
    }),
    { minLength: 1, maxLength: 7 },
  ),
  available: fc.array(tenths(20, 200), { minLength: 1, maxLength: 4 }),
  extra: fc.constantFrom(0, 0, 10),
  premium: tenths(-3, 5),
  total: fc.option(
    fc.record({ rule: fc.constantFrom('at most', 'at least', 'exactly'), units: fc.integer({ min: 1, max: 30 }) }),
  ),
  isLeast: fc.boolean(),
});
type Drawn = typeof drawn extends fc.Arbitrary<infer Value> ? Value : never;

const modelOf = ({ products, available, extra, premium, total, isLeast }: Drawn, isWhole: boolean) =>
  exampleModel(
    products.map(({ setUpUse, uses, least, most, isSoldToo, batch, ...product }, index) => ({
      ...product,
      // The first one is made in batches for all its channels.
      batch: isWhole && index === 0 ? batch : null,
      name: `P${index}`,
      uses,
      // glpsol loses optima to a link of a milliard, which whole products without any limit have where least is sought.
      most: most ?? (isWhole && isLeast ? 40 : null),
      least: most === null ? least : Math.min(least, most),
      ...(isWhole
        ? index > 0 && isSoldToo
          ? // Sold in another channel too: set up with the first of all.
            { setUpWith: 0, lot: null, setUpCost: 0 }
          : { setUpUses: [setUpUse] }
        : { step: null, lot: null, setUpCost: 0 }),
      ...(isLeast ? { gain: Math.abs(product.gain) } : {}),
    })),
    available.map((each, index) => ({ available: each, extra: index === 0 ? extra : 0, premium })),
    {
      isLeast,
      totals:
        total === null
          ? []
          : [
              {
                id: 't',
                name: 'T',
                rule: total.rule as 'at most',
                units: total.units,
                stated: total.units,
                measure: 'units',
                terms: products.map((_, at) => [at, 1] as const),
              },
            ],
    },
  );

/** Products with limits, and resources that mostly run short; with set-ups and whole numbers, or without. */
export const models = (isWhole: boolean) => drawn.map((each) => modelOf(each, isWhole));
