import type { Kind } from '@nuvar/book';
import type { BookBuilder } from '@nuvar/book/demo';
import { describe, expect, it } from 'vitest';
import { amount, evaluated, rowsOf, workshop } from '../testing/evaluated.js';

type Fields = Record<string, unknown>;

/** A product with some rows of its own, at 1.00 a kilo of stuff and 12.00 a productive hour. */
function product(fields: Fields, build: (add: (kind: Kind, of: Fields) => string, ids: Fields) => void) {
  let productId = '';
  const rows = rowsOf((book: BookBuilder) => {
    book.add('settings', { name: 'Workshop', electricityPerKilowattHour: '0.50' });
    const materialId = book.add('material', { name: 'Stuff', baseUnit: 'kg' });
    const pack = { packQuantity: '1', packUnit: 'kg', currency: 'EUR', validFrom: '2026-01-01' };
    book.add('supplierPrice', { materialId, price: '1', ...pack });
    const gradeId = book.add('labourGrade', { name: 'Maker', wagePerHour: '12' });
    productId = book.add('product', { name: 'Thing', ...fields });
    build((kind, of) => book.add(kind, { productId, ...of }), { materialId, gradeId, book });
  });
  const evaluation = evaluated(rows);
  const of = (key: string) => amount(evaluation, key.replace('thing', productId));
  return { productId, rows, evaluation, of };
}

describe('what is stated per good unit', () => {
  // 40 started at 75 % are 30 good: packing takes 6 minutes of each good one, 3 h at 12.00 = 36.00 a batch, 1.20 each.
  it('is work on those that come out good', () => {
    const { of } = product({ batchSize: '40', yieldPercent: '75' }, (add, { gradeId }) =>
      add('labourStep', { name: 'Pack', gradeId, timeBasis: 'minutes per good unit', time: '6' }),
    );
    expect(['product/thing/labourPerBatch', 'product/thing/labour', 'labourHours/thing/perUnit'].map(of)).toEqual([
      '36',
      '1.2',
      '0.1',
    ]);
    expect(of('lossCost/thing/yieldLoss')).toBe('0');
  });

  // 2 kW at 0.50: 1.00 an hour. 30 good at 10 minutes are 5 h.
  it('is time of a machine on those that come out good', () => {
    const { of } = product({ batchSize: '40', yieldPercent: '75' }, (add, { book }) => {
      const equipmentId = (book as BookBuilder).add('equipment', { name: 'Sealer', powerKilowatts: '2' });
      add('equipmentUse', { equipmentId, basis: 'minutes per good unit', amount: '10' });
    });
    expect(of('product/thing/equipmentPerBatch')).toBe('5');
  });
});

describe('waste', () => {
  const wasted = (lossPercent: string, lossBasis: string) =>
    product({ batchSize: '10' }, (add, { materialId }) =>
      add('billLine', { materialId, quantity: '0.8', unit: 'kg', lossPercent, lossBasis }),
    );

  it('is a share of the input, or comes on top of the net quantity', () => {
    // 0.8 / 80 % = 1 kg; 0.8 x 120 % = 0.96 kg.
    expect(wasted('20', 'of the input').of('product/thing/materials')).toBe('1');
    expect(wasted('20', 'on top').of('product/thing/materials')).toBe('0.96');
    expect(wasted('150', 'on top').of('product/thing/materials')).toBe('2');
  });

  it('costs what is wasted, either way', () => {
    expect(wasted('20', 'of the input').of('lossCost/thing/lineLoss')).toBe('0.2');
    expect(wasted('20', 'on top').of('lossCost/thing/lineLoss')).toBe('0.16');
    expect(wasted('25', 'on top').of('lossCost/thing/lineLoss')).toBe(
      wasted('20', 'of the input').of('lossCost/thing/lineLoss'),
    );
  });
});

describe('other batch sizes', () => {
  it('recover the same scrap a batch, whatever its size', () => {
    // 10.00 less 2.00 of scrap a batch: 0.80 at 10, 0.40 at 20.
    let candidate = '';
    const { of } = product({ batchSize: '10' }, (add, { materialId }) => {
      add('billLine', { materialId, quantity: '10', unit: 'kg', basis: 'batch' });
      add('recoveredScrap', { name: 'Offcuts', quantity: '2', unit: 'kg', worth: '1' });
      candidate = add('candidateBatch', { batchSize: '20' });
    });
    expect([of('product/thing/variableCost'), of(`candidateBatch/${candidate}/variableCost`)]).toEqual(['0.8', '0.4']);
  });

  it('take the hours of a component once, where it is taken once a batch', () => {
    // A jig of 10 h is made for each batch: 1 h each at 10, 0.50 h at 20, and as much of a running cost of 100 over 100 h.
    let candidate = '';
    const { of } = product({ batchSize: '10' }, (add, { gradeId, book }) => {
      const builder = book as BookBuilder;
      const jig = builder.add('product', { name: 'Jig' });
      builder.add('labourStep', { productId: jig, name: 'Build', gradeId, time: '600' });
      builder.add('runningCost', { name: 'Rent', amount: '100' });
      add('billLine', { componentId: jig, quantity: '1', unit: 'each', basis: 'batch' });
      candidate = add('candidateBatch', { batchSize: '20' });
    });
    expect(of('labourHours/thing/perUnit')).toBe('1');
    expect(of('batchParts/thing/hoursPerBatch')).toBe('10');
    expect(of('batchParts/thing/hoursPerUnit')).toBe('0');
    expect(of(`candidateBatch/${candidate}/variableCost`)).toBe('6');
  });
});

describe('levels of components', () => {
  const chained = (levels: number) => {
    const ids: string[] = [];
    const file = (book: BookBuilder) => {
      book.add('settings', { name: 'Chain' });
      const materialId = book.add('material', { name: 'Stuff', baseUnit: 'kg' });
      const pack = { packQuantity: '1', packUnit: 'kg', currency: 'EUR', validFrom: '2026-01-01' };
      book.add('supplierPrice', { materialId, price: '1', ...pack });
      for (let level = 1; level <= levels; level += 1) {
        const productId = book.add('product', { name: `Level ${level}` });
        const component = ids.at(-1);
        const item = component === undefined ? { materialId, unit: 'kg' } : { componentId: component, unit: 'each' };
        book.add('billLine', { productId, quantity: '1', ...item });
        ids.push(productId);
      }
    };
    return { ids, file };
  };

  it('are worked out to the hundredth', () => {
    const { ids, file } = chained(100);
    const rows = rowsOf(file);
    expect(amount(evaluated(rows), `product/${ids[99]}/variableCost`)).toBe('1');
  });

  it('above that are a gap, in a book of an older format; those below them have their cost', () => {
    const { ids, file } = chained(400);
    const rows = rowsOf(file, 1);
    const evaluation = evaluated(rows);
    expect(amount(evaluation, `product/${ids[99]}/variableCost`)).toBe('1');
    expect(amount(evaluation, `product/${ids[100]}/variableCost`)).toBe('too-many-levels');
    expect(amount(evaluation, `product/${ids[399]}/variableCost`)).toBe('too-many-levels');
    expect(amount(evaluation, `labourHours/${ids[399]}/perUnit`)).toBe('too-many-levels');
  });
});

describe('published examples', () => {
  // Drury, Management and Cost Accounting, process costing (Dartmouth Company): 12,000 litres for 120,000, of which a sixth
  // is lost normally. From memory, recomputed: 120,000 / 10,000 = 12; where the loss is sold at 5, (120,000 - 10,000) / 10,000 = 11.
  it.each([
    [null, 12],
    ['5', 11],
  ])('normal loss stays in the cost of what comes out, less its scrap value of %s', (worth, perLitre) => {
    const { of } = product({ outputUnit: 'l', batchSize: '12000', yieldPercent: '83.333333333333' }, (add) => {
      add('otherCost', { name: 'Process', amount: '120000', basis: 'batch' });
      if (worth !== null) add('recoveredScrap', { name: 'Lost litres', quantity: '2000', unit: 'l', worth });
    });
    expect(Number(of('product/thing/variableCost'))).toBeCloseTo(perLitre, 9);
  });

  // Horngren, Datar & Rajan, Cost Accounting, chapter 2 (Cellular Products, thousands): materials used 76, manufacturing
  // labour 9, manufacturing overhead 20. From memory, recomputed: prime costs 85, manufacturing costs 105.
  it('a statement of manufacturing costs goes from prime cost to production cost', () => {
    const { of } = product({ costing: 'typed totals' }, (add, { book }) => {
      add('plannedVolume', { unitsPerMonth: '1' });
      add('typedCost', { element: 'materials', amount: '76' });
      add('typedCost', { element: 'labour', amount: '9', hours: '1' });
      (book as BookBuilder).add('runningCost', { name: 'Manufacturing overhead', amount: '20' });
    });
    expect(of('product/thing/primeCost')).toBe('85');
    expect(of('overheadOnCard/thing/productionCost')).toBe('105');
  });

  // Common practice, no source: who is paid 52 weeks of 40 hours and makes something in 1,664 of the 2,080 costs the pay of
  // the year over the hours in which something is made. 2,080 x 18.00 x 125 % / 1,664 = 28.125.
  it('an hour in which something is made carries the pay of those in which nothing is', () => {
    const { rows } = workshop({ labourGrade: { wagePerHour: '18', onCostPercent: '25', productivePercent: '80' } });
    const grade = rows.all('labourGrade')[0]?.id;
    const evaluation = evaluated(rows);
    expect(amount(evaluation, `labourRate/${grade}/perHour`)).toBe('28.125');
    expect(amount(evaluation, `labourRate/${grade}/perPaidHour`)).toBe('22.5');
  });

  // Invented, recomputed by hand: 200 tiles for 910, 10 % normal loss at 0.50 a piece of scrap: (910 - 10) / 180 = 5.00.
  it('tiles cost 5.00 each, and not what the good ones of one batch happen to make of it', () => {
    const { of } = product({ batchSize: '200', yieldPercent: '90' }, (add) => {
      add('otherCost', { name: 'Batch', amount: '910', basis: 'batch' });
      add('recoveredScrap', { name: 'Broken tiles', quantity: '20', unit: 'each', worth: '0.50' });
    });
    expect(of('product/thing/variableCost')).toBe('5');
  });

  // Invented, recomputed by hand: 29,440 over 1,472 productive hours is 20.00; over the 1,840 paid ones it would be 16.00.
  it('running costs are shared over productive hours', () => {
    const { rows } = workshop({
      runningCost: { amount: '29440' },
      labourStep: { time: '60' },
      plannedVolume: { unitsPerMonth: '1472' },
      labourGrade: { productivePercent: '80' },
    });
    expect(amount(evaluated(rows), 'overheadLot/standard@production/rate')).toBe('20');
  });
});
