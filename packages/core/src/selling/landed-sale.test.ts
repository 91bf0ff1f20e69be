import { describe, expect, it } from 'vitest';
import { amount, evaluated, rowsOf } from '../testing/evaluated.js';

describe('a sale with a material at its landed cost', () => {
  /** A bag of 500 g of a tea that is planned at 4.00 a kilo, sold at 6.00, and of which 100 kg come in a shipment. */
  const sold = (member: string, unit = 'g') => {
    const ids: Record<string, string> = {};
    const rows = rowsOf((book) => {
      book.add('settings', { name: 'Tea room', currency: 'EUR' });
      ids.tea = book.add('material', { name: 'Tea', baseUnit: 'kg' });
      const pack = { packQuantity: '10', packUnit: 'kg', price: '40', currency: 'EUR', validFrom: '2026-01-01' };
      book.add('supplierPrice', { materialId: ids.tea, ...pack });
      ids.bag = book.add('product', { name: 'Bag of tea', kind: 'resale' });
      book.add('billLine', { productId: ids.bag, materialId: ids.tea, quantity: '500', unit });
      const channelId = book.add('channel', { name: 'Shop' });
      ids.point = book.add('pricePoint', { productId: ids.bag, channelId, price: '6', taxInside: false });
      const shipmentId = book.add('shipment', { name: 'Tea', currency: 'EUR', date: '2026-05-01' });
      ids.line = book.add('shipmentLine', {
        shipmentId,
        materialId: ids.tea,
        quantity: '100',
        unit: 'kg',
        price: '4.50',
      });
      book.add('shipmentCharge', { shipmentId, currency: 'EUR', type: 'freight', amount: '150' });
    });
    return amount(evaluated(rows), `landedSale/${ids.line ?? ''}@${ids.point ?? ''}/${member}`);
  };

  it('costs what the landed cost adds to the plan, and leaves so much less', () => {
    // Landed 6.00 a kilo against 4.00 planned: half a kilo makes 1.00 a bag.
    expect(sold('fullCost')).toBe('3');
    expect(sold('profit')).toBe('3');
    expect(sold('margin')).toBe('50');
    expect(sold('markup')).toBe('100');
    expect(sold('units')).toBe('200');
    expect(sold('profitInAll')).toBe('600');
  });

  it('is not known while the bill is not', () => {
    expect(sold('profit', 'each')).toBe('no-conversion');
  });
});
