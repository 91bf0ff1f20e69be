import { newId, type Operation, type StoredRow } from '@nuvar/book';
import type { QuoteOptionView, SentFields } from '@nuvar/core';
import { model } from '../../book/model.js';
import { createOf, nextPosition, updateOf } from '../../book/operations.js';
import type { GridWriter } from '../../controls/grid/grid-model.js';
import { copyInBook, freeName, removalInBook, rowsWriter } from '../../controls/grid/rows-writer.js';

type Quote = StoredRow<'quote'>;
type Option = StoredRow<'quoteOption'>;

/** A further option of a quote: a product that exists for it alone, made in one batch. */
export function newOption(quoteId: string, name: string, units = '1'): Operation[] {
  const options = model.rows.rowsWith('quoteOption', 'quoteId', quoteId);
  const productId = newId();
  return [
    createOf('product', productId, { name: freeName('product', name), batchSize: units, quoted: true }),
    createOf('quoteOption', newId(), {
      quoteId,
      productId,
      units,
      position: nextPosition('quoteOption', options, []),
    }),
  ];
}

/** Another option that begins as a copy of one: with its materials, its work and its machines. */
export function copiedOption(option: Option): Operation[] {
  const product = model.rows.row('product', option.productId);
  if (product === undefined) return [];
  const productId = newId();
  const options = model.rows.rowsWith('quoteOption', 'quoteId', option.quoteId);
  const { quoteId, units, methodId, learningPercent } = option;
  return [
    ...copyInBook('product', product, productId),
    createOf('quoteOption', newId(), {
      quoteId,
      productId,
      units,
      methodId,
      learningPercent,
      position: nextPosition('quoteOption', options, []),
    }),
  ];
}

/** An option goes with the product that exists for it alone; one that became a product of the book stays there. */
export function removedOption(option: Option): Operation[] {
  const product = model.rows.row('product', option.productId);
  return product?.quoted === true ? removalInBook('product', product.id) : removalInBook('quoteOption', option.id);
}

/** So many units are made in one batch: set-ups are counted for the job. */
export function changedUnits(option: Option, units: string): Operation[] {
  const product = model.rows.row('product', option.productId);
  return [
    ...updateOf('quoteOption', option, { units }),
    ...(product?.quoted === true ? updateOf('product', product, { batchSize: units }) : []),
  ];
}

const NOT_SENT: SentFields = {
  sentPrice: null,
  sentCost: null,
  sentContingency: null,
  sentVariableCost: null,
  sentMaterials: null,
  sentLabour: null,
  sentHours: null,
  sentOther: null,
  sentTaxPercent: null,
  sentName: '',
  sentNote: '',
  sentUnit: '',
};

/** The options of a quote with what is kept of them, as its page has worked it out. */
type Sendable = readonly Pick<QuoteOptionView, 'id' | 'sending'>[];

/** A quote that leaves its draft keeps what its options are offered at; set back to draft it lets go of that. */
export const changedState = (quote: Quote, state: Quote['state'], views: Sendable): Operation[] => [
  ...updateOf('quote', quote, { state }),
  ...model.rows
    .rowsWith('quoteOption', 'quoteId', quote.id)
    .flatMap((option) => updateOf('quoteOption', option, keptOf(quote, option, state, views))),
];

function keptOf(quote: Quote, { id }: Option, state: Quote['state'], views: Sendable): Partial<Option> {
  if (state === 'draft') return NOT_SENT;
  return (quote.state === 'draft' && views.find((view) => view.id === id)?.sending) || {};
}

/** The quote is won with one of its options, which becomes a product of the book; the others go on existing in the quote alone. */
export function wonWith(quote: Quote, option: Option, views: Sendable): Operation[] {
  const product = model.rows.row('product', option.productId);
  const options = model.rows.rowsWith('quoteOption', 'quoteId', quote.id);
  return [
    ...updateOf('quote', quote, { state: 'won' }),
    ...options.flatMap((each) =>
      updateOf('quoteOption', each, { ...keptOf(quote, each, 'won', views), accepted: each.id === option.id }),
    ),
    ...(product === undefined ? [] : updateOf('product', product, { quoted: false })),
  ];
}

/** A quote comes with its first option, and goes with the products that exist for it alone. */
export function quoteWriter(day: string): GridWriter<Quote, Partial<Quote>> {
  const plain = rowsWriter<Quote>('quote', {
    needs: 'name',
    isCopied: false,
    fixed: () => ({ quotedOn: day, target: '30' }),
  });
  return {
    ...plain,
    create: (id, patch, before) => {
      const made = plain.create(id, patch, before);
      return made === null ? null : [...made, ...newOption(id, patch.name ?? 'Job')];
    },
    remove: (quote) => [
      ...model.rows.rowsWith('quoteOption', 'quoteId', quote.id).flatMap(removedOption),
      ...removalInBook('quote', quote.id).filter(({ kind }) => kind === 'quote'),
    ],
  };
}
