import fc from 'fast-check';
import { expect, it } from 'vitest';
import { amount, evaluated, workshop, type WorkshopFields } from '../../testing/evaluated.js';
import { VIEWS } from '../../views/index.js';

type Fields = Record<string, unknown>;

/** The workshop, whose Thing changes by 7.00 a unit and leaves 13.00 at 20.00, with a decision about it. */
function decided(fields: Fields, costs: readonly Fields[] = [], more: WorkshopFields = {}) {
  let id = '';
  const { rows } = workshop({
    ...more,
    more: (book, of) => {
      id = book.add('decision', { name: 'Decide', productId: of.product, ...fields });
      costs.forEach((cost, position) => book.add('decisionCost', { decisionId: id, position, name: 'Cost', ...cost }));
      more.more?.(book, of);
    },
  });
  const evaluation = evaluated(rows);
  const of = (member: string) => amount(evaluation, `decision/${id}/${member}`);
  return { of, view: VIEWS.decision(evaluation, id) };
}

it('buys in by what is saved, and leaves out what stays', () => {
  // 100 a month: saved 700 of making, paid 850; 120 of rent goes, 40 stays, 10 comes on top; 240 once over 12 months: -60.
  const { of, view } = decided({ type: 'buy in', price: '8.50', oneTimeCost: '240' }, [
    { amountPerMonth: '120', fate: 'goes' },
    { amountPerMonth: '40', fate: 'stays' },
    { amountPerMonth: '10', fate: 'comes on top' },
  ]);
  expect(of('making')).toBe('700');
  expect(of('purchase')).toBe('850');
  expect(of('fixedStays')).toBe('40');
  expect(of('advantage')).toBe('-60');
  // (700 + 120 - 10 - 20) / 100.
  expect(of('turningPrice')).toBe('7.9');
  expect(view.verdict).toBe('leave it');
  expect(view.lines.map(({ id, role }) => [id, role])).toEqual([
    ['making', 'for'],
    ['purchase', 'against'],
    ['fixedGone', 'for'],
    ['fixedOnTop', 'against'],
    ['oneTime', 'against'],
    ['fixedStays', 'for nothing'],
  ]);
});

it('counts freed hours at what they earn otherwise', () => {
  // A quarter of an hour a unit: 25 h at 8.00 turn -150 into 50.
  const more: WorkshopFields = { labourGrade: { name: 'Maker', wagePerHour: '20' } };
  const { rows } = workshop(more);
  const gradeId = rows.all('labourGrade')[0]?.id ?? '';
  const { of } = decided({ type: 'buy in', price: '8.50', gradeId, hourEarns: '8' }, [], more);
  expect(of('scarceHours')).toBe('25');
  expect(of('scarceWorth')).toBe('200');
  expect(of('advantage')).toBe('50');
  expect(decided({ type: 'buy in', price: '8.50', gradeId }, [], more).of('advantage')).toBe('no-hour-earns');
});

it.each(['buy in', 'special order', 'drop'])('lists every part that is in the total of %s', (type) => {
  const more: WorkshopFields = { labourGrade: { name: 'Maker', wagePerHour: '20' } };
  const gradeId = workshop(more).rows.all('labourGrade')[0]?.id ?? '';
  const { view } = decided(
    { type, price: '8.50', units: '40', oneTimeCost: '25', gradeId, hourEarns: '8' },
    [
      { amountPerMonth: '120', fate: 'goes' },
      { amountPerMonth: '40', fate: 'stays' },
      { amountPerMonth: '10', fate: 'comes on top' },
    ],
    more,
  );
  const sign = { for: 1, against: -1, 'for nothing': 0 };
  const listed = view.lines.reduce((so, { role, figure }) => so + sign[role] * Number(figure.amount), 0);
  expect(listed).toBeCloseTo(Number(view.advantage.amount), 8);
  expect(view.lines.map(({ id }) => id)).toContain('oneTime');
});

it('counts no more hours than are scarce, and no more than there are', () => {
  const more: WorkshopFields = { labourGrade: { name: 'Maker', wagePerHour: '20' } };
  const gradeId = workshop(more).rows.all('labourGrade')[0]?.id ?? '';
  const with25 = (scarceHours: string | null) =>
    decided({ type: 'buy in', price: '8.50', gradeId, hourEarns: '8', scarceHours }, [], more);
  // 25 h are freed; those of them that find work earn 8.00 each, beside -150 of making and purchase.
  const ofTen = with25('10');
  expect([ofTen.of('scarceHours'), ofTen.of('hoursThatCount'), ofTen.of('scarceWorth')]).toEqual(['25', '10', '80']);
  expect(['0', '10', '25', '40', null].map((hours) => with25(hours).of('advantage'))).toEqual([
    '-150',
    '-70',
    '50',
    '50',
    '50',
  ]);
  // A special order of 100 that takes 25 h of which 10 are needed elsewhere: 10 x (9 - 7) x ... less 80.
  const order = { type: 'special order', price: '9', units: '100', gradeId, hourEarns: '8', scarceHours: '10' };
  expect(decided(order, [], more).of('advantage')).toBe('120');
});

it('counts a share of a running cost, the whole of it where none is entered, and an amount before both', () => {
  const shared = (fields: Fields) => {
    const runningCostId = workshop().rows.all('runningCost')[0]?.id;
    return decided({ type: 'drop' }, [{ runningCostId, ...fields }]).of('fixedGone');
  };
  expect(shared({})).toBe('500');
  expect(shared({ sharePercent: '30' })).toBe('150');
  expect(shared({ sharePercent: '0' })).toBe('0');
  expect(shared({ sharePercent: '30', amountPerMonth: '40' })).toBe('40');
});

it('takes its hours into the period of the plan that says what they are worth', () => {
  let planId = '';
  const hoursIn = (fields: Fields, plan: Fields = {}) => {
    let id = '';
    const { rows } = workshop({
      labourGrade: { name: 'Maker', wagePerHour: '20' },
      more: (book, { product: productId }) => {
        const gradeId = workshop({ labourGrade: { name: 'Maker', wagePerHour: '20' } }).rows.all('labourGrade')[0]?.id;
        planId = book.add('mixPlan', { name: 'Autumn', ...plan });
        book.add('mixResource', { planId, gradeId });
        id = book.add('decision', { name: 'D', productId, gradeId, mixPlanId: planId, hourEarns: '1', ...fields });
      },
    });
    const evaluation = evaluated(rows);
    return { view: VIEWS.decision(evaluation, id).inPlan, resource: rows.all('mixResource')[0]?.id };
  };
  // 25 h a month; a plan of 5 open days of 20 is a quarter of a month. An order of 8 units takes 2 h, whenever it comes.
  const bought = hoursIn({ type: 'buy in', price: '8' }, { openDays: '5' });
  expect(bought.view).toMatchObject({
    planId,
    resourceId: bought.resource,
    areTaken: false,
    hours: { amount: '6.25' },
  });
  const order = hoursIn({ type: 'special order', units: '8', price: '8' }, { openDays: '5' });
  expect(order.view).toMatchObject({ areTaken: true, hours: { amount: '2' } });
  expect(hoursIn({ type: 'buy in', price: '8', gradeId: null }).view).toBeNull();
  expect(hoursIn({ type: 'buy in', price: '8', mixPlanId: null }).view).toBeNull();
});

// Horngren, Datar & Rajan, Cost Accounting (Surf Gear): 5,000 towels at 11 from idle capacity, each of which changes by 7.50 and
// bears 4.50 of fixed costs that stay, gain 17,500. From memory, recomputed: 5,000 x (11 - 7.50).
it('takes a special order below full cost where capacity is idle', () => {
  const towels: WorkshopFields = {
    supplierPrice: { price: '110' },
    labourStep: { name: 'Make', timeBasis: 'minutes per unit', time: '6' },
  };
  const order = { type: 'special order', units: '5000', price: '11' };
  const { of, view } = decided(order, [{ amountPerMonth: '22500', fate: 'stays' }], towels);
  // 0.5 kg at 11.00 a kilogram, and 6 minutes at 20.00.
  expect(of('orderContribution')).toBe('17500');
  expect(of('advantage')).toBe('17500');
  expect(of('turningPrice')).toBe('7.5');
  expect(view.verdict).toBe('do it');
});

it('takes the fees of the channel from a special order', () => {
  const fees = [{ takenOf: 'price before tax', percent: '10' }];
  const { rows } = workshop({ fees });
  const channelId = rows.all('channel')[0]?.id ?? '';
  const { of } = decided({ type: 'special order', units: '10', price: '9', channelId }, [], { fees });
  // 10 x (9 - 0.90 - 7).
  expect(of('advantage')).toBe('11');
  expect(decided({ type: 'special order', price: '9' }).of('advantage')).toBe('no-order-units');
});

it('drops a product by the contribution that goes with it', () => {
  // 100 x 13 a month is given up; 900 of rent goes.
  const { of, view } = decided({ type: 'drop' }, [{ amountPerMonth: '900', fate: 'goes' }]);
  expect(of('lostContribution')).toBe('1300');
  expect(of('advantage')).toBe('-400');
  expect(view.turningPrice).toBeNull();
});

it('takes a running cost as it is, and asks for what is not said', () => {
  const { rows } = workshop();
  const runningCostId = rows.all('runningCost')[0]?.id ?? '';
  expect(decided({ type: 'drop' }, [{ runningCostId, fate: 'goes' }]).of('advantage')).toBe('-800');
  expect(decided({ type: 'drop' }, [{ fate: 'goes' }]).of('advantage')).toBe('no-decision-cost');
  expect(decided({ type: 'buy in' }).view.verdict).toBeNull();
});

it('buys in what goes into other products too, and what is only inside others', () => {
  // 100 a month are sold; a set of two is sold 30 times: 160 in all. Without sales of its own: 60.
  const inSets = (fields: Fields, type = 'buy in') =>
    decided({ type, price: '8' }, [], {
      ...(fields as WorkshopFields),
      more: (book, of) => {
        const setId = book.add('product', { name: 'Set', outputUnit: 'each' });
        book.add('billLine', { productId: setId, componentId: of.product, quantity: '2', unit: 'each' });
        book.add('plannedVolume', { productId: setId, unitsPerMonth: '30' });
      },
    });
  expect(inSets({}).of('units')).toBe('160');
  expect([inSets({}).of('making'), inSets({}).of('purchase')]).toEqual(['1120', '1280']);
  expect(inSets({}).view.neededIn).toEqual(['Set']);
  // To drop it gives up its own sales alone: the sets still need it.
  expect([inSets({}, 'drop').of('units'), inSets({}, 'drop').of('lostContribution')]).toEqual(['100', '1300']);
  expect(decided({ type: 'drop' }).view.neededIn).toEqual([]);
});

it('pays the rest of the last batch of an order that is made in batches of its own', () => {
  const order = (units: string, ownBatches = true) =>
    decided({ type: 'special order', price: '9', units, ownBatches }, [], { product: { batchSize: '24' } });
  const { of, view } = order('40');
  // Two batches make 48: 8 more than the order.
  expect(Number(of('restOfBatch'))).toBeCloseTo(8 * costOf(order('48')), 8);
  expect(view.lines.map(({ id }) => id)).toContain('restOfBatch');
  expect(Number(of('advantage'))).toBeCloseTo(Number(of('orderContribution')) - Number(of('restOfBatch')), 8);
  expect(order('48').of('restOfBatch')).toBe('0');
  expect(order('40', false).view.lines.map(({ id }) => id)).not.toContain('restOfBatch');
});

/** What changes with a unit, of an order of 48 at 9.00 without fees. */
const costOf = ({ of }: ReturnType<typeof decided>): number => 9 - Number(of('orderContribution')) / 48;

it('finds the price in a channel at which an order makes no difference: there it does', () => {
  fc.assert(
    fc.property(
      fc.record({
        units: fc.integer({ min: 1, max: 400 }),
        price: fc.integer({ min: 100, max: 4000 }),
        percent: fc.integer({ min: 0, max: 40 }),
        each: fc.integer({ min: 0, max: 300 }),
        oneTimeCost: fc.integer({ min: 0, max: 900 }),
        ownBatches: fc.boolean(),
      }),
      ({ units, price, percent, each, oneTimeCost, ownBatches }) => {
        const more: WorkshopFields = {
          product: { batchSize: '7' },
          fees: [{ takenOf: 'price before tax', percent: String(percent) }, { amount: (each / 100).toFixed(2) }],
        };
        const channelId = workshop(more).rows.all('channel')[0]?.id ?? '';
        const at = (asked: string) =>
          decided(
            {
              ...{ type: 'special order', units: String(units), price: asked, channelId, ownBatches },
              oneTimeCost: String(oneTimeCost),
            },
            [],
            more,
          );
        const turning = at((price / 100).toFixed(2)).of('turningPrice');
        const advantage = Number(at(Number(turning).toFixed(10)).of('advantage'));
        expect(Math.abs(advantage)).toBeLessThan(1e-5 * units);
      },
    ),
    { numRuns: 40 },
  );
});

it('puts all decisions on one product side by side', () => {
  let id = '';
  const { rows } = workshop({
    more: (book, { product: productId }) => {
      id = book.add('decision', { name: 'Buy of one', productId, type: 'buy in', price: '8.50' });
      book.add('decision', { name: 'Buy of another', productId, type: 'buy in', price: '6' });
      book.add('decision', { name: 'Drop', productId, type: 'drop' });
    },
  });
  const { alternatives } = VIEWS.decision(evaluated(rows), id);
  expect(alternatives.map(({ name, advantage }) => [name, advantage.amount])).toEqual([
    ['Buy of one', '-150'],
    ['Buy of another', '100'],
    ['Drop', '-1300'],
  ]);
  expect(alternatives.map(({ leavesMost }) => leavesMost)).toEqual([false, true, false]);
});
