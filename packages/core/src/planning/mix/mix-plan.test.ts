import type { Kind } from '@nuvar/book';
import fc from 'fast-check';
import type { Highs } from 'highs';
import { beforeAll, describe, expect, it } from 'vitest';
import { decimal } from '../../number/index.js';
import { amount, demoRows, evaluated, rowsOf, workshop, type WorkshopFields } from '../../testing/evaluated.js';
import { quantitiesOfPlan, VIEWS } from '../../views/index.js';
import type { Evaluation } from '../../sheet/index.js';
import { readMixTable } from './mix-table.js';
import type { MixSlot } from './periods/mix-slots.js';
import { rankedMixes, solveMix } from './solver/index.js';
import { loadSolver } from './highs/index.js';

let highs: Highs;
beforeAll(async () => {
  highs = await loadSolver();
});

type Fields = Record<string, unknown>;

interface PlanFields {
  readonly plan?: Fields;
  readonly product?: Fields;
  readonly resource?: Fields;
  readonly use?: Fields;
  readonly fields?: WorkshopFields;
}

/**
 * The workshop with a mix plan: its Thing at 20.00 before tax leaves 13.00 of 7.00 that change with it (500 g of stuff at 4.00 and a
 * quarter of an hour at 20.00).
 */
function planned({ plan = {}, product = {}, resource = {}, use, fields = {} }: PlanFields = {}) {
  const ids: Record<'plan' | 'product' | 'resource', string> = { plan: '', product: '', resource: '' };
  const made = workshop({
    ...fields,
    more: (book, of) => {
      ids.plan = book.add('mixPlan', { name: 'Short week', openDays: '5', ...plan });
      ids.product = book.add('mixProduct', {
        planId: ids.plan,
        productId: of.product,
        channelId: of.channel,
        quantity: '10',
        ...product,
      });
      ids.resource = book.add('mixResource', {
        planId: ids.plan,
        materialId: of.material,
        available: '4',
        ...resource,
      });
      if (use !== undefined) book.add('mixUse', { resourceId: ids.resource, mixProductId: ids.product, ...use });
      fields.more?.(book, of);
    },
  });
  const evaluation = evaluated(made.rows);
  return { ...made, ids, evaluation, of: (key: string) => amount(evaluation, key) };
}

describe('a mix plan', () => {
  it('draws what a product leaves and takes from the book', () => {
    const { ids, of } = planned();
    expect(of(`mixProduct/${ids.product}/contribution`)).toBe('13');
    expect(of(`mixProduct/${ids.product}/revenue`)).toBe('20');
    expect(of(`mixProduct/${ids.product}/variableCost`)).toBe('7');
    expect(of(`mixUse/${ids.product}@${ids.resource}/perUnit`)).toBe('0.5');
    // 100 are planned in a month of 20 open days: 25 in five of them.
    expect(of(`mixProduct/${ids.product}/planned`)).toBe('25');
    // 10 x 0.5 kg of 4 kg; 10 x 13.
    expect(of(`mixResourceUsed/${ids.resource}/used`)).toBe('5');
    expect(of(`mixResourceUsed/${ids.resource}/left`)).toBe('-1');
    expect(of(`mixResourceUsed/${ids.resource}/short`)).toBe('1');
    expect(of(`mix/${ids.plan}/goal`)).toBe('130');
    // The stuff is in the contribution at 4.00 a kilogram.
    expect(of(`mixResource/${ids.resource}/normalPrice`)).toBe('4');
  });

  it('charges extra at its premium over what the contribution holds', () => {
    const { ids, of } = planned({ resource: { extra: '3', extraPrice: '6.50' } });
    // 1 kg over: 6.50 less the 4.00 that the contribution holds.
    expect(of(`mixResource/${ids.resource}/premium`)).toBe('2.5');
    expect(of(`mixResourceUsed/${ids.resource}/extraUsed`)).toBe('1');
    expect(of(`mixResourceUsed/${ids.resource}/left`)).toBe('0');
    expect(of(`mix/${ids.plan}/goal`)).toBe('127.5');
    const without = planned({ resource: { extra: '3' } });
    expect(without.of(`mixResource/${without.ids.resource}/premium`)).toBe('no-extra-price');
  });

  it('has available what the book says for its period', () => {
    const ids: Record<string, string> = {};
    const rows = rowsOf((book) => {
      book.add('settings', { name: 'Studio', openDaysPerMonth: '20' });
      const planId = book.add('mixPlan', { name: 'Short week', openDays: '5' });
      const grade = { name: 'Maker', paidHoursPerMonth: '160', productivePercent: '80' };
      const kiln = book.add('equipment', { name: 'Kiln', hoursPerYear: '2400' });
      const firing = { name: 'Firing', equipmentId: kiln, hoursPerRun: '10', space: '90' };
      const clay = book.add('material', { name: 'Clay', baseUnit: 'kg' });
      const shipment = { name: 'Clay on its way', state: 'ordered', date: '2026-11-01', currency: 'EUR' };
      const shipmentId = book.add('shipment', shipment);
      book.add('shipmentLine', { shipmentId, materialId: clay, quantity: '2000', unit: 'g' });
      const sources = {
        maker: { gradeId: book.add('labourGrade', grade) },
        kiln: { equipmentId: kiln },
        firing: { runId: book.add('equipmentRun', firing) },
        clay: { materialId: clay, countsOnOrder: true },
        noClay: { materialId: clay },
        slots: { name: 'Slots' },
      };
      for (const [name, source] of Object.entries(sources)) ids[name] = book.add('mixResource', { planId, ...source });
    });
    const available = (name: string) => amount(evaluated(rows), `mixResource/${ids[name]}/available`);
    // A quarter of a month: 160 h x 80 %; 2,400 / 12 h; 50 h / 10 h x 90 places; 2 kg that are ordered and not here.
    expect(['maker', 'kiln', 'firing', 'clay'].map(available)).toEqual(['32', '50', '450', '2']);
    expect(['noClay', 'slots'].map(available)).toEqual(['no-mix-supply', 'no-mix-supply']);
  });

  it('counts a set-up once where the plan says so, and takes it out of what a unit leaves', () => {
    // 30 min a batch of 10 at 20.00: 10.00, 1.00 in a unit; the unit leaves 12.00 with it, and 13.00 without.
    const fields = {
      product: { name: 'Thing', batchSize: '10' },
      labourStep: { name: 'Make', setUpMinutes: '30', timeBasis: 'minutes per unit', time: '15' },
    };
    const each = planned({ fields });
    expect(each.of(`mixProduct/${each.ids.product}/contribution`)).toBe('12');
    const once = planned({ fields, product: { setUp: 'once in the plan' } });
    expect(once.of(`mixProduct/${once.ids.product}/contribution`)).toBe('13');
    expect(once.of(`mixProduct/${once.ids.product}/setUpCost`)).toBe('10');
    expect(once.of(`mix/${once.ids.plan}/goal`)).toBe('120');
    const byContribution = planned({ fields, product: { setUp: 'once in the plan' }, plan: { goal: 'contribution' } });
    expect(byContribution.of(`mix/${byContribution.ids.plan}/goal`)).toBe('130');
  });

  it('takes what is typed over what the book says', () => {
    const { ids, of } = planned({
      product: { productId: null, channelId: null, name: 'Tray', contribution: '3', quantity: '2' },
      use: { perUnit: '0.75', forSetUp: '1' },
    });
    // 2 x 0.75 + 1.
    expect(of(`mixResourceUsed/${ids.resource}/used`)).toBe('2.5');
    expect(of(`mix/${ids.plan}/goal`)).toBe('6');
  });

  it('leaves out of the model what lacks something, and says what', () => {
    const { ids, evaluation } = planned({ product: { channelId: null } });
    const { model, gaps } = VIEWS.mixModel(evaluation, ids.plan);
    expect(model.products).toEqual([]);
    expect(gaps.map(({ code }) => code)).toEqual(['no-mix-contribution']);
    expect(solveMix(highs, model).status).toBe('no products');
  });

  it('notes what is never used, and what is there twice', () => {
    const twice: WorkshopFields['more'] = (book) => {
      const planId = book.add('mixPlan', { name: 'Notes' });
      for (const position of [0, 1]) book.add('mixProduct', { planId, position, name: 'Tray', contribution: '1' });
      book.add('mixResource', { planId, name: 'Slots', available: '3' });
    };
    const { rows } = workshop({ more: twice });
    const evaluation = evaluated(rows);
    const { notes } = VIEWS.mix(evaluation, evaluation.sheet.all('mixPlan')[0]?.id ?? '');
    expect(notes.map(({ code, name }) => [code, name])).toEqual([
      ['never-used', 'Slots'],
      ['same-name', 'Tray'],
    ]);
  });

  // Mug at 30 (at most 8) and at 26 (at most 9), 1 h each, a set-up of 10 h and 60.00, 30 h: 8 x 30 + 9 x 26 - 60 = 414.
  const inTwoChannels = (first: Fields, second: Fields, hours = '30', product: Fields = {}) => {
    const made = workshop({
      product,
      more: (book, { product: productId, channel }) => {
        const planId = book.add('mixPlan', { name: 'Both' });
        const stall = book.add('channel', { name: 'Stall' });
        const add = (channelId: string, contribution: string, maximum: string, more: Fields) =>
          book.add('mixProduct', { planId, productId, channelId, contribution, maximum, ...more });
        const rows = [add(channel, '30', '8', first), add(stall, '26', '9', second)];
        const resourceId = book.add('mixResource', { planId, name: 'Bench', available: hours });
        for (const mixProductId of rows) book.add('mixUse', { mixProductId, resourceId, perUnit: '1', forSetUp: '10' });
      },
    });
    const evaluation = evaluated(made.rows);
    const planId = evaluation.sheet.all('mixPlan')[0]?.id ?? '';
    const view = VIEWS.mix(evaluation, planId);
    const found = solveMix(highs, VIEWS.mixModel(evaluation, planId).model);
    const result = VIEWS.mixOutcome(evaluation, `${planId}@${found.quantities.join('|')}`);
    return { view, found, result, notes: view.notes.map(({ code }) => code) };
  };

  it.each([
    ['first', { setUpCost: '60' }, {}],
    ['second', {}, { setUpCost: '60' }],
  ])('sets a product up once for all its channels, typed at its %s line', (_line, first, second) => {
    const { found, result } = inTwoChannels(first, second);
    expect([found.goal, found.quantities]).toEqual([414, [8, 9]]);
    // The figures say the same as the solver, line by line too.
    expect([result.outcome.goal.amount, result.outcome.setUps.amount]).toEqual(['414', '60']);
    expect(result.resources[0]?.used.amount).toBe('27');
    expect(result.brings.reduce((so, each) => so + Number(each), 0)).toBe(414);
    expect(result.resources[0]?.shares.reduce((so, { amount: taken }) => so + taken, 0)).toBe(27);
  });

  it('pays the set-up where only the other line is made', () => {
    const { found, result } = inTwoChannels({ setUpCost: '60', maximum: '0' }, {});
    expect([found.goal, found.quantities]).toEqual([174, [0, 9]]);
    expect([result.outcome.goal.amount, result.resources[0]?.used.amount]).toEqual(['174', '19']);
    expect(result.brings.map(Number)).toEqual([-60, 234]);
  });

  it('counts a minimum lot over all channels', () => {
    // 12 h leave 2 units after the set-up: not a lot of 15, and 30 h do.
    expect(inTwoChannels({ lot: '15' }, {}).found.quantities).toEqual([8, 9]);
    expect(inTwoChannels({ lot: '18' }, {}).found.quantities).toEqual([0, 0]);
    expect(inTwoChannels({ lot: '15' }, {}, '24').found.quantities).toEqual([0, 0]);
    const tried = (first: string, second: string) =>
      inTwoChannels({ lot: '15', quantity: first }, { quantity: second }).view.products.map(({ isBroken }) => isBroken);
    expect([tried('7', '8'), tried('0', '0'), tried('7', '7'), tried('0', '9')]).toEqual([
      [false, false],
      [false, false],
      [true, false],
      [true, false],
    ]);
  });

  it('makes whole batches of all channels together', () => {
    // Of 17 that could be sold three batches of five: 8 x 30 + 7 x 26 - 60.
    const batches = { setUpCost: '60', countedIn: 'whole batches' };
    const { found, result } = inTwoChannels(batches, {}, '30', { batchSize: '5' });
    expect([found.goal, found.quantities]).toEqual([362, [8, 7]]);
    expect(result.outcome.goal.amount).toBe('362');
    const tried = (first: string, second: string) =>
      inTwoChannels({ ...batches, quantity: first }, { quantity: second }, '30', { batchSize: '5' }).view.products[0]
        ?.isBroken;
    expect([tried('8', '7'), tried('8', '2'), tried('8', '8'), tried('0', '0')]).toEqual([false, false, true, false]);
  });

  it('notes a set-up of another line, which does not count', () => {
    const twice = inTwoChannels({ setUpCost: '60' }, { setUpCost: '5' });
    expect([twice.found.goal, twice.notes]).toEqual([414, ['set-up-twice']]);
    expect(inTwoChannels({ setUpCost: '60' }, {}).notes).toEqual([]);
  });

  it('takes its quantities over as planned volumes of a month, shared out as they are planned now', () => {
    const { ids, evaluation, product, channel } = planned({
      product: { channelId: null, contribution: '9', quantity: '10' },
    });
    // 10 in five of 20 open days are 40 a month; all that is planned is planned without a channel, at the first price.
    expect(VIEWS.mixVolumes(evaluation, ids.plan)).toEqual([
      { productId: product, channelId: channel, share: '100', now: '100', unitsPerMonth: '40' },
    ]);
  });
});

it('costs a product without a price by what making it changes, and sets two mixes beside each other', () => {
  const { ids, of, evaluation } = planned({ plan: { goal: 'least cost' }, product: { channelId: null, minimum: '3' } });
  // 7.00 change with a unit: three have to be made.
  expect(of(`mixProduct/${ids.product}/variableCost`)).toBe('7');
  expect(VIEWS.mixModel(evaluation, ids.plan).gaps).toEqual([]);
  expect(solveMix(highs, VIEWS.mixModel(evaluation, ids.plan).model)).toMatchObject({ goal: 21, quantities: [3] });
  expect(VIEWS.mixBeside(evaluation, `${ids.plan}@5@3`).amount).toBe('14');
});

describe('a component that runs short', () => {
  /** A pot takes a lid and half an hour; a lid takes half an hour; lids are there, and hours. */
  const pots = (lids: string, hours: string, more: { readonly lid?: Fields; readonly sold?: boolean } = {}) => {
    const ids = { plan: '', lids: '', hours: '' };
    const { rows } = workshop({
      more: (book) => {
        const gradeId = book.add('labourGrade', { name: 'Potter', wagePerHour: '20' });
        const lid = book.add('product', { name: 'Lid', outputUnit: 'each' });
        const pot = book.add('product', { name: 'Pot', outputUnit: 'each' });
        for (const productId of [lid, pot])
          book.add('labourStep', { productId, name: 'Throw', gradeId, timeBasis: 'minutes per unit', time: '30' });
        book.add('billLine', { productId: pot, componentId: lid, quantity: '1', unit: 'each' });
        ids.plan = book.add('mixPlan', { name: 'Pots' });
        const product = (productId: string, contribution: string) =>
          book.add('mixProduct', { planId: ids.plan, productId, contribution, countedIn: 'whole units' });
        product(pot, '10');
        if (more.sold) product(lid, '30');
        ids.hours = book.add('mixResource', { planId: ids.plan, gradeId, available: hours });
        ids.lids = book.add('mixResource', { planId: ids.plan, componentId: lid, available: lids, ...more.lid });
      },
    });
    const evaluation = evaluated(rows);
    const { model } = VIEWS.mixModel(evaluation, ids.plan);
    const { quantities } = solveMix(highs, model);
    const asked = quantitiesOfPlan(VIEWS.mix(evaluation, ids.plan).slots, model, quantities);
    // A lid that is sold takes no hours itself: its making does.
    expect(VIEWS.mix(evaluation, ids.plan).notes).toEqual([]);
    const { resources, fits } = VIEWS.mixOutcome(evaluation, `${ids.plan}@${asked.join('|')}`);
    const [ofHours, ofLids] = resources.map(({ used, made }) => [used.amount, made?.amount ?? null]);
    return { quantities, ofHours, ofLids, fits, ranked: rankedMixes(model)[0]?.quantities };
  };

  it('is taken from its stock before its hours are charged: 40 lids there and 20 h make 40 pots', () => {
    expect(pots('40', '20')).toEqual({
      quantities: [40],
      ofHours: ['20', null],
      ofLids: ['40', '0'],
      fits: true,
      ranked: [40],
    });
    // 5 lids beyond the stock take 2.5 h, and 45 pots 22.5.
    expect(pots('40', '25')).toEqual({
      quantities: [45],
      ofHours: ['25', null],
      ofLids: ['45', '5'],
      fits: true,
      ranked: [45],
    });
  });

  it('is a limit where no more of it is made', () => {
    expect(pots('40', '25', { lid: { madeWhenShort: false } })).toMatchObject({
      quantities: [40],
      ofHours: ['20', null],
    });
  });

  it('sold by itself is taken from the same stock', () => {
    // A lid sold leaves 30: 40 of the stock, and 40 more in 20 h; no pot is worth as much.
    expect(pots('40', '20', { sold: true })).toMatchObject({
      quantities: [0, 80],
      ofHours: ['20', null],
      ofLids: ['80', '40'],
      fits: true,
    });
  });
});

describe('the mix plans of the demo', () => {
  const plans = () => {
    const evaluation = evaluated(demoRows());
    return evaluation.sheet.all('mixPlan').map(({ id }) => ({
      id,
      evaluation,
      model: VIEWS.mixModel(evaluation, id).model,
      view: VIEWS.mix(evaluation, id),
    }));
  };

  it('have a best mix that fits every limit in decimals, and shows by hand the figures that it was found with', () => {
    for (const { id, evaluation, model, view } of plans()) {
      const { status, goal, quantities } = solveMix(highs, model);
      expect(status).toBe('best');
      const asked = `${id}@${quantities.map((each) => decimal(each.toFixed(9)).toFixed()).join('|')}`;
      const found = VIEWS.mixOutcome(evaluation, asked);
      expect(found.fits).toBe(true);
      expect(Number(found.outcome.goal.amount)).toBeCloseTo(goal, 4);
      // Typed by hand, it shows the same.
      const places = new Map(model.products.map((product, at) => [product.id, at]));
      const typed = evaluation.fork(
        view.slots.map((slot) => ({
          ...fieldOf(evaluation, slot),
          how: 'set' as const,
          value: decimal((quantities[places.get(slot.id) ?? -1] ?? 0).toFixed(9)).toFixed(),
        })),
      );
      expect(VIEWS.mix(typed, id).outcome.goal.amount).toBe(found.outcome.goal.amount);
      expect(VIEWS.mix(typed, id).fits).toBe(true);
      typed.end();
      expect(Number(found.gained?.amount)).toBeCloseTo(goal - Number(view.outcome.goal.amount), 4);
    }
  });

  it('run out of handles and of the wheel by hand, the handles first', () => {
    const [{ view } = { view: undefined }] = plans();
    expect(view?.fits).toBe(false);
    expect(view?.resources.filter(({ isShort }) => isShort).map(({ name }) => name)).toEqual([
      'Throwing wheel',
      'Cane handle',
    ]);
    expect(view?.resources[view.first ?? -1]?.name).toBe('Cane handle');
  });
});

/** The row and the field that hold a quantity of a plan. */
function fieldOf({ sheet }: Evaluation, { of, rowId, periodId }: MixSlot): { kind: Kind; id: string; field: string } {
  if (of === 'quantity') return { kind: 'mixProduct', id: rowId, field: 'quantity' };
  const row = sheet.rowsOf('mixPeriodProduct', 'mixProductId', rowId).find((each) => each.periodId === periodId);
  return { kind: 'mixPeriodProduct', id: row?.id ?? '', field: of };
}

/** A plan typed in figures of its own: every product and resource by name, as a person enters them who has no book yet. */
interface TypedPlan {
  readonly totals?: readonly (Fields & { readonly sides: readonly (string | null)[] })[];
  readonly plan: Fields;
  readonly products: readonly (Fields & { readonly uses: readonly (readonly [perUnit: string, forSetUp: string])[] })[];
  readonly resources: readonly Fields[];
}

function typedPlan({ plan, products, resources, totals = [] }: TypedPlan) {
  let planId = '';
  const { rows } = workshop({
    more: (book) => {
      planId = book.add('mixPlan', { name: 'Typed', ...plan });
      const resourceIds = resources.map((resource, position) =>
        book.add('mixResource', { planId, position, name: `R${position}`, ...resource }),
      );
      const productIds = products.map(({ uses, ...product }, position) => {
        const mixProductId = book.add('mixProduct', { planId, position, name: `P${position}`, ...product });
        uses.forEach(([perUnit, forSetUp], at) =>
          book.add('mixUse', { resourceId: resourceIds[at] ?? '', mixProductId, perUnit, forSetUp }),
        );
        return mixProductId;
      });
      totals.forEach(({ sides, ...total }, position) => {
        const totalId = book.add('mixTotal', { planId, position, name: `T${position}`, ...total });
        sides.forEach((side, at) => {
          const mixProductId = productIds[at];
          if (side !== null && mixProductId !== undefined) book.add('mixTotalProduct', { totalId, mixProductId, side });
        });
      });
    },
  });
  return { planId, evaluation: evaluated(rows) };
}

/** Decimals of any size between a millionth and a milliard. */
const sizes = fc
  .tuple(fc.integer({ min: 1, max: 999 }), fc.integer({ min: -6, max: 6 }))
  .map(([digits, power]) => decimal(String(digits)).mul(decimal('10').pow(power)).toFixed());

describe('solver and figures', () => {
  it('agree about extra that is cheaper than the normal price: it is used first', () => {
    const { planId, evaluation } = typedPlan({
      plan: { goal: 'profit after set-up' },
      products: [{ contribution: '5', quantity: '3', uses: [['1', '0']] }],
      resources: [{ available: '10', extra: '4', extraPrice: '6', normalPrice: '8' }],
    });
    const view = VIEWS.mix(evaluation, planId);
    // 3 h are had as extra, each for 2 less: 15 + 6.
    expect([view.outcome.goal.amount, view.resources[0]?.extraUsed?.amount, view.resources[0]?.left.amount]).toEqual([
      '21',
      '3',
      '10',
    ]);
    const { goal } = solveMix(highs, VIEWS.mixModel(evaluation, planId).model);
    expect(goal).toBeCloseTo(14 * 5 + 4 * 2, 6);
  });

  it('agree about differences, shares of all and fixed costs, of 60 random plans', () => {
    const tenths = fc.integer({ min: 0, max: 300 }).map((each) => (each / 10).toFixed(1));
    const product = fc.record({
      contribution: tenths,
      uses: fc.array(fc.tuple(tenths, fc.constant('0')), { minLength: 2, maxLength: 2 }),
      maximum: fc.integer({ min: 0, max: 60 }).map(String),
      countedIn: fc.constantFrom('any amount', 'whole units'),
    });
    const total = fc.record({
      rule: fc.constantFrom('at most', 'at least', 'exactly'),
      measure: fc.constantFrom('units', 'difference', 'share of all'),
      units: fc.constantFrom('0', '1', '12.5', '40', '100'),
      sides: fc.array(fc.constantFrom('counted', 'against', null), { minLength: 4, maxLength: 4 }),
    });
    let fitting = 0;
    fc.assert(
      fc.property(
        fc.array(product, { minLength: 1, maxLength: 4 }),
        fc.array(total, { minLength: 1, maxLength: 3 }),
        tenths,
        (products, totals, available) => {
          const { planId, evaluation } = typedPlan({
            plan: { goal: 'operating profit' },
            products,
            totals,
            resources: [{ available }, { available: '90' }],
          });
          const { model } = VIEWS.mixModel(evaluation, planId);
          const { status, goal, quantities } = solveMix(highs, model);
          if (status !== 'best') return;
          fitting += 1;
          const asked = quantitiesOfPlan(VIEWS.mix(evaluation, planId).slots, model, quantities);
          const { outcome, fits } = VIEWS.mixOutcome(evaluation, `${planId}@${asked.join('|')}`);
          expect(fits).toBe(true);
          expect(outcome.fixedCosts.amount).toBe('500');
          expect(Number(outcome.goal.amount)).toBeCloseTo(goal, 3);
        },
      ),
      { numRuns: 60 },
    );
    expect(fitting).toBeGreaterThan(10);
  });

  it('say of a difference and of a share what they come to, and when they break', () => {
    const of = (total: Fields, sides: readonly (string | null)[]) => {
      const { planId, evaluation } = typedPlan({
        plan: {},
        products: ['30', '20', '50'].map((quantity) => ({ contribution: '1', quantity, uses: [] })),
        resources: [],
        totals: [{ ...total, sides }],
      });
      const [shown] = VIEWS.mix(evaluation, planId).totals;
      return [shown?.units.amount, shown?.limit.amount, shown?.isBroken];
    };
    // 30 cups less 20 saucers.
    const difference = { measure: 'difference', units: '0' };
    expect(of({ ...difference, rule: 'at least' }, ['counted', 'against', null])).toEqual(['10', '0', false]);
    expect(of({ ...difference, rule: 'exactly' }, ['counted', 'against', null])).toEqual(['10', '0', true]);
    expect(of({ ...difference, rule: 'at least' }, ['against', 'counted', null])).toEqual(['-10', '0', true]);
    // 30 of 100.
    const share = { measure: 'share of all', rule: 'at most' };
    expect(of({ ...share, units: '40' }, ['counted', null, null])).toEqual(['30', '40', false]);
    expect(of({ ...share, units: '25' }, ['counted', null, null])).toEqual(['30', '25', true]);
  });

  it('tell the same goal within a cent, or a millionth of it, of 60 random plans of any size', () => {
    const products = fc.array(
      fc.record({
        contribution: sizes,
        uses: fc.array(fc.tuple(fc.oneof(sizes, fc.constant('0')), fc.constantFrom('0', '0', '3')), {
          minLength: 2,
          maxLength: 2,
        }),
        maximum: fc.option(sizes),
        setUpCost: fc.option(fc.constantFrom('0', '12.5'), { freq: 2 }),
        countedIn: fc.constantFrom('any amount', 'any amount', 'whole units'),
      }),
      { minLength: 1, maxLength: 5 },
    );
    const resources = fc.array(
      fc.record({
        available: sizes,
        extra: fc.constantFrom('0', '4'),
        extraPrice: fc.constantFrom('0.5', '3'),
        normalPrice: fc.constantFrom('0', '1.25'),
      }),
      { minLength: 2, maxLength: 2 },
    );
    const goals = fc.constantFrom('contribution', 'profit after set-up', 'units');
    fc.assert(
      fc.property(products, resources, goals, (drawn, limits, goal) => {
        const { planId, evaluation } = typedPlan({ plan: { goal }, products: drawn, resources: limits });
        const { model } = VIEWS.mixModel(evaluation, planId);
        const found = solveMix(highs, model);
        if (found.status !== 'best') return;
        const quantities = quantitiesOfPlan(VIEWS.mix(evaluation, planId).slots, model, found.quantities);
        const { outcome } = VIEWS.mixOutcome(evaluation, `${planId}@${quantities.join('|')}`);
        const figured = Number(outcome.goal.amount);
        expect(Math.abs(figured - found.goal)).toBeLessThanOrEqual(Math.max(0.01, Math.abs(figured) * 1e-6));
      }),
      { numRuns: 60 },
    );
  });
});

describe('a mix from a table', () => {
  it('is read with its own columns, its resources and what there is of them', () => {
    const table = [
      ['Product', 'Contribution', 'Oven, h', 'At most', 'Hands'],
      ['Bread', '6', '2', '', '3'],
      ['Cake', '10,5', '4', '90', 'two'],
      ['Available', '', '400', '', '360'],
    ];
    expect(readMixTable(table, ',')).toEqual({
      products: [
        { name: 'Bread', fields: { contribution: '6' }, uses: ['2', '3'] },
        { name: 'Cake', fields: { contribution: '10.5', maximum: '90' }, uses: ['4', null] },
      ],
      resources: [
        { name: 'Oven, h', available: '400' },
        { name: 'Hands', available: '360' },
      ],
      refused: ['Row 3, Hands: "two" is no number.'],
    });
  });

  it('never breaks, whatever stands in it', () => {
    fc.assert(
      fc.property(fc.array(fc.array(fc.string(), { maxLength: 5 }), { maxLength: 6 }), (cells) => {
        const { products, resources } = readMixTable(cells, '.');
        for (const { uses } of products) expect(uses).toHaveLength(resources.length);
      }),
    );
  });
});
