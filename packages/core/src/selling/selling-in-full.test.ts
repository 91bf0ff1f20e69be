import jstat from 'jstat';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { decimal } from '../number/index.js';
import { amount, DAY, evaluated, rowsOf, workshop, type WorkshopFields } from '../testing/evaluated.js';
import { VIEWS } from '../views/views.js';
import { repricedOf } from '../views/selling/repriced-view.js';
import { drawn, simulate, type ChanceModel } from './chance/simulate.js';
import { USUAL_RANGES } from './chance/ranges.js';
import { learningShare } from './quotes/learning.js';

/** The workshop's product costs 7.00 by itself and 12.00 in full, a quarter of an hour of work in it; its price is 20.00. */
const opened = (fields: WorkshopFields = {}) => {
  const made = workshop(fields);
  return { ...made, evaluation: evaluated(made.rows) };
};
const figuresOf = (fields: WorkshopFields, ...keys: string[]) => {
  const { evaluation, point, product } = opened(fields);
  return keys.map((key) => amount(evaluation, key.replace('POINT', point).replace('PRODUCT', product)));
};

describe('the lines of a sale', () => {
  const fields: WorkshopFields = {
    channel: { unitsPerOrder: '2', postageCharged: '3' },
    fees: [
      { takenOf: 'price before tax', percent: '10' },
      { takenOf: 'order', amount: '0.60' },
    ],
    more(book, { channel, material }) {
      book.add('packingLine', { channelId: channel, materialId: material, quantity: '100', unit: 'g' });
    },
  };

  // By hand, per unit of an order of two: 20 + 1.50 - 2 - 0.30 - 0.20 packing = 19.00 after selling costs, 12.00 left, 7.00 profit.
  it('add up from the list price to profit, for a unit and for the month', () => {
    const keys = ['netRevenue', 'fees', 'packing', 'afterFees', 'contribution', 'profit'];
    expect(figuresOf(fields, ...keys.map((key) => `saleLines/POINT@unit/${key}`))).toEqual([
      ...['21.5', '2.3', '0.2', '19', '12', '7'],
    ]);
    expect(figuresOf(fields, 'saleLines/POINT@month/profit')).toEqual(['700']);
  });

  // An order of one bears its fee, its packing and its postage alone: 20 + 3 - 2 - 0.60 - 0.40 - 7 = 13.00; of three 3 x
  // (20 - 2 - 7) + 3 - 0.60 - 0.40 = 35.00.
  it.each([
    ['order-1', '13'],
    ['order-3', '35'],
  ])('of an %s leave %s', (scale, left) => {
    expect(figuresOf(fields, `saleLines/POINT@${scale}/contribution`)).toEqual([left]);
  });

  it('of an order have the price of the quantity that it reaches, for all of its units', () => {
    const more: WorkshopFields['more'] = (book, { point }) => {
      book.add('quantityBreak', { pricePointId: point, fromQuantity: '3', price: '18' });
      book.add('quantityBreak', { pricePointId: point, fromQuantity: '10', price: '15' });
    };
    const revenue = ['2', '3', '9', '10'].map((units) => `saleLines/POINT@order-${units}/netRevenue`);
    expect(figuresOf({ more }, ...revenue)).toEqual(['40', '54', '162', '150']);
  });

  it('are those that the view shows, in order, and the parts lead to each total', () => {
    const { evaluation, point } = opened({ ...fields, pricePoint: { discountPercent: '10', couponAmount: '1' } });
    let left = 0;
    for (const { role, figures } of VIEWS.saleLeft(evaluation, point).lines) {
      const shown = Number(figures.unit?.amount ?? NaN);
      if (role === 'plus') left += shown;
      if (role === 'minus') left -= shown;
      if (role === 'total') expect(shown).toBeCloseTo(left, 12);
      if (role === 'start') left = shown;
    }
  });
});

describe('a dated price', () => {
  it('takes the place of the set price from its day on', () => {
    const { rows, point } = workshop({
      more(book, ids) {
        book.add('datedPrice', { pricePointId: ids.point, startsOn: '2026-11-25', price: '21' });
        book.add('datedPrice', { pricePointId: ids.point, startsOn: '2027-01-01', price: '23' });
      },
    });
    const on = (day: string) => amount(evaluated(rows, day), `setPrice/${point}/price`);
    expect([on('2026-11-24'), on(DAY), on('2026-12-31'), on('2027-01-01')]).toEqual(['20', '21', '21', '23']);
  });
});

describe('discounts', () => {
  // Common practice, no source: 10 % and then 5 % are 14.5 %, 20 % and then 20 % are 36 %.
  it.each([
    ['10+5', '17.1', '14.5'],
    ['20+20', '12.8', '36'],
    ['0', '20', '0'],
  ])('of %s %% leave a price of %s, as one of %s %%', (series, price, asOne) => {
    expect(figuresOf({}, `discountStep/POINT@${series}/priceAfter`, `discountStep/POINT@${series}/asOne`)).toEqual([
      price,
      asOne,
    ]);
  });

  it('stand in a ladder, a series that is tried first, and what is no discount is left out', () => {
    const { evaluation, point } = opened();
    expect(VIEWS.discounts(evaluation, `${point}@10+5`)[0]?.series).toBe('10+5');
    expect(VIEWS.discounts(evaluation, `${point}@100`)[0]?.series).toBe('0');
    expect(VIEWS.discounts(evaluation, `${point}@ten`)).toHaveLength(9);
  });
});

describe('target costing', () => {
  // Customers pay 18.00; 10 % fees leave 16.20; a margin of 20 % of 18.00 is 3.60: 12.60 may be spent, 0.60 more than 12.00.
  it('says what may be spent at the most that customers pay', () => {
    const fees = [{ takenOf: 'price before tax', percent: '10' }];
    const pricePoint = { marketPrice: '18', basis: 'margin', target: '20' };
    expect(figuresOf({ fees, pricePoint }, 'targetCost/POINT/allowed', 'targetCost/POINT/gap')).toEqual([
      '12.6',
      '-0.6',
    ]);
    const markup = { marketPrice: '18', basis: 'markup', target: '50' };
    expect(figuresOf({ fees, pricePoint: markup }, 'targetCost/POINT/allowed')).toEqual(['10.8']);
    expect(figuresOf({}, 'targetCost/POINT/allowed')).toEqual(['no-market-price']);
  });

  it('names inputs that close the gap alone, each of which does', () => {
    const { evaluation, point, product } = opened({ pricePoint: { marketPrice: '11' } });
    const { closing, allowed } = VIEWS.targetCost(evaluation, point);
    expect(closing.length).toBeGreaterThan(1);
    for (const { place, neededAmount } of closing) {
      const fork = evaluation.fork([{ ...place, how: 'set', value: neededAmount } as never]);
      const cost = fork.figure(`fullCost/${product}/fullCost`)?.amount ?? decimal('99');
      expect(cost.lte(decimal(allowed.amount ?? '0').plus('0.01')), place.field).toBe(true);
    }
  });
});

describe('a chain of sellers', () => {
  const chain: WorkshopFields = {
    settings: { salesTaxPercent: '20' },
    more(book, { channel }) {
      book.add('chainStep', { channelId: channel, position: 0, name: 'Distributor', basis: 'markup', percent: '25' });
      book.add('chainStep', { channelId: channel, position: 1, name: 'Shop', basis: 'margin', percent: '50' });
    },
  };

  // 20.00 with 25 % on top is 25.00; of 50.00 the shop keeps half; 60.00 stand on the shelf. And back again.
  it('goes from the price to the shelf and back', () => {
    const { evaluation, point } = opened(chain);
    const view = VIEWS.chain(evaluation, `${point}@60`);
    expect(view.steps.map(({ asked }) => asked.amount)).toEqual(['25', '50']);
    expect([view.shelf.amount, view.back?.amount]).toEqual(['60', '20']);
  });
});

describe('two channels', () => {
  const inTwo = (one: object[], other: object[], price = '20') => {
    let [first, second] = ['', ''];
    const rows = rowsOf((book) => {
      book.add('settings', { name: 'Two', openDaysPerMonth: '20' });
      const productId = book.add('product', { name: 'Thing', costing: 'typed totals' });
      book.add('typedCost', { productId, element: 'materials', amount: '5' });
      const channel = (name: string, fees: object[]) => {
        const channelId = book.add('channel', { name });
        fees.forEach((fee, position) => book.add('feeRule', { channelId, position, name: `Fee ${position}`, ...fee }));
        book.add('plannedVolume', { productId, channelId, unitsPerMonth: '50' });
        return book.add('pricePoint', { productId, channelId, price, taxInside: false });
      };
      [first, second] = [channel('One', one), channel('Other', other)];
    });
    const evaluation = evaluated(rows);
    return (member: string) => amount(evaluation, `channelComparison/${first}@${second}/${member}`);
  };

  // 30.00 a month and 5 % against 15 % of 20.00: 30 / (1 x 2.00) = 15 units a month.
  it('change places at the units over which a monthly fee is spread', () => {
    const of = inTwo(
      [
        { takenOf: 'month', amount: '30' },
        { takenOf: 'price before tax', percent: '5' },
      ],
      [{ takenOf: 'price before tax', percent: '15' }],
    );
    expect(of('unitsAtSwitch')).toBe('15');
    // The monthly fee is in no contribution: 20 - 1 - 5 against 20 - 3 - 5.
    expect(of('difference')).toBe('2');
  });

  // 3.00 a unit against 15 %: the same at 20.00.
  it('change places at the price at which their fees are the same', () => {
    expect(
      inTwo([{ takenOf: 'unit', amount: '3' }], [{ takenOf: 'price before tax', percent: '15' }])('priceAtSwitch'),
    ).toBe('20');
    expect(inTwo([{ takenOf: 'unit', amount: '1' }], [{ takenOf: 'unit', amount: '2' }])('priceAtSwitch')).toBe(
      'order-never-turns',
    );
  });
});

describe('what an order has to be worth', () => {
  // An order of two costs 1.20 and 4.00 to send; a unit leaves 20 - 7 - 2 (10 %) = 11.00 before that, 55 %: 5.20 / 55 % = 9.4545...
  it('is what it costs over what its goods leave', () => {
    const fields: WorkshopFields = {
      channel: { unitsPerOrder: '2', postageCharged: '4' },
      product: { packedWeight: '0.2' },
      fees: [
        { takenOf: 'price before tax', percent: '10', purpose: 'advertising' },
        { takenOf: 'order', amount: '1.20' },
      ],
      more(book, { channel }) {
        const tableId = book.add('carrierTable', { name: 'Post' });
        book.add('carrierRate', { tableId, upToKilograms: '1', amount: '4' });
        book.add('postageShare', { channelId: channel, tableId });
      },
    };
    const [perOrder, share, smallest, advertising] = figuresOf(
      fields,
      ...['perOrder', 'contributionShare', 'smallestOrder', 'advertisingBreakEven'].map(
        (each) => `orderThresholds/POINT/${each}`,
      ),
    );
    expect([perOrder, share, Number(smallest).toFixed(6)]).toEqual(['5.2', '55', (5.2 / 0.55).toFixed(6)]);
    // Contribution 20 + 2 - 2 - 0.60 - 2 - 7 = 10.40; before advertising 12.40, 62 % of 20.00.
    expect(advertising).toBe('62');
  });
});

it('a bottleneck is counted in hours of a grade, and not at all where it is not used', () => {
  const { evaluation, point, rows } = opened();
  const grade = rows.all('labourGrade')[0]?.id ?? '';
  expect(amount(evaluation, `perBottleneck/${point}@labourGrade.${grade}/contribution`)).toBe('52');
  expect(amount(evaluation, `perBottleneck/${point}@equipment.none/hours`)).toBe('0');
});

describe('a change of many prices', () => {
  it.each([
    [{ percent: '5' }, '21'],
    [{ percent: '-2.5' }, '19.5'],
    [{ percent: '3', ending: '.99', direction: 'nearest' }, '20.99'],
    [{ toTarget: true }, '16.00'],
  ] as const)('%o makes 20.00 into %s, and says what the month leaves', (how, price) => {
    const { evaluation, point } = opened({ pricePoint: { basis: 'margin', target: '25' } });
    const usual = { toTarget: false, percent: '0', ending: 'none', direction: 'up' } as const;
    const board = repricedOf(evaluation, { ...usual, ...how }, [point]);
    expect(Number(board.prices[0]?.after)).toBe(Number(price));
    // A hundred units a month at 7.00 of variable cost.
    expect(Number(board.monthAfter)).toBeCloseTo((Number(price) - 7) * 100, 9);
  });

  it('leaves alone what has no target, what stays as it is, and the book itself', () => {
    const { evaluation, point } = opened();
    const how = { toTarget: true, percent: '0', ending: 'none', direction: 'up' } as const;
    expect(repricedOf(evaluation, how, [point]).prices[0]).toMatchObject({ after: null, reason: 'it has no target' });
    const same = { ...how, toTarget: false, ending: '.00', direction: 'nearest' } as const;
    expect(repricedOf(evaluation, same, [point]).prices[0]).toMatchObject({
      after: null,
      reason: 'it is that already',
    });
    expect(amount(evaluation, `setPrice/${point}/price`)).toBe('20');
  });
});

it('a coming change of fees shows what each product leaves from its day on', () => {
  const { evaluation, channel } = opened({
    fees: [
      { takenOf: 'price before tax', percent: '10', endsOn: '2026-12-31' },
      { takenOf: 'price before tax', percent: '15', startsOn: '2027-01-01' },
    ],
  });
  expect(VIEWS.comingFees(evaluation, channel)).toMatchObject([
    { day: '2027-01-01', rows: [{ before: '11', after: '10' }] },
  ]);
});

describe('a quote', () => {
  const quoted = (quote: object, option: object, fields: WorkshopFields = {}) => {
    let optionId = '';
    const { rows } = workshop({
      ...fields,
      more(book, ids) {
        const { product } = ids;
        fields.more?.(book, ids);
        book.add('salesTaxRate', { name: 'Books', percent: '9' });
        const quoteId = book.add('quote', { name: 'Job', target: '20', contingencyPercent: '10', ...quote });
        optionId = book.add('quoteOption', { quoteId, productId: product, units: '8', ...option });
      },
    });
    const evaluation = evaluated(rows);
    return (member: string, of = 'quotedOption') => amount(evaluation, `${of}/${optionId}/${member}`);
  };

  // Eight at 12.00 are 96.00, with 10 % contingency 105.60; at a margin of 20 % 132.00, a markup of 20 % 126.72.
  it.each([
    ['margin', '132'],
    ['markup', '126.72'],
    ['profit', '125.6'],
  ])('is priced by %s', (basis, price) => {
    expect(quoted({ basis }, {})('price')).toBe(price);
  });

  // 132.00 with the book's 20 %, with the 9 % of the product's category, and with none.
  it.each([
    ['at the rate of the book', {}, '158.4'],
    ['at that of its category', { product: { category: 'books' } }, '143.88'],
    [
      'without where the business is not registered',
      { taxRegistration: { validFrom: '2026-01-01', registered: false } },
      '132',
    ],
  ])('adds the tax of a sale, %s', (_, fields, paid) => {
    expect(quoted({}, {}, { settings: { salesTaxPercent: '20' }, ...fields })('paid')).toBe(paid);
  });

  // T. P. Wright (1936): at 80 % the average of eight is 0.8 to the power of three. Labour of 5.00 each: 40 x 48.8 % saved.
  it('counts what is learnt, as a cumulative average', () => {
    for (const [units, share] of [
      [1, 1],
      [2, 0.8],
      [4, 0.64],
      [8, 0.512],
    ] as const)
      expect(learningShare(decimal('80'), decimal(String(units))).toNumber()).toBeCloseTo(share, 12);
    const of = quoted({}, { learningPercent: '80' });
    expect(Number(of('labourSaved'))).toBeCloseTo(19.52, 9);
    expect(Number(of('cost'))).toBeCloseTo(76.48, 9);
  });

  // Labour of 5.00 each learns: 19.52 of eight are saved. A set-up of 10.00 for the batch learns nothing; pay that is committed
  // is paid however fast the work goes, so nothing of what changes with the units is saved.
  it('learns on the work of each unit, and not on set-up or on committed pay', () => {
    const setUp: WorkshopFields = {
      more(book, { product }) {
        const gradeId = book.add('labourGrade', { name: 'Setter', wagePerHour: '20' });
        const step = { productId: product, name: 'Set up', gradeId, timeBasis: 'minutes per batch', time: '30' };
        book.add('labourStep', step);
      },
    };
    expect(Number(quoted({}, { learningPercent: '80' }, setUp)('labourSaved'))).toBeCloseTo(19.52, 9);
    const committed = { labourGrade: { behaviour: 'committed' } };
    const [learnt, plain] = ['80', '100'].map((learningPercent) => quoted({}, { learningPercent }, committed));
    expect(Number(learnt?.('labourSaved'))).toBeCloseTo(19.52, 9);
    expect(learnt?.('variableCost')).toBe(plain?.('variableCost'));
  });

  // Planned: 2.00 of materials each, a quarter of an hour each at 20.00. Needed: 18.00 of materials and 2.5 hours.
  it('says what was really needed, and what was really left', () => {
    const of = quoted({ contingencyPercent: '0' }, { actualMaterials: '18', actualHours: '2.5' });
    expect([
      of('materialsMore', 'quotedActual'),
      of('hoursMore', 'quotedActual'),
      of('otherMore', 'quotedActual'),
    ]).toEqual(['2', '10', '0']);
    expect(of('profit', 'quotedActual')).toBe('12');
  });
});

describe('a simulation', () => {
  const still = { low: 0, high: 0, shape: 'uniform' } as const;
  const STILL = { price: still, volume: still, materials: still, yield: still, time: still, fees: still };
  const model: ChanceModel = {
    price: 20,
    keptAfterDiscount: 1,
    coupon: 0,
    taxTimes: 1,
    keptAfterReturns: 1,
    spent: 1,
    fees: [{ upTo: null, slope: 0.1, level: 0.5 }],
    dispatch: 1,
    postageBrought: 0,
    labour: 4,
    otherVariable: 1,
    byYield: 0,
    mostYield: 1,
    materials: [
      { supplier: 'a', amount: 3 },
      { supplier: 'a', amount: 4 },
      { supplier: 'b', amount: 2 },
    ],
    unitsPerMonth: 100,
    fixedPerMonth: 250,
  };
  const run = (more: Partial<Parameters<typeof simulate>[0]>) =>
    simulate({ model, ranges: STILL, together: 0, seed: 5, draws: 20_000, ...more });

  // 20 - 2.50 - 1 - 14 = 2.50 a unit, 250 a month, less 250.
  it('that varies nothing is the plan itself', () => {
    const { profit, explains } = run({ draws: 10 });
    expect(profit.mean).toBeCloseTo(0, 9);
    expect(new Set(explains.map(({ share }) => share))).toEqual(new Set([0]));
  });

  it('gives the same for a seed, and something else for another', () => {
    const ranges = USUAL_RANGES;
    expect(run({ ranges, draws: 500 })).toEqual(run({ ranges, draws: 500 }));
    expect(run({ ranges, draws: 500, seed: 6 }).profit.mean).not.toBe(run({ ranges, draws: 500 }).profit.mean);
  });

  // Closed form: material costs 3, 4 and 2 times a normal factor of the same deviation s = 10 % / 1.645; those of supplier a with
  // correlation r. Variance of the cost = s^2 (9 + 16 + 4 + 2 r 12); profit is 100 times that, and falls as cost grows.
  it.each([0, 0.6, 1])('spreads as a sum of normals of correlation %s does', (together) => {
    const range = { low: -10, high: 10, shape: 'normal' } as const;
    const { profit, chanceOfLoss } = run({ ranges: { ...STILL, materials: range }, together });
    const s = 0.1 / 1.6448536269514722;
    const deviation = 100 * s * Math.sqrt(9 + 16 + 4 + 24 * together);
    expect(profit.deviation / deviation).toBeCloseTo(1, 1);
    expect(Math.abs(profit.mean)).toBeLessThan((3 * deviation) / Math.sqrt(20_000) + 1e-9);
    expect(chanceOfLoss).toBeCloseTo(0.5, 1);
    expect(profit.percentiles.p95 / (jstat.normal.inv(0.95, 0, 1) * deviation)).toBeCloseTo(1, 1);
  });

  it('draws each shape as its distribution function says, held against a statistics library', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: -40, max: -1 }),
        fc.integer({ min: 1, max: 60 }),
        fc.double({ min: 0.01, max: 0.99, noNaN: true }),
        (low, high, share) => {
          const z = jstat.normal.inv(share, 0, 1);
          const of = (shape: 'triangular' | 'uniform' | 'normal') => (drawn({ low, high, shape }, z) - 1) * 100;
          expect(jstat.triangular.cdf(of('triangular'), low, high, 0)).toBeCloseTo(share, 4);
          expect(jstat.uniform.cdf(of('uniform'), low, high)).toBeCloseTo(share, 4);
          expect(jstat.normal.cdf(of('normal'), (low + high) / 2, (high - low) / 2 / 1.6448536269514722)).toBeCloseTo(
            share,
            4,
          );
        },
      ),
      { numRuns: 200 },
    );
  });

  it('finds what explains most of it', () => {
    const wide = { low: -30, high: 30, shape: 'uniform' } as const;
    const narrow = { low: -2, high: 2, shape: 'uniform' } as const;
    const { explains } = run({ ranges: { ...STILL, price: wide, time: narrow } });
    expect(explains[0]?.factor).toBe('price');
    expect(explains.reduce((so, { share }) => so + share, 0)).toBeCloseTo(1, 9);
  });

  it('begins with a model of the price that earns what the book says', () => {
    const { evaluation, point } = opened({ fees: [{ takenOf: 'price before tax', percent: '10' }] });
    const view = VIEWS.chance(evaluation, point);
    if (view.model === null) throw new Error('There is no model.');
    const { profit } = simulate({ model: view.model, ranges: STILL, together: 0, seed: 1, draws: 3 });
    expect(profit.mean).toBeCloseTo(Number(amount(evaluation, `salesPerMonth/${point}/profitPerMonth`)), 6);
  });
});
