import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { amount, evaluated, workshop } from '../testing/evaluated.js';

describe('the sales value of a product', () => {
  const offer = fc.record({
    price: fc.integer({ min: 1, max: 200 }),
    discount: fc.integer({ min: 0, max: 90 }),
    tax: fc.integer({ min: 0, max: 27 }),
    inside: fc.boolean(),
    size: fc.integer({ min: 1, max: 20 }),
    from: fc.integer({ min: 2, max: 20 }),
    reduced: fc.integer({ min: 1, max: 200 }),
    dated: fc.oneof(fc.constant(null), fc.integer({ min: 1, max: 200 })),
  });

  // The price room is below selling, so that overhead can go by it: both have to come to the same price before tax.
  it('is the price before tax that a sale of it works out, whatever the price is made of', () => {
    fc.assert(
      fc.property(offer, ({ price, discount, tax, inside, size, from, reduced, dated }) => {
        const made = workshop({
          settings: { salesTaxPercent: String(tax) },
          channel: { unitsPerOrder: String(size) },
          pricePoint: { price: String(price), discountPercent: String(discount), taxInside: inside },
          more(book, { point }) {
            book.add('quantityBreak', { pricePointId: point, fromQuantity: String(from), price: String(reduced) });
            if (dated !== null)
              book.add('datedPrice', { pricePointId: point, startsOn: '2026-02-01', price: String(dated) });
          },
        });
        const evaluation = evaluated(made.rows);
        expect(amount(evaluation, `salesValue/${made.product}/perUnit`)).toBe(
          amount(evaluation, `setPrice/${made.point}/beforeTax`),
        );
      }),
      { numRuns: 60 },
    );
  });

  it('is the mean of its channels by planned units, and lacks a price where it has none', () => {
    const made = workshop({
      plannedVolume: { unitsPerMonth: '0' },
      more(book, { product, channel }) {
        const fair = book.add('channel', { name: 'Fair' });
        book.add('pricePoint', { productId: product, channelId: fair, price: '35', taxInside: false });
        book.add('plannedVolume', { productId: product, channelId: channel, unitsPerMonth: '20' });
        book.add('plannedVolume', { productId: product, channelId: fair, unitsPerMonth: '10' });
      },
    });
    // 20 at 20.00 and 10 at 35.00.
    expect(amount(evaluated(made.rows), `salesValue/${made.product}/perUnit`)).toBe('25');
    const none = workshop({ pricePoint: { price: null } });
    expect(amount(evaluated(none.rows), `salesValue/${none.product}/perUnit`)).toBe('no-selling-price');
  });
});
