import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Decimal } from '../number/index.js';
import { VIEWS } from '../views/views.js';
import { contributionAt, listedPriceForTarget } from './without-working.js';
import { amount, evaluated, workshop, type WorkshopFields } from '../testing/evaluated.js';

/** A product that costs so much before the channel, and nothing fixed: 0.5 kg of a material at 2 x that much for a kilogram. */
const costing = (cost: number, fields: WorkshopFields): WorkshopFields => ({
  supplierPrice: { price: String(cost * 20) },
  labourStep: { time: '0' },
  runningCost: { amount: '0' },
  ...fields,
});

const figures = (fields: WorkshopFields, ...names: string[]): string[] => {
  const { rows, point } = workshop(fields);
  const evaluation = evaluated(rows);
  return names.map((name) =>
    amount(evaluation, `${name.includes('/') ? name.replace('…', point) : `${of(name)}/${point}/${name}`}`),
  );
};
const CALCULATIONS: Readonly<Record<string, readonly string[]>> = {
  pricePoint: ['contribution', 'profit'],
  priceRatios: ['margin', 'contributionMargin', 'markup'],
  salesPerMonth: ['undiscountedContribution'],
  priceLimits: ['suggested', 'exactPrice', 'contributionFloor', 'profitFloor'],
};
const of = (name: string) => Object.keys(CALCULATIONS).find((each) => CALCULATIONS[each]?.includes(name)) ?? 'setPrice';

describe('what is left of a sale with all that goes with it', () => {
  // A bowl at 24.00 and postage of 4.80, both with 20 % inside: 20 + 4 net. Fee 12 % of 28.80 + 0.30 = 3.756, with its tax
  // 4.5072. Net cost 8.00 and postage paid 3.60, both taxed 20 %. Registered: 24 - 3.756 - 3.60 - 8 = 8.644. Not registered, no
  // output tax and no input tax back: 28.80 - 4.5072 - 4.32 - 9.60 = 10.3728.
  it.each([
    [true, '8.644'],
    [false, '10.3728'],
  ])('counts tax on both sides, registered: %s', (registered, left) => {
    const fields = costing(8, {
      settings: { salesTaxPercent: '20' },
      taxRegistration: { validFrom: '2026-01-01', registered },
      product: { packedWeight: '0.4' },
      supplierPrice: { price: '160', taxPercent: '20' },
      channel: { postageCharged: '4.80' },
      pricePoint: { price: '24', taxInside: true },
      fees: [{ takenOf: 'price and postage paid', percent: '12', amount: '0.30', taxPercent: '20' }],
      more(book, { channel }) {
        const tableId = book.add('carrierTable', { name: 'Post', taxPercent: '20' });
        book.add('carrierRate', { tableId, zone: 'home', upToKilograms: '2', amount: '3.60' });
        book.add('postageShare', { channelId: channel, tableId, zone: 'Home' });
      },
    });
    expect(figures(fields, 'contribution')).toEqual([left]);
  });

  // Cost 12.20; commission 12 % and payment 1.5 % + 0.25 of the price with 20 % tax; advertising 10 % of the price before tax;
  // returns 4 % x (price + 2.50 - 6.00 - commission). Target 25 % of the price: p = 12.31 / 0.45376 = 27.1288787..., 32.5546...
  // with tax, so 32.56, which reaches 25.007 %; 32.55 reaches 24.994 %.
  it('finds the price for a target under many bases', () => {
    const fields = (price: string) =>
      costing(12.2, {
        settings: { salesTaxPercent: '20' },
        channel: { returnsPercent: '4', returnHandling: '2.50', scrapWorth: '6' },
        fees: [
          { takenOf: 'price paid', percent: '12', givenBackPercent: '100' },
          { takenOf: 'price paid', percent: '1.5', amount: '0.25' },
          { takenOf: 'price before tax', percent: '10', purpose: 'advertising' },
        ],
        pricePoint: { price, taxInside: true, basis: 'margin of the price', target: '25' },
      });
    const [suggested, exact, profit] = figures(fields('32.56'), 'suggested', 'exactPrice', 'profit');
    expect([suggested, Number(exact).toFixed(7)]).toEqual(['32.56', '32.5546544']);
    const ofPrice = (left: string | undefined, price: number) => ((Number(left) / (price / 1.2)) * 100).toFixed(3);
    expect(ofPrice(profit, 32.56)).toBe('25.007');
    expect(ofPrice(figures(fields('32.55'), 'profit')[0], 32.55)).toBe('24.994');
  });

  // Price 40, v 14, postage 5.00, fee 6.00; 8 % come back; handling 5.50; 4.80 of the fee given back; 75 % as new, the rest
  // worth 2.00: a return costs 29.70, a sale 2.376. Contribution 12.624: 34.3043 % of the net revenue of 36.80. A fixed cost of
  // 2,524.80 takes 200 sales, of 7,360.00; 100 planned sales bring 3,680.00.
  it('counts what comes back', () => {
    const fields = costing(14, {
      product: { packedWeight: '1' },
      runningCost: { amount: '2524.80' },
      channel: { returnsPercent: '8', returnHandling: '5.50', resaleablePercent: '75', scrapWorth: '2' },
      fees: [{ takenOf: 'unit', amount: '6', givenBackPercent: '80' }],
      pricePoint: { price: '40' },
      more(book, { channel }) {
        const tableId = book.add('carrierTable', { name: 'Post' });
        book.add('carrierRate', { tableId, zone: '', upToKilograms: '5', amount: '5' });
        book.add('postageShare', { channelId: channel, tableId });
      },
    });
    const [contribution, netRevenue, margin] = figures(fields, 'contribution', 'netRevenue', 'contributionMargin');
    expect([contribution, netRevenue, Number(margin).toFixed(4)]).toEqual(['12.624', '36.8', '34.3043']);
    const brings = ['breakEvenOfBook/…/units', 'breakEvenOfBook/…/revenue', 'periodProfit/2026-12-01/revenue'];
    expect(figures(fields, ...brings)).toEqual(['200', '7360', '3680']);
  });

  // Net 30, gross 36, contribution before advertising 9: spending 25 % of the price paid leaves exactly nothing.
  it('breaks even on advertising at a quarter of the price paid', () => {
    const fees = [{ takenOf: 'price paid', percent: '25', purpose: 'advertising' }];
    const pricePoint = { price: '36', taxInside: true, taxPercent: '20' };
    const settings = { salesTaxPercent: '20' };
    expect(figures(costing(21, { fees, pricePoint, settings }), 'contribution')).toEqual(['0']);
  });

  // 8 % up to 10.00 and 15 % above, of the whole; cost 6.50.
  it.each([
    ['whole price', '2.50', '9.79'],
    ['whole price', '2.75', '10.89'],
    ['slice by slice', '2.75', '10.06'],
  ])('by bands of the %s, a profit of %s needs %s', (bandRule, target, price) => {
    const fees = [{ takenOf: 'price before tax', bandRule, bands: [{ upTo: '10', percent: '8' }, { percent: '15' }] }];
    expect(figures(costing(6.5, { fees, pricePoint: { basis: 'profit', target } }), 'suggested')).toEqual([price]);
  });
});

describe('all prices that reach a target', () => {
  const answersFor = (fees: object[], pricePoint: object) => {
    const { rows, point } = workshop(
      costing(6.5, { fees: fees as never, pricePoint: { basis: 'profit', ...pricePoint } }),
    );
    return VIEWS.price(evaluated(rows), point).answers;
  };
  const JUMP = [{ takenOf: 'price before tax', bands: [{ upTo: '10', percent: '8' }, { percent: '15' }] }];

  // 8 % up to 10.00 and 15 % of the whole above; cost 6.50. A profit of 2.50 is left from 9.79 to 10.00, and again from 10.59 on.
  it('are said as ranges where the fees jump between them', () => {
    expect(answersFor(JUMP, { target: '2.50' })?.ranges).toMatchObject([
      { from: '9.79', upTo: '10' },
      { from: '10.59', upTo: null },
    ]);
  });

  // Nothing is known above 10.00, where 9.20 - 6.50 = 2.70 is left, 0.30 too little; a margin grows with the price towards 85 %.
  it('are none where the best that is reached falls short, which is said with its price', () => {
    const cut = [{ takenOf: 'price before tax', bands: [{ upTo: '10', percent: '8' }] }];
    expect(answersFor(cut, { target: '3' })).toEqual({ ranges: [], best: { price: '10', result: '-0.3' } });
    expect(answersFor(JUMP, { basis: 'margin', target: '90' })).toEqual({ ranges: [], best: null });
  });
});

describe('packing and postage', () => {
  // By hand: a box of 0.80 an order of two, 3 minutes at 20.00 an hour = 1.00 an order, wrap of 50 g at 4.00 a kg = 0.20 a unit.
  it('count for an order or for a unit', () => {
    const fields: WorkshopFields = {
      channel: { unitsPerOrder: '2' },
      more(book, { channel, material }) {
        const grade = {
          channelId: channel,
          position: 2,
          quantity: '3',
          unit: 'min',
          gradeId: book.add('labourGrade', { name: 'Packer', wagePerHour: '20' }),
        };
        const box = book.add('material', { name: 'Box', baseUnit: 'each' });
        book.add('supplierPrice', {
          materialId: box,
          packQuantity: '10',
          packUnit: 'each',
          price: '8',
          currency: 'EUR',
          validFrom: '2026-01-01',
        });
        book.add('packingLine', { channelId: channel, materialId: box, quantity: '1' });
        book.add('packingLine', {
          channelId: channel,
          position: 1,
          materialId: material,
          quantity: '50',
          unit: 'g',
          per: 'unit',
        });
        book.add('packingLine', grade);
      },
    };
    expect(figures(fields, 'packing', 'contribution')).toEqual(['1.1', '11.9']);
  });

  const sent = (product: Record<string, string>, table: Record<string, string>, share: Record<string, string> = {}) =>
    figures(
      {
        channel: { unitsPerOrder: '2' },
        product,
        more(book, { channel }) {
          const tableId = book.add('carrierTable', { name: 'Post', ...table });
          for (const [zone, upToKilograms, postage] of [
            ['Home', '1', '4'],
            ['Home', '2', '6'],
            ['Abroad', '2', '11'],
          ] as const)
            book.add('carrierRate', { tableId, zone, upToKilograms, amount: postage });
          book.add('postageShare', { channelId: channel, tableId, zone: 'home', percent: '80', ...share });
          if (share.zone === undefined)
            book.add('postageShare', { channelId: channel, tableId, zone: 'abroad', percent: '20' });
        },
      },
      'postagePaid',
    )[0];

  // Two of 0.5 kg weigh 1 kg: 80 % at 4.00 and 20 % at 11.00 = 5.40 an order, 2.70 a unit. A box of 20 x 20 x 10 cm at 5,000 cm³ a
  // kilogram counts as 0.8 kg: 1.6 kg an order, so 6.00 at home: 7.00, 3.50 a unit.
  it.each([
    ['by weight, limits included', { packedWeight: '0.5' }, {}, {}, '2.7'],
    [
      'by volume where that is more',
      { packedWeight: '0.5', packedLength: '20', packedWidth: '20', packedHeight: '10' },
      { volumeDivisor: '5000' },
      {},
      '3.5',
    ],
    ['not at all without a weight', {}, {}, {}, 'no-packed-measure'],
    ['not at all above the last rate', { packedWeight: '1.01' }, {}, {}, 'above-carrier-rates'],
    [
      'not at all to a zone without rates',
      { packedWeight: '0.5' },
      {},
      { zone: 'Moon', percent: '100' },
      'no-carrier-zone',
    ],
  ])('is paid %s', (_how, product, table, share, expected) => {
    expect(
      sent(product as Record<string, string>, table as Record<string, string>, share as Record<string, string>),
    ).toBe(expected);
  });
});

describe('a fee by weight, size or volume', () => {
  const boxed = {
    packedLength: '10',
    packedWidth: '30',
    packedHeight: '20',
    packedWeight: '1.5',
    packagingWeight: '0.25',
  };
  // The box is 30 x 20 x 10 cm: 6 litres; by 4,000 cm³ a kilogram it counts as 1.5 kg.
  const SIZES = [
    { name: 'Small', longest: '25', middle: '20', shortest: '10', amount: '2' },
    { name: 'Standard', longest: '30', middle: '20', shortest: '10', upToKilograms: '1.5', amount: '3' },
    { name: 'Large', longest: '60', middle: '40', shortest: '40', upToKilograms: '10', amount: '5' },
  ];
  it.each<[string, Record<string, unknown>, string]>([
    ['of so much a kilogram', { takenOf: 'weight', amount: '2' }, '3'],
    ['of packaging', { takenOf: 'packaging weight', amount: '0.8' }, '0.2'],
    [
      'by bands of weight',
      {
        takenOf: 'weight',
        bands: [
          { upTo: '1', amount: '2' },
          { upTo: '1.5', amount: '3' },
        ],
      },
      '3',
    ],
    [
      'by slices of weight: 2.00 and 0.5 kg at 0.60',
      { takenOf: 'weight', bandRule: 'slice by slice', bands: [{ upTo: '1', amount: '2' }, { perKilogram: '0.6' }] },
      '2.3',
    ],
    ['beyond the last weight', { takenOf: 'weight', bands: [{ upTo: '1', amount: '2' }] }, 'beyond-last-band'],
    ['by size, sides in any order and limits included', { takenOf: 'size', sizes: SIZES }, '3'],
    ['by size and volume weight: 3 kg', { takenOf: 'size', volumeDivisor: '2000', sizes: SIZES }, '5'],
    ['that fits in no size', { takenOf: 'size', sizes: SIZES.slice(0, 1) }, 'no-size'],
    ['of storage: 6 l x 0.05 x 2 months', { takenOf: 'volume and month', amount: '0.05' }, '0.6'],
    [
      'of storage in three months of the year',
      { takenOf: 'volume and month', amount: '0.20', fromMonth: 11, toMonth: 1 },
      '0.6',
    ],
  ])('%s', (_what, fee, expected) => {
    expect(figures({ product: boxed, channel: { monthsInStore: '2' }, fees: [fee] }, 'fees')).toEqual([expected]);
  });

  it('is that of the channel that fulfils, with its packing and postage', () => {
    const { rows, channel, point } = workshop({
      fees: [
        { takenOf: 'unit', amount: '1' },
        { takenOf: 'unit', amount: '9', purpose: 'fulfilment' },
      ],
      more(book) {
        const other = book.add('channel', { name: 'Warehouse' });
        book.add('feeRule', {
          channelId: other,
          name: 'Pick and pack',
          takenOf: 'unit',
          amount: '2.50',
          purpose: 'fulfilment',
        });
        book.add('feeRule', { channelId: other, name: 'Commission', takenOf: 'unit', amount: '7' });
      },
    });
    const evaluation = evaluated(rows);
    const other = rows.all('channel').find(({ name }) => name === 'Warehouse');
    const fork = evaluation.fork([
      { kind: 'channel', id: channel, field: 'fulfilledById', how: 'set', value: other?.id ?? '' },
    ]);
    expect([amount(evaluation, `setPrice/${point}/fees`), amount(fork, `setPrice/${point}/fees`)]).toEqual([
      '10',
      '3.5',
    ]);
  });
});

describe('a coupon', () => {
  // 20.00 less 5.00, of which the channel pays 40 %: the seller bears 3.00. 10 % is taken of 17.00, or of 20.00 before the coupon.
  it.each([
    [false, '1.7', '8.3'],
    [true, '2', '8'],
  ])('of which the channel pays a part, fees before it: %s', (beforeCoupon, fees, contribution) => {
    const pricePoint = { couponAmount: '5', couponFundedPercent: '40' };
    const fee = { takenOf: 'price before tax', percent: '10', beforeCoupon };
    expect(figures({ pricePoint, fees: [fee] }, 'fees', 'contribution')).toEqual([fees, contribution]);
  });

  // Without the discount the coupon of 5.00 stays: 15.00 less 7.00. With 20 % off 20.00 too: 11.00 less 7.00.
  it('stays when the discount is thought away', () => {
    const pricePoint = { discountPercent: '20', couponAmount: '5' };
    expect(figures({ pricePoint }, 'contribution', 'undiscountedContribution')).toEqual(['4', '8']);
  });
});

/** All that can stand beside a price, at random. */
const sale = fc.record({
  channel: fc.record({
    postageCharged: fc.option(fc.constantFrom('2.40', '4.80')),
    returnsPercent: fc.constantFrom('0', '4', '12'),
    refundsPostage: fc.boolean(),
    returnHandling: fc.constantFrom('0', '1.5'),
    resaleablePercent: fc.constantFrom('0', '60'),
    scrapWorth: fc.constantFrom('0', '2'),
  }),
  fees: fc.array(
    fc.record({
      takenOf: fc.constantFrom(
        'price before tax',
        'price paid',
        'price and postage before tax',
        'price and postage paid',
      ),
      percent: fc.constantFrom('3', '12'),
      amount: fc.option(fc.constantFrom('0.30', '1')),
      minimum: fc.option(fc.constantFrom('0.5', '2')),
      givenBackPercent: fc.constantFrom('0', '80', '100'),
      beforeCoupon: fc.boolean(),
    }),
    { minLength: 1, maxLength: 3 },
  ),
  pricePoint: fc.record({
    taxPercent: fc.constantFrom('0', '20'),
    taxInside: fc.boolean(),
    discountPercent: fc.constantFrom('0', '10'),
    couponAmount: fc.constantFrom('0', '1.50'),
    couponFundedPercent: fc.constantFrom('0', '50'),
  }),
});

describe('the price for a target with all that goes with a sale', () => {
  it('reaches it when it is put back, and a cent less does not', () => {
    const bases = ['margin', 'margin of the price', 'markup', 'profit', 'profit per hour', 'return'] as const;
    fc.assert(
      fc.property(sale, fc.constantFrom(...bases), fc.integer({ min: -5, max: 25 }), (all, basis, target) => {
        const pricePoint = { ...all.pricePoint, basis, target: String(target), invested: '5000' };
        const { rows, point } = workshop({ ...all, pricePoint });
        const evaluation = evaluated(rows);
        const suggested = evaluation.figure(`priceLimits/${point}/suggested`)?.amount ?? null;
        if (suggested === null) return;
        const reached = (price: Decimal): number => {
          const fork = evaluation.fork([
            { kind: 'pricePoint', id: point, field: 'price', how: 'set', value: price.toFixed() },
          ]);
          const number = (key: string) => Number(fork.figure(key)?.amount ?? NaN);
          const profit = number(`pricePoint/${point}/profit`);
          const results: Readonly<Record<typeof basis, () => number>> = {
            margin: () => number(`priceRatios/${point}/margin`),
            'margin of the price': () => (profit / number(`setPrice/${point}/beforeTax`)) * 100,
            markup: () => number(`priceRatios/${point}/markup`),
            profit: () => profit,
            // A quarter of an hour in each; 5,000 invested over 1,200 units a year.
            'profit per hour': () => profit / 0.25,
            return: () => ((profit * 1200) / 5000) * 100,
          };
          return results[basis]();
        };
        // A board works the same out without figures.
        expect(listedPriceForTarget(evaluation.sheet, point)?.toFixed()).toBe(suggested.toFixed());
        const fork = evaluation.fork([
          { kind: 'pricePoint', id: point, field: 'price', how: 'set', value: suggested.toFixed() },
        ]);
        const left = Number(fork.figure(`pricePoint/${point}/contribution`)?.amount ?? NaN);
        expect(Number(contributionAt(evaluation.sheet, point, suggested))).toBeCloseTo(left, 9);
        expect(reached(suggested)).toBeGreaterThanOrEqual(target - 1e-9);
        if (suggested.gt(3)) expect(reached(suggested.minus('0.01'))).toBeLessThan(target);
      }),
      { numRuns: 120 },
    );
  });
});
