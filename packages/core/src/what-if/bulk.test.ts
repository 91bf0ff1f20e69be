import { describe, expect, it } from 'vitest';
import { demoRows } from '../testing/evaluated.js';
import { BULK_TARGETS, type BulkChange, bulkOverrides } from './index.js';

const rows = demoRows();
const changed = (change: Partial<BulkChange>) =>
  bulkOverrides(rows, { target: 'material prices', within: '', way: 'percent', by: '8', ...change });
const idOf = (kind: 'supplier' | 'channel' | 'product' | 'costPool' | 'labourGrade', name: string) =>
  rows.rowsWith(kind, 'name', name)[0]?.id ?? '';

describe('a change of many', () => {
  it.each(BULK_TARGETS)(
    '%s: touches every number of its kind that is not empty, and by percent none that is zero',
    (target) => {
      const all = changed({ target, way: 'amount', by: '1' });
      expect(all.length).toBeGreaterThan(0);
      for (const { kind, id, field } of all) {
        const row = rows.row(kind, id) as unknown as Record<string, unknown>;
        expect(row[field]).toEqual(expect.any(String));
      }
      const byPercent = changed({ target });
      const isZero = ({ kind, id, field }: (typeof all)[number]) =>
        Number((rows.row(kind, id) as unknown as Record<string, unknown>)[field]) === 0;
      expect(byPercent.map(({ id, field }) => `${id}.${field}`)).toEqual(
        all.filter((each) => !isZero(each)).map(({ id, field }) => `${id}.${field}`),
      );
    },
  );

  it('multiplies by percent, adds an amount or points, and does nothing by zero', () => {
    const [byPercent] = changed({ by: '8' });
    const [less] = changed({ by: '-2.5' });
    const [byAmount] = changed({ way: 'amount', by: '-0.5' });
    const [points] = changed({ target: 'fees in percent', way: 'points', by: '2' });
    expect(
      [byPercent, less, byAmount, points].map((each) => each && `${each.how} ${'by' in each ? each.by : ''}`),
    ).toEqual(['scale 1.08', 'scale 0.975', 'add -0.5', 'add 2']);
    expect(changed({ by: '0' })).toEqual([]);
  });

  it('is narrowed to what a row, or what it belongs to, is of', () => {
    const suppliers = changed({ within: `supplier/${idOf('supplier', 'Tolvane Minerals')}` });
    expect(
      suppliers.every(({ id }) => rows.row('supplierPrice', id)?.supplierId === idOf('supplier', 'Tolvane Minerals')),
    ).toBe(true);
    const channel = idOf('channel', 'Weekend market');
    const volumes = changed({ target: 'planned volumes', within: `channel/${channel}` });
    expect(volumes.length).toBe(rows.rowsWith('plannedVolume', 'channelId', channel).length);
    const mug = idOf('product', 'Everyday mug');
    const prices = changed({ target: 'selling prices', within: `product/${mug}` });
    const kinds = new Set(prices.map(({ kind }) => kind));
    // Coming prices and prices by quantity of the mug go with its prices.
    expect([...kinds].sort()).toEqual(['datedPrice', 'pricePoint', 'quantityBreak']);
    const store = idOf('channel', 'Marketplace store');
    const fees = changed({ target: 'fees in percent', within: `channel/${store}`, way: 'points', by: '1' });
    expect(fees.every(({ kind, id }) => kind !== 'feeRule' || rows.row('feeRule', id)?.channelId === store)).toBe(true);
    const pool = idOf('costPool', 'Premises');
    const costs = changed({ target: 'running costs', within: `pool/${pool}` });
    expect(costs.some(({ kind }) => kind === 'costIncrease')).toBe(true);
    expect(
      changed({ target: 'wages', within: `grade/${idOf('labourGrade', 'Maker')}` }).map(({ field }) => field),
    ).toEqual(['wagePerHour']);
    expect(changed({ target: 'exchange rate', within: 'currency/JPY' })).toEqual([]);
  });

  it('leaves out what is archived', () => {
    const copy = demoRows();
    const [material] = copy.all('material');
    const before = bulkOverrides(copy, { target: 'material prices', within: '', way: 'percent', by: '8' });
    copy.put('material', material?.id ?? '', { ...material, archived: true } as never);
    const after = bulkOverrides(copy, { target: 'material prices', within: '', way: 'percent', by: '8' });
    const own = copy.rowsWith('supplierPrice', 'materialId', material?.id ?? '').length;
    expect(before.length - after.length).toBeGreaterThanOrEqual(own);
  });
});
