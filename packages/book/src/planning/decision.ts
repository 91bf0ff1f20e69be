import { Choice, DecimalText, Flag, Name, Reference, Row, Text, WholeNumber } from '../fields/index.js';

export const DECISION_TYPES = ['buy in', 'special order', 'drop'] as const;
export type DecisionType = (typeof DECISION_TYPES)[number];

/** Whether to buy a product in, to take a special order for it, or to drop it. */
export class Decision extends Row {
  @Name({ label: 'Decision' })
  name!: string;

  @Choice(DECISION_TYPES, { label: 'Type' })
  type: DecisionType = 'buy in';

  @Reference('product', { label: 'Product', goesWithTarget: true })
  productId!: string;

  /** Where a special order is sold: its fees are taken from the price. None where empty. */
  @Reference('channel', { label: 'Channel', goesWithTarget: false, nullable: true })
  channelId: string | null = null;

  /** A month, or of the special order; where empty, what is planned. */
  @DecimalText({ label: 'Units', above: '0', to: '1000000000', nullable: true })
  units: string | null = null;

  /** True for a special order that is made in whole batches of its own: what is left of the last one is paid too. */
  @Flag({ label: 'Batches of its own' })
  ownBatches = false;

  /** Quoted by the supplier for a unit, or offered by the customer before tax. */
  @DecimalText({ label: 'Price', from: '0', to: '1000000000', nullable: true })
  price: string | null = null;

  /** What it costs once: a tool, a mould, a first delivery. */
  @DecimalText({ label: 'One-time cost', from: '0', to: '1000000000' })
  oneTimeCost = '0';

  /** The months over which the one-time cost is counted, where the decision is about every month. */
  @WholeNumber({ label: 'Counted over months', from: 1, to: 1200 })
  months = 12;

  /** The work that is freed, or that is taken from other products. */
  @Reference('labourGrade', { label: 'Scarce labour', goesWithTarget: false, nullable: true })
  gradeId: string | null = null;

  @Reference('equipment', { label: 'Scarce equipment', goesWithTarget: false, nullable: true })
  equipmentId: string | null = null;

  /** What an hour of what is scarce earns otherwise (contribution). */
  @DecimalText({ label: 'An hour earns', from: '0', to: '1000000000', nullable: true })
  hourEarns: string | null = null;

  /** The mix plan from which that was taken; none where it was typed. */
  @Reference('mixPlan', { label: 'Mix plan', goesWithTarget: false, nullable: true })
  mixPlanId: string | null = null;

  /** How many of the hours are scarce: they displace other work, or find other work. All of them where empty. */
  @DecimalText({ label: 'Of them scarce, hours', from: '0', to: '1000000000', nullable: true })
  scarceHours: string | null = null;

  @Text({ label: 'Note' })
  note = '';
}

export const FIXED_COST_FATES = ['goes', 'stays', 'comes on top'] as const;
export type FixedCostFate = (typeof FIXED_COST_FATES)[number];

/** What becomes of a fixed cost with a decision. */
export class DecisionCost extends Row {
  @Reference('decision', { label: 'Decision', goesWithTarget: true })
  decisionId!: string;

  @WholeNumber({ label: 'Position', from: 0, to: 1_000_000 })
  position = 0;

  @Name({ label: 'Cost' })
  name!: string;

  @Reference('runningCost', { label: 'Running cost', goesWithTarget: false, nullable: true })
  runningCostId: string | null = null;

  /** Where empty, the share of the running cost. */
  @DecimalText({ label: 'Amount a month', from: '0', to: '1000000000', nullable: true })
  amountPerMonth: string | null = null;

  /** The share of the running cost that the decision touches, where no amount is entered. */
  @DecimalText({ label: 'Share, %', from: '0', to: '100' })
  sharePercent = '100';

  @Choice(FIXED_COST_FATES, { label: 'What becomes of it' })
  fate: FixedCostFate = 'goes';
}
