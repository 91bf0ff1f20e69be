import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { amount, evaluated, workshop, type WorkshopFields } from '../testing/evaluated.js';
import { VIEWS } from '../views/index.js';

const gradeIn = (fields: NonNullable<WorkshopFields['labourGrade']>) => {
  const { rows } = workshop({ labourGrade: fields });
  const evaluation = evaluated(rows);
  const id = evaluation.sheet.all('labourGrade')[0]?.id ?? '';
  return { rate: (member: string) => amount(evaluation, `labourRate/${id}/${member}`), evaluation, id };
};

describe('a labour grade from the pay and the hours of a year', () => {
  // Common practice: 37.5 h in 52 weeks, 28 days of holiday and 5 of sickness at 7.5 h. Worked out by hand.
  const YEAR = {
    wagePerHour: null,
    payPerYear: '26000',
    paidHoursPerYear: '1950',
    holidayHoursPerYear: '210',
    absenceHoursPerYear: '37.5',
    onCostPercent: '22',
    productivePercent: '85',
  };

  it('spreads pay and on-costs over the hours in which something is made', () => {
    const { rate } = gradeIn(YEAR);
    expect(rate('hoursAtWork')).toBe('1702.5');
    expect(Number(rate('wage'))).toBeCloseTo(13.333333333, 9);
    expect(Number(rate('productiveShare'))).toBeCloseTo((1447.125 / 1950) * 100, 9);
    expect(Number(rate('perHour'))).toBeCloseTo(31720 / 1447.125, 10);
  });

  it('takes holidays and absences off the time of those who are paid by the hour too', () => {
    const { rate } = gradeIn({ ...YEAR, wagePerHour: '10', onCostPercent: '0' });
    expect(rate('wage')).toBe('10');
    expect(Number(rate('perHour'))).toBeCloseTo(19500 / 1447.125, 10);
  });

  it('says nothing of a year where none is entered', () => {
    const { evaluation, id } = gradeIn({ wagePerHour: '20', productivePercent: '80' });
    expect(VIEWS.labourYear(evaluation, id)).toEqual({ wage: null, hoursAtWork: null, productiveShare: null });
  });

  it('asks for the paid hours, for a wage, and for hours at work', () => {
    expect(gradeIn({ ...YEAR, paidHoursPerYear: null }).rate('perHour')).toBe('no-paid-hours');
    expect(gradeIn({ ...YEAR, payPerYear: null }).rate('perHour')).toBe('no-wage');
    expect(gradeIn({ ...YEAR, absenceHoursPerYear: '1740' }).rate('perHour')).toBe('no-hours-at-work');
  });

  it('costs a year of productive hours what the year costs', () => {
    const hours = fc.integer({ min: 0, max: 900 });
    const percent = fc.integer({ min: 1, max: 100 });
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 90000 }), hours, hours, percent, (pay, holidays, absences, productive) => {
        const { rate } = gradeIn({
          ...YEAR,
          payPerYear: String(pay),
          paidHoursPerYear: '1801',
          holidayHoursPerYear: String(holidays),
          absenceHoursPerYear: String(absences),
          productivePercent: String(productive),
        });
        const made = ((1801 - holidays - absences) * productive) / 100;
        expect(Number(rate('perHour')) * made).toBeCloseTo(pay * 1.22, 6);
        expect((Number(rate('perPaidHour')) * 1801).toFixed(6)).toBe((pay * 1.22).toFixed(6));
      }),
      { numRuns: 60 },
    );
  });

  it('carries the share into steps of committed pay: 40 paid hours of which 35 are at work', () => {
    const { rows } = workshop({
      labourGrade: {
        wagePerHour: '20',
        behaviour: 'stepped',
        paidHoursPerMonth: '20',
        paidHoursPerYear: '2000',
        holidayHoursPerYear: '250',
      },
    });
    // The plan needs 25 h; a step of 20 paid hours holds 17.5 productive ones: two steps of 400.00.
    expect(amount(evaluated(rows), 'fixedCosts/book/committed')).toBe('800');
  });
});

const machineIn = (fields: object, settings: Record<string, string> = { floorCostPerYear: '90' }) => {
  const made = workshop({
    settings,
    more: (book, { product: productId }) => {
      const equipmentId = book.add('equipment', { name: 'Press', ...fields });
      book.add('equipmentUse', { productId, equipmentId, basis: 'minutes per good unit', amount: '6' });
    },
  });
  const evaluation = evaluated(made.rows);
  const id = evaluation.sheet.all('equipment')[0]?.id ?? '';
  return { ...made, evaluation, rate: (member: string) => amount(evaluation, `equipment/${id}/${member}`), id };
};

describe('equipment from the upkeep, hours and floor space of a year', () => {
  const YEAR = { hoursPerYear: '600', upkeepPerYear: '900', floorSpace: '8', upkeepPerHour: '0.25' };

  it('spreads them over its hours, and they come whatever is made', () => {
    const { evaluation, rate, product, point, id } = machineIn(YEAR);
    // 900 / 600 h and 8 m² x 90 / 600 h, beside 0.25 that changes with the hour: 2.95; six minutes of it are 0.295.
    expect(rate('perHour')).toBe('2.95');
    expect(rate('committedPerHour')).toBe('2.7');
    expect(rate('changingPerHour')).toBe('0.25');
    expect(amount(evaluation, `product/${product}/equipment`)).toBe('0.295');
    expect(amount(evaluation, `committedCost/${product}/perUnit`)).toBe('0.27');
    // 20.00 less materials 2.00, labour 5.00 and the 0.025 that changes.
    expect(amount(evaluation, `pricePoint/${point}/contribution`)).toBe('12.975');
    expect(amount(evaluation, 'fixedCosts/book/committed')).toBe('135');
    expect(VIEWS.behaviour(evaluation, 'book').machines).toMatchObject([
      { name: 'Press', perMonth: { amount: '135' }, idleHours: { amount: '40' } },
    ]);
    expect(VIEWS.equipmentYear(evaluation, id)).toMatchObject({
      upkeep: { amount: '1.5' },
      floor: { amount: '1.2' },
      committed: { amount: '2.7' },
    });
  });

  it('goes beside wear by the hour, which changes with use, and wear over years, which does not', () => {
    const worn = { ...YEAR, purchasePrice: '6000' };
    const byHours = machineIn({ ...worn, lifeHours: '3000' });
    expect([byHours.rate('committedPerHour'), byHours.rate('changingPerHour')]).toEqual(['2.7', '2.25']);
    const byYears = machineIn({ ...worn, lifeYears: '5' });
    expect([byYears.rate('committedPerHour'), byYears.rate('changingPerHour')]).toEqual(['4.7', '0.25']);
    expect(amount(byYears.evaluation, 'fixedCosts/book/committed')).toBe('235');
  });

  it('asks for the hours of a year and for the cost of the floor', () => {
    expect(machineIn({ ...YEAR, hoursPerYear: null }).rate('yearlyUpkeepPerHour')).toBe('no-hours-a-year');
    expect(machineIn(YEAR, {}).rate('floorPerHour')).toBe('no-floor-cost');
    expect(machineIn(YEAR, {}).evaluation.figure('fixedCosts/book/total')?.gaps).not.toEqual([]);
  });

  it('is committed and changing together, whatever is entered', () => {
    const entered = fc.option(fc.integer({ min: 0, max: 5000 }).map(String), { nil: null });
    const life = fc.constantFrom(
      {},
      { purchasePrice: '1200', lifeHours: '800' },
      { purchasePrice: '1200', lifeYears: '4' },
    );
    fc.assert(
      fc.property(entered, entered, entered, life, (upkeepPerYear, floorSpace, upkeepPerHour, worn) => {
        const { rate } = machineIn({ hoursPerYear: '500', upkeepPerYear, floorSpace, upkeepPerHour, ...worn });
        const of = (member: string) => Number(rate(member)) || 0;
        expect(of('committedPerHour') + of('changingPerHour')).toBeCloseTo(of('perHour'), 8);
        const parts =
          Number(upkeepPerYear ?? 0) / 500 + (Number(floorSpace ?? 0) * 90) / 500 + Number(upkeepPerHour ?? 0);
        const wear = 'lifeHours' in worn ? 1.5 : 'lifeYears' in worn ? 0.6 : 0;
        expect(of('perHour')).toBeCloseTo(parts + wear, 8);
      }),
      { numRuns: 60 },
    );
  });
});
