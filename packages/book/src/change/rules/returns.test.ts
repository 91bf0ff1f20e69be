import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { bookBuilder, rowsOfFile } from '../../demo/index.js';
import { newId } from '../../new-id.js';
import { applyChange, type Operation } from '../index.js';

/** Ten received for 50, and eight issued. */
function stocked() {
  const book = bookBuilder();
  book.add('settings', { name: 'Shop' });
  const materialId = book.add('material', { name: 'Soap', baseUnit: 'each' });
  const add = (type: string, quantity: string, cost: string | null) =>
    book.add('stockMovement', { materialId, date: '2026-10-01', type, quantity, cost, unit: 'each' });
  const [receipt, issue] = [add('receipt', '10', '50'), add('issue', '8', null)];
  return { rows: rowsOfFile(book.file()), materialId, receipt, issue };
}

const moved = (materialId: string, type: string, ofMovementId: string, fields: object): Operation => ({
  action: 'create',
  kind: 'stockMovement',
  row: { id: newId(), materialId, date: '2026-10-02', type, ofMovementId, unit: 'each', ...fields },
});

const codesOf = (make: (stock: ReturnType<typeof stocked>) => Operation[]): string[] => {
  const stock = stocked();
  const applied = applyChange(stock.rows, { id: newId(), operations: make(stock) });
  return applied.ok ? [] : applied.problems.map(({ code }) => code);
};

describe('what comes back', () => {
  it('of an issue is no more than went out, and of a receipt no more than came in', () => {
    const fromCustomer = (...quantities: string[]) =>
      codesOf(({ materialId, issue }) =>
        quantities.map((quantity) => moved(materialId, 'return from customer', issue, { quantity })),
      );
    expect([fromCustomer('8'), fromCustomer('5', '3')]).toEqual([[], []]);
    expect(fromCustomer('8.5')).toEqual(['more-back-than-there-was']);
    expect(fromCustomer('5', '3.1')).toContain('more-back-than-there-was');
    const toSupplier = (...quantities: string[]) =>
      codesOf(({ materialId, receipt }) =>
        quantities.map((quantity, index) =>
          moved(materialId, index === 0 ? 'return to supplier' : 'write-off', receipt, { quantity }),
        ),
      );
    expect([toSupplier('10'), toSupplier('6', '4')]).toEqual([[], []]);
    expect(toSupplier('6', '5')).toContain('more-back-than-there-was');
  });

  it('keeps its issue or receipt from being made smaller than it', () => {
    const codes = codesOf(({ materialId, issue }) => [
      moved(materialId, 'return from customer', issue, { quantity: '5' }),
      { action: 'update', kind: 'stockMovement', id: issue, before: { quantity: '8' }, after: { quantity: '4' } },
    ]);
    expect(codes).toContain('more-back-than-there-was');
  });

  it('as a credit is no more than the receipt cost, with its other charges', () => {
    const charged = (...costs: string[]) =>
      codesOf(({ materialId, receipt }) => costs.map((cost) => moved(materialId, 'late charge', receipt, { cost })));
    expect([charged('-50'), charged('10', '-60')]).toEqual([[], []]);
    expect(charged('-50.01')).toEqual(['credit-above-receipt']);
    expect(charged('10', '-60.01')).toContain('credit-above-receipt');
  });

  it('is refused exactly where the sum of it is above what there was', () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 1, max: 60 }), { minLength: 1, maxLength: 4 }), (tenths) => {
        const codes = codesOf(({ materialId, issue }) =>
          tenths.map((tenth) => moved(materialId, 'return from customer', issue, { quantity: String(tenth / 10) })),
        );
        expect(codes.length > 0).toBe(tenths.reduce((sum, tenth) => sum + tenth, 0) > 80);
      }),
    );
  });
});
