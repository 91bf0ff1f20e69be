import { fieldValue, type Kind, type RowOf, rowsByKind, type Override } from '@nuvar/book';
import type { BookBuilder } from '@nuvar/book/demo';
import { describe, expect, it } from 'vitest';
import { evaluate } from '../evaluate/index.js';
import { decimal } from '../number/index.js';
import type { Evaluation } from '../sheet/index.js';
import { amount, DAY, demoRows, evaluated, rowsOf } from '../testing/evaluated.js';
import { VIEWS } from '../views/index.js';
import fc from 'fast-check';

type Fields = Record<string, unknown>;

const priced = (book: BookBuilder, name: string, price: string, fields: Fields = {}, more: Fields = {}) => {
  const materialId = book.add('material', { name, baseUnit: 'kg', ...fields });
  book.add('supplierPrice', {
    materialId,
    packQuantity: '1',
    packUnit: 'kg',
    price,
    currency: 'EUR',
    validFrom: '2026-01-01',
    ...more,
  });
  return materialId;
};

/** A pottery with one pot: clay per started unit, glaze per batch, a label per good one, work with set-up, a kiln, scrap. */
function pottery(fields: Partial<Record<Kind, Fields>> = {}) {
  const ids: Record<string, string> = {};
  const rows = rowsOf((book) => {
    const add = (name: string, kind: Kind, usual: Fields) =>
      (ids[name] = book.add(kind, { ...usual, ...fields[kind] }));
    add('settings', 'settings', { name: 'Pottery', electricityPerKilowattHour: '0.30', openDaysPerMonth: '20' });
    const clay = priced(book, 'Clay', '2');
    const glaze = priced(book, 'Glaze', '5');
    const label = priced(book, 'Label', '0.10', { kind: 'packaging', baseUnit: 'each' }, { packUnit: 'each' });
    const gradeId = book.add('labourGrade', { name: 'Potter', wagePerHour: '24' });
    const owner = book.add('labourGrade', { name: 'Owner', wagePerHour: '30', ownersTime: true });
    const kiln = add('kiln', 'equipment', {
      name: 'Kiln',
      powerKilowatts: '20',
      loadPercent: '50',
      purchasePrice: '9000',
      residualValue: '1000',
      lifeHours: '10000',
      upkeepPerHour: '0.20',
    });
    const runId = add('run', 'equipmentRun', {
      name: 'Firing',
      equipmentId: kiln,
      hoursPerRun: '10',
      space: '80',
      filledPercent: '80',
    });
    const productId = add('pot', 'product', {
      name: 'Pot',
      batchSize: '40',
      yieldPercent: '80',
    });
    book.add('plannedVolume', { productId, unitsPerMonth: '100' });
    book.add('billLine', { productId, materialId: clay, quantity: '0.9', unit: 'kg', lossPercent: '10' });
    book.add('billLine', { productId, position: 1, materialId: glaze, quantity: '2', unit: 'kg', basis: 'batch' });
    book.add('billLine', {
      productId,
      position: 2,
      materialId: label,
      quantity: '1',
      unit: 'each',
      basis: 'good unit',
    });
    book.add('labourStep', { productId, name: 'Throw', gradeId, time: '5', setUpMinutes: '30' });
    book.add('labourStep', {
      productId,
      position: 1,
      name: 'Load',
      gradeId: owner,
      timeBasis: 'minutes per batch',
      time: '40',
    });
    book.add('equipmentUse', { productId, runId, basis: 'space per unit', amount: '2' });
    book.add('otherCost', { productId, name: 'Licence', amount: '0.25', basis: 'unit' });
    book.add('runningCost', { name: 'Rent', amount: '600' });
    const poolId = book.add('costPool', { name: 'Office', use: 'non-production' });
    book.add('runningCost', { name: 'Accountant', amount: '240', poolId });
  });
  const evaluation = evaluated(rows);
  return { ids, rows, evaluation, of: (key: string) => amount(evaluation, key.replace('pot', ids.pot as string)) };
}

const at = (evaluation: Evaluation, key: string, overrides: readonly Override[] = []) =>
  evaluation.fork(overrides).figure(key)?.amount ?? decimal('NaN');

describe('equipment', () => {
  it('costs energy, wear and upkeep an hour, each where it is filled in', () => {
    const { ids, of } = pottery();
    // 20 kW x 50 % x 0.30 = 3.00; (9,000 - 1,000) / 10,000 h = 0.80; upkeep 0.20.
    expect(of(`equipment/${ids.kiln}/perHour`)).toBe('4');
    const bare = pottery({ equipment: { powerKilowatts: null, upkeepPerHour: null } });
    expect(bare.of(`equipment/${bare.ids.kiln}/perHour`)).toBe('0.8');
    const nothing = { powerKilowatts: null, upkeepPerHour: null, lifeHours: null, purchasePrice: null };
    const unsaid = pottery({ equipment: nothing });
    expect(unsaid.of(`equipment/${unsaid.ids.kiln}/perHour`)).toBe('no-equipment-cost');
    const dark = pottery({ settings: { electricityPerKilowattHour: null } });
    expect(dark.evaluation.figure(`equipment/${dark.ids.kiln}/perHour`)?.gaps[0]?.code).toBe('no-tariff');
    expect(
      ['energyPerHour', 'wearPerHour', 'upkeepPerHour'].map((part) => of(`equipment/${ids.kiln}/${part}`)),
    ).toEqual(['3', '0.8', '0.2']);
  });

  it.each([
    [{ lifeHours: null }, 'no-life'],
    [{ purchasePrice: null }, 'no-purchase-price'],
    [{ residualValue: '9001' }, 'residual-above-price'],
  ])('of which wear is only half stated, or absurd, has a gap: %o is %s', (equipment, code) => {
    const { ids, evaluation } = pottery({ equipment });
    const rate = evaluation.figure(`equipment/${ids.kiln}/perHour`);
    // Energy 3.00 and upkeep 0.20 are known.
    expect([rate?.amount?.toFixed(), rate?.gaps.map((gap) => gap.code)]).toEqual(['3.2', [code]]);
  });

  it('is shared by the space that each takes; empty space is carried, or shown as idle', () => {
    const carried = pottery();
    // A firing is 10 h x 4.00 = 40.00 over 64 filled places of 80.
    expect(carried.of(`equipmentRun/${carried.ids.run}/perPlace`)).toBe('0.625');
    expect(carried.of(`equipmentRun/${carried.ids.run}/idlePerRun`)).toBe('0');
    // 40 pots of 2 places each = 50.00 a batch, over 32 good ones.
    expect(carried.of('product/pot/equipment')).toBe('1.5625');
    const idle = pottery({ equipmentRun: { emptySpace: 'shown as idle' } });
    expect(idle.of(`equipmentRun/${idle.ids.run}/perPlace`)).toBe('0.5');
    expect(idle.of(`equipmentRun/${idle.ids.run}/idlePerRun`)).toBe('8');
  });
});

describe('a cost card', () => {
  it('goes from direct materials over prime and production cost to full cost', () => {
    const { of } = pottery();
    // Clay 0.9 / 0.9 = 1 kg x 40 x 2.00 = 80.00 and glaze 10.00 over 32 good pots; a label each.
    expect(of('product/pot/directMaterials')).toBe('2.9125');
    // (0.5 h + 40 x 5 / 60 h) x 24 = 92.00 and 40 / 60 x 30 = 20.00, over 32 = 3.50; the licence 0.25.
    expect(of('product/pot/labour')).toBe('3.5');
    expect(of('ownersLabour/pot/perUnit')).toBe('0.625');
    expect(of('product/pot/primeCost')).toBe('6.6625');
    expect(of('product/pot/variableCost')).toBe('8.225');
    // 4.5 h a batch over 32 pots; 100 pots take 14.0625 h, so that 600 and 240 a month are 6.00 and 2.40 a pot.
    expect(of('overheadOnCard/pot/productionCost')).toBe('14.225');
    expect(of('fullCost/pot/fullCost')).toBe('16.625');
    expect(of('overheadOnCard/pot/withoutOwnersTime')).toBe('16');
    expect(of('overheadOnCard/pot/fullCostPerBatch')).toBe('532');
  });

  it('takes scrap that is won back off the materials', () => {
    const { rows, ids } = pottery();
    const scrap = { id: '0192f000-0000-7000-8000-00000000ffff', productId: ids.pot, position: 0, name: 'Trimmings' };
    const row = { ...scrap, quantity: '8', unit: 'kg', worth: '0.40', version: 1 };
    const evaluation = evaluate({ ...rowsByKind(rows), recoveredScrap: [row as never] }, DAY);
    expect(amount(evaluation, `product/${ids.pot}/materialsPerBatch`)).toBe('86.8');
  });

  it('of a quick product is what was typed, and asks for the hours of its labour', () => {
    const typed = (hours: string | null) =>
      evaluated(
        rowsOf((book) => {
          book.add('settings', { name: 'Quick' });
          book.add('runningCost', { name: 'Rent', amount: '100' });
          const productId = book.add('product', { name: 'Thing', costing: 'typed totals' });
          book.add('plannedVolume', { productId, unitsPerMonth: '10' });
          book.add('typedCost', { productId, element: 'materials', amount: '3' });
          book.add('typedCost', { productId, element: 'labour', amount: '4', hours });
        }),
      );
    const [whole, open] = [typed('0.5'), typed(null)];
    const id = whole.sheet.all('product')[0]?.id ?? '';
    expect(amount(whole, `product/${id}/primeCost`)).toBe('7');
    expect(amount(whole, `fullCost/${id}/fullCost`)).toBe('17');
    expect(open.figure(`fullCost/${id}/fullCost`)?.gaps[0]?.code).toBe('no-typed-hours');
  });
});

describe('losses', () => {
  it('cost what the unit costs more than at no loss and full yield, lines first and yield after them', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 60 }), fc.integer({ min: 20, max: 100 }), (loss, yielded) => {
        const { ids, rows, evaluation } = pottery({ product: { yieldPercent: String(yielded) } });
        const line = rows.all('billLine')[0]?.id ?? '';
        const product = (field: string, value: string): Override => ({
          kind: 'product',
          id: ids.pot as string,
          field,
          how: 'set',
          value,
        });
        const lost = (value: string): Override => ({
          kind: 'billLine',
          id: line,
          field: 'lossPercent',
          how: 'set',
          value,
        });
        const key = `product/${ids.pot}/variableCost`;
        const withLoss = [lost(String(loss))];
        const [cost, noLoss, neither] = [
          at(evaluation, key, withLoss),
          at(evaluation, key, [lost('0')]),
          at(evaluation, key, [lost('0'), product('yieldPercent', '100')]),
        ];
        const of = (name: string) => at(evaluation, `lossCost/${ids.pot}/${name}`, withLoss);
        expect(of('lineLoss').minus(cost.minus(noLoss)).abs().lt('1e-20')).toBe(true);
        expect(of('yieldLoss').minus(noLoss.minus(neither)).abs().lt('1e-20')).toBe(true);
        expect(of('total').minus(cost.minus(neither)).abs().lt('1e-20')).toBe(true);
      }),
      { numRuns: 60 },
    );
  });
});

describe('a batch size', () => {
  it('that is compared costs what the product would cost in such batches', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 400 }), (size) => {
        const { ids, rows } = pottery({ settings: { name: 'Pottery', normalLabourHoursPerMonth: '160' } });
        const candidate = { id: ids.run, productId: ids.pot, position: 0, batchSize: String(size), version: 1 };
        // Overhead that is not for production is shared over the plan, which would move with the batches.
        const runningCost = rows.all('runningCost').filter(({ poolId }) => poolId === null);
        const evaluation = evaluate({ ...rowsByKind(rows), runningCost, candidateBatch: [candidate as never] }, DAY);
        const really: Override = {
          kind: 'product',
          id: ids.pot as string,
          field: 'batchSize',
          how: 'set',
          value: String(size),
        };
        for (const [name, key] of [
          ['variableCost', `product/${ids.pot}/variableCost`],
          ['fullCost', `fullCost/${ids.pot}/fullCost`],
        ] as const) {
          const compared = at(evaluation, `candidateBatch/${ids.run}/${name}`);
          expect(
            compared
              .minus(at(evaluation, key, [really]))
              .abs()
              .lt('1e-20'),
          ).toBe(true);
        }
      }),
      { numRuns: 40 },
    );
  });
});

describe('a frozen card', () => {
  const frozen = () => {
    const { ids, rows, evaluation } = pottery();
    const { lines, missing } = VIEWS.freezable(evaluation, ids.pot as string);
    expect(missing).toEqual([]);
    const card = { id: ids.run, productId: ids.pot, name: 'Spring', frozenOn: DAY, version: 1 };
    const frozenLine = lines.map((line, position) => ({
      id: `0192f000-0000-7000-8000-0000000f00${String(position).padStart(2, '0')}`,
      version: 1,
      frozenCardId: ids.run,
      position,
      currency: 'EUR',
      ...line,
    }));
    const all = { ...rowsByKind(rows), frozenCard: [card as never], frozenLine: frozenLine as never };
    return { ids, rows, later: evaluate(all, DAY) };
  };

  it('holds the full cost of its day, and nothing has moved on it', () => {
    const { ids, later } = frozen();
    const view = VIEWS.frozen(later, ids.run as string);
    expect(Number(view.before.amount)).toBeCloseTo(16.625, 10);
    expect(view.lines.filter(({ hasMoved }) => hasMoved)).toEqual([]);
  });

  it('tells price from quantity: the effects of all lines sum to the difference', () => {
    const { ids, rows, later } = frozen();
    const line = rows.all('billLine')[0];
    const overrides: Override[] = [
      { kind: 'supplierPrice', id: rows.all('supplierPrice')[0]?.id ?? '', field: 'price', how: 'set', value: '2.50' },
      { kind: 'billLine', id: line?.id ?? '', field: 'quantity', how: 'set', value: '1.08' },
    ];
    const view = VIEWS.frozen(later.fork(overrides), ids.run as string);
    const clay = view.lines.find(({ label }) => label === 'Clay');
    // Then 1.25 kg a good pot at 2.00, now 1.5 kg at 2.50: 0.25 x 2.00 = 0.50 and 1.5 x 0.50 = 0.75.
    expect([Number(clay?.quantityEffect.amount), Number(clay?.priceEffect.amount)]).toEqual([0.5, 0.75]);
    const effects = view.lines.map((each) =>
      decimal(each.quantityEffect.amount ?? 'NaN').plus(each.priceEffect.amount ?? 'NaN'),
    );
    const sum = effects.reduce((total, effect) => total.plus(effect), decimal(0));
    expect(
      sum
        .minus(view.difference.amount ?? 'NaN')
        .abs()
        .lt('1e-20'),
    ).toBe(true);
    expect(Number(view.difference.amount)).toBeCloseTo(1.25, 10);
  });
});

describe('a component in a saved card', () => {
  const rows = demoRows();
  const card = rows.all('frozenCard')[0] as RowOf<'frozenCard'>;
  const evaluation = evaluated(rows);
  const line = VIEWS.frozen(evaluation, card.id).lines.find(({ label }) => label === 'Moss glaze');

  it('opens to what has changed inside one unit of it: what its price was then and is now', () => {
    const inside = VIEWS.frozen(evaluation, line?.inside ?? '');
    expect([inside.before.amount, inside.now.amount].map(Number)).toEqual(
      [line?.before?.price.amount, line?.now?.price.amount].map(
        (amount) => expect.closeTo(Number(amount), 9) as number,
      ),
    );
    const changed = inside.lines.filter(({ hasMoved }) => hasMoved).map(({ label }) => label);
    expect(changed).toEqual(['Copper carbonate', 'Studio helper']);
  });

  it('is saved with the card, however deep it goes, each component once', () => {
    const bundle = rows.all('product').find(({ kind }) => kind === 'bundle');
    const { lines } = VIEWS.freezable(evaluation, bundle?.id ?? '');
    const within = [...new Set(lines.map((each) => each.within))];
    const names = within.map((source) => rows.row('product', source.slice('product.'.length))?.name);
    expect(names).toEqual([undefined, 'Everyday mug', 'Moss glaze']);
    expect(lines.filter((each) => each.within !== '' && each.element === 'overhead')).toEqual([]);
  });
});

describe('one product against another', () => {
  const ids: Record<string, string> = {};
  const rows = rowsOf((book) => {
    book.add('settings', { name: 'Two products' });
    const clay = priced(book, 'Clay', '2');
    const gold = priced(book, 'Gold', '3');
    const gradeId = book.add('labourGrade', { name: 'Maker', wagePerHour: '30' });
    const make = (name: string, clayTaken: string, minutes: string, outputUnit = 'each') => {
      const productId = book.add('product', { name, outputUnit });
      book.add('billLine', { productId, materialId: clay, quantity: clayTaken, unit: 'kg' });
      book.add('labourStep', { productId, name: 'Throw', gradeId, time: minutes });
      return (ids[name] = productId);
    };
    make('Mug', '0.5', '12');
    const bowl = make('Bowl', '0.8', '9');
    book.add('billLine', { productId: bowl, position: 1, materialId: gold, quantity: '1', unit: 'kg' });
    make('Slab', '0.5', '10', 'kg');
  });
  const against = (one: string, other: string) => VIEWS.against(evaluated(rows), `${ids[one]}@${ids[other]}`);

  it('says what makes the difference, the most first: 9.10 a bowl against 7.00 a mug', () => {
    const view = against('Bowl', 'Mug');
    // By hand: 1 kg of gold at 3.00, 3 minutes less at 30.00 an hour, 0.3 kg more of clay at 2.00.
    expect(view.lines.filter(({ hasMoved }) => hasMoved).map(({ label, effect }) => [label, effect.amount])).toEqual([
      ['Gold', '3'],
      ['Maker', '-1.5'],
      ['Clay', '0.6'],
    ]);
    expect([view.now.amount, view.before.amount, view.difference.amount]).toEqual(['9.1', '7', '2.1']);
  });

  it('is the other way round the other way round, and nothing against itself', () => {
    expect(against('Mug', 'Bowl').difference.amount).toBe('-2.1');
    expect(against('Mug', 'Mug').lines.filter(({ hasMoved }) => hasMoved)).toEqual([]);
  });

  it('is a gap that says why where the two are counted in different units', () => {
    const view = against('Mug', 'Slab');
    expect([view.lines, view.difference.amount, view.difference.gaps[0]?.code]).toEqual([
      [],
      null,
      'other-output-unit',
    ]);
  });
});

describe('recipes inside recipes', () => {
  it('to five levels: each kilo takes half a kilo of the level below and half a kilo of salt at 1.00', () => {
    const ids: string[] = [];
    const rows = rowsOf((book) => {
      book.add('settings', { name: 'Deep' });
      const salt = priced(book, 'Salt', '1');
      const base = priced(book, 'Base', '9');
      for (let level = 0; level < 5; level += 1) {
        const productId = book.add('product', { name: `Level ${level + 1}`, outputUnit: 'kg' });
        const below = level === 0 ? { materialId: base } : { componentId: ids[level - 1] };
        book.add('billLine', { productId, ...below, quantity: '500', unit: 'g' });
        book.add('billLine', { productId, position: 1, materialId: salt, quantity: '0.5', unit: 'kg' });
        ids.push(productId);
      }
    });
    // By hand: 5, 3, 2, 1.5, 1.25.
    expect(ids.map((id) => amount(evaluated(rows), `product/${id}/primeCost`))).toEqual(['5', '3', '2', '1.5', '1.25']);
    expect(VIEWS.uses(evaluated(rows), ids[2] as string).inside.map(({ name, depth }) => `${depth} ${name}`)).toEqual([
      '1 Level 2',
      '2 Level 1',
      '3 Base',
      '3 Salt',
    ]);
    expect(VIEWS.uses(evaluated(rows), ids[0] as string).usedIn.map(({ isDirect }) => isDirect)).toEqual([
      true,
      false,
      false,
      false,
    ]);
  });

  const recipe = fc.array(fc.tuple(fc.integer({ min: 1, max: 900 }), fc.integer({ min: 1, max: 5000 })), {
    minLength: 1,
    maxLength: 6,
  });

  it('cost the same in whatever order the lines stand, and with a component written out by hand', () => {
    fc.assert(
      fc.property(recipe, fc.integer({ min: 1, max: 50 }), (lines, share) => {
        const costOf = (build: (book: BookBuilder, materials: string[]) => string) => {
          let id = '';
          const rows = rowsOf((book) => {
            book.add('settings', { name: 'Same' });
            id = build(
              book,
              lines.map(([, cents], index) => priced(book, `M${index}`, String(cents / 100))),
            );
          });
          return evaluated(rows).figure(`product/${id}/primeCost`)?.amount ?? decimal('NaN');
        };
        const bill = (book: BookBuilder, productId: string, materials: string[], factor = 1) =>
          lines.forEach(([grams], position) =>
            book.add('billLine', {
              productId,
              position,
              materialId: materials[position],
              quantity: String(grams * factor),
              unit: 'g',
            }),
          );
        const nested = costOf((book, materials) => {
          const inner = book.add('product', { name: 'Inner' });
          bill(book, inner, materials);
          const outer = book.add('product', { name: 'Outer' });
          book.add('billLine', { productId: outer, componentId: inner, quantity: String(share), unit: 'each' });
          return outer;
        });
        const inlined = costOf((book, materials) => {
          const outer = book.add('product', { name: 'Outer' });
          bill(book, outer, materials, share);
          return outer;
        });
        const turned = costOf((book, materials) => {
          const outer = book.add('product', { name: 'Outer' });
          lines
            .map((line, index) => [line, index] as const)
            .reverse()
            .forEach(([[grams], index], position) =>
              book.add('billLine', {
                productId: outer,
                position,
                materialId: materials[index],
                quantity: String(grams * share),
                unit: 'g',
              }),
            );
          return outer;
        });
        expect(nested.minus(inlined).abs().lt('1e-20')).toBe(true);
        expect(turned.minus(inlined).abs().lt('1e-20')).toBe(true);
      }),
      { numRuns: 60 },
    );
  });

  it('move by quantity x change when a price moves', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 2000 }), (cents) => {
        const { ids, rows, evaluation } = pottery();
        const price = rows.all('supplierPrice')[0];
        const override: Override = {
          kind: 'supplierPrice',
          id: price?.id ?? '',
          field: 'price',
          how: 'set',
          value: String(cents / 100),
        };
        const key = `product/${ids.pot}/variableCost`;
        const moved = at(evaluation, key, [override]).minus(at(evaluation, key));
        // 40 kg of clay over 32 good pots.
        expect(moved.minus(decimal(cents).div(100).minus(2).mul('1.25')).abs().lt('1e-20')).toBe(true);
        expect(fieldValue(evaluation.sheet.row('supplierPrice', price?.id ?? '') ?? {}, 'price')).toBe('2');
      }),
      { numRuns: 40 },
    );
  });
});

describe('what a material costs', () => {
  it('is quoted in another currency and costs the rate of today, with what it takes to get it here and a buffer', () => {
    let id = '';
    const rows = rowsOf((book) => {
      book.add('settings', { name: 'Abroad' });
      for (const [validFrom, rate] of [
        ['2026-01-01', '0.90'],
        ['2026-06-01', '0.95'],
      ] as const)
        book.add('exchangeRate', { currency: 'USD', validFrom, rate });
      const usd = { currency: 'USD', packQuantity: '10', validFrom: '2026-05-31' };
      id = priced(book, 'Cane', '20', { landedAddOn: '10', bufferPercent: '5' }, usd);
    });
    const evaluation = evaluated(rows);
    // 20 USD x 0.95 / 10 kg = 1.90; + 10 % = 2.09; + 5 % = 2.1945.
    expect(amount(evaluation, `materialPrice/${id}/perBaseUnit`)).toBe('2.1945');
    expect(amount(evaluation, `materialPrice/${id}/landed`)).toBe('0.1995');
    // On a day before the second rate the first is that of the day.
    expect(amount(evaluated(rows, '2026-05-31'), `materialPrice/${id}/perBaseUnit`)).toBe('2.079');
    const early = evaluate({ ...rowsByKind(rows), exchangeRate: [] }, DAY);
    expect(early.figure(`materialPrice/${id}/perBaseUnit`)?.gaps[0]?.values).toMatchObject({
      currency: 'USD',
      day: '25/11/2026',
    });
  });

  it('is averaged by what was ordered where that is known, and set by hand from a day', () => {
    let id = '';
    const rows = rowsOf((book) => {
      book.add('settings', { name: 'Averages', planningBasis: 'average' });
      id = priced(book, 'Flour', '1', {}, { orderedPacks: '30' });
      book.add('supplierPrice', {
        materialId: id,
        packQuantity: '1',
        packUnit: 'kg',
        price: '2',
        currency: 'EUR',
        validFrom: '2026-06-01',
        orderedPacks: '10',
      });
      book.add('standardPrice', { materialId: id, validFrom: '2026-03-01', price: '1.10' });
      book.add('standardPrice', { materialId: id, validFrom: '2027-01-01', price: '9' });
    });
    const evaluation = evaluated(rows);
    // (30 x 1 + 10 x 2) / 40.
    expect(amount(evaluation, `materialPrice/${id}/perBaseUnit`)).toBe('1.25');
    const standard: Override = { kind: 'material', id, field: 'planningBasis', how: 'set', value: 'standard' };
    expect(at(evaluation, `materialPrice/${id}/perBaseUnit`, [standard]).toFixed()).toBe('1.1');
  });
});
