import { compareDecimalText } from '@nuvar/book';
import { readNumber, type DecimalSign } from '@nuvar/core';
import { engine } from '../../engine/engine.js';
import { isInput, type Column } from './grid-model.js';

/** The place of each row, by id, in the order that was asked for. */
export type Order = ReadonlyMap<string, number>;

/**
 * The order of rows by one column, as it is at this moment: figures and numbers by amount, days by day, all else as
 * words. What says nothing comes last, whichever way it is sorted. Rejected where figures cannot be worked out.
 */
export async function orderBy<Row extends { readonly id: string }, Patch>(
  column: Column<Row, Patch>,
  rows: readonly Row[],
  descending: boolean,
  sign: DecimalSign,
): Promise<Order> {
  const keys = await keysOf(column, rows, sign);
  const compare = column.type === 'number' || column.type === 'figure' ? compareDecimalText : WORDS.compare;
  const keyed = rows.map((row, index) => ({ id: row.id, key: keys[index] ?? '' }));
  const sorted = keyed.sort((one, other) => {
    if (one.key === '' || other.key === '') return Number(one.key === '') - Number(other.key === '');
    return descending ? compare(other.key, one.key) : compare(one.key, other.key);
  });
  return new Map(sorted.map(({ id }, index) => [id, index]));
}

const WORDS = new Intl.Collator(undefined, { numeric: true });

async function keysOf<Row, Patch>(
  column: Column<Row, Patch>,
  rows: readonly Row[],
  sign: DecimalSign,
): Promise<readonly string[]> {
  if (column.type === 'figure') {
    const views = await engine.ask(column.view, rows.map(column.of));
    return rows.map((row, index) => column.pick(views[index], row)?.amount ?? '');
  }
  if (!isInput(column)) return rows.map((row) => column.text?.(row) ?? '');
  if (column.stored !== undefined) return rows.map(column.stored);
  if (column.type !== 'number') return rows.map(column.text);
  return rows.map((row) => readNumber(column.text(row), sign)?.value ?? '');
}
