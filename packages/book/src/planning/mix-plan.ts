import { Choice, DecimalText, Flag, Name, Reference, Row, Text, UnitCode, WholeNumber } from '../fields/index.js';

export const MIX_GOALS = [
  'contribution',
  'profit after set-up',
  'operating profit',
  'revenue',
  'units',
  'least cost',
] as const;
export type MixGoal = (typeof MIX_GOALS)[number];

/** What to make in a period in which something runs short. */
export class MixPlan extends Row {
  @Name({ label: 'Mix plan' })
  name!: string;

  @Choice(MIX_GOALS, { label: 'Goal' })
  goal: MixGoal = 'profit after set-up';

  /** The open days that it covers; a month where empty. */
  @DecimalText({ label: 'Open days', above: '0', to: '10000', nullable: true })
  openDays: string | null = null;

  /** How long the best mix is searched for at most. */
  @DecimalText({ label: 'Time limit, s', above: '0', to: '600' })
  secondsAtMost = '10';

  /** The search ends when the best mix found is within so many percent of the best possible. */
  @DecimalText({ label: 'Gap allowed, %', from: '0', to: '100' })
  gapPercent = '0';

  /** What money bound in stock costs; of a plan of several periods. */
  @DecimalText({ label: 'Interest on stock, % a year', from: '0', to: '1000' })
  interestPercent = '0';
}

/** A part of a mix plan, at its place in a list. */
class MixPart extends Row {
  @Reference('mixPlan', { label: 'Mix plan', goesWithTarget: true })
  planId!: string;

  @WholeNumber({ label: 'Position', from: 0, to: 1_000_000 })
  position = 0;
}

/** One of the periods of a mix plan, in the order of their position: what is not sold in one is in stock for the next. */
export class MixPeriod extends MixPart {
  @Name({ label: 'Name' })
  name!: string;

  /** Where empty, an equal part of the open days of the plan. */
  @DecimalText({ label: 'Open days', above: '0', to: '10000', nullable: true })
  openDays: string | null = null;
}

/** A product of a mix plan in one of its periods. */
export class MixPeriodProduct extends Row {
  @Reference('mixPeriod', { label: 'Period', goesWithTarget: true })
  periodId!: string;

  @Reference('mixProduct', { label: 'Product', goesWithTarget: true })
  mixProductId!: string;

  @DecimalText({ label: 'Sold at least', from: '0', to: '1000000000' })
  minimum = '0';

  @DecimalText({ label: 'Sold at most', from: '0', to: '1000000000', nullable: true })
  maximum: string | null = null;

  /** Tried by hand; a product in several channels is made by its first line. */
  @DecimalText({ label: 'Made', from: '0', to: '1000000000' })
  made = '0';

  /** Tried by hand. */
  @DecimalText({ label: 'Sold', from: '0', to: '1000000000' })
  sold = '0';
}

/** A resource of a mix plan in one of its periods. */
export class MixPeriodResource extends Row {
  @Reference('mixPeriod', { label: 'Period', goesWithTarget: true })
  periodId!: string;

  @Reference('mixResource', { label: 'Resource', goesWithTarget: true })
  resourceId!: string;

  /** Of what is kept over the periods: what comes in. Where empty, the part of the plan that falls to the period. */
  @DecimalText({ label: 'Available', from: '0', to: '1000000000', nullable: true })
  available: string | null = null;

  @DecimalText({ label: 'Extra, up to', from: '0', to: '1000000000', nullable: true })
  extra: string | null = null;

  /** Of a component, tried by hand. */
  @DecimalText({ label: 'Made', from: '0', to: '1000000000' })
  made = '0';
}

export const MIX_COUNTS = ['any amount', 'whole units', 'whole batches'] as const;
export type MixCount = (typeof MIX_COUNTS)[number];

export const MIX_SET_UPS = ['in each batch', 'once in the plan'] as const;
export type MixSetUp = (typeof MIX_SET_UPS)[number];

/** A product in a mix plan, as it is sold in one channel, or one that is not in the book and typed. */
export class MixProduct extends MixPart {
  @Reference('product', { label: 'Product', goesWithTarget: true, nullable: true })
  productId: string | null = null;

  /** Its price there gives the contribution, unless that is typed. */
  @Reference('channel', { label: 'Channel', goesWithTarget: false, nullable: true })
  channelId: string | null = null;

  /** How it is called where it is not in the book. */
  @Text({ label: 'Name' })
  name = '';

  /** Typed in place of what the price leaves. */
  @DecimalText({ label: 'Contribution', from: '-1000000000', to: '1000000000', nullable: true })
  contribution: string | null = null;

  @DecimalText({ label: 'Net revenue', from: '0', to: '1000000000', nullable: true })
  revenue: string | null = null;

  /** What changes with each unit. */
  @DecimalText({ label: 'Variable cost', from: '0', to: '1000000000', nullable: true })
  variableCost: string | null = null;

  /** Tried by hand. */
  @DecimalText({ label: 'Quantity', from: '0', to: '1000000000' })
  quantity = '0';

  @DecimalText({ label: 'At least', from: '0', to: '1000000000' })
  minimum = '0';

  @DecimalText({ label: 'At most', from: '0', to: '1000000000', nullable: true })
  maximum: string | null = null;

  /** Orders that are agreed: they are made whatever they leave. */
  @DecimalText({ label: 'Agreed orders', from: '0', to: '1000000000' })
  agreed = '0';

  /** So many at least where it is made at all. */
  @DecimalText({ label: 'Minimum lot', above: '0', to: '1000000000', nullable: true })
  lot: string | null = null;

  @Choice(MIX_COUNTS, { label: 'Made in' })
  countedIn: MixCount = 'any amount';

  /** Whether its set-up comes with each batch, as its bill says, or once for all that the plan makes of it. */
  @Choice(MIX_SET_UPS, { label: 'Set-up' })
  setUp: MixSetUp = 'in each batch';

  /** Paid once where it is made at all; where empty, what the set-up of one batch costs, or nothing. */
  @DecimalText({ label: 'Set-up cost', from: '0', to: '1000000000', nullable: true })
  setUpCost: string | null = null;

  /** There before the first period. */
  @DecimalText({ label: 'Opening stock', from: '0', to: '1000000000' })
  openingStock = '0';

  /** There after the last period at least; where empty, the opening stock. */
  @DecimalText({ label: 'Closing stock at least', from: '0', to: '1000000000', nullable: true })
  closingStock: string | null = null;

  @DecimalText({ label: 'Storage, per unit and period', from: '0', to: '1000000000' })
  storageCost = '0';

  /** What is made in a period is sold in it, or in so many more; no limit where empty. */
  @WholeNumber({ label: 'Shelf life, periods', from: 0, to: 1000, nullable: true })
  keepsFor: number | null = null;
}

/** What runs short in a mix plan: work, a machine, its space, a material, a component, or something of its own. */
export class MixResource extends MixPart {
  /** How it is called where it is of nothing in the book. */
  @Text({ label: 'Name' })
  name = '';

  @Reference('labourGrade', { label: 'Labour grade', goesWithTarget: true, nullable: true })
  gradeId: string | null = null;

  @Reference('equipment', { label: 'Equipment', goesWithTarget: true, nullable: true })
  equipmentId: string | null = null;

  @Reference('equipmentRun', { label: 'Shared load', goesWithTarget: true, nullable: true })
  runId: string | null = null;

  @Reference('material', { label: 'Material', goesWithTarget: true, nullable: true })
  materialId: string | null = null;

  @Reference('product', { label: 'Component', goesWithTarget: true, nullable: true })
  componentId: string | null = null;

  /** In which one of its own is counted. */
  @UnitCode({ label: 'Unit' })
  unit = 'h';

  /** In the period of the plan; where empty, what the book says. */
  @DecimalText({ label: 'Available', from: '0', to: '1000000000', nullable: true })
  available: string | null = null;

  /** True where what is ordered and not here yet counts with the stock of a material. */
  @Flag({ label: 'Count what is on order' })
  countsOnOrder = false;

  /** True of a component of which more is made where its stock runs out: of what its making takes. */
  @Flag({ label: 'Made when it runs out' })
  madeWhenShort = true;

  /** True of one of its own that is kept: what a period leaves of it is there in the next. Materials and components always are. */
  @Flag({ label: 'Kept over periods' })
  isKept = false;

  /** Overtime or an extra purchase, up to so much. */
  @DecimalText({ label: 'Extra, up to', from: '0', to: '1000000000' })
  extra = '0';

  /** What each unit of it costs in all, and not the premium alone. */
  @DecimalText({ label: 'Price of extra', from: '0', to: '1000000000', nullable: true })
  extraPrice: string | null = null;

  /** What the contributions hold for each unit of it already; where empty, what the book says. */
  @DecimalText({ label: 'Normal price', from: '0', to: '1000000000', nullable: true })
  normalPrice: string | null = null;
}

/** What a product takes of a resource, typed in place of what its bill says. */
export class MixUse extends Row {
  @Reference('mixResource', { label: 'Resource', goesWithTarget: true })
  resourceId!: string;

  @Reference('mixProduct', { label: 'Product', goesWithTarget: true })
  mixProductId!: string;

  @DecimalText({ label: 'Per unit', from: '0', to: '1000000000', nullable: true })
  perUnit: string | null = null;

  /** Taken once where the product is made at all. */
  @DecimalText({ label: 'For the set-up', from: '0', to: '1000000000', nullable: true })
  forSetUp: string | null = null;
}

export const MIX_TOTAL_RULES = ['at most', 'at least', 'exactly'] as const;
export type MixTotalRule = (typeof MIX_TOTAL_RULES)[number];

export const MIX_TOTAL_MEASURES = ['units', 'difference', 'share of all'] as const;
export type MixTotalMeasure = (typeof MIX_TOTAL_MEASURES)[number];

/** A limit on the units of several products together, on how many more there are of some than of others, or on their share of all. */
export class MixTotal extends MixPart {
  @Name({ label: 'Name' })
  name!: string;

  @Choice(MIX_TOTAL_RULES, { label: 'Rule' })
  rule: MixTotalRule = 'at most';

  @Choice(MIX_TOTAL_MEASURES, { label: 'Of' })
  measure: MixTotalMeasure = 'units';

  /** Units, how many more, or percent of all. */
  @DecimalText({ label: 'Limit', from: '0', to: '1000000000', nullable: true })
  units: string | null = null;
}

export const MIX_TOTAL_SIDES = ['counted', 'against'] as const;
export type MixTotalSide = (typeof MIX_TOTAL_SIDES)[number];

/** A product that counts in a total. */
export class MixTotalProduct extends Row {
  @Reference('mixTotal', { label: 'Total', goesWithTarget: true })
  totalId!: string;

  @Reference('mixProduct', { label: 'Product', goesWithTarget: true })
  mixProductId!: string;

  /** Of a difference: what is counted, or what it is counted against. */
  @Choice(MIX_TOTAL_SIDES, { label: 'Side' })
  side: MixTotalSide = 'counted';
}
