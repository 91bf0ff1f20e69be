import {
  fieldValue,
  copyOf,
  KINDS,
  nameKey,
  newId,
  removalOf,
  type Kind,
  type Operation,
  type StoredRow,
} from '@nuvar/book';
import { createOf, madeWithin, nextPosition, updateOf } from '../../book/operations.js';
import { model } from '../../book/model.js';
import type { GridWriter } from './grid-model.js';

/** A name that no row of a kind has yet, capital letters or not: "Mug", else "Mug 2", "Mug 3". */
export function freeName(kind: Kind, name: string): string {
  const taken = new Set(model.rows.all(kind).map((row) => nameKey(String(fieldValue(row, 'name')))));
  const base = name.slice(0, 110);
  let made = base;
  for (let count = 2; taken.has(nameKey(made)); count += 1) made = `${base} ${count}`;
  return made;
}

/** The operations that remove a row with all that belongs to it. */
export function removalInBook(kind: Kind, id: string): Operation[] {
  return removalOf(model.rows, kind, id);
}

interface RowsWriterOptions {
  /** Fields that a new row gets beside what was typed. */
  readonly fixed?: (before: readonly Operation[]) => Readonly<Record<string, unknown>>;
  /** The fields without which no row is made. */
  readonly needs: string | readonly string[];
  /** False where a copy would say the same twice: one thing of one other. */
  readonly isCopied?: boolean;
}

/** Writes the rows of one kind, one grid row a row. */
export function rowsWriter<Row extends StoredRow>(
  kind: Kind,
  { fixed, needs, isCopied = true }: RowsWriterOptions,
): GridWriter<Row, Partial<Row>> {
  return {
    update: (row, patch) => updateOf(kind, row, patch),
    create: (id, patch, before) =>
      [needs].flat().every((field) => fieldValue(patch, field))
        ? [createOf(kind, id, { ...fixed?.(before), ...patch })]
        : null,
    remove: (row) => removalInBook(kind, row.id),
    ...(isCopied ? { duplicate: (row: Row) => copyInBook(kind, row) } : {}),
  };
}

/** The operations that duplicate a row with what is copied along, under a name of its own where names have to differ. */
export function copyInBook(kind: Kind, row: StoredRow, id = newId()): Operation[] {
  const name = fieldValue(row, 'name');
  const renamed =
    typeof name === 'string' && KINDS[kind].uniqueName ? { name: freeName(kind, `${name.slice(0, 105)} copy`) } : {};
  return copyOf(model.rows, kind, row, id, renamed, newId);
}

/** The id of the row of that name, and the operation that makes one where there is none yet; no id for no name. */
export function rowNamed(
  kind: Kind,
  name: string,
  before: readonly Operation[],
): { id: string | null; made: readonly Operation[] } {
  if (name === '') return { id: null, made: [] };
  const known = model.rows.rowsWith(kind, 'name', name)[0]?.id ?? madeWithin(before, kind, name);
  if (known !== undefined) return { id: known, made: [] };
  const id = newId();
  return { id, made: [createOf(kind, id, { name })] };
}

type OwnedByProduct = 'otherCost' | 'recoveredScrap' | 'candidateBatch';

/** Writes the rows of one kind that belong to a product and stand in an order of their own. */
export function productRowsWriter<Row extends StoredRow<OwnedByProduct>>(
  kind: OwnedByProduct,
  productId: string,
  needs: string,
): GridWriter<Row, Partial<Row>> {
  return rowsWriter<Row>(kind, {
    needs,
    fixed: (before) => ({
      productId,
      position: nextPosition(kind, model.rows.rowsWith(kind, 'productId', productId), before),
    }),
  });
}
