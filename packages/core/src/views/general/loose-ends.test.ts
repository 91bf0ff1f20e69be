import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { DAY, demoRows, evaluated, rowsOf, workshop, type WorkshopFields } from '../../testing/evaluated.js';
import { GAPS } from '../../evaluate/index.js';
import { LOOSE_END_TITLES } from '../../words/loose-end-titles.js';
import { VIEWS } from '../views.js';

type Fields = WorkshopFields;
const codes = (fields: Fields, asOf = DAY) =>
  VIEWS.looseEnds(evaluated(workshop(fields).rows, asOf), 'book').map(({ code }) => code);

const PACKED = { packedLength: '10', packedWidth: '10', packedHeight: '10', packedWeight: '1' };

describe('loose ends', () => {
  it('there are none where every figure is whole and every price carries its cost', () => {
    expect(codes({})).toEqual([]);
  });

  it.each<[what: string, fields: Fields, expected: string]>([
    ['a material without a price', { supplierPrice: { price: null } }, 'no-price'],
    ['a quantity that is missing', { billLine: { quantity: null } }, 'no-quantity'],
    ['units with no way between them', { billLine: { unit: 'm' } }, 'no-conversion'],
    ['a wage that is missing', { labourGrade: { wagePerHour: null } }, 'no-wage'],
    ['a running cost without an amount', { runningCost: { amount: null } }, 'no-running-amount'],
    ['a price below what the unit costs by itself', { pricePoint: { price: '6' } }, 'below-contribution-floor'],
    ['a price that does not carry the running costs', { pricePoint: { price: '11' } }, 'below-profit-floor'],
    ['no price set', { pricePoint: { price: null } }, 'no-selling-price'],
    [
      'an ending that the currency lacks',
      { settings: { currency: 'JPY' }, pricePoint: { ending: '.99' } },
      'ending-not-in-currency',
    ],
    [
      'a plan for more hours than a normal month has',
      { settings: { normalLabourHoursPerMonth: '20' } },
      'plan-above-normal-hours',
    ],
    ['no plan', { plannedVolume: { unitsPerMonth: null } }, 'no-planned-units'],
    [
      'running costs that are not shared out',
      { settings: { normalLabourHoursPerMonth: '40' } },
      'overhead-not-shared-out',
    ],
    [
      'a product without labour',
      { labourStep: { time: '0' }, settings: { normalLabourHoursPerMonth: '40' } },
      'no-hours-in-it',
    ],
    ['fees that take the whole price', { fees: [{ percent: '60' }, { percent: '40' }] }, 'fees-take-all'],
    ['a fee without a percentage', { fees: [{}] }, 'no-fee-yet'],
    ['a size in which nothing fits', { fees: [{ takenOf: 'size' }], product: PACKED }, 'no-size'],
    ['a weight that nobody has stated', { fees: [{ takenOf: 'weight', amount: '1' }] }, 'no-packed-measure'],
    [
      'orders of which a part goes nowhere',
      {
        product: PACKED,
        more(book, { channel }) {
          const tableId = book.add('carrierTable', { name: 'Post' });
          book.add('carrierRate', { tableId, upToKilograms: '5', amount: '4' });
          book.add('postageShare', { channelId: channel, tableId, percent: '80' });
        },
      },
      'postage-not-whole',
    ],
    [
      'planned units of no channel, where there are two',
      {
        more(book, { product }) {
          const channelId = book.add('channel', { name: 'Market' });
          book.add('pricePoint', { productId: product, channelId, price: '18' });
        },
      },
      'planned-nowhere',
    ],
    [
      'a sales tax of a business that is not registered',
      { pricePoint: { taxPercent: '20' } },
      'tax-without-registration',
    ],
    ['a wage that may be counted twice', { runningCost: { name: 'Wages' } }, 'counted-twice'],
  ])('name %s', (_what, fields, expected) => {
    expect(codes(fields)).toContain(expected);
  });

  it('of every code that asks for something have a title, under which many of them stand as one', () => {
    const asking = Object.values(GAPS).filter(({ stated }) => !stated);
    expect(asking.filter(({ code }) => LOOSE_END_TITLES[code] === undefined)).toEqual([]);
    const source = ['./loose-ends-view.ts', '../overhead/overhead-ends.ts', '../selling/channel-ends.ts']
      .map((file) => readFileSync(new URL(file, import.meta.url), 'utf8'))
      .join('');
    const own = [...source.matchAll(/\badd\(\s*'([a-z-]+)'/g)].map(([, code = '']) => code);
    expect(own.length).toBeGreaterThan(8);
    expect(own.filter((code) => LOOSE_END_TITLES[code] === undefined)).toEqual([]);
  });

  it('say nothing of a price or a plan that a component lacks', () => {
    const rows = rowsOf((book) => {
      book.add('settings', { name: 'Components', openDaysPerMonth: '20' });
      book.add('runningCost', { name: 'Rent', amount: '10' });
      const glaze = book.add('product', { name: 'Glaze', costing: 'typed totals' });
      const mug = book.add('product', { name: 'Mug' });
      book.add('billLine', { productId: mug, componentId: glaze, quantity: '1', unit: 'each' });
    });
    const ends = VIEWS.looseEnds(evaluated(rows), 'book').filter(({ code }) =>
      /^no-(selling-price|planned-units)$/.test(code),
    );
    expect(ends.map(({ sentence }) => sentence)).toEqual([
      expect.stringContaining('Mug') as string,
      expect.stringContaining('Mug') as string,
    ]);
  });

  it('name quantities of a batch that were stated per unit: 300 g of stuff in each 20 g', () => {
    const product = { outputUnit: 'g', batchSize: '20' };
    const labourStep = { timeBasis: 'minutes per batch' };
    expect(codes({ product, labourStep, billLine: { quantity: '300', unit: 'g' } })).toContain('far-more-goes-in');
    expect(codes({ product, labourStep, billLine: { quantity: '25', unit: 'g', basis: 'batch' } })).not.toContain(
      'far-more-goes-in',
    );
  });

  it('name a price that is older than a year, and running costs that nobody has entered', () => {
    expect(codes({}, '2027-01-02')).toEqual(['price-over-a-year-old']);
    const bare = rowsOf((book) => {
      book.add('settings', { name: 'Bare' });
    });
    expect(VIEWS.looseEnds(evaluated(bare), 'book').map(({ code }) => code)).toEqual(['no-running-costs']);
  });

  it('stand in the order of how many products they touch, each with a place that is in the book', () => {
    const rows = demoRows();
    const ends = VIEWS.looseEnds(evaluated(rows), 'book');
    const touched = ends.map(({ affects }) => affects.length);
    expect([...touched].sort((one, other) => other - one)).toEqual(touched);
    for (const { place, code } of ends) {
      const { kind, id } = place ?? { kind: 'settings', id: '' };
      expect(rows.row(kind, id) ?? rows.row('product', id), code).toBeDefined();
    }
  });
});
