import { fieldValue, type FieldOverride, type Kind, type StoredRow } from '@nuvar/book';
import { Decimal, decimal, HUNDRED, ONE } from '../number/index.js';
import type { RowsBelow } from '../sheet/index.js';

/** What can be changed together. */
export const BULK_TARGETS = [
  'material prices',
  'wages',
  'exchange rate',
  'planned volumes',
  'selling prices',
  'fees in percent',
  'fixed fees',
  'running costs',
] as const;
export type BulkTarget = (typeof BULK_TARGETS)[number];

/** By how much: percent of what there is, an amount on top, or percentage points. */
export const BULK_WAYS = ['percent', 'amount', 'points'] as const;
export type BulkWay = (typeof BULK_WAYS)[number];

export interface BulkChange {
  readonly target: BulkTarget;
  /** What it is narrowed to: "category/…", "supplier/…", "channel/…", "product/…", "pool/…" or "currency/…"; empty for all. */
  readonly within: string;
  readonly way: BulkWay;
  /** A decimal text; below zero for less. */
  readonly by: string;
}

/** The fields that each target changes. */
const FIELDS: Readonly<Record<BulkTarget, readonly (readonly [Kind, string])[]>> = {
  'material prices': [
    ['supplierPrice', 'price'],
    ['priceBreak', 'price'],
    ['standardPrice', 'price'],
  ],
  wages: [
    ['labourGrade', 'wagePerHour'],
    ['labourGrade', 'payPerYear'],
  ],
  'exchange rate': [['exchangeRate', 'rate']],
  'planned volumes': [
    ['plannedVolume', 'unitsPerMonth'],
    ['plannedMonth', 'units'],
  ],
  'selling prices': [
    ['pricePoint', 'price'],
    ['datedPrice', 'price'],
    ['quantityBreak', 'price'],
  ],
  'fees in percent': [
    ['feeRule', 'percent'],
    ['feeBand', 'percent'],
  ],
  'fixed fees': [
    ['feeRule', 'amount'],
    ['feeBand', 'amount'],
  ],
  'running costs': [
    ['runningCost', 'amount'],
    ['costIncrease', 'amount'],
    ['costStep', 'amount'],
  ],
};

/** What each target can be narrowed to. */
export const BULK_WITHIN: Readonly<Record<BulkTarget, readonly BulkPart[]>> = {
  'material prices': ['category', 'supplier'],
  wages: ['grade'],
  'exchange rate': ['currency'],
  'planned volumes': ['channel', 'product'],
  'selling prices': ['channel', 'product', 'category'],
  'fees in percent': ['channel', 'fee'],
  'fixed fees': ['channel', 'fee'],
  'running costs': ['pool'],
};
export type BulkPart = 'category' | 'supplier' | 'grade' | 'currency' | 'channel' | 'product' | 'fee' | 'pool';

/**
 * The fields that a change of many touches, each as an override: those that hold a number, of rows that are not archived. An
 * empty field stays empty, and what would be no other value is left out.
 */
export function bulkOverrides(rows: RowsBelow, { target, within, way, by }: BulkChange): FieldOverride[] {
  const amount = decimal(by);
  const how = way === 'percent' ? 'scale' : 'add';
  const step = way === 'percent' ? ONE.plus(amount.div(HUNDRED)) : amount;
  if (amount.isZero()) return [];
  return FIELDS[target].flatMap(([kind, field]) =>
    (rows.all(kind) as readonly unknown[] as readonly StoredRow[])
      .filter(
        (row) => fieldValue(row, field) !== null && !isNothing(row, field, way) && isWithin(rows, kind, row, within),
      )
      .map(({ id }): FieldOverride => ({ kind, id, field, how, by: shortest(step) })),
  );
}

/** A part of nothing is nothing. */
const isNothing = (row: StoredRow, field: string, way: BulkWay) =>
  way === 'percent' && decimal(String(fieldValue(row, field))).isZero();

const shortest = (step: Decimal) => step.toDecimalPlaces(12, Decimal.ROUND_HALF_UP).toFixed();

/** Of a row, what it belongs to, by the field that says so. */
const OWNER: Readonly<Partial<Record<Kind, readonly [field: string, kind: Kind]>>> = {
  supplierPrice: ['materialId', 'material'],
  standardPrice: ['materialId', 'material'],
  priceBreak: ['priceId', 'supplierPrice'],
  plannedMonth: ['volumeId', 'plannedVolume'],
  plannedVolume: ['productId', 'product'],
  pricePoint: ['productId', 'product'],
  datedPrice: ['pricePointId', 'pricePoint'],
  quantityBreak: ['pricePointId', 'pricePoint'],
  feeBand: ['ruleId', 'feeRule'],
  costIncrease: ['runningCostId', 'runningCost'],
  costStep: ['runningCostId', 'runningCost'],
};

const SAYS: Readonly<Record<BulkPart, readonly string[]>> = {
  category: ['category'],
  supplier: ['supplierId'],
  grade: ['id'],
  currency: ['currency'],
  channel: ['channelId'],
  product: ['productId'],
  fee: ['id', 'ruleId'],
  pool: ['poolId'],
};

/** True where the row, or one that it belongs to, is of the part that is wanted; none of them archived. */
function isWithin(rows: RowsBelow, kind: Kind, row: StoredRow, within: string): boolean {
  const chain = ownersOf(rows, kind, row);
  if (chain.some((each) => fieldValue(each, 'archived') === true)) return false;
  if (within === '') return true;
  const slash = within.indexOf('/');
  const [part, value] = [within.slice(0, slash) as BulkPart, within.slice(slash + 1)];
  return chain.some((each) => SAYS[part].some((field) => fieldValue(each, field) === value));
}

function ownersOf(rows: RowsBelow, kind: Kind, row: StoredRow): StoredRow[] {
  const owner = OWNER[kind];
  const id = owner === undefined ? null : fieldValue(row, owner[0]);
  const found =
    owner === undefined || typeof id !== 'string' ? undefined : (rows.row(owner[1], id) as StoredRow | undefined);
  return found === undefined ? [row] : [row, ...ownersOf(rows, (owner as readonly [string, Kind])[1], found)];
}
