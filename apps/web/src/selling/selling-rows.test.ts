import { CHANNEL_TEMPLATES, newId, type Operation, type StoredRow } from '@nuvar/book';
import { type QuoteOptionView, VIEWS } from '@nuvar/core';
import { beforeEach, describe, expect, it } from 'vitest';
import { model } from '../book/model.js';
import { createOf, updateOf } from '../book/operations.js';
import { changed, figuresNow, named, openDemo } from '../testing/open-demo.js';
import { typed } from '../testing/typed.js';
import { boardColumns, boardWriter } from './board-rows.js';
import { channelFrom } from './fees/channel-from-template.js';
import {
  bandColumns,
  bandWriter,
  type Fee,
  feeColumns,
  feeSentence,
  feeWriter,
  sizeColumns,
  sizeWriter,
} from './fees/fee-rows.js';
import {
  changedState,
  changedUnits,
  copiedOption,
  newOption,
  quoteWriter,
  removedOption,
  wonWith,
} from './quotes/quote-rows.js';

beforeEach(openDemo);

const LOCALE = 'en-IE';
const channelNamed = (name: string) => {
  const [found] = model.rows.rowsWith('channel', 'name', name);
  if (found === undefined) throw new RangeError(`The demo book has no channel "${name}".`);
  return found;
};
const amount = (key: string) => figuresNow().figure(key)?.amount?.toNumber() ?? null;

describe('a template of a channel', () => {
  it.each(CHANNEL_TEMPLATES)(
    '"$name" makes a channel in which a product that is measured leaves a known amount',
    (template) => {
      const id = newId();
      expect(changed(channelFrom(template, id))).toEqual([]);
      const pointId = newId();
      const row = { productId: named('product', 'Everyday mug').id, channelId: id, price: '24' };
      // Where fees go by the month, some units have to be planned there.
      const volume = { productId: row.productId, channelId: id, unitsPerMonth: '10' };
      expect(changed([createOf('pricePoint', pointId, row), createOf('plannedVolume', newId(), volume)])).toEqual([]);
      const sale = VIEWS.price(figuresNow(), pointId);
      expect(sale.contribution.gaps).toEqual([]);
      expect(Number(sale.contribution.amount)).toBeGreaterThan(0);
      expect(Number(sale.contribution.amount)).toBeLessThan(20);
    },
  );

  it('has a name of its own each time', () => {
    const [template] = CHANNEL_TEMPLATES;
    if (template === undefined) throw new RangeError('There are no templates.');
    for (const expected of ['Own shop', 'Own shop 2', 'Own shop 3']) {
      const id = newId();
      expect(changed(channelFrom(template, id))).toEqual([]);
      expect(model.rows.row('channel', id)?.name).toBe(expected);
    }
  });
});

describe('a fee', () => {
  const channel = () => channelNamed('Weekend market');
  const fees = () => ({
    columns: feeColumns(`${channel().id}@20`, LOCALE, 'EUR'),
    writer: feeWriter(channel().id, model.rows.rowsWith('feeRule', 'channelId', channel().id)),
    row: (id: string) => model.rows.row('feeRule', id),
  });
  const said = (id: string) => feeSentence(model.rows.row('feeRule', id) as Fee, LOCALE, (day) => day);

  it.each<[texts: Record<string, string>, sentence: string]>([
    [{ name: 'Commission', percent: '12,5 %' }, '12.5 % of the price paid'],
    [
      { name: 'Payment', takenOf: '% of price and postage paid', percent: '3', amount: '0.25' },
      '3 % of price and postage paid and 0.25 a unit',
    ],
    [{ name: 'Listing', takenOf: 'each listing', amount: '0.20', spreadOver: '4' }, '0.20 for each listing'],
    [
      { name: 'Licence', takenOf: 'each kg of packaging', amount: '0.62', purpose: 'packaging recovery' },
      '0.62 for each kg of packaging',
    ],
    [{ name: 'Open' }, 'not stated yet'],
  ])('typed as %o is said as "%s"', (texts, sentence) => {
    const { id, refusal } = typed(fees, texts);
    expect([refusal, said(id)]).toEqual([null, sentence]);
  });

  it('refuses a basis that it does not know, and a most below its least', () => {
    expect(typed(fees, { name: 'Odd', takenOf: 'each full moon' }).refusal).toMatch(/^Taken of is one of: /);
    const { id } = typed(fees, { name: 'Limited', percent: '10' });
    const fee = model.rows.row('feeRule', id) as Fee;
    const limits = {
      action: 'update',
      kind: 'feeRule',
      id,
      before: { minimum: null, maximum: null },
      after: { minimum: '2', maximum: '1' },
    } as const;
    expect([fee.percent, changed([limits])]).toEqual(['10', ['"At most" cannot be less than "at least".']]);
  });

  it('goes by bands or by sizes once they are typed, and the figures follow', () => {
    const { id } = typed(fees, { name: 'Banded', takenOf: '% of the price before tax' });
    const bands = () => ({
      columns: bandColumns(model.rows.row('feeRule', id) as Fee, LOCALE, 'EUR'),
      writer: bandWriter(id),
      row: (band: string) => model.rows.row('feeBand', band),
    });
    expect(typed(bands, { upTo: '10', percent: '15' }).refusal).toBeNull();
    expect(typed(bands, { percent: '8' }).refusal).toBeNull();
    expect(said(id)).toBe('by 2 bands of the price before tax, for the whole price');
    // The mug is 15.00 before tax there: the second band takes 1.20 of it.
    const at = () => amount(`feeAtPrice/${id}@18/amount`);
    expect(at()).toBeCloseTo(1.2, 9);
    expect(typed(bands, { upTo: '10', percent: '9' }).refusal).toMatch(/There is a band of a fee for this already/);

    const sized = typed(fees, { name: 'Sized', takenOf: 'the size of the parcel' }).id;
    const sizes = () => ({
      columns: sizeColumns(LOCALE, 'EUR'),
      writer: sizeWriter(sized, model.rows.rowsWith('sizeTier', 'ruleId', sized)),
      row: (size: string) => model.rows.row('sizeTier', size),
    });
    expect(
      typed(sizes, { name: 'Small', longest: '12', middle: '11', shortest: '10', amount: '2.20' }).refusal,
    ).toBeNull();
    expect(amount(`feeAtPrice/${sized}@18@${named('product', 'Everyday mug').id}/amount`)).toBe(2.2);
    expect(amount(`feeAtPrice/${sized}@18@${named('product', 'Serving platter').id}/amount`)).toBeNull();
  });
});

describe('the price board', () => {
  const board = () => ({
    columns: boardColumns(model.rows.all('channel'), { show: 'price', locale: LOCALE, scale: 50 }),
    writer: boardWriter(true),
    row: (id: string) => model.rows.row('product', id),
  });

  it('takes a price where there was none, changes it, and refuses what is no price', () => {
    const dish = named('product', 'Soap dish').id;
    const market = channelNamed('Weekend market').id;
    const prices = () =>
      model.rows.rowsWith('pricePoint', 'productId', dish).filter(({ channelId }) => channelId === market);
    expect(typed(board, { [market]: '11,50' }, dish).refusal).toBeNull();
    expect(prices().map(({ price, taxInside }) => [price, taxInside])).toEqual([['11.50', true]]);
    expect(typed(board, { [market]: '12' }, dish).refusal).toBeNull();
    expect(prices().map(({ price }) => price)).toEqual(['12']);
    expect(typed(board, { [market]: '-1' }, dish).refusal).toMatch(/cannot be less than 0/);
    expect(typed(board, { [market]: '' }, dish).refusal).toBeNull();
    expect(prices().map(({ price }) => price)).toEqual([null]);
  });
});

describe('a quote', () => {
  const begun = () => {
    const id = newId();
    expect(changed(quoteWriter('2026-11-27').create(id, { name: 'Tiles' }, []) ?? [])).toEqual([]);
    return id;
  };
  const optionsOf = (quoteId: string) => model.rows.rowsWith('quoteOption', 'quoteId', quoteId);
  const productOf = ({ productId }: StoredRow<'quoteOption'>) => model.rows.row('product', productId);
  const quoteOf = (id: string) => model.rows.row('quote', id) as StoredRow<'quote'>;

  it('comes with an option, whose product is in no list until it is won, and is made in one batch', () => {
    const id = begun();
    const [option] = optionsOf(id) as [StoredRow<'quoteOption'>];
    expect(productOf(option)).toMatchObject({ name: 'Tiles', quoted: true });
    expect(changed(changedUnits(option, '40'))).toEqual([]);
    expect(productOf(option)?.batchSize).toBe('40');
    const ends = VIEWS.looseEnds(figuresNow(), 'book').filter(({ affects }) => affects.includes(option.productId));
    expect(ends).toEqual([]);
    expect(changed(wonWith(quoteOf(id), optionsOf(id)[0] as StoredRow<'quoteOption'>, []))).toEqual([]);
    expect([productOf(option)?.quoted, quoteOf(id).state]).toEqual([false, 'won']);
    expect(VIEWS.looseEnds(figuresNow(), 'book').some(({ affects }) => affects.includes(option.productId))).toBe(true);
  });

  it('has options of their own names, copied with what goes into them', () => {
    const id = begun();
    const [first] = optionsOf(id) as [StoredRow<'quoteOption'>];
    const material = named('material', 'Porcelain body').id;
    expect(
      changed([
        createOf('billLine', newId(), { productId: first.productId, materialId: material, quantity: '2', unit: 'kg' }),
      ]),
    ).toEqual([]);
    expect(changed(copiedOption(first))).toEqual([]);
    expect(changed(newOption(id, 'Tiles'))).toEqual([]);
    const products = optionsOf(id).map(productOf);
    expect(new Set(products.map((product) => product?.name)).size).toBe(3);
    const lines = products.map((product) => model.rows.rowsWith('billLine', 'productId', product?.id ?? '').length);
    expect([...lines].sort()).toEqual([0, 1, 1]);
  });

  it('keeps what it was sent at until it is set back to draft, and what has moved stands beside it', () => {
    const id = begun();
    const [option] = optionsOf(id) as [StoredRow<'quoteOption'>];
    const material = named('material', 'Porcelain body').id;
    const line = newId();
    const fields = { productId: option.productId, materialId: material, quantity: '2', unit: 'kg' };
    expect(changed([createOf('billLine', line, fields)])).toEqual([]);
    const view = () => VIEWS.quote(figuresNow(), id)[0] as QuoteOptionView;
    const [asDraft] = [view()];
    expect(changed(changedState(quoteOf(id), 'sent', [asDraft]))).toEqual([]);
    expect(view()).toMatchObject({ costMoved: null, price: { amount: asDraft.price.amount } });
    const dearer = updateOf('billLine', model.rows.row('billLine', line) as StoredRow, { quantity: '5' });
    expect(changed([...dearer, ...updateOf('product', productOf(option) as StoredRow, { name: 'Other' })])).toEqual([]);
    for (const member of ['price', 'total', 'paid', 'contribution', 'margin'] as const)
      expect(Number(view()[member].amount)).toBeCloseTo(Number(asDraft[member].amount), 8);
    expect(Number(view().costMoved?.amount)).toBeGreaterThan(0);
    expect(VIEWS.quoteSheet(figuresNow(), id)?.options[0]).toMatchObject({ name: 'Tiles', unit: 'each' });
    const refused = (operations: Operation[]) => expect(changed(operations).join()).toContain('has been sent');
    refused(updateOf('quote', quoteOf(id), { target: '50' }));
    refused(changedUnits(optionsOf(id)[0] as StoredRow<'quoteOption'>, '9'));
    // The job took what was planned, whatever materials cost since: it leaves the profit that was offered, before contingency.
    expect(changed(changedState(quoteOf(id), 'won', []))).toEqual([]);
    const planned = Number(asDraft.actual.materialsPlanned.amount);
    const needed = updateOf('quoteOption', optionsOf(id)[0] as StoredRow, { actualMaterials: String(planned + 3) });
    expect(changed(needed)).toEqual([]);
    expect(Number(view().actual.materialsPlanned.amount)).toBeCloseTo(planned, 8);
    const offered = Number(asDraft.price.amount) - Number(asDraft.cost.amount);
    expect(Number(view().actual.profit.amount)).toBeCloseTo(offered - 3, 8);
    expect(changed(changedState(quoteOf(id), 'draft', []))).toEqual([]);
    expect(Number(view().total.amount)).toBeGreaterThan(Number(asDraft.total.amount));
    expect(VIEWS.quoteSheet(figuresNow(), id)?.options[0]?.name).toBe('Other');
  });

  it('goes with the products that exist for it alone, and leaves the one that was won', () => {
    const id = begun();
    expect(changed(newOption(id, 'Tiles, large'))).toEqual([]);
    const [first, second] = optionsOf(id) as [StoredRow<'quoteOption'>, StoredRow<'quoteOption'>];
    expect(changed(removedOption(second))).toEqual([]);
    expect(changed(wonWith(quoteOf(id), first, []))).toEqual([]);
    expect(changed(removedOption(first)).join()).toContain('has been sent');
    expect(model.rows.row('product', second.productId)).toBeUndefined();
    expect(changed(quoteWriter('2026-11-27').remove(quoteOf(id)))).toEqual([]);
    expect([model.rows.row('quote', id), model.rows.row('product', first.productId)?.name]).toEqual([
      undefined,
      'Tiles',
    ]);
  });
});
