import { describe, expect, it } from 'vitest';
import { amount, evaluated, rowsOf, workshop } from '../testing/evaluated.js';

/** All production overhead of a book that has no method of its own. */
const PRODUCTION = 'overheadLot/standard@production';

describe('running costs', () => {
  // Common practice: a yearly bill counts one twelfth a month, a week 52 / 12.
  it.each([
    ['day', '3', {}, '60'],
    ['week', '30', {}, '130'],
    ['month', '500', {}, '500'],
    ['quarter', '300', {}, '100'],
    ['year', '1200', {}, '100'],
    ['one-off', '2400', { months: 24, startsOn: '2026-02-01' }, '100'],
    ['one-off', '2400', { months: 6, startsOn: '2026-02-01' }, '0'],
    ['one-off', '2400', { months: 24, startsOn: '2026-12-01' }, '0'],
    ['one-off', '2400', { startsOn: '2026-12-01' }, 'no-months'],
  ])('a cost that comes every %s of %s %o is %s a month', (rhythm, paid, more, expected) => {
    const { rows } = workshop({ runningCost: { rhythm, amount: paid, ...more } });
    const id = rows.all('runningCost')[0]?.id ?? '';
    expect(amount(evaluated(rows), `runningCost/${id}/perMonth`)).toBe(expected);
  });

  it('open days follow from the week less the closed days, or are typed', () => {
    const days = (settings: Record<string, unknown>) =>
      amount(evaluated(workshop({ settings }).rows), 'openDays/book/perMonth');
    expect(days({ openDaysPerMonth: null, openDaysPerWeek: 6, closedDaysPerYear: '24' })).toBe('24');
    expect(days({ openDaysPerMonth: '17.5' })).toBe('17.5');
  });
});

describe('sharing out by labour hours', () => {
  it('takes the hours that the plan needs, and then shares out everything', () => {
    const { rows, product } = workshop();
    const evaluation = evaluated(rows);
    expect(
      ['plannedHours', 'sharedOut', 'notSharedOut'].map((name) => amount(evaluation, `overhead/book/${name}`)),
    ).toEqual(['25', '500', '0']);
    expect(amount(evaluation, `${PRODUCTION}/rate`)).toBe('20');
    expect(amount(evaluation, `fullCost/${product}/fullCost`)).toBe('12');
    expect(evaluation.figure(`${PRODUCTION}/basis`)?.note).toBe('what the planned units need');
  });

  it('takes normal capacity where it is typed, and shows what is not shared out (IAS 2, paragraph 13)', () => {
    const { rows, product } = workshop({ settings: { normalLabourHoursPerMonth: '40' } });
    const evaluation = evaluated(rows);
    expect(['sharedOut', 'notSharedOut'].map((name) => amount(evaluation, `overhead/book/${name}`))).toEqual([
      '312.5',
      '187.5',
    ]);
    expect(amount(evaluation, `${PRODUCTION}/rate`)).toBe('12.5');
    expect(amount(evaluation, `fullCost/${product}/overhead`)).toBe('3.125');
  });

  it('counts the hours inside components with the product that carries them', () => {
    let set = '';
    const rows = rowsOf((book) => {
      book.add('settings', { name: 'Sets', normalLabourHoursPerMonth: '100' });
      const gradeId = book.add('labourGrade', { name: 'Maker', wagePerHour: '10' });
      const cup = book.add('product', { name: 'Cup' });
      book.add('labourStep', { productId: cup, name: 'Throw', gradeId, timeBasis: 'units per hour', time: '4' });
      set = book.add('product', { name: 'Set', kind: 'bundle' });
      book.add('plannedVolume', { productId: set, unitsPerMonth: '10' });
      book.add('billLine', { productId: set, componentId: cup, quantity: '6', unit: 'each' });
      book.add('runningCost', { name: 'Rent', amount: '1000' });
    });
    const evaluation = evaluated(rows);
    expect(amount(evaluation, `labourHours/${set}/perUnit`)).toBe('1.5');
    expect(amount(evaluation, `fullCost/${set}/overhead`)).toBe('15');
  });

  it('without any hours there is a gap, and contribution still stands', () => {
    const { rows, product, point } = workshop({ labourStep: { time: '0' } });
    const evaluation = evaluated(rows);
    expect(amount(evaluation, `${PRODUCTION}/rate`)).toBe('no-labour-hours');
    expect(evaluation.figure(`fullCost/${product}/fullCost`)?.gaps.map((each) => each.code)).toEqual([
      'no-labour-hours',
    ]);
    expect(amount(evaluation, `pricePoint/${point}/profit`)).toBe('no-labour-hours');
    expect(amount(evaluation, `pricePoint/${point}/contribution`)).toBe('18');
  });

  it('asks for no hours where there are no running costs', () => {
    const { rows, point } = workshop({ labourStep: { time: '0' }, runningCost: { amount: '0' } });
    expect(amount(evaluated(rows), `pricePoint/${point}/profit`)).toBe('18');
  });

  // Invented, recomputed by hand: fixed production 12,000 a month, normal 1,000 h, a vase takes 0.5 h.
  it.each([
    ['800', '12', '2400', '6'],
    ['1000', '12', '0', '6'],
    ['1250', '9.6', '0', '4.8'],
  ])(
    'a plan of %s h against 1,000 normal hours: rate %s, not shared out %s (IAS 2.13)',
    (hours, rate, idle, perVase) => {
      const { rows, product } = workshop({
        settings: { normalLabourHoursPerMonth: '1000' },
        runningCost: { amount: '12000' },
        labourStep: { time: '30' },
        plannedVolume: { unitsPerMonth: String(Number(hours) * 2) },
      });
      const evaluation = evaluated(rows);
      expect(amount(evaluation, `${PRODUCTION}/rate`)).toBe(rate);
      expect(amount(evaluation, 'overhead/book/notSharedOut')).toBe(idle);
      expect(amount(evaluation, `fullCost/${product}/overhead`)).toBe(perVase);
    },
  );

  it('a product with typed totals and no hours has a profit where there is nothing to share out', () => {
    let point = '';
    let card = '';
    const rows = rowsOf((book) => {
      book.add('settings', { name: 'Quick', pricesIncludeTax: false });
      const productId = book.add('product', { name: 'Tin', costing: 'typed totals' });
      book.add('plannedVolume', { productId, unitsPerMonth: '10' });
      book.add('typedCost', { productId, element: 'labour', amount: '4' });
      const channelId = book.add('channel', { name: 'Shop' });
      point = book.add('pricePoint', { productId, channelId, price: '10' });
      card = `overheadOnCard/${productId}/productionCost`;
    });
    const evaluation = evaluated(rows);
    expect(amount(evaluation, `pricePoint/${point}/profit`)).toBe('6');
    expect(amount(evaluation, card)).toBe('4');
    expect(amount(evaluation, 'overhead/book/sharedOut')).toBe('0');
  });
});
