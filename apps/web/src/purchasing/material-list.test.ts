import type { StoredRow } from '@nuvar/book';
import { beforeEach, describe, expect, it } from 'vitest';
import { today } from '../state/today.js';
import { model } from '../book/model.js';
import { figuresNow, named, openDemo } from '../testing/open-demo.js';
import { typed } from '../testing/typed.js';
import { materialColumns, moreMaterialColumns } from './material-columns.js';
import { materialWriter, shownPrice, type MaterialRow } from './material-rows.js';

beforeEach(openDemo);

const pricesOf = (materialId: string) => model.rows.rowsWith('supplierPrice', 'materialId', materialId);
/** A material as the list shows it. */
const rowOf = (id: string): MaterialRow | undefined => {
  const material = model.rows.row('material', id);
  const price = shownPrice(pricesOf(id));
  return material && { id, material, price, supplier: model.rows.row('supplier', price?.supplierId ?? '')?.name ?? '' };
};
const listIn = (locale: string) => () => ({
  columns: [...materialColumns(locale, 'EUR', []), ...moreMaterialColumns(locale)],
  writer: materialWriter,
  row: rowOf,
});
const type = (texts: Record<string, string>, id?: string, locale = 'en-GB') => typed(listIn(locale), texts, id);
const perUnit = (id: string) => figuresNow().figure(`materialPrice/${id}/perBaseUnit`)?.amount?.toFixed();

describe('a material that is typed into the list', () => {
  it('costs what its pack says: 25 kg for 41.25 are 1.65 a kg', () => {
    const { id, refusal } = type({ name: 'Ball clay', supplier: 'Marl Hill', packQuantity: '25 kg', price: '41.25' });
    expect(refusal).toBeNull();
    expect(perUnit(id)).toBe('1.65');
    expect(rowOf(id)).toMatchObject({ supplier: 'Marl Hill', price: { currency: 'EUR', validFrom: today() } });
  });

  it('is costed by the unit in which its pack is bought, until a price says otherwise', () => {
    const { id } = type({ name: 'Cane', packQuantity: '10 m' });
    expect(rowOf(id)?.material.baseUnit).toBe('m');
    type({ packQuantity: '12', price: '6' }, id);
    type({ packUnit: 'each' }, id);
    expect(rowOf(id)).toMatchObject({ material: { baseUnit: 'm' }, price: { packUnit: 'each' } });
  });

  it('takes prices as they are written where the book is, and in the currency that stands with them', () => {
    const { id } = type({ name: 'Ballen Ton', packQuantity: '25 kg', price: '1.041,25' }, undefined, 'de-DE');
    expect(rowOf(id)?.price?.price).toBe('1041.25');
    type({ price: '30 USD' }, id);
    expect(rowOf(id)?.price).toMatchObject({ price: '30', currency: 'USD' });
  });

  it('names a supplier of whom nobody has heard only once', () => {
    const [one, other] = ['Ball clay', 'Grog'].map((name) => type({ name, supplier: 'Marl Hill' }).id);
    expect(model.rows.rowsWith('supplier', 'name', 'marl hill')).toHaveLength(1);
    expect(rowOf(one ?? '')?.price?.supplierId).toBe(rowOf(other ?? '')?.price?.supplierId);
  });

  it.each([
    [{ name: ' ' }, /cannot be empty/],
    [{ name: 'Ball clay', price: '-3' }, /./],
    [{ name: 'Ball clay', packQuantity: '0' }, /./],
    [{ name: 'Ball clay', packQuantity: '5 parsecs' }, /parsecs/],
    [{ name: 'Ball clay', supplier: 'x'.repeat(121) }, /120 characters/],
  ])('is refused in words where a cell makes no sense: %j', (texts, sentence) => {
    expect(type(texts).refusal).toMatch(sentence);
  });
});

describe('another price in the list', () => {
  const dated = () => {
    const found = model.rows
      .all('material')
      .find(({ id }) => pricesOf(id).some((row) => row.price !== null && row.validFrom < today()));
    return rowOf((found as StoredRow<'material'>).id) as MaterialRow & { price: StoredRow<'supplierPrice'> };
  };

  it('is a price of today beside the old one, and put right again on the same day it is still one', () => {
    const { id, price } = dated();
    const count = pricesOf(id).length;
    type({ price: '99' }, id);
    expect(pricesOf(id)).toHaveLength(count + 1);
    expect(model.rows.row('supplierPrice', price.id)).toEqual(price);
    expect(rowOf(id)?.price).toMatchObject({ price: '99', validFrom: today(), packQuantity: price.packQuantity });
    type({ price: '98.50' }, id);
    expect([pricesOf(id).length, rowOf(id)?.price?.price]).toEqual([count + 1, '98.50']);
  });

  it('that is the same price changes nothing', () => {
    const { id, price } = dated();
    const before = pricesOf(id);
    type({ price: price.price ?? '' }, id);
    expect(pricesOf(id)).toEqual(before);
  });
});

it('what else is known of a material is read by the same rules as in its own fields', () => {
  const { id } = named('material', model.rows.all('material')[0]?.name ?? '');
  expect(type({ bufferPercent: '5 %', tags: 'winter, white' }, id).refusal).toBeNull();
  expect(rowOf(id)?.material).toMatchObject({ bufferPercent: '5', tags: 'winter, white' });
  expect(type({ bufferPercent: 'a bit' }, id).refusal).toMatch(/a bit/);
});
