import { Choice, Day, DecimalText, Flag, Name, Reference, Row, Text, WholeNumber } from '../fields/index.js';

export const QUOTE_STATES = ['draft', 'sent', 'won', 'lost'] as const;
export type QuoteState = (typeof QUOTE_STATES)[number];

export const QUOTE_BASES = ['margin', 'markup', 'profit'] as const;
export type QuoteBasis = (typeof QUOTE_BASES)[number];

/** An offer for a one-off job, with one option or several. */
export class Quote extends Row {
  @Name({ label: 'Quote' })
  name!: string;

  @Text({ label: 'Customer' })
  customer = '';

  @Choice(QUOTE_STATES, { label: 'State' })
  state: QuoteState = 'draft';

  @Day({ label: 'Quoted on', nullable: true })
  quotedOn: string | null = null;

  @Day({ label: 'Valid until', nullable: true })
  validUntil: string | null = null;

  /** Added to the cost for what nobody can foresee. */
  @DecimalText({ label: 'Contingency, %', from: '0', to: '1000' })
  contingencyPercent = '0';

  @Choice(QUOTE_BASES, { label: 'Priced by' })
  basis: QuoteBasis = 'margin';

  @DecimalText({ label: 'Target', from: '-1000000', to: '1000000', nullable: true })
  target: string | null = null;

  @Text({ label: 'Text above' })
  opening = '';

  @Text({ label: 'Text below' })
  closing = '';
}

/** One way to do the job of a quote: so many units of a product that exists for the quote alone until it is won. */
export class QuoteOption extends Row {
  @Reference('quote', { label: 'Quote', goesWithTarget: true })
  quoteId!: string;

  @Reference('product', { label: 'Product', goesWithTarget: true })
  productId!: string;

  @WholeNumber({ label: 'Position', from: 0, to: 1_000_000 })
  position = 0;

  @DecimalText({ label: 'Units', above: '0', to: '1000000000' })
  units = '1';

  /** By which overhead is shared out; where empty, the method of the book. */
  @Reference('costingMethod', { label: 'Overhead by', goesWithTarget: false, nullable: true })
  methodId: string | null = null;

  /** Each doubling of the units brings the average time down to this share of itself; empty where nothing is learnt. */
  @DecimalText({ label: 'Learning rate, %', above: '0', to: '100', nullable: true })
  learningPercent: string | null = null;

  /** The price of the whole job before tax; where empty, the one that reaches the target. */
  @DecimalText({ label: 'Price of the job', from: '0', to: '1000000000', nullable: true })
  price: string | null = null;

  @Flag({ label: 'Accepted' })
  accepted = false;

  /** What was offered when the quote was sent: it stays, whatever moves later. Empty while the quote is a draft. */
  @DecimalText({ label: 'Price as sent', from: '0', to: '1000000000', nullable: true })
  sentPrice: string | null = null;

  @DecimalText({ label: 'Cost as sent', from: '0', to: '1000000000', nullable: true })
  sentCost: string | null = null;

  @DecimalText({ label: 'Contingency as sent', from: '0', to: '1000000000', nullable: true })
  sentContingency: string | null = null;

  /** Of the cost, what changes with each unit. */
  @DecimalText({ label: 'Variable cost as sent', from: '0', to: '1000000000', nullable: true })
  sentVariableCost: string | null = null;

  /** What was planned for the whole job, against which what it really needed is held. */
  @DecimalText({ label: 'Materials as sent', from: '0', to: '1000000000', nullable: true })
  sentMaterials: string | null = null;

  @DecimalText({ label: 'Labour as sent', from: '0', to: '1000000000', nullable: true })
  sentLabour: string | null = null;

  @DecimalText({ label: 'Hours as sent', from: '0', to: '1000000000', nullable: true })
  sentHours: string | null = null;

  @DecimalText({ label: 'Other costs as sent', from: '0', to: '1000000000', nullable: true })
  sentOther: string | null = null;

  @DecimalText({ label: 'Sales tax as sent', from: '0', to: '100', nullable: true })
  sentTaxPercent: string | null = null;

  @Text({ label: 'Name as sent' })
  sentName = '';

  @Text({ label: 'Note as sent' })
  sentNote = '';

  @Text({ label: 'Unit as sent' })
  sentUnit = '';

  /** What was really needed for the whole job, once it is done. */
  @DecimalText({ label: 'Materials needed', from: '0', to: '1000000000', nullable: true })
  actualMaterials: string | null = null;

  @DecimalText({ label: 'Hours needed', from: '0', to: '1000000', nullable: true })
  actualHours: string | null = null;

  @DecimalText({ label: 'Other costs', from: '0', to: '1000000000', nullable: true })
  actualOther: string | null = null;
}
