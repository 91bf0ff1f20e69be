import type { SaleLine } from '@nuvar/core';

/** What the lines of a sale are called. */
const WORDS: Readonly<Record<string, string>> = {
  listPrice: 'List price',
  discount: 'Discount',
  coupon: 'Coupon, your part',
  tax: 'Sales tax',
  beforeTax: 'Price before tax',
  postageCharged: 'Postage charged',
  refunds: 'Refunds expected',
  netRevenue: 'Net revenue',
  packing: 'Packing',
  postagePaid: 'Postage paid',
  returnsCost: 'Other cost of returns',
  afterFees: 'Left after selling costs',
  materials: 'Materials and packaging',
  labour: 'Labour',
  other: 'Other direct costs',
  equipment: 'Equipment',
  otherVariable: 'Other variable cost',
  asNew: 'Back as new',
  contribution: 'Contribution',
  fixed: 'Fixed costs in it',
  periodFees: 'Channel fees of the month, on average',
  profit: 'Profit',
};

export const lineWords = ({ id, name }: Pick<SaleLine, 'id' | 'name'>): string => name ?? WORDS[id] ?? id;
