import type { Kind } from '@nuvar/book';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { dayAfter, daysIn, weekdayOf } from '../calendar/index.js';
import { amount, evaluated, rowsOf, workshop } from '../testing/evaluated.js';
import { VIEWS } from '../views/index.js';

/** A book in which an hour makes a unit, of which 300 a month are planned, with one running cost and what belongs to it. */
function withCost(
  fields: Record<string, unknown>,
  parts: readonly (readonly [Kind, Record<string, unknown>])[] = [],
  settings: Record<string, unknown> = {},
) {
  let id = '';
  const rows = rowsOf((book) => {
    book.add('settings', { name: 'Costs', openDaysPerMonth: '20', ...settings });
    const gradeId = book.add('labourGrade', { name: 'Maker', wagePerHour: '10' });
    const productId = book.add('product', { name: 'Thing', batchSize: '10' });
    book.add('labourStep', { productId, name: 'Make', gradeId, timeBasis: 'units per hour', time: '1' });
    book.add('plannedVolume', { productId, unitsPerMonth: '300' });
    id = book.add('runningCost', { name: 'Cost', amount: '100', ...fields });
    for (const [kind, part] of parts) book.add(kind, { runningCostId: id, ...part });
  });
  return { rows, id, perMonth: (asOf?: string) => amount(evaluated(rows, asOf), `runningCost/${id}/perMonth`) };
}

describe('a running cost', () => {
  it('counts from its first day to its last', () => {
    const { perMonth } = withCost({ startsOn: '2026-03-01', endsOn: '2026-05-31' });
    expect(['2026-02-28', '2026-03-01', '2026-05-31', '2026-06-01'].map(perMonth)).toEqual(['0', '100', '100', '0']);
  });

  it('goes up when it was known that it would', () => {
    const { perMonth } = withCost({}, [
      ['costIncrease', { validFrom: '2026-07-01', amount: '120' }],
      ['costIncrease', { validFrom: '2027-07-01', amount: '130' }],
    ]);
    expect(['2026-06-30', '2026-07-01', '2028-01-01'].map(perMonth)).toEqual(['100', '120', '130']);
  });

  it.each([
    ['units', '300'],
    ['labour hours', '300'],
    ['batches', '30'],
  ])('that is variable by %s is its amount for each that the plan needs', (driver, needed) => {
    const { perMonth, rows } = withCost({ behaviour: 'variable', driver, amount: '2' });
    expect(perMonth()).toBe(String(Number(needed) * 2));
    // It is neither fixed cost, nor shared out at a rate that normal capacity could move.
    const evaluation = evaluated(rows);
    expect([amount(evaluation, 'fixedCosts/book/total'), amount(evaluation, 'overhead/book/notSharedOut')]).toEqual([
      '0',
      '0',
    ]);
  });

  it.each([
    [['200', '300', null], '20'],
    [['200', '299.99', null], '30'],
    [['200', '250'], 'beyond-last-step'],
    [[], 'no-steps'],
  ])('in steps up to %j is the amount of the step in which the plan lies, limits included: %s', (limits, wanted) => {
    const steps = limits.map((upTo, index) => ['costStep', { upTo, amount: String((index + 1) * 10) }] as const);
    expect(withCost({ behaviour: 'stepped', driver: 'units' }, steps).perMonth()).toBe(wanted);
  });

  // The calendar, recomputed by hand: from November 2026 on, November 2026 and March 2027 have five Mondays.
  it.each([
    ['week', {}, ['500', '400', '400', '400', '500', '400']],
    ['week', { startsOn: '2026-11-24' }, ['100', '500', '400', '400', '500', '400']],
    ['month', {}, ['100', '100', '100', '100', '100', '100']],
    ['quarter', { dueMonth: 2 }, ['100', '0', '0', '100', '0', '0']],
    ['year', { dueMonth: 12 }, ['0', '100', '0', '0', '0', '0']],
    ['year', { startsOn: '2020-02-10' }, ['0', '0', '0', '100', '0', '0']],
    ['one-off', { startsOn: '2027-01-15', months: 10 }, ['0', '0', '100', '0', '0', '0']],
  ])('that comes each %s %o has its bills when they are due', (rhythm, more, wanted) => {
    const { rows } = withCost({ rhythm, ...more });
    const view = VIEWS.runYear(evaluated(rows), 'book');
    expect(view.months.slice(0, 6).map(({ bills }) => bills)).toEqual(wanted);
  });

  it('of a year puts aside a twelfth a month, and what is in hand never falls below what is said to be needed', () => {
    fc.assert(
      fc.property(
        fc.constantFrom('week', 'month', 'quarter', 'year'),
        fc.integer({ min: 1, max: 12 }),
        fc.integer({ min: 1, max: 5000 }),
        (rhythm, dueMonth, paid) => {
          const view = VIEWS.runYear(evaluated(withCost({ rhythm, dueMonth, amount: String(paid) }).rows), 'book');
          const sum = (of: 'bills' | 'putAside') => view.months.reduce((so, month) => so + Number(month[of]), 0);
          expect(Number(view.bills.amount)).toBeCloseTo(sum('bills'), 6);
          expect(Number(view.putAside.amount)).toBeCloseTo(sum('putAside'), 6);
          if (rhythm !== 'week') expect(sum('putAside')).toBeCloseTo(sum('bills'), 6);
          for (const { inHand } of view.months)
            expect(Number(inHand) + Number(view.neededAtStart)).toBeGreaterThan(-1e-9);
        },
      ),
      { numRuns: 30 },
    );
  });

  it('that says nothing of a pool is for production', () => {
    const { rows } = withCost({});
    expect(VIEWS.overhead(evaluated(rows), 'book').lots.map(({ id }) => id)).toEqual(['production']);
  });

  it('is said in plain words: what it costs each unit', () => {
    const { rows, id } = withCost({ amount: '249' });
    expect(VIEWS.billShare(evaluated(rows), id).map(({ perUnit }) => perUnit)).toEqual(['0.83']);
  });
});

describe('the calendar of open days', () => {
  it('knows the weekdays of ISO 8601', () => {
    fc.assert(
      fc.property(
        fc.date({ min: new Date('1901-01-01'), max: new Date('2399-12-31'), noInvalidDate: true }),
        (date) => {
          const day = date.toISOString().slice(0, 10);
          expect(weekdayOf(day)).toBe(((date.getUTCDay() + 6) % 7) + 1);
          const next = new Date(Date.UTC(date.getUTCFullYear(), date.getUTCMonth(), date.getUTCDate() + 1));
          expect(dayAfter(day)).toBe(next.toISOString().slice(0, 10));
        },
      ),
    );
    expect(daysIn('2028-02-01')).toHaveLength(29);
  });

  const open = (build: (add: (kind: Kind, fields: Record<string, unknown>) => void) => void, month: string) => {
    const rows = rowsOf((book) => {
      book.add('settings', { name: 'Calendar', openDayRule: 'calendar' });
      build((kind, fields) => book.add(kind, fields));
    });
    const evaluation = evaluated(rows);
    return [amount(evaluation, `calendarMonth/${month}/days`), amount(evaluation, 'openDays/book/perMonth')];
  };

  // Counted by hand: December 2026 has 23 weekdays from Monday to Friday; four Sundays from the 1st to the 24th: 6, 13, 20.
  it.each([
    ['the open weekdays', () => undefined, '23'],
    [
      'less public holidays of every year',
      (add: Add) => {
        add('closedDay', { date: '2020-12-25', everyYear: true });
        add('closedDay', { date: '2020-12-26', everyYear: true });
        add('closedDay', { date: '2025-12-24' });
      },
      '22',
    ],
    [
      'with the Sundays before Christmas',
      (add: Add) => add('openSeason', { name: 'Advent', startsOn: '2020-12-01', endsOn: '2020-12-24', sunday: true }),
      '26',
    ],
    [
      'without the turn of the year',
      (add: Add) =>
        add('openSeason', {
          name: 'Closed',
          startsOn: '2020-12-21',
          endsOn: '2021-01-10',
          monday: false,
          tuesday: false,
          wednesday: false,
          thursday: false,
          friday: false,
        }),
      '14',
    ],
  ])('counts %s', (_what, build, wanted) => {
    expect(open(build, '2026-12-01')[0]).toBe(wanted);
  });

  it('without an open day is a gap', () => {
    const never = { monday: false, tuesday: false, wednesday: false, thursday: false, friday: false };
    const rows = rowsOf((book) => {
      book.add('settings', { name: 'Never', openDayRule: 'calendar', ...never });
      book.add('runningCost', { name: 'Coffee', rhythm: 'day', amount: '3' });
    });
    expect(amount(evaluated(rows), 'openDays/book/perMonth')).toBe('no-open-day');
    expect(amount(evaluated(rows), 'overhead/book/perOpenDay')).toBe('no-open-day');
  });

  it('gives a daily cost the open days of each month', () => {
    const rows = rowsOf((book) => {
      book.add('settings', { name: 'Daily', openDayRule: 'calendar' });
      book.add('runningCost', { name: 'Coffee', rhythm: 'day', amount: '3' });
    });
    const { months } = VIEWS.runYear(evaluated(rows), 'book');
    expect(months.slice(0, 2).map(({ bills, openDays }) => [bills, openDays.amount])).toEqual([
      ['63', '21'],
      ['69', '23'],
    ]);
  });
});

type Add = (kind: Kind, fields: Record<string, unknown>) => void;

describe('planned volumes', () => {
  it('follow a season, whose months come to what is planned, and single months that are typed', () => {
    let [volumeId, productId] = ['', ''];
    const rows = rowsOf((book) => {
      book.add('settings', { name: 'Plan' });
      const channelId = book.add('channel', { name: 'Market', unitsPerOrder: '2' });
      const seasonId = book.add('season', { name: 'Winter', january: '3', february: '3', december: '3' });
      productId = book.add('product', { name: 'Scarf', batchSize: '20', yieldPercent: '80' });
      volumeId = book.add('plannedVolume', { productId, channelId, seasonId, unitsPerMonth: '30' });
      book.add('plannedVolume', { productId, unitsPerMonth: '10' });
      book.add('plannedMonth', { volumeId, month: 12, units: '100' });
    });
    const evaluation = evaluated(rows);
    const { volumes, drivers } = VIEWS.volumes(evaluation, 'book');
    // Weights 3, 3, nine of 1 and 3: 18 in all; 30 x 12 x 3 / 18 = 60 in January, 20 in an ordinary month.
    expect(volumes[volumeId]?.months.map((figure) => figure.amount)).toEqual([
      ...['60', '60'],
      ...Array(9).fill('20'),
      '100',
    ]);
    // (60 + 60 + 9 x 20 + 100) / 12 = 33.33; with the 10 that are sold elsewhere 43.33; 16 good ones to a batch.
    expect(Number(amount(evaluation, `plannedUnits/${productId}/units`))).toBeCloseTo(43.3333, 4);
    expect(Number(drivers.batches.amount)).toBeCloseTo(43.3333 / 16, 4);
  });

  it('of a channel count there and nowhere else; without a channel at the first price', () => {
    let [web, market] = ['', ''];
    const rows = rowsOf((book) => {
      book.add('settings', { name: 'Plan', pricesIncludeTax: false });
      const productId = book.add('product', { name: 'Mug', costing: 'typed totals' });
      book.add('typedCost', { productId, element: 'materials', amount: '4' });
      const place = (name: string, price: string) => {
        const channelId = book.add('channel', { name });
        return [channelId, book.add('pricePoint', { productId, channelId, price, taxInside: false })] as const;
      };
      const [webId, webPoint] = place('Web', '10');
      const [marketId, marketPoint] = place('Market', '14');
      [web, market] = [webPoint, marketPoint];
      book.add('plannedVolume', { productId, channelId: webId, unitsPerMonth: '100' });
      book.add('plannedVolume', { productId, channelId: marketId, unitsPerMonth: '20' });
    });
    const evaluation = evaluated(rows);
    const perMonth = (point: string) => amount(evaluation, `salesPerMonth/${point}/contributionPerMonth`);
    expect([perMonth(web), perMonth(market), amount(evaluation, 'coverage/book/contributionPerMonth')]).toEqual([
      '600',
      '200',
      '800',
    ]);
  });

  it('go down through components: what a set needs of its mugs has to be made too', () => {
    let mug = '';
    const rows = rowsOf((book) => {
      book.add('settings', { name: 'Plan' });
      mug = book.add('product', { name: 'Mug', batchSize: '10', yieldPercent: '50' });
      book.add('plannedVolume', { productId: mug, unitsPerMonth: '40' });
      const set = book.add('product', { name: 'Set', yieldPercent: '50' });
      book.add('billLine', { productId: set, componentId: mug, quantity: '2', unit: 'each' });
      book.add('plannedVolume', { productId: set, unitsPerMonth: '5' });
    });
    const evaluation = evaluated(rows);
    // 5 sets of a yield of 50 % take 4 mugs each: 20 more, of which 5 come out of a batch.
    expect(amount(evaluation, `plannedOutput/${mug}/units`)).toBe('60');
    expect(amount(evaluation, 'driverVolume/batches/planned')).toBe('22');
  });
});

describe('over- and under-absorbed overhead', () => {
  // Invented, recomputed by hand: budget 24,000 over 1,200 h; actual 25,000, 1,150 h worked, output worth 1,180 standard hours.
  it('is split into expenditure and volume, or capacity and efficiency', () => {
    let id = '';
    const { rows } = withCost({});
    const book = rowsOf((made) => {
      made.add('settings', { name: 'Absorbed' });
      id = made.add('overheadActual', {
        month: '2026-10-01',
        amount: '25000',
        basisQuantity: '1150',
        standardQuantity: '1180',
        budgetAmount: '24000',
        budgetQuantity: '1200',
      });
    });
    expect(rows.count('overheadActual')).toBe(0);
    const view = VIEWS.absorbed(evaluated(book), id);
    expect(
      [view.rate, view.absorbed, view.difference, view.expenditure, view.volume].map((figure) => figure.amount),
    ).toEqual(['20', '23000', '-2000', '-1000', '-1000']);
    expect([view.differenceStandard, view.capacity, view.efficiency].map((figure) => figure?.amount)).toEqual([
      '-1400',
      '-1000',
      '600',
    ]);
  });

  it('takes the budget of today where none is entered', () => {
    let id = '';
    const { rows } = workshop({
      settings: { normalLabourHoursPerMonth: '40' },
      more: (book) => {
        id = book.add('overheadActual', { month: '2026-10-01', amount: '480', basisQuantity: '36' });
      },
    });
    const view = VIEWS.absorbed(evaluated(rows), id);
    expect([view.budget.amount, view.budgetBasis.amount, view.rate.amount, view.difference.amount]).toEqual([
      ...['500', '40', '12.5', '-30'],
    ]);
    expect(view.efficiency).toBeNull();
  });
});

describe('a charge-out rate', () => {
  // Recomputed by hand: (30,000 + 12 x 500 x 50 %) / (45 x 40 x 60 %) = 33,000 / 1,080 = 30.5556; with 12 days of 8 h less 33.5366.
  it('earns the income wanted and its share of the running costs over the billable hours', () => {
    const { rows } = withCost({ amount: '500' });
    const id = '0192f000-0000-7000-8000-00000000fffe';
    rows.put('chargeOutRate', id, {
      id,
      version: 1,
      name: 'Hours',
      position: 0,
      incomePerYear: '30000',
      runningCostPercent: '50',
      weeksPerYear: '45',
      hoursPerWeek: '40',
      hoursPerDay: '8',
      billablePercent: '60',
    } as never);
    const view = VIEWS.chargeOut(evaluated(rows), id);
    expect(Number(view.perHour.amount)).toBeCloseTo(33_000 / 1080, 10);
    expect(Number(view.perDay.amount)).toBeCloseTo((33_000 / 1080) * 8, 10);
    expect(Number(view.perHourOneDayLess.amount)).toBeCloseTo(33_000 / 984, 10);
    expect(Number(view.lostForOneDay.amount)).toBeCloseTo((96 * 33_000) / 1080, 8);
  });

  it.each([
    [{ incomePerYear: null }, 'no-income', 'perHour'],
    [{ billablePercent: '1', hoursPerWeek: '10' }, 'no-billable-hours', 'perHourOneDayLess'],
  ])('with %o has a gap', (fields, code, member) => {
    let id = '';
    const rows = rowsOf((book) => {
      book.add('settings', { name: 'Rates' });
      id = book.add('chargeOutRate', { name: 'Hours', incomePerYear: '30000', ...fields });
    });
    expect(amount(evaluated(rows), `chargeOut/${id}/${member}`)).toBe(code);
  });
});
