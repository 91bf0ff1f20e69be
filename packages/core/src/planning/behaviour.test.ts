import { describe, expect, it } from 'vitest';
import { amount, evaluated, workshop } from '../testing/evaluated.js';
import { VIEWS } from '../views/index.js';

// The workshop: 100 units a month of a quarter of an hour at 20.00, materials 2.00, rent 500, price 20.00.
const of = (made: ReturnType<typeof workshop>, ...keys: string[]) => {
  const evaluation = evaluated(made.rows);
  return keys.map((key) =>
    Number(amount(evaluation, key.replace('point', made.point).replace('product', made.product))),
  );
};

const SALE = ['pricePoint/point/contribution', 'pricePoint/point/profit', 'fullCost/product/fullCost'];

describe('costs by their behaviour', () => {
  it('pay that changes with each unit comes off the contribution', () => {
    expect(of(workshop(), ...SALE, 'fixedCosts/book/total')).toEqual([13, 8, 12, 500]);
  });

  it('committed pay stays on the card, and leaves contribution, floor and break-even to what changes', () => {
    const committed = workshop({ labourGrade: { behaviour: 'committed', paidHoursPerMonth: '40' } });
    // 40 paid hours at 20.00; contribution is 20.00 less 2.00 of materials, profit as before.
    expect(of(committed, ...SALE, 'fixedCosts/book/total')).toEqual([18, 8, 12, 1300]);
    expect(of(committed, 'priceLimits/point/contributionFloor', 'priceLimits/point/profitFloor')).toEqual([2, 12]);
    expect(of(committed, 'breakEvenOfBook/point/exactUnits')[0]).toBeCloseTo(1300 / 18, 10);
    expect(VIEWS.behaviour(evaluated(committed.rows), 'book').grades[0]).toMatchObject({
      perMonth: { amount: '800' },
      used: { amount: '500' },
      unused: { amount: '300' },
    });
  });

  it.each([
    ['10', '600'],
    ['25', '500'],
    ['30', '600'],
  ])('pay in steps of %s paid hours is %s: as many steps as the plan needs', (paidHoursPerMonth, wanted) => {
    const stepped = workshop({ labourGrade: { behaviour: 'stepped', paidHoursPerMonth } });
    expect(of(stepped, 'fixedCosts/book/committed')).toEqual([Number(wanted)]);
  });

  it('a variable running cost comes off each sale, and is no fixed cost', () => {
    const rows = workshop({ runningCost: { behaviour: 'variable', driver: 'units', amount: '1.5' } });
    expect(of(rows, ...SALE, 'fixedCosts/book/total')).toEqual([11.5, 11.5, 8.5, 0]);
  });

  it('wear over years is committed, and its unused hours are idle', () => {
    const { rows, product, point } = workshop({
      more: (book, { product: productId }) => {
        const equipmentId = book.add('equipment', {
          name: 'Lathe',
          purchasePrice: '12000',
          lifeYears: '5',
          hoursPerYear: '600',
          upkeepPerHour: '1',
        });
        book.add('equipmentUse', { productId, equipmentId, basis: 'minutes per good unit', amount: '6' });
      },
    });
    const evaluation = evaluated(rows);
    // 12,000 over 3,000 h is 4.00 an hour, 0.40 a unit; upkeep of 0.10 a unit changes with it. 200 a month, 50 h of which 10.
    expect(Number(amount(evaluation, `product/${product}/equipment`))).toBeCloseTo(0.5, 12);
    expect(Number(amount(evaluation, `pricePoint/${point}/contribution`))).toBeCloseTo(12.9, 12);
    expect(VIEWS.behaviour(evaluation, 'book').machines[0]).toMatchObject({
      perMonth: { amount: '200' },
      idleHours: { amount: '40' },
    });
  });
});
