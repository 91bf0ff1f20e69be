import { describe, expect, it } from 'vitest';
import { amount, evaluated, workshop, type WorkshopFields } from '../../testing/evaluated.js';

const PRICES_WITH_TAX = { name: 'Workshop', openDaysPerMonth: '20', salesTaxPercent: '25', pricesIncludeTax: true };

/** The fees and what is left when a price of 20.00 is tried in the channel of the workshop. */
function tried(fields: WorkshopFields, of = ''): readonly [fees: string, left: string] {
  const { rows, channel, product } = workshop(fields);
  const evaluation = evaluated(rows);
  const key = `channelTake/${channel}@20${of === '' ? '' : `@${product}`}`;
  return [amount(evaluation, `${key}/fees`), amount(evaluation, `${key}/left`)];
}

// Each by hand, at a price tried of 20.00.
describe('a price that is tried in a channel', () => {
  const fees = [{ takenOf: 'price paid', percent: '10' }];

  it.each<[string, WorkshopFields, readonly [string, string]]>([
    ['takes the sales tax out of a price with it', { settings: PRICES_WITH_TAX, fees }, ['2', '14']],
    [
      'adds it where prices are written before tax',
      { settings: { ...PRICES_WITH_TAX, pricesIncludeTax: false }, fees },
      ['2.5', '17.5'],
    ],
    [
      'has none where the business is not registered',
      { settings: PRICES_WITH_TAX, taxRegistration: { registered: false, validFrom: '2026-01-01' }, fees },
      ['2', '18'],
    ],
    [
      'leaves out the fees of a category',
      { settings: PRICES_WITH_TAX, fees: [...fees, { takenOf: 'unit', amount: '1', category: 'ware' }] },
      ['2', '14'],
    ],
  ])('%s', (_what, fields, expected) => {
    expect(tried(fields)).toEqual(expected);
  });

  it('is taxed by the category of the product that is tried, and pays the fees of it', () => {
    const more: WorkshopFields['more'] = (book) => book.add('salesTaxRate', { name: 'Ware', percent: '0' });
    const ware: WorkshopFields = {
      settings: PRICES_WITH_TAX,
      product: { name: 'Thing', category: 'ware' },
      more,
      fees: [...fees, { takenOf: 'unit', amount: '1', category: 'ware' }],
    };
    expect(tried(ware, 'product')).toEqual(['3', '17']);
  });
});
