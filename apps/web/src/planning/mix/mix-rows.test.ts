import { copyOf, newId, type StoredRow } from '@nuvar/book';
import { VIEWS } from '@nuvar/core';
import { beforeEach, describe, expect, it } from 'vitest';
import { model } from '../../book/model.js';
import { changed, figuresNow, openDemo } from '../../testing/open-demo.js';
import { typed } from '../../testing/typed.js';
import { savedAs } from './mix-changes.js';
import {
  nameOfMixProduct,
  nameOfMixResource,
  productColumns,
  productsWriter,
  resourceColumns,
  resourcesWriter,
  usesColumns,
  usesWriter,
} from './mix-rows.js';

beforeEach(openDemo);

const LOCALE = 'en-IE';
const plan = () => model.rows.all('mixPlan')[0] as StoredRow<'mixPlan'>;
const products = () => model.rows.rowsWith('mixProduct', 'planId', plan().id) as StoredRow<'mixProduct'>[];
const resources = () => model.rows.rowsWith('mixResource', 'planId', plan().id) as StoredRow<'mixResource'>[];
const named = (kind: 'product' | 'channel' | 'labourGrade' | 'equipment' | 'equipmentRun' | 'material') =>
  model.rows.all(kind) as readonly StoredRow<'product'>[];

const productGrid = () => ({
  ...productColumns(plan().id, named('product'), named('channel'), LOCALE, 'EUR'),
  writer: productsWriter(plan().id),
  row: (id: string) => model.rows.row('mixProduct', id),
});

const resourceGrid = () => ({
  columns: resourceColumns(
    plan().id,
    {
      labourGrade: named('labourGrade'),
      equipment: named('equipment'),
      equipmentRun: named('equipmentRun'),
      material: named('material'),
      product: named('product'),
    },
    LOCALE,
    'EUR',
  ),
  writer: resourcesWriter(plan().id),
  row: (id: string) => model.rows.row('mixResource', id),
});

/** Makes a row by what is typed into its first cell. */
function madeProduct(text: string): StoredRow<'mixProduct'> {
  const { id, refusal } = typed(productGrid, { productId: text });
  expect(refusal).toBeNull();
  return model.rows.row('mixProduct', id) as StoredRow<'mixProduct'>;
}

function madeResource(text: string): StoredRow<'mixResource'> {
  const { id, refusal } = typed(resourceGrid, { name: text });
  expect(refusal).toBeNull();
  return model.rows.row('mixResource', id) as StoredRow<'mixResource'>;
}

describe('a product of a mix plan', () => {
  it('is one of the book by its name, in its channel where it has a price in one alone', () => {
    const platter = madeProduct('serving platter');
    expect(nameOfMixProduct(platter)).toBe('Serving platter (Own web shop)');
    // The mug has a price in five channels: which one is meant has to be said.
    expect(nameOfMixProduct(madeProduct('Everyday mug'))).toBe('Everyday mug');
  });

  it('has a name of its own where it is not in the book', () => {
    const tray = madeProduct('Slip-cast tray');
    expect([tray.productId, tray.name]).toEqual([null, 'Slip-cast tray']);
  });

  it('is not made of nothing', () => {
    expect(productsWriter(plan().id).create(newId(), { quantity: '3' }, [])).toBeNull();
    expect(resourcesWriter(plan().id).create(newId(), { available: '3' }, [])).toBeNull();
  });
});

describe('a resource of a mix plan', () => {
  it('is whatever of the book bears the name, or its own', () => {
    expect(madeResource('maker').gradeId).not.toBeNull();
    expect(madeResource('Glaze firing').runId).not.toBeNull();
    expect(madeResource('White stoneware clay').materialId).not.toBeNull();
    expect(madeResource('Moss glaze').componentId).not.toBeNull();
    const own = madeResource('Drying racks');
    expect([own.name, nameOfMixResource(own)]).toEqual(['Drying racks', 'Drying racks']);
  });

  it('is another one when its name is changed', () => {
    const own = madeResource('Drying racks');
    const [wheel] = resources().filter((row) => nameOfMixResource(row) === 'Throwing wheel');
    if (wheel === undefined) throw new RangeError('the demo has a wheel in its plan');
    expect(changed(resourcesWriter(plan().id).update(own, { name: '', equipmentId: wheel.equipmentId }, []))).toEqual(
      [],
    );
    // Two things at once are refused.
    const [problem] = changed(resourcesWriter(plan().id).update(wheel, { name: 'Both' }, []));
    expect(problem).toContain('one of them');
  });
});

describe('what a product takes of a resource', () => {
  const perUnit = (productId: string, resourceId: string) =>
    VIEWS.mixUse(figuresNow(), `${productId}@${resourceId}`).perUnit.amount;

  it('is typed over what the bill says, and follows from the bill again when it is emptied', () => {
    const [mug] = products();
    const [kiln] = resources();
    if (mug === undefined || kiln === undefined) throw new RangeError('the demo has a mug and a kiln in its plan');
    const before = perUnit(mug.id, kiln.id);
    const grid = () => ({
      columns: usesColumns(resources(), 'perUnit', LOCALE),
      writer: usesWriter,
      row: (id: string) => model.rows.row('mixProduct', id),
    });
    const write = (text: string) => typed(grid, { [`typed-${kiln.id}`]: text }, mug.id).refusal;
    expect(write('0.25')).toBeNull();
    expect(perUnit(mug.id, kiln.id)).toBe('0.25');
    expect(model.rows.rowsWith('mixUse', 'mixProductId', mug.id)).toHaveLength(1);
    expect(write('')).toBeNull();
    expect(perUnit(mug.id, kiln.id)).toBe(before);
    expect(model.rows.rowsWith('mixUse', 'mixProductId', mug.id)).toHaveLength(0);
  });
});

it('the best mix is saved as another plan, each quantity with its product, in whatever order they stand', () => {
  const rows = products();
  // The last one comes first: its place is not the order in which rows were made.
  const [last] = rows.slice(-1);
  if (last === undefined) throw new RangeError('the demo has products in its plan');
  expect(
    changed([
      {
        action: 'update',
        kind: 'mixProduct',
        id: last.id,
        before: { position: last.position },
        after: { position: 0 },
      },
    ]),
  ).toEqual([]);
  const { products: shown, slots } = VIEWS.mix(figuresNow(), plan().id);
  const id = newId();
  const quantities = shown.map((_product, index) => String(10 + index));
  expect(changed(savedAs(plan(), slots, quantities, id))).toEqual([]);
  const quantityOf = (name: string) =>
    VIEWS.mix(figuresNow(), id).products.find((product) => product.name === name)?.quantity;
  expect(shown.map(({ name }) => quantityOf(name))).toEqual(quantities);
  expect(model.rows.row('mixPlan', id)?.name).toBe('Short week before the fair, best');
});

it('a plan is duplicated with its products, resources, uses and totals, which then belong to each other', () => {
  const id = newId();
  const copies = copyOf(model.rows, 'mixPlan', plan(), id, { name: 'Another week' }, newId);
  expect(changed(copies)).toEqual([]);
  const of = (planId: string) => {
    const { outcome, products: all, resources: runs, totals } = VIEWS.mix(figuresNow(), planId);
    return [
      outcome.goal.amount,
      all.map(({ name }) => name),
      runs.map(({ used }) => used.amount),
      totals.map(({ units }) => units.amount),
    ];
  };
  expect(of(id)).toEqual(of(plan().id));
});
