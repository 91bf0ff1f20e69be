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

/** How many rows have a result. */
export const OUTCOME_COUNTS: Readonly<Record<ListOutcome, readonly [one: string, many: string]>> = {
  'new material': ['new material', 'new materials'],
  'new price': ['new price', 'new prices'],
  'same price': ['without a change', 'without a change'],
  'not understood': ['not understood', 'not understood'],
};

/** What becomes of a row of it. */
export const OUTCOME_WORDS: Readonly<Record<ListOutcome, string>> = {
  'new material': 'new material',
  'new price': 'new price',
  'same price': 'no change',
  'not understood': 'not understood',
};
