import type { BookBuilder } from '@nuvar/book/demo';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { amount, evaluated, workshop } from '../testing/evaluated.js';

interface Step {
  readonly upTo: string | null;
  readonly amount: string;
}

/** A thing at 20 with a contribution, and a rent that goes in steps of units a month. */
function stepped(
  contribution: number,
  steps: readonly Step[],
  driver = 'units',
  more: readonly (readonly Step[])[] = [],
) {
  const { rows } = workshop({
    supplierPrice: { price: String((20 - contribution) * 20) },
    labourGrade: { wagePerHour: '0' },
    runningCost: { amount: '0' },
    more: (book, { product, channel }) => {
      for (const [index, each] of [steps, ...more].entries()) {
        const runningCostId = book.add('runningCost', {
          name: `Rent ${index}`,
          amount: null,
          behaviour: 'stepped',
          driver,
        });
        for (const step of each) book.add('costStep', { runningCostId, ...step });
      }
      book.add('candidatePrice', { productId: product, channelId: channel, price: '20' });
    },
  });
  const evaluation = evaluated(rows);
  const id = rows.all('candidatePrice')[0]?.id ?? '';
  const at = (index: number, member: string) => amount(evaluation, `breakEvenOfStep/${id}@${index}/${member}`);
  return {
    units: amount(evaluation, `breakEvenOfBook/${id}/units`),
    fixedCost: amount(evaluation, `breakEvenOfBook/${id}/fixedCost`),
    steps: steps.map((_step, index) => [at(index, 'units'), at(index, 'beyond')]),
    at,
  };
}

describe('a break-even in steps of fixed cost', () => {
  // Rent 2,000 up to 150 units and 6,000 above, contribution 10: not 200 but 600; unit 151 brings a loss of 4,490.
  it('counts only inside its own step, and says what lies just beyond each', () => {
    const rent = stepped(10, [
      { upTo: '150', amount: '2000' },
      { upTo: null, amount: '6000' },
    ]);
    expect([rent.units, rent.fixedCost]).toEqual(['600', '6000']);
    expect(rent.steps).toEqual([
      ['step-without-break-even', '-4490'],
      ['600', 'no such figure'],
    ]);
  });

  // 3,000 up to 400 units, then 4,500: at 300, a loss of 490 at 401, and again at 450.
  it('is found in every step that holds one', () => {
    const two = stepped(10, [
      { upTo: '400', amount: '3000' },
      { upTo: null, amount: '4500' },
    ]);
    expect(two.units).toBe('300');
    expect(two.steps).toEqual([
      ['300', '-490'],
      ['450', 'no such figure'],
    ]);
  });

  it('goes by the driver of the step: a quarter of an hour in each unit', () => {
    const byHours = stepped(
      10,
      [
        { upTo: '37.5', amount: '2000' },
        { upTo: null, amount: '6000' },
      ],
      'labour hours',
    );
    expect(byHours.units).toBe('600');
    expect(byHours.at(0, 'upTo')).toBe('150');
  });

  it('is none in words where each sale leaves nothing, or every step asks for more than it lets one earn', () => {
    const steps = [{ upTo: '100', amount: '5000' }];
    expect(stepped(0, steps).units).toBe('never-breaks-even');
    expect(stepped(10, steps).units).toBe('no-break-even-in-steps');
  });

  it('is, by a search over whole units, the first at which what is earned covers what they cost', () => {
    const limit = fc.integer({ min: 5, max: 60 });
    const steps = fc
      .tuple(
        fc.uniqueArray(limit, { minLength: 1, maxLength: 3 }),
        fc.array(fc.integer({ min: 0, max: 900 }), { minLength: 4, maxLength: 4 }),
      )
      .map(([limits, amounts]) => [
        ...[...limits]
          .sort((one, other) => one - other)
          .map((upTo, index) => ({ upTo: String(upTo), amount: String(amounts[index]) })),
        { upTo: null, amount: String(amounts[3]) },
      ]);
    fc.assert(
      fc.property(steps, steps, fc.integer({ min: 1, max: 19 }), (one, other, contribution) => {
        const found = stepped(contribution, one, 'units', [other]);
        const costOf = (of: readonly Step[], units: number) =>
          Number(of.find(({ upTo }) => upTo === null || units <= Number(upTo))?.amount);
        const result = (units: number) => units * contribution - costOf(one, units) - costOf(other, units);
        // A whole number breaks even where it is the first of its step to cover its cost, and the step began below it.
        const limits = [...one, ...other].flatMap(({ upTo }) => (upTo === null ? [] : [Number(upTo)]));
        const firsts = Array.from({ length: 2500 }, (_none, index) => index + 1).filter(
          (units) => result(units) >= 0 && result(units) < contribution && !limits.includes(units - 1),
        );
        // Where the very first unit of a step breaks even exactly, the step holds it as well.
        const exact = limits
          .map((each) => each + 1)
          .filter((units) => result(units) >= 0 && result(units) < contribution);
        const all = [...new Set([...firsts, ...exact])].sort((a, b) => a - b);
        if (result(0) >= 0 && costOf(one, 0) + costOf(other, 0) === 0) return;
        expect(found.units).toBe(all.length === 0 ? 'no-break-even-in-steps' : String(all[0]));
      }),
      { numRuns: 60 },
    );
  });
});

describe('a break-even in cash', () => {
  const inCash = (
    rent: object,
    settings: Record<string, string> = {},
    more: (book: BookBuilder) => void = () => undefined,
  ) => {
    const { rows, point } = workshop({
      settings,
      labourGrade: { wagePerHour: '0' },
      supplierPrice: { price: '200' },
      runningCost: { amount: '500', ...rent },
      more: (book) => {
        book.add('runningCost', { name: 'Depreciation of the van', amount: '120', paidInCash: false });
        more(book);
      },
    });
    const evaluation = evaluated(rows);
    const of = (key: string) => amount(evaluation, `${key}/${point}/exactUnits`);
    const fixed = amount(evaluation, `breakEvenOfCash/${point}/fixedCost`);
    return { all: of('breakEvenOfBook'), cash: of('breakEvenOfCash'), fixed };
  };

  it('leaves out what is not paid and adds what is paid back', () => {
    // 20.00 less 10.00 of material leaves 10.00: 620 / 10 in all; 500 and 80 of a loan are cash.
    expect(inCash({})).toEqual({ all: '62', cash: '50', fixed: '500' });
    expect(inCash({}, { repaymentsPerMonth: '80' })).toEqual({ all: '62', cash: '58', fixed: '580' });
    expect(inCash({ paidInCash: false })).toEqual({ all: '62', cash: '0', fixed: '0' });
  });

  it('leaves out wear over years, and no wear by the hour', () => {
    const machine = (fields: object) => (book: BookBuilder) =>
      void book.add('equipment', { name: 'Press', purchasePrice: '3600', ...fields });
    const byYears = machine({ lifeYears: '5', hoursPerYear: '600', upkeepPerYear: '240' });
    // 60 of wear and 20 of upkeep a month beside 620.
    expect(inCash({}, {}, byYears)).toEqual({ all: '70', cash: '52', fixed: '520' });
    expect(inCash({}, {}, machine({ lifeHours: '3000' }))).toEqual({ all: '62', cash: '50', fixed: '500' });
  });

  it('counts the steps of what is paid, and none of what is not', () => {
    const steps = (paidInCash: boolean) => (book: BookBuilder) => {
      const runningCostId = book.add('runningCost', {
        name: 'Store',
        amount: null,
        behaviour: 'stepped',
        driver: 'units',
        paidInCash,
      });
      book.add('costStep', { runningCostId, upTo: '60', amount: '200' });
      book.add('costStep', { runningCostId, upTo: null, amount: '400' });
    };
    // In all 620 + 200 = 82 units is beyond the step, 620 + 400 = 102. In cash 500 + 200 = 70 is beyond it, 90.
    expect(inCash({}, {}, steps(true))).toEqual({ all: '102', cash: '90', fixed: '900' });
    expect(inCash({}, {}, steps(false))).toEqual({ all: '102', cash: '50', fixed: '500' });
  });
});
