import { applyChange, newId, rowsByKind, type Kind, type StoredRow } from '@nuvar/book';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { evaluate } from '../evaluate/index.js';
import type { Evaluation } from '../sheet/index.js';
import { DAY, demoRows, evaluated, rowsOf } from '../testing/evaluated.js';
import { everyFigure } from '../testing/every-figure.js';
import { VIEWS } from './views.js';

const opensWhatIsShown = (evaluation: Evaluation) => {
  const all = everyFigure(evaluation);
  for (const { key, amount } of all)
    expect([key, VIEWS.working(evaluation, key)?.amount ?? null]).toEqual([key, amount]);
  return all.length;
};

describe('the key of a figure', () => {
  it('opens the amount that is shown, in every view, after random changes, in the book and in a fork', () => {
    const change = fc.record({
      kind: fc.constantFrom<Kind>('supplierPrice', 'billLine', 'pricePoint', 'product', 'runningCost', 'shipmentLine'),
      row: fc.nat(),
      to: fc.integer({ min: 1, max: 90 }),
    });
    fc.assert(
      fc.property(fc.array(change, { maxLength: 4 }), (changes) => {
        const rows = demoRows();
        const evaluation = evaluate(rowsByKind(rows), DAY);
        opensWhatIsShown(evaluation);
        for (const { kind, row, to } of changes) {
          const chosen = rows.all(kind)[row % rows.count(kind)] as StoredRow;
          const field = {
            supplierPrice: 'price',
            billLine: 'quantity',
            pricePoint: 'price',
            product: 'batchSize',
            runningCost: 'amount',
            shipmentLine: 'quantity',
          }[kind as 'product'];
          const before = { [field]: (chosen as unknown as Record<string, unknown>)[field] };
          const operations = [
            { action: 'update' as const, kind, id: chosen.id, before, after: { [field]: String(to) } },
          ];
          const applied = applyChange(rows, { id: newId(), operations });
          if (!applied.ok) continue;
          rows.apply(applied.writes);
          evaluation.apply(applied.writes);
        }
        expect(opensWhatIsShown(evaluation)).toBeGreaterThan(500);
        const point = rows.all('pricePoint')[0] as StoredRow<'pricePoint'>;
        opensWhatIsShown(
          evaluation.fork([{ kind: 'pricePoint', id: point.id, field: 'price', how: 'scale', by: '1.2' }]),
        );
      }),
      { numRuns: 4 },
    );
  }, 300_000);

  it('stays with the planning price when a newer price comes', () => {
    let material = '';
    const pack = { packQuantity: '1', packUnit: 'kg', currency: 'EUR' };
    const rows = rowsOf((book) => {
      book.add('settings', { name: 'Example' });
      material = book.add('material', { name: 'Clay', baseUnit: 'kg' });
      book.add('supplierPrice', { materialId: material, price: '1.056', validFrom: '2026-01-01', ...pack });
    });
    const evaluation = evaluated(rows);
    const { key } = VIEWS.material(evaluation, material).perBaseUnit;
    expect(key).toBe(`materialPrice/${material}/perBaseUnit`);
    const row = { materialId: material, price: '2.112', validFrom: '2026-06-01', ...pack };
    const applied = applyChange(rows, {
      id: newId(),
      operations: [{ action: 'create', kind: 'supplierPrice', row: { id: newId(), ...row } }],
    });
    if (!applied.ok) throw new RangeError('The change is right.');
    evaluation.apply(applied.writes);
    expect(VIEWS.working(evaluation, key)?.amount).toBe('2.112');
    expect(VIEWS.material(evaluation, material).perBaseUnit).toMatchObject({ key, amount: '2.112' });
  });
});

describe('a working', () => {
  it('says how a figure is made, in pieces: a largest is no sum, and many parts stand below', () => {
    const prices = (count: number, basis: string) => {
      let material = '';
      const rows = rowsOf((book) => {
        book.add('settings', { name: 'Example' });
        material = book.add('material', { name: 'Clay', baseUnit: 'kg', planningBasis: basis });
        for (let month = 1; month <= count; month += 1)
          book.add('supplierPrice', {
            materialId: material,
            packQuantity: '1',
            packUnit: 'kg',
            price: String(month),
            currency: 'EUR',
            validFrom: `2026-${String(month).padStart(2, '0')}-01`,
          });
      });
      return VIEWS.working(evaluated(rows), `materialPrice/${material}/perBaseUnit`)?.formula;
    };
    expect(prices(3, 'highest')).toEqual(['the largest of ', 0, ', ', 1, ', ', 2]);
    expect(prices(9, 'highest')).toEqual(['the largest of the 9 below']);
    expect(prices(3, 'latest')).toEqual([0]);
  });

  it('of an inner part has no sentence of what it is inside', () => {
    const rows = demoRows();
    const evaluation = evaluated(rows);
    const point = rows.all('pricePoint')[0]?.id ?? '';
    const fees = VIEWS.working(evaluation, `setPrice/${point}/fees`);
    expect(fees?.meaning).toBe('The channel fees on one unit sold.');
    const percentage = fees?.parts.find(({ name }) => name === 'Card payment');
    expect(VIEWS.working(evaluation, percentage?.reference ?? '')?.meaning).toBe('');
  });

  it('of what is tried says both values', () => {
    const rows = demoRows();
    const point = rows.all('pricePoint')[0]?.id ?? '';
    const opened = (how: 'set' | 'add' | 'scale') => {
      const at = { kind: 'pricePoint', id: point, field: 'price' } as const;
      const fork = evaluated(rows).fork([how === 'set' ? { ...at, how, value: '25' } : { ...at, how, by: '2' }]);
      return VIEWS.working(fork, `setPrice/${point}/price`);
    };
    expect([opened('set')?.amount, opened('set')?.formula]).toEqual(['25', [1, ' in place of ', 0]]);
    expect([opened('add')?.amount, opened('add')?.formula]).toEqual(['21.5', [0, ' + ', 1]]);
    expect([opened('scale')?.amount, opened('scale')?.formula]).toEqual(['39', [0, ' × ', 1]]);
  });
});
