import { applyChange, newId, type BookRows } from '@nuvar/book';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { evaluate } from '../../evaluate/index.js';
import { readNumber } from '../../number/index.js';
import { amount, rowsOf } from '../../testing/evaluated.js';
import { guessColumns } from './guess-columns.js';
import { listNoteSentence } from './list-note.js';
import type { ListReading } from './list-row.js';
import { priceListOperations } from './price-list-operations.js';
import { readPriceList } from './price-list.js';
import { rowsByKind } from '@nuvar/book';

const isUnit = (word: string) => readNumber(`1 ${word}`, '.')?.unit ?? undefined;

/** A shop that has clay by the 10 kg bag for 11.00 and handles by the piece. */
function shop(): { rows: BookRows; clay: string; handle: string } {
  const ids = { clay: '', handle: '' };
  const rows = rowsOf((book) => {
    book.add('settings', { name: 'Shop' });
    const supplierId = book.add('supplier', { name: 'Claypit' });
    ids.clay = book.add('material', { name: 'White clay', baseUnit: 'kg' });
    ids.handle = book.add('material', { name: 'Handle', baseUnit: 'each', code: 'H-7' });
    book.add('supplierPrice', {
      materialId: ids.clay,
      supplierId,
      packQuantity: '10',
      packUnit: 'kg',
      price: '11',
      currency: 'EUR',
      validFrom: '2026-01-01',
      supplierCode: 'WC-10',
    });
  });
  return { rows, ...ids };
}

const reading = (table: readonly (readonly string[])[], more: Partial<ListReading> = {}): ListReading => ({
  ...guessColumns(table, '.'),
  supplier: 'Claypit',
  currency: 'EUR',
  validFrom: '2026-06-01',
  unitWords: {},
  linked: {},
  ...more,
});

const LIST = [
  ['Claypit Ltd, price list', '', '', '', ''],
  ['', '', '', '', ''],
  ['Art. no', 'Description', 'Pack', 'Price', 'Valid from'],
  ['WC-10', 'Clay, white, bag', '25 kg', '€ 33,00', '01.07.2026'],
  ['H-7', 'Wooden handle', '12 x 1 pcs', '9,60', '01.07.2026'],
  ['GL-1', 'Glaze, clear', '500 ml', '1.204,50', '01.07.2026'],
  ['', '', '', '', ''],
  ['Art. no', 'Description', 'Pack', 'Price', 'Valid from'],
  ['X-1', 'Odd thing', '1 firkin', '5,00', '01.07.2026'],
  ['X-2', 'No price', '1 kg', '', '01.07.2026'],
  ['X-3', '=1+1', '1 kg', '5,00', '01.07.2026'],
  ['X-4', 'No such day', '1 kg', '5,00', '31.02.2026'],
  ['GL-1', 'Glaze, clear', '500 ml', '1.204,50', '01.07.2026'],
];

describe('a price list', () => {
  it('without headings is told by its cells: three capital letters are a currency, four or a small one are not', () => {
    const fieldOf = (...cells: readonly string[]) =>
      guessColumns(
        cells.map((cell, row) => [`Clay number ${row} in bags`, cell, '3.50']),
        '.',
      ).mapping[1];
    expect(fieldOf('EUR', 'USD', 'EUR', 'GBP')).toBe('currency');
    for (const other of ['EURO', 'eur', 'Eur', 'EU', 'E']) expect(fieldOf(other, other, other)).not.toBe('currency');
  });

  it('is read by its headings, its decimal sign and its order of days, wherever it begins', () => {
    expect(guessColumns(LIST, '.')).toEqual({
      firstRow: 3,
      mapping: ['code', 'name', 'pack', 'price', 'validFrom'],
      decimalSign: ',',
      dayOrder: 'day first',
    });
    const bare = [
      ['Flour, strong', '25 kg', '18.20'],
      ['Salt', '1 kg', '0.85'],
    ];
    expect(guessColumns(bare, ',')).toMatchObject({
      firstRow: 0,
      mapping: ['name', 'pack', 'price'],
      decimalSign: '.',
    });
    expect(guessColumns([['Flour', '12/25/2026', '3.10']], '.').dayOrder).toBe('month first');
  });

  it('takes a column of codes for codes, whatever it is called, and the words beside it for the name', () => {
    const articles = [
      ['Article', 'Description', 'Price', 'Stock'],
      ['A-1001', 'White clay', '11.00', '4'],
      ['A-1002', 'Red clay', '12.00', '0'],
      ['A-1003', 'Black clay, grogged', '13.50', '12'],
    ];
    expect(guessColumns(articles, '.').mapping).toEqual(['code', 'name', 'price', null]);
    const products = [
      ['Product', 'Article', 'Price'],
      ['Clay', 'White clay, 10 kg bag', 'on request'],
      ['Clay', 'Red clay, 10 kg bag', 'on request'],
    ];
    expect(guessColumns(products, '.').mapping).toEqual([null, 'name', null]);
  });

  it('says by how much a price differs from the one in force, and where another one stays in force', () => {
    const { rows, clay } = shop();
    const other = newId();
    const made = applyChange(rows, {
      id: newId(),
      operations: [
        { action: 'create', kind: 'supplier', row: { id: other, name: 'Brickyard' } },
        {
          action: 'create',
          kind: 'supplierPrice',
          row: {
            id: newId(),
            materialId: clay,
            supplierId: other,
            packQuantity: '20',
            packUnit: 'kg',
            price: '20',
            currency: 'EUR',
            validFrom: '2026-07-01',
          },
        },
      ],
    });
    if (!made.ok) throw new RangeError(made.problems[0]?.sentence);
    rows.apply(made.writes);
    const read = (price: string, validFrom: string) =>
      readPriceList(
        [['White clay', '10 kg', price]],
        reading([['White clay', '10 kg', price]], { validFrom }),
        rows,
        isUnit,
      )[0];
    // Against 11.00 for 10 kg in June; against 20.00 for 20 kg from July on.
    expect(read('12.10', '2026-06-01')).toMatchObject({ changePercent: '10', isInForce: true });
    expect(read('12.10', '2026-08-01')).toMatchObject({ changePercent: '21', isInForce: true });
    expect(read('12.10', '2026-07-01')).toMatchObject({ changePercent: '21', isInForce: false });
    expect(read('9.00', '2026-07-01')).toMatchObject({ changePercent: '-10', isInForce: true });
  });

  it('says of each row what it will do, or why nothing', () => {
    const { rows, clay, handle } = shop();
    const read = readPriceList(LIST, reading(LIST), rows, isUnit);
    expect(read.map(({ line, outcome }) => [line, outcome])).toEqual([
      [4, 'new price'],
      [5, 'new price'],
      [6, 'new material'],
      [9, 'not understood'],
      [10, 'not understood'],
      [11, 'not understood'],
      [12, 'not understood'],
      [13, 'not understood'],
    ]);
    // 33.00 / 25 = 1.32 a kilo against 11.00 / 10 = 1.10: 20 % more.
    expect(read[0]).toMatchObject({ materialId: clay, price: '33.00', validFrom: '2026-07-01', changePercent: '20' });
    expect(read[1]).toMatchObject({ materialId: handle, packQuantity: '12', packUnit: 'each', changePercent: null });
    expect(read[2]).toMatchObject({ price: '1204.50', packQuantity: '500', packUnit: 'ml' });
    expect(read.slice(3).map(({ notes }) => notes.map(listNoteSentence).join('; '))).toEqual([
      '"firkin" is not a unit in this book yet',
      'it has no price',
      'its name looks like a formula: =1+1',
      '"31.02.2026" is not a day',
      'it is the same as line 6',
    ]);
  });

  it('takes only the currencies that a row may hold: the mark of old is none any more', () => {
    const list = [
      ['Description', 'Pack', 'Price'],
      ['Clay', '1 kg', '5.00 DEM'],
      ['Sand', '1 kg', '5.00 USD'],
    ];
    const read = readPriceList(list, reading(list), shop().rows, isUnit);
    expect(read.map(({ outcome, notes }) => [outcome, ...notes.map(({ code }) => code)])).toEqual([
      ['not understood', 'not-a-currency'],
      ['new material'],
    ]);
  });

  it('takes words for units and links that were given by hand', () => {
    const { rows, clay } = shop();
    const read = readPriceList(
      LIST,
      reading(LIST, { unitWords: { firkin: 'l' }, linked: { 6: clay, 4: null } }),
      rows,
      isUnit,
    );
    expect(read.find(({ line }) => line === 9)).toMatchObject({ outcome: 'new material', packUnit: 'l' });
    expect(read.find(({ line }) => line === 6)).toMatchObject({ outcome: 'new price', materialId: clay });
    expect(read.find(({ line }) => line === 6)?.notes).toEqual([
      { code: 'no-way-between-units', values: { from: 'ml', to: 'kg' } },
    ]);
    expect(read.find(({ line }) => line === 4)).toMatchObject({ outcome: 'new material' });
  });

  it('goes in as one change, and says the second time that nothing is new', () => {
    const { rows, clay } = shop();
    const read = readPriceList(LIST, reading(LIST), rows, isUnit);
    const operations = priceListOperations(read, rows, newId);
    expect(operations).toHaveLength(4);
    const applied = applyChange(rows, { id: newId(), operations });
    if (!applied.ok) throw new RangeError(applied.problems[0]?.sentence);
    rows.apply(applied.writes);
    expect(amount(evaluate(rowsByKind(rows), '2026-12-01'), `materialPrice/${clay}/perBaseUnit`)).toBe('1.32');
    const again = readPriceList(LIST, reading(LIST), rows, isUnit);
    expect(again.filter(({ outcome }) => outcome === 'same price')).toHaveLength(3);
    expect(priceListOperations(again, rows, newId)).toEqual([]);
  });

  it('never takes a row for something that the book would refuse, whatever stands in the cells', () => {
    const cell = fc.oneof(
      fc.string({ maxLength: 30 }),
      fc.constantFrom(
        '12.50',
        '1.234,56',
        '-3',
        '0',
        '1e9',
        '9999999999999',
        '2026-02-30',
        '5 kg',
        'kg',
        '€',
        '½',
        '\u0000',
      ),
    );
    fc.assert(
      fc.property(fc.array(fc.array(cell, { minLength: 3, maxLength: 6 }), { minLength: 1, maxLength: 8 }), (table) => {
        const { rows } = shop();
        const operations = priceListOperations(readPriceList(table, reading(table), rows, isUnit), rows, newId);
        expect(applyChange(rows, { id: newId(), operations })).toMatchObject({ ok: true });
      }),
      { numRuns: 200 },
    );
  });
});
