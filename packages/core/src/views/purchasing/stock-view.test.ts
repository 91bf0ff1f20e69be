import { rowsByKind, type StoredRow } from '@nuvar/book';
import type { BookBuilder } from '@nuvar/book/demo';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { evaluate } from '../../evaluate/index.js';
import { materialPrice, receivedLine, stockOnHand } from '../../purchasing/index.js';
import { netRealisable } from '../../selling/index.js';
import type { Evaluation } from '../../sheet/index.js';
import { DAY, rowsOf } from '../../testing/evaluated.js';
import { looseEndsView } from '../general/loose-ends-view.js';
import { orderView } from './order-view.js';
import { lateChargeView, receiptToPostView, receivedView, stockPeriodView, stockRowView } from './stock-view.js';

type Made = Record<string, string>;

/** A book of one material, with what was kept of its ledger: quantity, average value, value of the layers, oldest cost. */
function stocked(
  build: (book: BookBuilder, material: string) => Made,
  kept?: readonly [string, string, string, string],
  settings = {},
  fields = {},
) {
  let made: Made = {};
  let material = '';
  const rows = rowsOf((book) => {
    book.add('settings', { name: 'Any', openDaysPerMonth: '20', ...settings });
    material = book.add('material', { name: 'Clay', baseUnit: 'kg', ...fields });
    made = build(book, material);
  });
  if (kept !== undefined) {
    const [quantity, averageValue, fifoValue, oldestCost] = kept;
    const averageCost = String(Number(averageValue) / Number(quantity));
    rows.put('stockPosition', material, {
      id: material,
      version: 1,
      materialId: material,
      day: '2026-11-01',
      unit: 'kg',
      quantity,
      averageValue,
      averageCost,
      fifoValue,
      oldestCost,
      lastCost: null,
      layers: '',
      byMonth: '',
    } as StoredRow<'stockPosition'>);
  }
  return { evaluation: evaluate(rowsByKind(rows), DAY), material, made };
}

const moved = (
  book: BookBuilder,
  materialId: string,
  date: string,
  type: string,
  quantity: string,
  cost: string | null = null,
) => book.add('stockMovement', { materialId, date, type, quantity, cost, unit: 'kg' });

/** Every figure of a view opens by its key, and is the amount that is shown. */
function expectOpen(evaluation: Evaluation, view: unknown): number {
  let count = 0;
  JSON.stringify(view, (_key, value: unknown) => {
    if (typeof value === 'object' && value !== null && 'key' in value && 'amount' in value) {
      count += 1;
      expect(evaluation.figure(String(value.key))?.amount?.toFixed() ?? null, String(value.key)).toBe(value.amount);
    }
    return value;
  });
  return count;
}

const rounded = (amount: string | null | undefined) =>
  amount == null ? null : String(Number(Number(amount).toFixed(4)));

describe('the ledger of a period', () => {
  // By hand: 60 kg for 420.00, so 7.00 on average; 10 kg are left. Moving average 72.50, oldest first 10 x 8.00; at a standard
  // of 6.50 what came in cost 420.00 - 60 x 6.50 = 30.00 more.
  it('is valued by each method side by side', () => {
    const { evaluation, material } = stocked((book, id) => {
      moved(book, id, '2026-10-01', 'opening', '10', '50');
      moved(book, id, '2026-10-05', 'receipt', '30', '210');
      moved(book, id, '2026-10-10', 'issue', '20');
      moved(book, id, '2026-10-15', 'receipt', '20', '160');
      moved(book, id, '2026-10-20', 'issue', '30');
      book.add('standardPrice', { materialId: id, validFrom: '2026-01-01', price: '6.5' });
      return {};
    });
    const view = stockPeriodView(evaluation, `${material}@2026-10-01@2026-10-31`);
    const said = view.methods.map(({ method, used, closing, priceVariance }) => [
      ...[method, rounded(used.amount), rounded(closing.amount), rounded(priceVariance?.amount)],
    ]);
    expect(said).toEqual([
      ['moving average', '347.5', '72.5', null],
      ['first in, first out', '340', '80', null],
      ['periodic average', '350', '70', null],
      ['periodic first in, first out', '340', '80', null],
      ['standard', '325', '65', '30'],
    ]);
    expect(view.entries.map(({ valueAfter }) => rounded(valueAfter.amount))).toEqual([
      '50',
      '260',
      '130',
      '290',
      '72.5',
    ]);
    expect(expectOpen(evaluation, view)).toBeGreaterThan(40);
  });

  // By hand: 10 + 10 kg at 5.00, 20 kg revalued by 1.00, 4 kg used at 6.00: 100 + 20 - 24 = 96.
  it('revalues what is there when a new standard price begins, and uses it at the new one', () => {
    const { evaluation, material } = stocked((book, id) => {
      moved(book, id, '2026-10-01', 'opening', '10', '50');
      moved(book, id, '2026-10-05', 'receipt', '10', '60');
      moved(book, id, '2026-10-15', 'issue', '4');
      book.add('standardPrice', { materialId: id, validFrom: '2026-01-01', price: '5' });
      book.add('standardPrice', { materialId: id, validFrom: '2026-10-10', price: '6' });
      return {};
    });
    const { methods } = stockPeriodView(evaluation, `${material}@2026-10-01@2026-10-31`);
    const { used, closing, priceVariance, revaluation } = methods.at(-1) ?? {};
    expect([used, closing, priceVariance, revaluation].map((each) => each?.amount)).toEqual(['24', '96', '10', '20']);
  });

  // Receipt 100 for 800, issue 60, counted 38, receipt 40 for 360: 38 at 8.00 and 40 at 9.00 are left.
  it('keeps a count where it was made, first in, first out of the period too', () => {
    const { evaluation, material } = stocked((book, id) => {
      moved(book, id, '2026-10-01', 'receipt', '100', '800');
      moved(book, id, '2026-10-05', 'issue', '60');
      moved(book, id, '2026-10-10', 'count', '38');
      moved(book, id, '2026-10-15', 'receipt', '40', '360');
      return {};
    });
    const { methods } = stockPeriodView(evaluation, `${material}@2026-10-01@2026-10-31`);
    const closing = (method: string) => methods.find((each) => each.method === method)?.closing.amount;
    expect(closing('periodic first in, first out')).toBe('664');
    expect(closing('first in, first out')).toBe('664');
  });

  // By hand: 10 at 5.00, 2 go back at 5.00, 3 are written off and 4 used at 5.00; paid 1.00 above a standard of 4.00.
  it('tells what went back to the supplier and what was written off from what was used', () => {
    const { evaluation, material } = stocked((book, id) => {
      const receipt = moved(book, id, '2026-10-01', 'receipt', '10', '50');
      book.add('stockMovement', {
        materialId: id,
        date: '2026-10-02',
        type: 'return to supplier',
        quantity: '2',
        unit: 'kg',
        ofMovementId: receipt,
      });
      moved(book, id, '2026-10-03', 'write-off', '3');
      moved(book, id, '2026-10-04', 'issue', '4');
      book.add('standardPrice', { materialId: id, validFrom: '2026-01-01', price: '4' });
      return {};
    });
    const view = stockPeriodView(evaluation, `${material}@2026-10-01@2026-10-31`);
    expect(
      view.methods.map(({ used, toSupplier, writtenOff, closing, priceVariance }) =>
        [used, toSupplier, writtenOff, closing, priceVariance].map((each) => each?.amount ?? null),
      ),
    ).toEqual([
      ...Array(4).fill(['20', '10', '15', '5', null]),
      // The variance is that of the eight that were kept.
      ['16', '8', '12', '4', '8'],
    ]);
    expectOpen(evaluation, view);
  });

  // By hand: 20 at 5.00 become 20 at 6.00 on the first day; the month before closes at 100, and this one opens there.
  it('revalues what is there by a standard from its first day on, so that periods chain', () => {
    const { evaluation, material } = stocked((book, id) => {
      moved(book, id, '2026-09-05', 'receipt', '20', '100');
      moved(book, id, '2026-10-15', 'issue', '4');
      book.add('standardPrice', { materialId: id, validFrom: '2026-01-01', price: '5' });
      book.add('standardPrice', { materialId: id, validFrom: '2026-10-01', price: '6' });
      return {};
    });
    const of = (from: string, to: string) => {
      const { opening, used, closing, revaluation } =
        stockPeriodView(evaluation, `${material}@${from}@${to}@2026-09-01`).methods.at(-1) ?? {};
      return [opening, used, closing, revaluation].map((each) => each?.amount);
    };
    expect(of('2026-09-01', '2026-09-30')).toEqual(['0', '0', '100', '0']);
    expect(of('2026-10-01', '2026-10-31')).toEqual(['100', '24', '96', '20']);
  });

  it('shows standard values in a book on standard cost, and the price variance of each receipt', () => {
    const { evaluation, material } = stocked(
      (book, id) => {
        moved(book, id, '2026-10-01', 'receipt', '10', '60');
        moved(book, id, '2026-10-05', 'issue', '4');
        book.add('standardPrice', { materialId: id, validFrom: '2026-01-01', price: '5' });
        return {};
      },
      undefined,
      { stockMethod: 'standard' },
    );
    const view = stockPeriodView(evaluation, `${material}@2026-10-01@2026-10-31`);
    expect(
      view.entries.map(({ value, truedUp, valueAfter }) =>
        [value, truedUp, valueAfter].map((each) => each?.amount ?? null),
      ),
    ).toEqual([
      ['50', '10', '50'],
      ['-20', null, '30'],
    ]);
    expectOpen(evaluation, view);
  });

  it('looks at its own days only, from the position before them', () => {
    const { evaluation, material } = stocked((book, id) => {
      moved(book, id, '2026-09-05', 'receipt', '99', '990');
      moved(book, id, '2026-10-10', 'issue', '4');
      return {};
    });
    const opening = {
      quantity: '10',
      averageValue: '20',
      averageCost: '2',
      fifoValue: '20',
      oldestCost: '2',
      lastCost: null,
    };
    evaluation.apply([
      {
        kind: 'stockPosition',
        id: `${material}@2026-10-01`,
        before: null,
        after: {
          id: `${material}@2026-10-01`,
          version: 1,
          materialId: material,
          day: '2026-09-30',
          unit: 'kg',
          ...opening,
          layers: '[["before","10","20"]]',
          byMonth: '',
        } as StoredRow<'stockPosition'>,
      },
    ]);
    const view = stockPeriodView(evaluation, `${material}@2026-10-01@2026-10-31`);
    expect(view.entries.map(({ quantityAfter, valueAfter }) => [quantityAfter.amount, valueAfter.amount])).toEqual([
      ['6', '12'],
    ]);
    expect([view.openingQuantity.amount, view.openingValue.amount]).toEqual(['10', '20']);
  });
});

describe('a shipment that is received in parts', () => {
  const ordered = (book: BookBuilder, materialId: string, freight = '10'): Made => {
    const shipmentId = book.add('shipment', { name: 'Lot', state: 'ordered', date: '2026-10-01', currency: 'EUR' });
    const lineId = book.add('shipmentLine', { shipmentId, materialId, quantity: '7', unit: 'kg', price: '3' });
    book.add('shipmentCharge', { shipmentId, type: 'freight', amount: freight, currency: 'EUR' });
    return { shipmentId, lineId };
  };

  it('posts parts that add up to its landed cost to the cent, however it is parted', () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 1, max: 4 }), { minLength: 1, maxLength: 7 }), (parts) => {
        const taken = parts.reduce<number[]>((so, part) => {
          const left = 7 - so.reduce((sum, each) => sum + each, 0);
          return left > 0 ? [...so, Math.min(part, left)] : so;
        }, []);
        const left = 7 - taken.reduce((sum, each) => sum + each, 0);
        const { evaluation, made } = stocked((book, id) => ordered(book, id));
        let posted = 0;
        for (const part of left > 0 ? [...taken, left] : taken) {
          const { stored } = receiptToPostView(evaluation, `${made.lineId}@${part}@0@0`);
          posted += Math.round(Number(stored?.cost) * 100);
          const id = `0192f000-0000-7000-8000-${String(posted).padStart(12, '0')}`;
          const row = { id, version: 1, materialId: '', date: '2026-10-02', type: 'receipt', unit: 'kg', remark: '' };
          const of = { lineId: made.lineId, ofLine: String(part), ofMovementId: null };
          const after = { ...row, ...of, quantity: stored?.quantity, cost: stored?.cost } as StoredRow<'stockMovement'>;
          evaluation.apply([{ kind: 'stockMovement', id, before: null, after }]);
        }
        expect(posted).toBe(3100);
        expect(evaluation.read(receivedLine, made.lineId ?? '').notPosted.amount?.toFixed()).toBe('0');
      }),
      { numRuns: 40 },
    );
  });

  // By hand: 31.00 for 7 kg, one of them lost on the way as usual: 31.00 / 6 = 5.1667 a good kg; of 4 kg with one lost beyond
  // that, 4 x 31 / 7 = 17.71, of which a quarter goes to expense.
  it('lets the good units bear what is usually lost, and sends what is lost beyond that to expense', () => {
    const { evaluation, made } = stocked((book, id) => ordered(book, id));
    const usual = receiptToPostView(evaluation, `${made.lineId}@6@1@0`);
    expect([usual.stored, rounded(usual.perBaseUnit?.amount)]).toEqual([
      { quantity: '6', ofLine: '7', cost: '31', lostQuantity: null, isLast: true },
      '5.1667',
    ]);
    const beyond = receiptToPostView(evaluation, `${made.lineId}@3@0@1`);
    const { cost, quantity, lostQuantity, isLast } = beyond.stored ?? {};
    expect([cost, quantity, lostQuantity, isLast]).toEqual(['17.71', '4', '1', false]);
    expect(rounded(beyond.lostCost?.amount)).toBe('4.4275');
    expectOpen(evaluation, [usual, beyond]);
  });

  it('says what bills that came later change of each receipt', () => {
    const { evaluation, made } = stocked((book, id) => {
      const lot = ordered(book, id, '17');
      const of = { lineId: lot.lineId, ofLine: '7', unit: 'kg', materialId: id, date: '2026-10-02', type: 'receipt' };
      book.add('stockMovement', { ...of, quantity: '7', cost: '31' });
      return lot;
    });
    const [line] = receivedView(evaluation, made.shipmentId ?? '');
    expect([line?.left, line?.receipts.map(({ lateCharge }) => lateCharge)]).toEqual([null, ['7']]);
    expectOpen(evaluation, line);
  });

  // Invented, recomputed by hand: 40 kg at 9.00 each, 7 kg at 31.00 received, 42 used, then 7.00 more for the receipt. First in,
  // first out: 5 of the 7 are left, 5.00 of the charge. Moving average: 47 kg cost 7.00 more, of which 5 / 47 stay.
  it.each([
    ['first in, first out', 5, 2],
    ['moving average', (7 * 5) / 47, 7 - (7 * 5) / 47],
    ['standard', 0, 7],
  ])('shows how a late charge would be split before it is posted: %s', (stockMethod, toStock, toCostOfSales) => {
    const settings = { stockMethod };
    const { evaluation, made } = stocked(
      (book, id) => {
        const lot = ordered(book, id, '17');
        moved(book, id, '2026-09-01', 'receipt', '40', '360');
        const of = { lineId: lot.lineId, ofLine: '7', unit: 'kg', materialId: id, date: '2026-10-02', type: 'receipt' };
        const receipt = book.add('stockMovement', { ...of, quantity: '7', cost: '31' });
        moved(book, id, '2026-10-20', 'issue', '42');
        return { ...lot, receipt };
      },
      undefined,
      settings,
    );
    const split = lateChargeView(evaluation, `${made.receipt}@2026-11-25@0001-01-01`);
    expect(Number(split.charge.amount)).toBe(7);
    expect(Number(split.toStock.amount)).toBeCloseTo(toStock, 9);
    expect(Number(split.toCostOfSales.amount)).toBeCloseTo(toCostOfSales, 9);
    expect(split.stillInStock.amount).toBe('5');
    expectOpen(evaluation, split);
  });

  it('is not posted while its landed cost lacks something', () => {
    const { evaluation, made } = stocked((book, id) => {
      const lot = ordered(book, id);
      book.add('shipmentCharge', { shipmentId: lot.shipmentId, type: 'port', amount: null, currency: 'EUR' });
      return lot;
    });
    expect(receiptToPostView(evaluation, `${made.lineId}@7@0@0`).stored).toBeNull();
  });
});

describe('stock', () => {
  const priced = (book: BookBuilder, id: string, price = '2') =>
    book.add('supplierPrice', {
      materialId: id,
      price,
      packQuantity: '1',
      packUnit: 'kg',
      currency: 'EUR',
      validFrom: '2026-01-01',
    });

  it.each([
    ['average of stock', '3'],
    ['first in, first out', '2.5'],
    ['latest', '2'],
  ])('is what a material is planned by: %s', (planningBasis, price) => {
    const { evaluation, material } = stocked((book, id) => ({ price: priced(book, id) }), ['10', '30', '28', '2.5'], {
      planningBasis,
    });
    expect(evaluation.read(materialPrice, material).perBaseUnit.amount?.toFixed()).toBe(price);
  });

  it('leaves the newest price where nothing was ever moved', () => {
    const planned = { planningBasis: 'average of stock' };
    const { evaluation, material } = stocked((book, id) => ({ price: priced(book, id) }), undefined, planned);
    expect(evaluation.read(materialPrice, material).perBaseUnit.amount?.toFixed()).toBe('2');
    expect(stockRowView(evaluation, material)).toBeNull();
  });

  it.each([
    ['moving average', '30', '3'],
    ['first in, first out', '28', '2.8'],
    ['standard', '25', '2.5'],
  ])('is worth what the method of the book says: %s', (stockMethod, value, perUnit) => {
    const build = (book: BookBuilder, id: string) => ({
      std: book.add('standardPrice', { materialId: id, validFrom: '2026-01-01', price: '2.5' }),
    });
    const { evaluation, material } = stocked(build, ['10', '30', '28', '2.5'], { stockMethod });
    const view = stockRowView(evaluation, material);
    expect([view?.value.amount, view?.perBaseUnit?.amount]).toEqual([value, perUnit]);
    expectOpen(evaluation, view);
  });

  // IAS 2.32: no write-down while what it goes into sells at or above cost; else to replacement cost. By hand: 10 x (3 - 2).
  it('is written down to replacement cost only where what it goes into sells below cost', () => {
    const sold = (price: string) =>
      stocked(
        (book, id) => {
          priced(book, id);
          const productId = book.add('product', { name: 'Bowl' });
          book.add('billLine', { productId, materialId: id, quantity: '1', unit: 'kg' });
          const channelId = book.add('channel', { name: 'Shop' });
          book.add('pricePoint', { productId, channelId, price, taxInside: false });
          return {};
        },
        ['10', '30', '28', '2.5'],
      );
    const well = sold('9');
    expect(well.evaluation.read(netRealisable, well.material).writeDown).toBeNull();
    const badly = sold('1');
    expect(badly.evaluation.read(netRealisable, badly.material).writeDown?.amount?.toFixed()).toBe('10');
    const codes = looseEndsView(badly.evaluation).map(({ code }) => code);
    expect(codes).toContain('stock-above-value');
  });

  /** Ten in stock at 10 each, bought today at a price, and sold one to a product at another, which costs 1 to sell. */
  const inProduct = (price: string, today: string, kind = 'ingredient', product = {}) =>
    stocked(
      (book, materialId) => {
        book.add('supplierPrice', {
          materialId,
          packQuantity: '1',
          packUnit: 'kg',
          price: today,
          currency: 'EUR',
          validFrom: '2026-11-01',
        });
        const productId = book.add('product', { name: 'Lamp', ...product });
        book.add('billLine', { productId, materialId, quantity: '1', unit: 'kg' });
        const channelId = book.add('channel', { name: 'Shop' });
        book.add('feeRule', { channelId, name: 'Fee', takenOf: 'unit', amount: '1' });
        book.add('pricePoint', { productId, channelId, price, taxInside: false });
        return {};
      },
      ['10', '100', '100', '10'],
      {},
      { kind },
    );
  const writtenDown = ({ evaluation, material }: ReturnType<typeof inProduct>) => {
    const { writeDown, writtenDownTo } = evaluation.read(netRealisable, material);
    return [writeDown?.amount?.toFixed() ?? null, writtenDownTo?.amount?.toFixed() ?? null];
  };

  // IAS 2.6: bought at 10, sold at 8 less 1: 7, whatever buying it again would cost.
  it('is written down to what it brings where it is for resale', () => {
    expect(writtenDown(inProduct('8', '9', 'resale'))).toEqual(['30', '7']);
    expect(writtenDown(inProduct('11', '9', 'resale'))).toEqual([null, null]);
    expect(writtenDown(inProduct('8', '9', 'resale', { archived: true }))).toEqual([null, null]);
  });

  // IAS 2.32: stock at 10, price of today 6, a lamp that brings 7: below the 10 that are in it, so down to 6.
  it('is compared at its book value with what it goes into, and not at the price of today', () => {
    expect(writtenDown(inProduct('8', '6'))).toEqual(['40', '6']);
    expect(writtenDown(inProduct('11', '6'))).toEqual([null, null]);
    expect(writtenDown(inProduct('8', '12'))).toEqual([null, null]);
  });

  it('is a loose end below zero, and at its reorder level', () => {
    const { evaluation, material } = stocked(
      (book) => {
        book.add('material', { name: 'Other' });
        return {};
      },
      ['-2', '-6', '-6', '3'],
    );
    expect(looseEndsView(evaluation).map(({ code }) => code)).toContain('stock-below-zero');
    const row = evaluation.sheet.row('material', material) as StoredRow<'material'>;
    evaluation.apply([{ kind: 'material', id: material, before: row, after: { ...row, reorderLevel: '5' } }]);
    expect(looseEndsView(evaluation).map(({ code }) => code)).toContain('below-reorder-level');
  });

  it('is ordered in quantities whose figures can be opened', () => {
    const { evaluation, material } = stocked((book, id) => ({ price: priced(book, id) }), undefined, {
      costPerOrder: '10',
      holdingPercent: '20',
    });
    const row = evaluation.sheet.row('material', material) as StoredRow<'material'>;
    evaluation.apply([{ kind: 'material', id: material, before: row, after: { ...row, yearlyNeed: '400' } }]);
    const view = orderView(evaluation, material);
    expect([view.options.find(({ isCheapest }) => isCheapest)?.packs, view.bestQuantity]).toEqual(['141', '141']);
    expect(expectOpen(evaluation, view)).toBeGreaterThan(10);
  });
});

it.each([
  ['5', 'moving average', '2'],
  ['5', 'first in, first out', '2.4'],
  // Nothing is in stock, or more was used than came: the average and the oldest cost stand for a unit.
  ['0', 'moving average', '2'],
  ['0', 'first in, first out', '3'],
  ['-5', 'moving average', '2'],
  ['-5', 'first in, first out', '3'],
])('a unit of %s in stock by %s is worth %s', (quantity, stockMethod, expected) => {
  const { evaluation, material } = stocked(() => ({}), ['5', '10', '12', '3'], { stockMethod });
  const [position] = evaluation.sheet.all('stockPosition');
  const write = {
    kind: 'stockPosition' as const,
    id: material,
    before: position as never,
    after: { ...position, quantity } as never,
  };
  evaluation.apply([write]);
  const { perBaseUnit } = evaluation.read(stockOnHand, material);
  expect(perBaseUnit?.amount?.toFixed()).toBe(expected);
});
