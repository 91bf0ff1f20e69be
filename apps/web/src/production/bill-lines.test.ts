import { newId, rowsByKind, type StoredRow } from '@nuvar/book';
import { beforeEach, describe, expect, it } from 'vitest';
import { model } from '../book/model.js';
import { createOf } from '../book/operations.js';
import { changed, figuresNow, named, openDemo } from '../testing/open-demo.js';
import { typed } from '../testing/typed.js';
import { billColumns } from './bill-columns.js';
import { billWriter, type Line } from './bill-writer.js';
import { itemsOf } from './line-items.js';

beforeEach(openDemo);

const billOf =
  (product: StoredRow<'product'>, locale = 'en-GB') =>
  () => {
    const items = itemsOf(product.id, model.rows.all('material'), model.rows.all('product'));
    const columns = billColumns(items, product, locale, 'EUR');
    return { columns, writer: billWriter(product.id, items), row: (id: string) => model.rows.row('billLine', id) };
  };
const mug = () => named('product', 'Everyday mug');
const lineAt = (id: string) => model.rows.row('billLine', id) as Line;
/** Types a line into the empty row of a bill and returns what stands in the book then. */
const added = (texts: Record<string, string>, product = mug(), locale = 'en-GB') => {
  const { id, refusal } = typed(billOf(product, locale), texts);
  if (refusal !== null) return refusal;
  return lineAt(id);
};
const costOf = (id: string) => figuresNow().figure(`billLine/${id}/total`);

describe('a line that is typed into a bill', () => {
  it('is linked to what is in the book, capitals aside, in the small unit of what it is costed in', () => {
    const clay = model.rows.all('material').find(({ baseUnit }) => baseUnit === 'kg') as StoredRow<'material'>;
    expect(added({ item: clay.name.toUpperCase(), quantity: '350' })).toMatchObject({
      materialId: clay.id,
      componentId: null,
      text: '',
      unit: 'g',
      quantity: '350',
    });
    expect(added({ item: clay.name, quantity: '0.35 kg' })).toMatchObject({ unit: 'kg', quantity: '0.35' });
  });

  it('comes after the others, each a place further', () => {
    const before = model.rows.rowsWith('billLine', 'productId', mug().id).map(({ position }) => position);
    const first = added({ item: 'Beeswax' }) as Line;
    const second = added({ item: 'Tissue' }) as Line;
    expect([first.position, second.position]).toEqual([Math.max(...before) + 1, Math.max(...before) + 2]);
  });

  it('stands as text until it is linked, has no cost, and is linked with every line that says the same', () => {
    const bowl = named('product', 'Breakfast bowl');
    const inMug = added({ item: 'gold lustre', quantity: '2', unit: 'ml' }) as Line;
    const inBowl = added({ item: 'Gold lustre', quantity: '3', unit: 'ml' }, bowl) as Line;
    expect([inMug.materialId, inMug.text, costOf(inMug.id)?.gaps[0]?.code]).toEqual([
      null,
      'gold lustre',
      'not-linked',
    ]);
    const { refusal } = typed(billOf(mug()), { item: '+Gold lustre' }, inMug.id);
    expect(refusal).toBeNull();
    const lustre = named('material', 'Gold lustre');
    expect([lineAt(inMug.id), lineAt(inBowl.id)].map(({ materialId, text }) => [materialId, text])).toEqual([
      [lustre.id, ''],
      [lustre.id, ''],
    ]);
  });

  it('of something new makes a material that is costed in the large unit of what it is used in', () => {
    expect(added({ item: '+Rutile powder', quantity: '12 g' })).toMatchObject({ unit: 'g', quantity: '12' });
    expect(named('material', 'Rutile powder')).toMatchObject({ baseUnit: 'kg', kind: 'ingredient' });
    const [price] = model.rows.rowsWith('supplierPrice', 'materialId', named('material', 'Rutile powder').id);
    expect(price).toMatchObject({ packUnit: 'kg', price: null, currency: 'EUR' });
  });

  it.each([
    ['2', 'each', 'each'],
    ['24', 'each', 'each'],
    ['25', 'g', 'kg'],
    ['1.5', 'g', 'kg'],
    ['30 cm', 'cm', 'm'],
  ])('reads %s of something that nobody has measured yet in %s, costed by %s', (quantity, unit, baseUnit) => {
    expect(added({ item: '+Brass ring', quantity })).toMatchObject({ unit });
    expect(named('material', 'Brass ring').baseUnit).toBe(baseUnit);
  });

  it('is per batch where a batch is more than one, else per unit, and then as was chosen last in that product', () => {
    const [one, many] = ['1', '12'].map((batchSize, index) => {
      const id = newId();
      changed([createOf('product', id, { name: `Candle ${index}`, batchSize })]);
      return named('product', `Candle ${index}`);
    }) as [StoredRow<'product'>, StoredRow<'product'>];
    expect((added({ item: 'Soy wax', quantity: '400 g' }, many) as Line).basis).toBe('batch');
    const wick = added({ item: 'Wick', quantity: '1' }, one) as Line;
    expect(wick.basis).toBe('started unit');
    typed(billOf(one), { basis: 'good unit' }, wick.id);
    expect((added({ item: 'Label', quantity: '1' }, one) as Line).basis).toBe('good unit');
    expect((added({ item: 'Wick', quantity: '12' }, many) as Line).basis).toBe('batch');
  });

  it('takes a unit that cannot be converted yet, and asks for the conversion', () => {
    const clay = model.rows.all('material').find(({ baseUnit }) => baseUnit === 'kg') as StoredRow<'material'>;
    const line = added({ item: clay.name, quantity: '2 l' }) as Line;
    expect(costOf(line.id)?.gaps[0]?.code).toBe('no-conversion');
    changed([
      createOf('itemConversion', newId(), {
        materialId: clay.id,
        quantity: '1',
        unit: 'l',
        equalQuantity: '1.6',
        equalUnit: 'kg',
      }),
    ]);
    expect(costOf(line.id)?.gaps).toEqual([]);
  });

  it('takes numbers as they are written where the book is, and keeps the unit that still fits another item', () => {
    expect(added({ item: 'Moss glaze', quantity: '1.250,5 g' }, mug(), 'de-DE')).toMatchObject({ quantity: '1250.5' });
    const [one, other] = model.rows.all('material').filter(({ baseUnit }) => baseUnit === 'kg');
    const line = added({ item: one?.name ?? '', quantity: '0.4 kg' }) as Line;
    typed(billOf(mug()), { item: other?.name ?? '' }, line.id);
    expect(lineAt(line.id)).toMatchObject({ materialId: other?.id, unit: 'kg', quantity: '0.4' });
  });

  it('is refused in words where it makes no sense, and then nothing has changed', () => {
    const before = rowsByKind(model.rows);
    expect(added({ item: mug().name })).toMatch(/cannot contain itself/);
    expect(added({ item: 'x'.repeat(130) })).toMatch(/120 characters/);
    expect(added({ item: named('product', 'Gift set, two mugs').name })).toMatch(/Everyday mug → Gift set/);
    const [line] = model.rows.rowsWith('billLine', 'productId', mug().id);
    for (const quantity of ['a lot', '-3', '3 furlongs', '1e999'])
      expect(typed(billOf(mug()), { quantity }, line?.id).refusal, quantity).toEqual(expect.any(String));
    expect(rowsByKind(model.rows)).toEqual(before);
  });
});
