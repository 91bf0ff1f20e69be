import { type BookRows, rowsByKind, type StoredRow } from '@nuvar/book';
import type { BookBuilder } from '@nuvar/book/demo';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { evaluate } from '../../evaluate/index.js';
import { amount, DAY, evaluated, rowsOf } from '../../testing/evaluated.js';
import { landedPricesView } from '../../views/purchasing/landed-prices-view.js';
import { shipmentPostingView } from '../../views/purchasing/shipment-posting-view.js';

type Fields = Readonly<Record<string, unknown>>;
type Rows = Record<string, StoredRow[]>;

interface Imported {
  readonly rows: BookRows;
  readonly shipment: string;
  readonly lines: readonly string[];
}

/** An importer whose shipment has all that moves: a rule, the rates of the book, a customs profile, conversions by weight. */
function importer(
  shipment: Fields,
  lines: readonly Fields[],
  more: (book: BookBuilder, ids: { shipmentId: string; materials: readonly string[] }) => void = () => {},
): Imported {
  let shipmentId = '';
  let lineIds: string[] = [];
  const rows = rowsOf((book) => {
    book.add('settings', { name: 'Importer', currency: 'EUR', salesTaxPercent: '20' });
    const customsProfileId = book.add('customsProfile', {
      name: 'Customs',
      importTaxPercent: '20',
      entryFeePercent: '1',
    });
    shipmentId = book.add('shipment', {
      name: 'Shipment',
      date: '2026-05-01',
      currency: 'EUR',
      customsProfileId,
      ...shipment,
    });
    const materials = lines.map(({ material }, position) =>
      book.add('material', { name: `Material ${position}`, baseUnit: 'each', ...(material as Fields) }),
    );
    lineIds = lines.map(({ material: _material, ...fields }, position) =>
      book.add('shipmentLine', {
        shipmentId,
        position,
        materialId: materials[position],
        unit: 'each',
        quantity: '10',
        price: '10',
        dutyPercent: '5',
        ...fields,
      }),
    );
    more(book, { shipmentId, materials });
  });
  return { rows, shipment: shipmentId, lines: lineIds };
}

/** The rows of a book with what posting a shipment writes. */
function posted({ rows, shipment }: Imported): Rows {
  const { missing, posting } = shipmentPostingView(evaluated(rows), shipment);
  expect(missing).toEqual([]);
  const byKind = structuredClone(rowsByKind(rows)) as unknown as Rows;
  for (const { kind, id, fields } of posting.rows)
    Object.assign(byKind[kind]?.find((row) => row.id === id) ?? {}, fields);
  for (const [index, chosen] of posting.chargedLines.entries())
    byKind.chargedLine?.push({ version: 1, id: `0192f000-0000-7000-8000-0000000ff${index}00`, ...chosen } as StoredRow);
  return byKind;
}

const landedOf = (rows: Rows, lines: readonly string[]) => {
  const evaluation = evaluate(rows as never, DAY);
  return lines.map((line) => amount(evaluation, `landedLine/${line}/perUnit`));
};

describe('what was posted of a shipment', () => {
  const rule = { name: 'Port', type: 'port', currency: 'EUR', amount: '30' };
  const withAll = () =>
    importer({ currency: 'USD' }, [{}, { price: '30' }], (book, { shipmentId, materials }) => {
      book.add('exchangeRate', { currency: 'USD', validFrom: '2026-01-01', rate: '0.9' });
      const ruleId = book.add('chargeRule', { ...rule, materialId: materials[1] });
      book.add('shipmentCharge', { shipmentId, type: 'port', currency: 'EUR', ruleId });
      book.add('shipmentCharge', {
        shipmentId,
        position: 1,
        type: 'freight',
        currency: 'USD',
        amount: '50',
        basis: 'weight',
        taxPercent: '20',
      });
      for (const [index, materialId] of materials.entries())
        book.add('itemConversion', {
          materialId,
          quantity: '1',
          unit: 'each',
          equalQuantity: String(index + 1),
          equalUnit: 'kg',
        });
    });

  // Each change reached the landed cost of goods that had come in months before.
  it.each<[what: string, change: (rows: Rows) => void]>([
    ['a registration that ends before', (rows) => rows.taxRegistration?.push(entry('2026-04-01'))],
    ['a rule that rises', (rows) => Object.assign(rows.chargeRule?.[0] ?? {}, { amount: '90' })],
    ['a newer rule', (rows) => rows.chargeRule?.push({ ...rows.chargeRule[0], id: NEW, name: 'New' } as StoredRow)],
    ['import tax that becomes a cost', (rows) => Object.assign(rows.customsProfile?.[0] ?? {}, { importTax: 'cost' })],
    ['another entry fee', (rows) => Object.assign(rows.customsProfile?.[0] ?? {}, { entryFeePercent: '9' })],
    ['a rate of before', (rows) => rows.exchangeRate?.push(rate('2026-04-01'))],
    ['another weight of a piece', (rows) => Object.assign(rows.itemConversion?.[0] ?? {}, { equalQuantity: '7' })],
  ])('does not follow %s, and moves again once it is opened', (_what, change) => {
    const example = withAll();
    const before = landedOf(rowsByKind(example.rows) as unknown as Rows, example.lines);
    const rows = posted(example);
    expect(landedOf(rows, example.lines)).toEqual(before);
    change(rows);
    expect(landedOf(rows, example.lines)).toEqual(before);
    const open = structuredClone(rowsByKind(example.rows)) as unknown as Rows;
    change(open);
    expect(landedOf(open, example.lines)).not.toEqual(before);
  });

  it('is refused while its landed cost lacks something, in words', () => {
    const { rows, shipment } = importer({ deliveryTerm: 'CIP' }, [{}]);
    const { missing, posting } = shipmentPostingView(evaluated(rows), shipment);
    expect(missing).toContain('no customs clearance yet for Shipment; enter 0 where there is none');
    expect(posting.rows).toEqual([]);
  });

  it('still takes in what is billed later, at the shares of then', () => {
    const example = withAll();
    const rows = posted(example);
    const freight = rows.shipmentCharge?.find((row) => (row as { type?: string }).type === 'freight');
    Object.assign(freight ?? {}, { billed: '150' });
    // 100 more at 0.9, shared by 10 kg to 20 kg and borne by ten pieces each: 3.00 and 6.00.
    const [before, after] = [landedOf(posted(example), example.lines), landedOf(rows, example.lines)];
    expect(after.map((each, index) => Number(each) - Number(before[index]))).toEqual([
      expect.closeTo(3, 9),
      expect.closeTo(6, 9),
    ]);
  });
});

const NEW = '0192f000-0000-7000-8000-0000000fff00';
const entry = (validFrom: string) =>
  ({ id: NEW, version: 1, validFrom, registered: false, recoveredPercent: '100' }) as StoredRow;
const rate = (validFrom: string) => ({ id: NEW, version: 1, currency: 'USD', validFrom, rate: '1.4' }) as StoredRow;

describe('a charge that a rule gave', () => {
  const charged = (charge: Fields, newer: Fields | null, shipment: Fields = {}, rule: Fields = {}) => {
    const example = importer({ customsProfileId: null, ...shipment }, [{}, {}], (book, { shipmentId }) => {
      const ruleId = book.add('chargeRule', { name: 'Port', type: 'port', currency: 'EUR', amount: '390', ...rule });
      if (newer !== null)
        book.add('chargeRule', { name: 'Newer', type: 'port', currency: 'EUR', amount: '1', ...newer });
      book.add('shipmentCharge', { shipmentId, type: 'port', currency: 'EUR', ruleId, ...charge });
    });
    const evaluation = evaluated(example.rows);
    const landed = evaluation.figure(`landedShipment/${example.shipment}/landed`);
    return {
      ...example,
      evaluation,
      landed,
      unit: example.lines.map((id) => amount(evaluation, `landedLine/${id}/perUnit`)),
    };
  };

  it('never vanishes once it is billed: a newer rule and another origin leave it where it was', () => {
    expect(charged({ billed: '390' }, null).landed?.amount?.toFixed()).toBe('590');
    expect(charged({ billed: '390' }, {}).landed?.amount?.toFixed()).toBe('590');
    const elsewhere = charged({ billed: '390' }, null, { origin: 'Oldport' }, { origin: 'Newport' });
    expect(elsewhere.landed?.amount?.toFixed()).toBe('590');
    expect(elsewhere.landed?.gaps).toEqual([]);
  });

  it('is a gap of the landed cost and of every line while it is estimated and no line bears it', () => {
    const lost = charged({}, {});
    expect(lost.landed?.gaps.map(({ code }) => code)).toEqual(['rule-fits-no-more']);
    for (const id of lost.lines)
      expect(lost.evaluation.figure(`landedLine/${id}/perUnit`)?.gaps.map(({ code }) => code)).toEqual([
        'rule-fits-no-more',
      ]);
  });

  it('is shared alike whether it is estimated, typed or billed', () => {
    const ofFirst = (charge: Fields) => {
      const example = importer({ customsProfileId: null }, [{}, {}], (book, { shipmentId, materials }) => {
        const ruleId = book.add('chargeRule', {
          name: 'Port',
          type: 'port',
          currency: 'EUR',
          amount: '50',
          materialId: materials[0],
        });
        book.add('shipmentCharge', { shipmentId, type: 'port', currency: 'EUR', ruleId, ...charge });
      });
      return landedOf(rowsByKind(example.rows) as unknown as Rows, example.lines);
    };
    expect([{}, { amount: '50' }, { billed: '50' }].map(ofFirst)).toEqual(Array(3).fill(['15', '10']));
  });
});

describe('import tax', () => {
  const landed = (recoveredPercent: string | null, profile: Fields = {}) => {
    let shipment = '';
    const rows = rowsOf((book) => {
      book.add('settings', { name: 'Importer', salesTaxPercent: '0' });
      if (recoveredPercent !== null) book.add('taxRegistration', { validFrom: '2026-01-01', recoveredPercent });
      const customsProfileId = book.add('customsProfile', { name: 'Customs', importTaxPercent: '20', ...profile });
      shipment = book.add('shipment', { name: 'Goods', date: '2026-05-01', currency: 'EUR', customsProfileId });
      const materialId = book.add('material', { name: 'Lamp', baseUnit: 'each' });
      book.add('shipmentLine', {
        shipmentId: shipment,
        materialId,
        unit: 'each',
        quantity: '1',
        price: '1000',
        dutyPercent: '5',
      });
    });
    const evaluation = evaluated(rows);
    return ['landed', 'importTax', 'recovered'].map((member) =>
      amount(evaluation, `landedShipment/${shipment}/${member}`),
    );
  };

  it('is recovered as other tax is, but where the customs profile says otherwise', () => {
    expect(landed(null)).toEqual(['1260', '210', '0']);
    expect(landed('100')).toEqual(['1050', '210', '210']);
    expect(landed('75')).toEqual(['1102.5', '210', '157.5']);
    expect(landed('75', { importTax: 'cost' })).toEqual(['1260', '210', '0']);
    expect(landed(null, { importTax: 'recovered' })).toEqual(['1050', '210', '210']);
  });
});

describe('the prices that a shipment gives', () => {
  it('put the lines of one material together, free goods included', () => {
    let shipmentId = '';
    let materialId = '';
    const rows = rowsOf((book) => {
      book.add('settings', { name: 'Buyer' });
      shipmentId = book.add('shipment', { name: 'Goods', date: '2026-05-01', currency: 'EUR' });
      materialId = book.add('material', { name: 'Soap', baseUnit: 'each' });
      for (const [quantity, price] of [
        ['480', '2.34'],
        ['40', '0'],
      ] as const)
        book.add('shipmentLine', { shipmentId, materialId, unit: 'each', quantity, price });
      book.add('shipmentCharge', { shipmentId, type: 'freight', currency: 'EUR', amount: '78' });
    });
    const { prices } = landedPricesView(evaluated(rows), shipmentId);
    expect(prices).toEqual([
      {
        materialId,
        packQuantity: '520',
        packUnit: 'each',
        price: '1123.2',
        currency: 'EUR',
        taxPercent: null,
        addOn: '0.15',
      },
    ]);
  });

  it('make a material cost per unit what its lines cost at the door, at the rate of the shipment, whatever is in it', () => {
    const line = fc.record({
      quantity: fc.integer({ min: 1, max: 400 }).map(String),
      price: fc.integer({ min: 0, max: 5000 }).map((cents) => String(cents / 100)),
      isFirst: fc.boolean(),
    });
    fc.assert(
      fc.property(
        fc.array(line, { minLength: 1, maxLength: 5 }),
        fc.integer({ min: 0, max: 90000 }),
        fc.boolean(),
        (lines, cents, isOwnRate) => {
          fc.pre(lines.some(({ price }) => price !== '0'));
          let shipmentId = '';
          const materials: string[] = [];
          const build = (prices: readonly Fields[] = []) =>
            rowsOf((book) => {
              materials.length = 0;
              book.add('settings', { name: 'Buyer' });
              book.add('exchangeRate', { currency: 'USD', validFrom: '2026-01-01', rate: '0.9' });
              shipmentId = book.add('shipment', {
                name: 'Goods',
                date: '2026-05-01',
                currency: 'USD',
                rate: isOwnRate ? '0.87' : null,
              });
              for (const name of ['Soap', 'Dish']) {
                const addOn = prices.find(({ name: of }) => of === name)?.addOn ?? null;
                const basis = { landedAddOn: addOn === '0' ? null : addOn, landedAddOnBasis: 'amount per base unit' };
                materials.push(book.add('material', { name, baseUnit: 'each', ...basis }));
              }
              for (const [position, { isFirst, ...of }] of lines.entries())
                book.add('shipmentLine', {
                  shipmentId,
                  position,
                  materialId: materials[isFirst ? 0 : 1],
                  unit: 'each',
                  ...of,
                });
              book.add('shipmentCharge', { shipmentId, currency: 'EUR', amount: String(cents / 100) });
              for (const { addOn: _addOn, name: _name, ...price } of prices)
                book.add('supplierPrice', { ...price, validFrom: '2026-05-01' });
            });
          const first = evaluated(build());
          const { prices, missing } = landedPricesView(first, shipmentId);
          expect(missing).toEqual([]);
          const named = prices.map((price) => ({
            ...price,
            name: price.materialId === materials[0] ? 'Soap' : 'Dish',
          }));
          const planned = evaluated(build(named));
          for (const { materialId, packQuantity } of prices) {
            const landed = first.sheet
              .rowsOf('shipmentLine', 'shipmentId', shipmentId)
              .filter((each) => each.materialId === materialId)
              .reduce((sum, each) => sum + Number(amount(first, `landedLine/${each.id}/landed`)), 0);
            const perUnit = Number(amount(planned, `materialPrice/${materialId}/perBaseUnit`));
            expect(perUnit).toBeCloseTo(landed / Number(packQuantity), 8);
          }
        },
      ),
      { numRuns: 40 },
    );
  });
});

describe('the lines that a charge by a rule is borne by', () => {
  const lines = [
    { material: { category: 'clay' }, quantity: '10' },
    { material: { category: 'cane' }, quantity: '20' },
    { material: { category: 'cane' }, quantity: '30' },
  ];
  const chosen = (category: string, more: (book: BookBuilder, chargeId: string) => void = () => {}) => {
    let chargeId = '';
    const made = importer({ state: 'ordered' }, lines, (book, { shipmentId }) => {
      const ruleId = book.add('chargeRule', { name: 'Port', type: 'port', currency: 'EUR', amount: '30', category });
      chargeId = book.add('shipmentCharge', { shipmentId, position: 0, type: 'port', currency: 'EUR', ruleId });
      book.add('shipmentCharge', { shipmentId, position: 1, type: 'freight', currency: 'EUR', amount: '9' });
      more(book, chargeId);
    });
    const { posting } = shipmentPostingView(evaluated(made.rows), made.shipment);
    return { chargeId, made, chargedLines: posting.chargedLines };
  };

  it('are kept where the rule is of some of them, and not where it is of all', () => {
    const { chargeId, made, chargedLines } = chosen('cane');
    expect(chargedLines).toEqual(made.lines.slice(1).map((lineId) => ({ chargeId, lineId })));
    expect(chosen('').chargedLines).toEqual([]);
  });

  it('stay as they were chosen by hand', () => {
    const lineOf = (book: BookBuilder) => String(book.file().rows.shipmentLine?.[0]?.id);
    const byHand = chosen('cane', (book, chargeId) => book.add('chargedLine', { chargeId, lineId: lineOf(book) }));
    expect(byHand.chargedLines).toEqual([]);
  });
});
