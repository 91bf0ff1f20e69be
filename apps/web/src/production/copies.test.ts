import { newId, rowsByKind, type StoredRow } from '@nuvar/book';
import { beforeEach, expect, it } from 'vitest';
import { updateOf } from '../book/operations.js';
import { model } from '../book/model.js';
import { materialWriter } from '../purchasing/material-rows.js';
import { copyInBook, removalInBook } from '../controls/grid/rows-writer.js';
import { changed, figuresNow, named, openDemo } from '../testing/open-demo.js';

beforeEach(openDemo);

/** Duplicates a product and returns the id of the copy. */
const copied = (product: StoredRow<'product'>) => {
  const id = newId();
  expect(changed(copyInBook('product', product, id))).toEqual([]);
  return id;
};
/** Every figure of a product's cost, as a text. */
const costOf = (id: string) => {
  const figures = figuresNow();
  return ['variableCost', 'materials', 'landed', 'packaging', 'labour', 'other', 'equipment', 'materialsPerBatch'].map(
    (member) => figures.figure(`product/${id}/${member}`)?.amount?.toFixed(),
  );
};

it('a copy of any product costs in every element what the product costs, and can be taken away without a trace', () => {
  const before = rowsByKind(model.rows);
  const products = model.rows.all('product');
  const copies = products.map((product) => [product.id, copied(product)] as const);
  for (const [id, copy] of copies) {
    expect(costOf(copy), id).toEqual(costOf(id));
    expect(Number(costOf(copy)[0])).toBeGreaterThan(0);
  }
  expect(model.rows.count('product')).toBe(products.length * 2);
  // Those that contain others go first.
  for (const [, copy] of copies.reverse()) expect(changed(removalInBook('product', copy))).toEqual([]);
  expect(rowsByKind(model.rows)).toEqual(before);
});

it('a copy goes its own way: another batch of it leaves the product as it was', () => {
  const mug = named('product', 'Everyday mug');
  const before = costOf(mug.id);
  const copy = model.rows.row('product', copied(mug)) as StoredRow<'product'>;
  expect([copy.name, copy.gtin]).toEqual(['Everyday mug copy', '']);
  expect(changed(updateOf('product', copy, { batchSize: '7' }))).toEqual([]);
  expect(costOf(mug.id)).toEqual(before);
  expect(costOf(copy.id)).not.toEqual(before);
  expect(model.rows.row('product', copied(mug))?.name).toBe('Everyday mug copy 2');
});

it('a copy of a material has all its prices and conversions, and is planned at the same price', () => {
  for (const material of model.rows.all('material')) {
    const row = { id: material.id, material, price: undefined, toCome: undefined, supplier: '' };
    expect(changed(materialWriter.duplicate?.(row) ?? [])).toEqual([]);
    const copy = named('material', `${material.name} copy`);
    expect(copy.code).toBe('');
    const figures = figuresNow();
    const price = (id: string) => figures.figure(`materialPrice/${id}/perBaseUnit`);
    expect(price(copy.id)).not.toBeNull();
    expect(price(copy.id)?.amount?.toFixed(), material.name).toBe(price(material.id)?.amount?.toFixed());
    expect(price(copy.id)?.gaps.length).toBe(price(material.id)?.gaps.length);
  }
});

it('what is still used is not removed, and it is said where', () => {
  const [line] = model.rows.rowsWith('billLine', 'productId', named('product', 'Everyday mug').id);
  const before = rowsByKind(model.rows);
  expect(changed(removalInBook('material', line?.materialId ?? ''))[0]).toMatch(/Everyday mug/);
  expect(rowsByKind(model.rows)).toEqual(before);
});
