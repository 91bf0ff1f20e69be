import {
  BANDED_FEE_BASES,
  FEE_BASES,
  FEE_PURPOSES,
  PRICE_FEE_BASES,
  SPREAD_FEE_BASES,
  type StoredRow,
} from '@nuvar/book';
import { model } from '../../book/model.js';
import { nextPosition } from '../../book/operations.js';
import { fieldColumn } from '../../controls/grid/field-column.js';
import { figureColumn, type Column, type GridWriter } from '../../controls/grid/grid-model.js';
import { rowsWriter } from '../../controls/grid/rows-writer.js';
import { typedText } from '../../figures/format.js';

export type Fee = StoredRow<'feeRule'>;
export type Band = StoredRow<'feeBand'>;
export type Size = StoredRow<'sizeTier'>;

/** What a fee is taken of, as a column says it. */
export const FEE_BASIS_WORDS: Readonly<Record<(typeof FEE_BASES)[number], string>> = {
  'price before tax': '% of the price before tax',
  'price paid': '% of the price paid',
  'price and postage before tax': '% of price and postage before tax',
  'price and postage paid': '% of price and postage paid',
  unit: 'each unit',
  order: 'each order',
  listing: 'each listing',
  day: 'each day',
  month: 'each month',
  weight: 'each kg of weight',
  'packaging weight': 'each kg of packaging',
  size: 'the size of the parcel',
  'volume and month': 'each litre and month in store',
};

export const FEE_PURPOSE_WORDS: Readonly<Record<(typeof FEE_PURPOSES)[number], string>> = {
  commission: 'commission',
  payment: 'payment',
  fulfilment: 'fulfilment',
  storage: 'storage',
  subscription: 'subscription',
  advertising: 'advertising',
  handling: 'order handling and service',
  'packaging recovery': 'packaging recovery',
  other: 'other',
};

/** What the bands of a fee count for, in words. */
export const bandRuleWords = (fee: Fee) => {
  const what = isOfPrice(fee) ? 'price' : 'weight';
  return { 'whole price': `the whole ${what}`, 'slice by slice': `each slice of the ${what}` };
};

const isOneOf = (all: readonly string[], value: string | undefined) => value !== undefined && all.includes(value);
export const isOfPrice = (fee: Fee | null) => fee === null || isOneOf(PRICE_FEE_BASES, fee.takenOf);
export const isBanded = (fee: Fee) => isOneOf(BANDED_FEE_BASES, fee.takenOf);
export const isOfSize = ({ takenOf }: Fee) => takenOf === 'size';
const isOfWeight = (fee: Fee | null) => fee?.takenOf === 'weight' || fee?.takenOf === 'size';
const isStorage = (fee: Fee | null) => fee?.takenOf === 'volume and month';
const isSpread = (fee: Fee | null) => isOneOf(SPREAD_FEE_BASES, fee?.takenOf);
const hasBands = (fee: Fee | null) => fee !== null && model.rows.rowsWith('feeBand', 'ruleId', fee.id).length > 0;

export const feeWriter = (channelId: string, fees: readonly Fee[]): GridWriter<Fee, Partial<Fee>> =>
  rowsWriter<Fee>('feeRule', {
    needs: 'name',
    fixed: (before) => ({ channelId, position: nextPosition('feeRule', fees, before) }),
  });

export const bandWriter = (ruleId: string): GridWriter<Band, Partial<Band>> => {
  const by = (needs: keyof Band & string) =>
    rowsWriter<Band>('feeBand', { needs, isCopied: false, fixed: () => ({ ruleId }) });
  const writers = [by('percent'), by('amount'), by('perKilogram')] as const;
  return {
    ...writers[0],
    create: (id, patch, before) =>
      writers.reduce<ReturnType<GridWriter<Band, Partial<Band>>['create']>>(
        (made, writer) => made ?? writer.create(id, patch, before),
        null,
      ),
  };
};

export const sizeWriter = (ruleId: string, sizes: readonly Size[]): GridWriter<Size, Partial<Size>> =>
  rowsWriter<Size>('sizeTier', {
    needs: 'name',
    fixed: (before) => ({ ruleId, position: nextPosition('sizeTier', sizes, before) }),
  });

/** The columns of the fees of a channel, each with what it comes to at the price that is tried. */
export function feeColumns(channelAtPrice: string, locale: string, currency: string): Column<Fee, Partial<Fee>>[] {
  const own = (field: keyof Fee & string, more: { header?: string; placeholder?: string } = {}) =>
    fieldColumn<Fee>('feeRule', field, locale, more);
  return [
    own('name', { placeholder: 'Commission, card payment, stall' }),
    fieldColumn<Fee>('feeRule', 'purpose', locale, { words: FEE_PURPOSE_WORDS }),
    fieldColumn<Fee>('feeRule', 'takenOf', locale, { words: FEE_BASIS_WORDS }),
    { ...own('percent', { header: '%' }), applies: (fee) => isOfPrice(fee) && !hasBands(fee) },
    {
      ...own('amount', { header: `Amount, ${currency}` }),
      applies: (fee) => !hasBands(fee) && fee?.takenOf !== 'size',
    },
    { ...own('spreadOver', { header: 'Units sold in it' }), applies: isSpread },
    figureColumn({
      id: 'atPrice',
      header: `Fee at this price, ${currency}`,
      view: 'channel',
      of: () => channelAtPrice,
      pick: (view, { id }: Fee) => view.each[id]?.amount ?? undefined,
      digits: 4,
    }),
  ];
}

/** Columns that are shown on demand. */
export function moreFeeColumns(locale: string, currency: string): Column<Fee, Partial<Fee>>[] {
  const own = (field: keyof Fee & string, header?: string) =>
    fieldColumn<Fee>('feeRule', field, locale, header === undefined ? {} : { header });
  return [
    { ...own('minimum', `At least, ${currency}`), applies: isOfPrice },
    { ...own('maximum', `At most, ${currency}`), applies: isOfPrice },
    own('taxPercent', 'Tax on it, %'),
    own('givenBackPercent', 'Back on returns, %'),
    { ...fieldColumn<Fee>('feeRule', 'beforeCoupon', locale, { header: 'Before coupons' }), applies: isOfPrice },
    { ...own('volumeDivisor', 'cm³ per kg'), applies: isOfWeight },
    { ...own('fromMonth', 'From month'), applies: isStorage },
    { ...own('toMonth', 'To month'), applies: isStorage },
    own('category', 'Only for category'),
    own('startsOn'),
    own('endsOn'),
  ];
}

export function bandColumns(fee: Fee, locale: string, currency: string): Column<Band, Partial<Band>>[] {
  const ofPrice = isOfPrice(fee);
  const limit = ofPrice ? `Price up to, ${currency}` : 'Weight up to, kg';
  return [
    fieldColumn<Band>('feeBand', 'upTo', locale, { header: limit, placeholder: 'no limit' }),
    ofPrice
      ? fieldColumn<Band>('feeBand', 'percent', locale, { header: '%' })
      : fieldColumn<Band>('feeBand', 'perKilogram', locale, { header: `${currency} per kg` }),
    fieldColumn<Band>('feeBand', 'amount', locale, { header: `Amount, ${currency}` }),
  ];
}

export function sizeColumns(locale: string, currency: string): Column<Size, Partial<Size>>[] {
  const own = (field: keyof Size & string, header?: string) =>
    fieldColumn<Size>('sizeTier', field, locale, header === undefined ? {} : { header });
  return [
    fieldColumn<Size>('sizeTier', 'name', locale, { placeholder: 'Small, standard, large' }),
    own('longest'),
    own('middle'),
    own('shortest'),
    own('upToKilograms', 'Weight up to, kg'),
    own('amount', `Amount, ${currency}`),
  ];
}

/** A fee as a sentence: "2.9 % of the price paid, at least 0.50, from 01/01/2027". */
export function feeSentence(fee: Fee, locale: string, day: (text: string) => string): string {
  const money = (text: string) => typedText(text, locale);
  const bands = model.rows.rowsWith('feeBand', 'ruleId', fee.id).length;
  const sizes = model.rows.rowsWith('sizeTier', 'ruleId', fee.id).length;
  const taken = [
    ...(isBanded(fee) && bands > 0
      ? [
          `by ${bands} bands of ${isOfPrice(fee) ? FEE_BASIS_WORDS[fee.takenOf].slice(5) : 'weight'}, for ${bandRuleWords(fee)[fee.bandRule]}`,
        ]
      : []),
    ...(isOfSize(fee) ? [`by ${sizes} sizes`] : []),
    ...(isOfPrice(fee) && bands === 0 && fee.percent !== null
      ? [`${money(fee.percent)} ${FEE_BASIS_WORDS[fee.takenOf]}`]
      : []),
    ...(bands === 0 && !isOfSize(fee) && fee.amount !== null
      ? [`${money(fee.amount)} ${isOfPrice(fee) ? 'a unit' : `for ${FEE_BASIS_WORDS[fee.takenOf]}`}`]
      : []),
  ].join(' and ');
  const limits = [
    ...(fee.minimum !== null && isOfPrice(fee) ? [`at least ${money(fee.minimum)}`] : []),
    ...(fee.maximum !== null && isOfPrice(fee) ? [`at most ${money(fee.maximum)}`] : []),
    ...(fee.taxPercent === null ? [] : [`and ${money(fee.taxPercent)} % tax on it`]),
    ...(fee.givenBackPercent === '0' ? [] : [`${money(fee.givenBackPercent)} % given back on returns`]),
    ...(fee.fromMonth === null && fee.toMonth === null
      ? []
      : [`in months ${fee.fromMonth ?? 1} to ${fee.toMonth ?? 12}`]),
    ...(fee.category.trim() === '' ? [] : [`for ${fee.category.trim()}`]),
    ...(fee.startsOn === null ? [] : [`from ${day(fee.startsOn)}`]),
    ...(fee.endsOn === null ? [] : [`until ${day(fee.endsOn)}`]),
  ];
  return [taken === '' ? 'not stated yet' : taken, ...limits].join(', ');
}
