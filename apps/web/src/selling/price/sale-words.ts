import type { SaleLeftView, SaleLine } from '@nuvar/core';

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

/** What the figures about returns and fees are called. */
export const RETURN_WORDS: Readonly<Record<SaleLeftView['returns'][number]['id'], string>> = {
  returnCost: 'Returns in all, for each unit dispatched',
  perReturn: 'One return costs',
  feesKept: 'Fees less those given back',
  costKept: 'Variable cost less what comes back as new',
  contributionPerKept: 'Contribution for each unit kept',
  profitPerKept: 'Profit for each unit kept',
  feeTax: 'Tax in the fees that is not recovered',
};

export const lineWords = ({ id, name }: Pick<SaleLine, 'id' | 'name'>): string => name ?? WORDS[id] ?? id;
