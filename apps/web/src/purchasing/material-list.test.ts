import { newId, type StoredRow } from '@nuvar/book';
import { VIEWS, WHOLE_BOOK } from '@nuvar/core';
import { beforeEach, describe, expect, it } from 'vitest';
import { today } from '../state/today.js';
import { model } from '../book/model.js';
import { createOf } from '../book/operations.js';
import { removalInBook } from '../controls/grid/rows-writer.js';
import { bookActions } from '../state/book-slice.js';
import { shownDay, store } from '../state/store.js';
import { changed, figuresNow, named, openDemo } from '../testing/open-demo.js';
import { typed } from '../testing/typed.js';
import { materialColumns, moreMaterialColumns } from './material-columns.js';
import { materialWriter, pricesShown, type MaterialRow } from './material-rows.js';

beforeEach(openDemo);

const pricesOf = (materialId: string) => model.rows.rowsWith('supplierPrice', 'materialId', materialId);
/** A material as the list shows it. */
const rowOf = (id: string): MaterialRow | undefined => {
  const material = model.rows.row('material', id);
  if (material === undefined) return undefined;
  const shown = pricesShown(material, shownDay(), VIEWS.tiedPrices(figuresNow(), WHOLE_BOOK));
  return { id, material, ...shown, supplier: model.rows.row('supplier', shown.price?.supplierId ?? '')?.name ?? '' };
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

describe('the price that the list shows', () => {
  /** Another price of a material, entered beside what it has. */
  const enter = (materialId: string, price: string, validFrom: string, supplier: string | null = null) => {
    const supplierId = supplier === null ? null : newId();
    const fields = { materialId, supplierId, packQuantity: '25', packUnit: 'kg', currency: 'EUR', price, validFrom };
    const refused = changed([
      ...(supplierId === null ? [] : [createOf('supplier', supplierId, { name: supplier })]),
      createOf('supplierPrice', newId(), fields),
    ]);
    expect(refused).toEqual([]);
  };
  const clay = (price: string) => type({ name: 'Ball clay', packQuantity: '25 kg', price }).id;

  it('is the one in force: what begins later is said beside it, and typing leaves it alone', () => {
    const id = clay('50');
    enter(id, '60', '2999-01-01');
    expect(rowOf(id)).toMatchObject({ price: { price: '50' }, toCome: { price: '60' } });
    type({ price: '55' }, id);
    expect(rowOf(id)).toMatchObject({ price: { price: '55' }, toCome: { price: '60', validFrom: '2999-01-01' } });
    expect(perUnit(id)).toBe('2.2');
  });

  it('is nothing where all begin later; the first one that is typed is for the pack of the next', () => {
    const { id } = type({ name: 'Ball clay' });
    changed(pricesOf(id).flatMap((row) => removalInBook('supplierPrice', row.id)));
    enter(id, '60', '2999-01-01');
    expect(rowOf(id)?.price).toBeUndefined();
    type({ price: '55' }, id);
    expect(rowOf(id)?.price).toMatchObject({ price: '55', packQuantity: '25', packUnit: 'kg', validFrom: today() });
  });

  it('of several suppliers on one day is the cheaper by the unit, by which it is costed', () => {
    const id = clay('18.50');
    enter(id, '18.75', today(), 'Marl Hill');
    expect([rowOf(id)?.price?.price, rowOf(id)?.supplier, perUnit(id)]).toEqual(['18.50', '', '0.74']);
    enter(id, '18.25', today(), 'Glaze House');
    expect([rowOf(id)?.price?.price, rowOf(id)?.supplier, perUnit(id)]).toEqual(['18.25', 'Glaze House', '0.73']);
  });

  it('is that of the day for which the book is shown, and what is typed then begins on that day', () => {
    const id = clay('50');
    enter(id, '40', '2026-01-01');
    store.dispatch(bookActions.dayChosen('2026-02-01'));
    try {
      expect(rowOf(id)).toMatchObject({ price: { price: '40' }, toCome: { price: '50' } });
      type({ price: '42' }, id);
      expect(rowOf(id)?.price).toMatchObject({ price: '42', validFrom: '2026-02-01' });
    } finally {
      store.dispatch(bookActions.dayChosen(null));
    }
    expect(rowOf(id)?.price?.price).toBe('50');
  });
});

it('what else is known of a material is read by the same rules as in its own fields', () => {
  const { id } = named('material', model.rows.all('material')[0]?.name ?? '');
  expect(type({ bufferPercent: '5 %', tags: 'winter, white' }, id).refusal).toBeNull();
  expect(rowOf(id)?.material).toMatchObject({ bufferPercent: '5', tags: 'winter, white' });
  expect(type({ bufferPercent: 'a bit' }, id).refusal).toMatch(/a bit/);
});
