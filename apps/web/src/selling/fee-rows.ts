import { FEE_BASES, PRICE_FEE_BASES, SPREAD_FEE_BASES, type StoredRow } from '@nuvar/book';
import { model } from '../book/model.js';
import { nextPosition } from '../book/operations.js';
import { fieldColumn } from '../controls/field-column.js';
import { figureColumn, type Column, type GridWriter } from '../controls/grid-model.js';
import { rowsWriter } from '../controls/rows-writer.js';
import { typedText } from '../figures/format.js';

export type Fee = StoredRow<'feeRule'>;
export type Band = StoredRow<'feeBand'>;

/** What a fee is taken of, as a column says it. */
export const FEE_BASIS_WORDS: Readonly<Record<(typeof FEE_BASES)[number], string>> = {
  'price before tax': '% of the price before tax',
  'price paid': '% of the price paid',
  unit: 'each unit',
  order: 'each order',
  listing: 'each listing',
  day: 'each day',
  month: 'each month',
};

export const BAND_RULE_WORDS = { 'whole price': 'the whole price', 'slice by slice': 'each slice of the price' };

const isOneOf = (all: readonly string[], value: string | undefined) => value !== undefined && all.includes(value);
export const isOfPrice = (fee: Fee | null) => fee === null || isOneOf(PRICE_FEE_BASES, fee.takenOf);
const isSpread = (fee: Fee | null) => isOneOf(SPREAD_FEE_BASES, fee?.takenOf);
const hasBands = (fee: Fee | null) => fee !== null && model.rows.rowsWith('feeBand', 'ruleId', fee.id).length > 0;

export const feeWriter = (channelId: string, fees: readonly Fee[]): GridWriter<Fee, Partial<Fee>> =>
  rowsWriter<Fee>('feeRule', {
    needs: 'name',
    fixed: (before) => ({ channelId, position: nextPosition('feeRule', fees, before) }),
  });

export const bandWriter = (ruleId: string): GridWriter<Band, Partial<Band>> => {
  const writer = rowsWriter<Band>('feeBand', { needs: 'percent', isCopied: false, fixed: () => ({ ruleId }) });
  const byAmount = rowsWriter<Band>('feeBand', { needs: 'amount', isCopied: false, fixed: () => ({ ruleId }) });
  return {
    ...writer,
    create: (id, patch, before) => writer.create(id, patch, before) ?? byAmount.create(id, patch, before),
  };
};

/** The columns of the fees of a channel, each with what it comes to at the price that is tried. */
export function feeColumns(channelAtPrice: string, locale: string, currency: string): Column<Fee, Partial<Fee>>[] {
  const own = (field: keyof Fee & string, more: { header?: string; placeholder?: string } = {}) =>
    fieldColumn<Fee>('feeRule', field, locale, more);
  return [
    own('name', { placeholder: 'Commission, card payment, stall' }),
    fieldColumn<Fee>('feeRule', 'takenOf', locale, { words: FEE_BASIS_WORDS }),
    { ...own('percent', { header: '%' }), applies: (fee) => isOfPrice(fee) && !hasBands(fee) },
    { ...own('amount', { header: `Amount, ${currency}` }), applies: (fee) => !hasBands(fee) },
    { ...own('spreadOver', { header: 'Units sold in it' }), applies: isSpread },
    figureColumn({
      id: 'atPrice',
      header: `Of it, ${currency}`,
      view: 'channel',
      of: () => channelAtPrice,
      pick: (view, { id }: Fee) => view.each[id]?.amount,
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
    own('category', 'Only for category'),
    own('startsOn'),
    own('endsOn'),
  ];
}

export function bandColumns(locale: string, currency: string): Column<Band, Partial<Band>>[] {
  return [
    fieldColumn<Band>('feeBand', 'upTo', locale, { header: `Price up to, ${currency}`, placeholder: 'no limit' }),
    fieldColumn<Band>('feeBand', 'percent', locale, { header: '%' }),
    fieldColumn<Band>('feeBand', 'amount', locale, { header: `Amount, ${currency}` }),
  ];
}

/** A fee as a sentence: "2.9 % of the price paid, at least 0.50, from 01/01/2027". */
export function feeSentence(fee: Fee, locale: string, day: (text: string) => string): string {
  const money = (text: string) => typedText(text, locale);
  const bands = model.rows.rowsWith('feeBand', 'ruleId', fee.id).length;
  const taken = [
    ...(isOfPrice(fee) && bands > 0
      ? [`${bands} bands of ${FEE_BASIS_WORDS[fee.takenOf].slice(5)}, by ${BAND_RULE_WORDS[fee.bandRule]}`]
      : []),
    ...(isOfPrice(fee) && bands === 0 && fee.percent !== null
      ? [`${money(fee.percent)} ${FEE_BASIS_WORDS[fee.takenOf]}`]
      : []),
    ...(bands === 0 && fee.amount !== null
      ? [`${money(fee.amount)} ${isOfPrice(fee) ? 'a unit' : FEE_BASIS_WORDS[fee.takenOf]}`]
      : []),
  ].join(' and ');
  const limits = [
    ...(fee.minimum !== null && isOfPrice(fee) ? [`at least ${money(fee.minimum)}`] : []),
    ...(fee.maximum !== null && isOfPrice(fee) ? [`at most ${money(fee.maximum)}`] : []),
    ...(fee.taxPercent === null ? [] : [`and ${money(fee.taxPercent)} % tax on it`]),
    ...(fee.category.trim() === '' ? [] : [`for ${fee.category.trim()}`]),
    ...(fee.startsOn === null ? [] : [`from ${day(fee.startsOn)}`]),
    ...(fee.endsOn === null ? [] : [`until ${day(fee.endsOn)}`]),
  ];
  return [taken === '' ? 'not stated yet' : taken, ...limits].join(', ');
}
