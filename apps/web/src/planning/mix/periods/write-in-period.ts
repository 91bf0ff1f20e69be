import { fieldsOf, newId, type Operation, type StoredRow } from '@nuvar/book';
import { model } from '../../../book/model.js';
import { createOf, updateOf } from '../../../book/operations.js';
import { madeBetween, writeIntoMade } from '../../../controls/grid/number-between.js';

/** What is kept of a product or of a resource in one period of a plan. */
export type InPeriod =
  | { readonly kind: 'mixPeriodProduct'; readonly mixProductId: string; readonly periodId: string }
  | { readonly kind: 'mixPeriodResource'; readonly resourceId: string; readonly periodId: string };

/** The row that says it; nothing where none does yet. */
export function rowInPeriod(of: InPeriod): StoredRow<'mixPeriodProduct'> | StoredRow<'mixPeriodResource'> | undefined {
  return of.kind === 'mixPeriodProduct'
    ? model.rows.rowsWith(of.kind, 'mixProductId', of.mixProductId).find(({ periodId }) => periodId === of.periodId)
    : model.rows.rowsWith(of.kind, 'resourceId', of.resourceId).find(({ periodId }) => periodId === of.periodId);
}

/**
 * Writes one field of it: the row comes with the first thing that is typed, and a field that is emptied says nothing again.
 * `before` holds what the same change does already, so that two fields of a new row come into one.
 */
export function writeInPeriod(
  of: InPeriod,
  field: string,
  amount: string | null,
  before: readonly Operation[],
): readonly Operation[] {
  const { kind, ...between } = of;
  const value = amount ?? emptied(kind, field);
  const known = rowInPeriod(of);
  if (known !== undefined) return updateOf(kind, known, { [field]: value });
  const made = madeBetween(kind, between, before);
  if (made !== undefined) return writeIntoMade(made, field, value, emptied(kind, field));
  return value === emptied(kind, field) ? [] : [createOf(kind, newId(), { ...between, [field]: value })];
}

/** What a field holds where nothing is typed. */
const emptied = (kind: InPeriod['kind'], field: string): string | null =>
  fieldsOf(kind).find(({ name }) => name === field)?.nullable === true ? null : '0';
