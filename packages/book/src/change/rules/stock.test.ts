import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { bookBuilder, rowsOfFile } from '../../demo/index.js';
import { newId } from '../../new-id.js';
import { applyChange, type Operation } from '../index.js';

type Fields = Readonly<Record<string, unknown>>;

/** Clay by the kilogram and soap by the piece, with an opening, a receipt and an issue of clay in the first days of October. */
function ledger() {
  const book = bookBuilder();
  book.add('settings', { name: 'Shop' });
  const [clay, soap] = [
    book.add('material', { name: 'Clay', baseUnit: 'kg' }),
    book.add('material', { name: 'Soap', baseUnit: 'each' }),
  ];
  const add = (type: string, date: string, quantity: string, cost: string | null) =>
    book.add('stockMovement', { materialId: clay, type, date, quantity, cost, unit: 'kg' });
  const opening = add('opening', '2026-10-01', '20', '40');
  const receipt = add('receipt', '2026-10-03', '10', '30');
  const issue = add('issue', '2026-10-05', '8', null);
  const shipmentId = book.add('shipment', { name: 'Lot', state: 'ordered', date: '2026-10-01', currency: 'EUR' });
  const line = { shipmentId, materialId: clay, quantity: '7', unit: 'kg', price: '3' };
  const lineId = book.add('shipmentLine', line);
  return { rows: rowsOfFile(book.file()), clay, soap, opening, receipt, issue, lineId };
}

type Ledger = ReturnType<typeof ledger>;

/** What is said of a movement of clay on 4 October that is entered: of which field, in which sentence. */
function saidOf(fields: (of: Ledger) => Fields): string[] {
  const of = ledger();
  const row = { materialId: of.clay, date: '2026-10-04', quantity: '1', unit: 'kg', ...fields(of), id: newId() };
  return said(of, [{ action: 'create', kind: 'stockMovement', row }], row.id);
}

function said({ rows }: Ledger, operations: Operation[], rowId: string): string[] {
  const applied = applyChange(rows, { id: newId(), operations });
  if (applied.ok) return [];
  return applied.problems.map((each) => {
    expect(each.rowId).toBe(rowId);
    return `${each.kind}.${each.field}: ${each.sentence}`;
  });
}

describe('a movement', () => {
  it.each<[string, (of: Ledger) => Fields, string[]]>([
    ['a receipt with its cost', () => ({ type: 'receipt', cost: '0' }), []],
    ['an opening with its cost', () => ({ type: 'opening', cost: '3' }), []],
    ['an issue', () => ({ type: 'issue' }), []],
    ['a write-off of nothing that was received', () => ({ type: 'write-off' }), []],
    ['a count of nothing', () => ({ type: 'count', quantity: '0' }), []],
    ['a return that belongs to no issue', () => ({ type: 'return from customer' }), []],
    [
      'another unit',
      () => ({ type: 'issue', unit: 'g' }),
      ['stockMovement.unit: The stock of Clay is kept in kg. Enter the movement in that unit.'],
    ],
    [
      'the unit of its own material',
      ({ soap }) => ({ type: 'issue', materialId: soap }),
      ['stockMovement.unit: The stock of Soap is kept in each. Enter the movement in that unit.'],
    ],
    [
      'no quantity',
      () => ({ type: 'issue', quantity: null }),
      ['stockMovement.quantity: This movement needs a quantity.'],
    ],
    [
      'an issue of nothing',
      () => ({ type: 'issue', quantity: '0' }),
      ['stockMovement.quantity: This movement needs a quantity.'],
    ],
    [
      'a count without a quantity',
      () => ({ type: 'count', quantity: null }),
      ['stockMovement.quantity: This movement needs a quantity.'],
    ],
    [
      'a late charge with a quantity',
      ({ receipt }) => ({ type: 'late charge', cost: '5', ofMovementId: receipt }),
      ['stockMovement.quantity: This movement needs no quantity, only a cost.'],
    ],
    [
      'a receipt without a cost',
      () => ({ type: 'receipt', cost: null }),
      ['stockMovement.cost: This movement needs what it cost.'],
    ],
    [
      'an opening without a cost',
      () => ({ type: 'opening', cost: null }),
      ['stockMovement.cost: This movement needs what it cost.'],
    ],
    [
      'a receipt that cost less than nothing',
      () => ({ type: 'receipt', cost: '-1' }),
      ['stockMovement.cost: This movement needs a cost of 0 or more.'],
    ],
    [
      'a credit on a receipt',
      ({ receipt }) => ({ type: 'late charge', quantity: null, cost: '-5', ofMovementId: receipt }),
      [],
    ],
    [
      'a late charge of nothing',
      () => ({ type: 'late charge', quantity: null, cost: '5' }),
      ['stockMovement.ofMovementId: This movement needs the receipt that it belongs to.'],
    ],
    [
      'a return to the supplier of nothing',
      () => ({ type: 'return to supplier' }),
      ['stockMovement.ofMovementId: This movement needs the receipt that it belongs to.'],
    ],
    ['a return of the opening', ({ opening }) => ({ type: 'return to supplier', ofMovementId: opening }), []],
    ['a write-off of a receipt', ({ receipt }) => ({ type: 'write-off', ofMovementId: receipt }), []],
    [
      'a return of an issue that came later',
      ({ issue }) => ({ type: 'return from customer', ofMovementId: issue }),
      [
        'stockMovement.ofMovementId: A movement belongs to an issue of the same material that is dated on or before it.',
      ],
    ],
    [
      'a return on the day of its issue',
      ({ issue }) => ({ type: 'return from customer', date: '2026-10-05', ofMovementId: issue }),
      [],
    ],
    [
      'a write-off of an issue',
      ({ issue }) => ({ type: 'write-off', date: '2026-10-06', ofMovementId: issue }),
      [
        'stockMovement.ofMovementId: A movement belongs to a receipt of the same material that is dated on or before it.',
      ],
    ],
    [
      'an issue of a receipt',
      ({ receipt }) => ({ type: 'issue', ofMovementId: receipt }),
      [
        'stockMovement.ofMovementId: A movement belongs to a receipt of the same material that is dated on or before it.',
      ],
    ],
    [
      'soap of a receipt of clay',
      ({ soap, receipt }) => ({ type: 'return to supplier', materialId: soap, unit: 'each', ofMovementId: receipt }),
      [
        'stockMovement.ofMovementId: A movement belongs to a receipt of the same material that is dated on or before it.',
      ],
    ],
    [
      'more back than was issued',
      ({ issue }) => ({ type: 'return from customer', date: '2026-10-06', quantity: '8.5', ofMovementId: issue }),
      ['stockMovement.quantity: Of 8 that were issued, 8.5 would come back. No more can.'],
    ],
    [
      'more back than was received',
      ({ receipt }) => ({ type: 'return to supplier', quantity: '11', ofMovementId: receipt }),
      ['stockMovement.quantity: Of 10 that were received, 11 would come back. No more can.'],
    ],
    [
      'a credit above its receipt',
      ({ receipt }) => ({ type: 'late charge', quantity: null, cost: '-30.01', ofMovementId: receipt }),
      ['stockMovement.cost: The credits on this receipt would be more than the 30 that it cost.'],
    ],
    [
      'a receipt of a line of its shipment',
      ({ lineId }) => ({ type: 'receipt', lineId, cost: '9', quantity: '3', ofLine: '3' }),
      [],
    ],
    [
      'soap of a line of clay',
      ({ soap, lineId }) => ({ type: 'receipt', materialId: soap, unit: 'each', lineId, cost: '9', ofLine: '1' }),
      ['stockMovement.lineId: Goods are received on a line of their own material.'],
    ],
    [
      'more than the line has',
      ({ lineId }) => ({ type: 'receipt', lineId, cost: '9', quantity: '8', ofLine: '8' }),
      [
        'stockMovement.ofLine: More of Clay would be received than the 7 kg that were ordered. Change the line first if more came.',
      ],
    ],
  ])('%s', (_what, fields, sentences) => {
    expect(saidOf(fields)).toEqual(sentences);
  });

  it('of goods on a line of another material is refused by a code of its own', () => {
    const of = ledger();
    const row = {
      id: newId(),
      materialId: of.soap,
      unit: 'each',
      lineId: of.lineId,
      date: '2026-10-04',
      type: 'receipt',
    };
    const fields = { ...row, quantity: '1', ofLine: '1', cost: '9' };
    const applied = applyChange(of.rows, {
      id: newId(),
      operations: [{ action: 'create', kind: 'stockMovement', row: fields }],
    });
    expect(applied.ok ? [] : applied.problems.map(({ code }) => code)).toEqual(['received-of-another-line']);
  });

  it('of a line are together no more than it, however they come', () => {
    const parts = fc.array(fc.integer({ min: 1, max: 5 }), { minLength: 1, maxLength: 4 });
    fc.assert(
      fc.property(parts, (quantities) => {
        const of = ledger();
        const common = {
          materialId: of.clay,
          lineId: of.lineId,
          unit: 'kg',
          date: '2026-10-04',
          type: 'receipt',
          cost: '1',
        };
        const operations = quantities.map((each): Operation => {
          const quantity = String(each);
          return {
            action: 'create',
            kind: 'stockMovement',
            row: { id: newId(), ...common, quantity, ofLine: quantity },
          };
        });
        const { ok } = applyChange(of.rows, { id: newId(), operations });
        expect(ok).toBe(quantities.reduce((so, each) => so + each, 0) <= 7);
      }),
    );
  });
});

describe('the base unit of a material', () => {
  const changed = (material: 'clay' | 'soap', before: string, after: string) => {
    const of = ledger();
    const id = of[material];
    return said(
      of,
      [{ action: 'update', kind: 'material', id, before: { baseUnit: before }, after: { baseUnit: after } }],
      id,
    );
  };

  it('stays while there are movements in it, and is free before there are any', () => {
    expect(changed('clay', 'kg', 'g')).toEqual([
      'material.baseUnit: The stock ledger of Clay is kept in kg, so its base unit stays.',
    ]);
    expect(changed('soap', 'each', 'kg')).toEqual([]);
  });

  it('of a line cannot fall below what was received of it', () => {
    const of = ledger();
    const row = {
      id: newId(),
      materialId: of.clay,
      lineId: of.lineId,
      unit: 'kg',
      date: '2026-10-04',
      type: 'receipt',
    };
    const received = {
      action: 'create',
      kind: 'stockMovement',
      row: { ...row, cost: '9', quantity: '5', ofLine: '5' },
    };
    const lessened = (quantity: string) => {
      const operations: Operation[] = [
        received as Operation,
        { action: 'update', kind: 'shipmentLine', id: of.lineId, before: { quantity: '7' }, after: { quantity } },
      ];
      const applied = applyChange(of.rows, { id: newId(), operations });
      return applied.ok ? [] : applied.problems.map(({ kind, field, code }) => `${kind}.${field} ${code}`);
    };
    expect(lessened('5')).toEqual([]);
    expect(lessened('4.9')).toEqual([
      'stockMovement.ofLine received-more-than-ordered',
      'shipmentLine.quantity received-more-than-ordered',
    ]);
  });
});
