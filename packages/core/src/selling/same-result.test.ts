import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { amount, evaluated, workshop, type WorkshopFields } from '../testing/evaluated.js';

// The workshop: 100 units a month at 20.00, of which materials take 2.00 and labour 5.00; contribution 13.00.
const after = (change: string, fields: WorkshopFields = {}) => {
  const { rows, point } = workshop(fields);
  const evaluation = evaluated(rows);
  const of = (member: string) => amount(evaluation, `sameResult/${point}@${change}/${member}`);
  return {
    contribution: of('contribution'),
    exact: Number(of('exactUnits')),
    units: of('units'),
    change: of('change'),
  };
};

describe('units that earn the same after a change', () => {
  it('is price, cost or fixed costs, each by itself and together', () => {
    // 10 % off leaves 11.00: 1,300 / 11.
    expect(after('-10@0@0')).toMatchObject({ contribution: '11', units: '119' });
    expect(Number(after('-10@0@0').change)).toBeCloseTo(18.1818181818, 8);
    // A unit dearer by 0.50: 1,300 / 12.50 = 104; 130 more of fixed costs: 1,430 / 13 = 110.
    expect(after('0@0.5@0')).toMatchObject({ contribution: '12.5', units: '104', change: '4' });
    expect(after('0@0@130')).toMatchObject({ contribution: '13', units: '110', change: '10' });
    expect(after('10@-1@-100')).toMatchObject({ contribution: '16', units: '75', change: '-25' });
  });

  it('follows the rule of thumb -dP / (c + dP) where no fee follows the price', () => {
    // Common practice; 5 % off 20.00 with a contribution of 13.00: 1 / 12.
    expect(Number(after('-5@0@0').change)).toBeCloseTo(100 / 12, 8);
  });

  it('needs none where less fixed costs make up for all, and has no answer where a sale leaves nothing', () => {
    expect(after('0@0@-1300')).toMatchObject({ units: '0', change: '-100' });
    expect(after('0@0@-2000')).toMatchObject({ units: '0', change: '-100' });
    expect(after('-65@0@0').units).toBe('discount-eats-all');
    expect(after('0@13@0').units).toBe('discount-eats-all');
    expect(after('-5@0@0', { plannedVolume: { unitsPerMonth: null } }).units).not.toMatch(/^\d/);
  });

  it('earns the same again, whatever the fees', () => {
    const percent = fc.integer({ min: -30, max: 30 });
    const cents = fc.integer({ min: -150, max: 150 }).map((each) => each / 100);
    const fees = fc.constantFrom(
      [],
      [{ name: 'Commission', takenOf: 'price paid', percent: '12' }],
      [{ name: 'Commission', takenOf: 'price paid', percent: '15', minimum: '1', maximum: '2.80' }],
      [{ name: 'Card', takenOf: 'price paid', percent: '1.4', amount: '0.25' }],
    );
    const discount = fc.constantFrom('0', '10');
    fc.assert(
      fc.property(
        percent,
        cents,
        fc.integer({ min: -400, max: 400 }),
        fees,
        discount,
        (price, cost, fixed, taken, discountPercent) => {
          const fields: WorkshopFields = { fees: taken, pricePoint: { discountPercent } };
          const today = after('0@0@0', fields);
          const then = after(`${price}@${cost}@${fixed}`, fields);
          // The new price typed into the book in place of a change that is tried.
          const typed = after('0@0@0', {
            fees: taken,
            pricePoint: { discountPercent, price: String((20 * (100 + price)) / 100) },
          });
          expect(Number(then.contribution)).toBeCloseTo(Number(typed.contribution) - cost, 8);
          const earned = then.exact * Number(then.contribution) - fixed;
          if (then.exact > 0) expect(earned).toBeCloseTo(100 * Number(today.contribution), 6);
          else expect(earned).toBeGreaterThanOrEqual(100 * Number(today.contribution) - 1e-9);
        },
      ),
      { numRuns: 60 },
    );
  });
});

describe('markup on other bases than full cost', () => {
  it('is the price before tax above each of them', () => {
    const { rows, point, product } = workshop({
      pricePoint: { discountPercent: '10' },
      settings: { salesTaxPercent: '0' },
    });
    const evaluation = evaluated(rows);
    const of = (member: string) => Number(amount(evaluation, `markupBases/${point}/${member}`));
    // 18.00 after the discount: materials 2.00, variable cost 7.00, production cost with 5.00 of rent 12.00.
    expect(amount(evaluation, `overheadOnCard/${product}/productionCost`)).toBe('12');
    expect([of('onMaterials'), of('onVariableCost'), of('onProductionCost')]).toEqual(
      [800, 1100 / 7, 50].map((each) => expect.closeTo(each, 8)),
    );
  });

  // Common practice: the table of margins and markups (25 % markup = 20 % margin, 50 % = 33.3 %, 100 % = 50 %).
  it.each([
    ['12.5', 25],
    ['15', 50],
    ['20', 100],
  ])('at %s over 10.00 of materials is %s %', (price, markup) => {
    const { rows, point } = workshop({
      supplierPrice: { price: '200' },
      labourGrade: { wagePerHour: '0' },
      pricePoint: { price },
    });
    expect(Number(amount(evaluated(rows), `markupBases/${point}/onMaterials`))).toBeCloseTo(markup, 8);
  });

  it('says nothing over a basis of zero', () => {
    const { rows, point } = workshop({ supplierPrice: { price: '0' } });
    expect(amount(evaluated(rows), `markupBases/${point}/onMaterials`)).not.toMatch(/^\d/);
  });
});

describe('the weight that is charged', () => {
  const PACKED = { packedLength: '40', packedWidth: '30', packedHeight: '20', packedWeight: '3.2' };
  const charged = (volumeDivisor: string | null, product: Record<string, string | null> = PACKED) => {
    let table = '';
    const made = workshop({
      product,
      more: (book) => {
        table = book.add('carrierTable', { name: 'Parcel service', volumeDivisor });
      },
    });
    const evaluation = evaluated(made.rows);
    const of = (member: string) => amount(evaluation, `chargedParcel/${made.product}@carrierTable.${table}/${member}`);
    return [of('byVolume'), of('charged')];
  };

  // Common practice: 6,000 cm³ a kg by air, 5,000 for couriers. 24,000 cm³ are 4 kg and 4.8 kg.
  it('is the larger of weight and volume weight', () => {
    expect(charged('6000')).toEqual(['4', '4']);
    expect(charged('5000')).toEqual(['4.8', '4.8']);
    expect(charged('5000', { ...PACKED, packedWeight: '6' })).toEqual(['4.8', '6']);
    expect(charged(null)).toEqual(['no such figure', '3.2']);
  });

  it('asks for a side only where the volume counts', () => {
    expect(charged('5000', { ...PACKED, packedHeight: null })[0]).toBe('no-packed-measure');
    expect(charged(null, { ...PACKED, packedHeight: null })[1]).toBe('3.2');
  });
});
