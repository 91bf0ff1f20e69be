import type { ListOutcome, PriceListField } from '@nuvar/core';

/** What the columns of a price list are called. */
export const FIELD_WORDS: Readonly<Record<PriceListField, string>> = {
  name: 'name',
  code: 'code',
  supplier: 'supplier',
  pack: 'pack',
  unit: 'pack unit',
  price: 'pack price',
  currency: 'currency',
  validFrom: 'valid from',
  minimumOrder: 'smallest order',
  orderedPacks: 'packs ordered',
};

/** What becomes of a row of it. */
export const OUTCOME_WORDS: Readonly<Record<ListOutcome, string>> = {
  'new material': 'new material',
  'new price': 'new price',
  'same price': 'nothing new',
  'not understood': 'not understood',
};
