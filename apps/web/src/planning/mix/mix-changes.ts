import { copyOf, type CreateOperation, newId, type Operation, type StoredRow } from '@nuvar/book';
import type { MixSlotView } from '@nuvar/core';
import { model } from '../../book/model.js';
import { updateOf } from '../../book/operations.js';
import { freeName } from '../../controls/grid/rows-writer.js';
import { type InPeriod, writeInPeriod } from './periods/write-in-period.js';

type Slot = Omit<MixSlotView, 'name' | 'quantity'>;

/** Brings the quantities of a plan to others, in the order of its slots. */
export function quantitiesTo(slots: readonly Slot[], quantities: readonly string[]): Operation[] {
  const before: Operation[] = [];
  for (const [index, slot] of slots.entries()) before.push(...quantityTo(slot, quantities[index] ?? '0', before));
  return before;
}

function quantityTo(slot: Slot, quantity: string, before: readonly Operation[]): readonly Operation[] {
  const of = inPeriod(slot);
  if (of !== null) return writeInPeriod(of, FIELDS[slot.of], quantity, before);
  const row = model.rows.row('mixProduct', slot.rowId);
  return row === undefined ? [] : updateOf('mixProduct', row, { quantity });
}

const FIELDS = { quantity: 'quantity', sold: 'sold', made: 'made', component: 'made' } as const;

const inPeriod = ({ of, rowId, periodId }: Slot): InPeriod | null =>
  periodId === null
    ? null
    : of === 'component'
      ? { kind: 'mixPeriodResource', resourceId: rowId, periodId }
      : { kind: 'mixPeriodProduct', mixProductId: rowId, periodId };

/** Another plan with all that belongs to one, and other quantities; its id is given. */
export function savedAs(
  plan: StoredRow<'mixPlan'>,
  slots: readonly Slot[],
  quantities: readonly string[],
  id: string,
): Operation[] {
  const copies = copyOf(model.rows, 'mixPlan', plan, id, { name: freeName('mixPlan', `${plan.name}, best`) }, newId);
  const operations: Operation[] = [...copies];
  for (const [index, slot] of slots.entries()) {
    const quantity = quantities[index] ?? '0';
    const rowId = copyOfRow(copies, slot.of === 'component' ? 'mixResource' : 'mixProduct', slot.rowId);
    if (rowId === null) continue;
    const copied = inPeriod({
      ...slot,
      rowId,
      periodId: slot.periodId === null ? null : copyOfRow(copies, 'mixPeriod', slot.periodId),
    });
    if (copied !== null) operations.push(...writeInPeriod(copied, FIELDS[slot.of], quantity, operations));
    else operations.push(...quantityOf(copies, rowId, quantity));
  }
  return operations;
}

/** The quantity of a copied line of a plan of one period. */
function quantityOf(copies: readonly CreateOperation[], id: string, quantity: string): Operation[] {
  const before = String(copies.find(({ row }) => row.id === id)?.row.quantity ?? '0');
  return before === quantity
    ? []
    : [{ action: 'update', kind: 'mixProduct', id, before: { quantity: before }, after: { quantity } }];
}

type Placed = 'mixProduct' | 'mixResource' | 'mixPeriod';

/** The id of the copy of a row: the one of its kind at the same place. */
function copyOfRow(copies: readonly CreateOperation[], kind: Placed, id: string): string | null {
  const original = model.rows.row(kind, id);
  if (original === undefined) return null;
  const all = model.rows.rowsWith(kind, 'planId', original.planId);
  const made = copies.filter((copy) => copy.kind === kind);
  return made[all.findIndex((row) => row.id === id)]?.row.id ?? null;
}
