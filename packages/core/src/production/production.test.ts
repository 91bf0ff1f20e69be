import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { evaluate } from '../evaluate/index.js';
import { amount, DAY, evaluated, rowsOf, workshop } from '../testing/evaluated.js';

const cost = (setUp: ReturnType<typeof workshop>, figure = 'primeCost') =>
  Number(amount(evaluated(setUp.rows), `product/${setUp.product}/${figure}`));

describe('cost of a product', () => {
  // Worked by hand: 12 started at 75 % yield are 9 good; 12 x 0.5 kg / (1 - 20 %) = 7.5 kg at 4.00 = 30.00; 3 h at 20 x 1.25 / 0.8 = 31.25.
  it('spreads a batch over its good units, with losses taken from the input', () => {
    const setUp = workshop({
      product: { batchSize: '12', yieldPercent: '75' },
      billLine: { lossPercent: '20' },
      labourGrade: { onCostPercent: '25', productivePercent: '80' },
    });
    const evaluation = evaluated(setUp.rows);
    expect(amount(evaluation, `product/${setUp.product}/materialsPerBatch`)).toBe('30');
    expect(amount(evaluation, `product/${setUp.product}/labourPerBatch`)).toBe('93.75');
    expect(amount(evaluation, `product/${setUp.product}/primeCost`)).toBe('13.75');
    expect(amount(evaluation, `cardSubtotals/${setUp.product}/withoutLabour`)).toBe(
      amount(evaluation, `product/${setUp.product}/directMaterials`),
    );
  });

  it('keeps the elements apart through components, in any unit that fits', () => {
    let bar = '';
    const rows = rowsOf((book) => {
      book.add('settings', { name: 'Sweets' });
      const sugar = book.add('material', { name: 'Sugar', baseUnit: 'kg' });
      book.add('supplierPrice', {
        materialId: sugar,
        packQuantity: '1',
        packUnit: 'lb',
        price: '0.45359237',
        currency: 'EUR',
        validFrom: '2026-01-01',
      });
      const wrapper = book.add('material', { name: 'Wrapper', kind: 'packaging', baseUnit: 'each' });
      book.add('supplierPrice', {
        materialId: wrapper,
        packQuantity: '1',
        packUnit: 'dozen',
        price: '1.20',
        currency: 'EUR',
        validFrom: '2026-01-01',
      });
      const gradeId = book.add('labourGrade', { name: 'Cook', wagePerHour: '18' });
      const caramel = book.add('product', { name: 'Caramel', outputUnit: 'kg', batchSize: '4', yieldPercent: '125' });
      book.add('billLine', { productId: caramel, materialId: sugar, quantity: '3', unit: 'kg', basis: 'batch' });
      book.add('labourStep', {
        productId: caramel,
        name: 'Boil',
        gradeId,
        timeBasis: 'minutes per batch',
        time: '50',
        people: '2',
      });
      bar = book.add('product', { name: 'Bar' });
      book.add('plannedVolume', { productId: bar, unitsPerMonth: '10' });
      book.add('billLine', { productId: bar, componentId: caramel, quantity: '80', unit: 'g' });
      book.add('billLine', { productId: bar, materialId: wrapper, quantity: '1', unit: 'each', basis: 'good unit' });
      book.add('otherCost', { productId: bar, name: 'Licence', amount: '0.05' });
    });
    const evaluation = evaluated(rows);
    // Caramel: 3 kg at 1.00 and 2 x 50 min at 18.00 = 30.00 make 5 kg: 0.60 and 6.00 a kg. A bar takes 0.08 kg of it.
    const figure = (name: string) => amount(evaluation, `product/${bar}/${name}`);
    expect(['materials', 'packaging', 'labour', 'other', 'primeCost'].map(figure)).toEqual([
      '0.048',
      '0.1',
      '0.48',
      '0.05',
      '0.678',
    ]);
    expect(Number(amount(evaluation, `labourHours/${bar}/perUnit`))).toBeCloseTo(0.08 / 3, 15);
  });

  it('never falls when a price rises, and moves by quantity times change', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 9999 }),
        fc.integer({ min: 0, max: 9999 }),
        fc.integer({ min: 1, max: 99 }),
        (one, other, loss) => {
          const at = (price: number) =>
            cost(workshop({ supplierPrice: { price: String(price) }, billLine: { lossPercent: String(loss) } }));
          const perUnit = 0.5 / (1 - loss / 100) / 10;
          expect(at(other) - at(one)).toBeCloseTo((other - one) * perUnit, 6);
        },
      ),
      { numRuns: 40 },
    );
  });

  it('is the same by the batch as by the piece where nothing is lost and nothing is per batch', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 500 }), (batchSize) => {
        expect(cost(workshop({ product: { batchSize: String(batchSize) } }))).toBeCloseTo(cost(workshop()), 12);
      }),
      { numRuns: 20 },
    );
  });

  it('says what is missing: a price, a quantity, a way between units, a wage, everything', () => {
    const gaps = (fields: Parameters<typeof workshop>[0]) => {
      const setUp = workshop(fields);
      const figure = evaluated(setUp.rows).figure(`product/${setUp.product}/primeCost`);
      return [figure?.amount?.toFixed() ?? null, ...(figure?.gaps.map((each) => each.code) ?? [])];
    };
    expect(gaps({ supplierPrice: { price: null } })).toEqual(['5', 'no-price']);
    expect(gaps({ supplierPrice: { currency: 'USD' } })).toEqual(['5', 'no-exchange-rate']);
    expect(gaps({ supplierPrice: { validFrom: '2027-01-01' } })).toEqual(['5', 'no-price']);
    expect(gaps({ billLine: { quantity: null } })).toEqual(['5', 'no-quantity']);
    expect(gaps({ billLine: { unit: 'l' } })).toEqual(['5', 'no-conversion']);
    expect(gaps({ labourGrade: { wagePerHour: null } })).toEqual(['2', 'no-wage']);
    const empty = rowsOf((book) => {
      book.add('settings', { name: 'Empty' });
      book.add('product', { name: 'Nothing' });
    });
    const id = empty.all('product')[0]?.id ?? '';
    expect(evaluated(empty).figure(`product/${id}/primeCost`)?.gaps[0]?.code).toBe('nothing-in-it');
  });

  it('explains a loop on its members, and works out the rest', () => {
    const { rows, product } = workshop();
    const line = rows.all('billLine')[0];
    const byKind = Object.fromEntries(
      (['settings', 'material', 'supplierPrice', 'labourGrade', 'product', 'labourStep', 'billLine'] as const).map(
        (kind) => [kind, rows.all(kind)],
      ),
    );
    const other = { ...rows.all('product')[0], id: '0192f000-0000-7000-8000-0000000000ff', name: 'Free', version: 1 };
    const own = {
      ...line,
      id: '0192f000-0000-7000-8000-0000000000fe',
      materialId: null,
      componentId: product,
      unit: 'each',
      quantity: '1',
    };
    const free = { ...line, id: '0192f000-0000-7000-8000-0000000000fd', productId: other.id };
    const looped = evaluate(
      { ...byKind, product: [...rows.all('product'), other], billLine: [line, own, free] } as never,
      DAY,
    );
    expect(looped.figure(`product/${product}/primeCost`)?.gaps[0]?.code).toBe('component-loop');
    expect(amount(looped, `product/${other.id}/primeCost`)).toBe('2');
  });
});
