import {
  bookRows,
  fieldsOf,
  fieldValue,
  KINDS_WITH_UNIQUE_NAMES,
  referrersTo,
  UNIT_FIELDS,
  unitOfMeasure,
  type BookRows,
  type Change,
  type Kind,
  type Operation,
  type StoredRow,
} from '@nuvar/book';
import type { EntityManager } from 'typeorm';
import { componentLines, rowsWhere } from './rows.js';

/**
 * Loads what the rules need to judge a change, and no more: the rows it touches, those it points to, those that bear the
 * same names, those that use what it removes, and, where it touches a component, all lines with components.
 */
export async function neighbourhood(manager: EntityManager, bookId: string, change: Change): Promise<BookRows> {
  const book = bookRows();
  const load = async (kind: Kind, field: string, values: Iterable<string>) => {
    const rows = await rowsWhere(manager, bookId, kind, field, [...new Set(values)]);
    for (const row of rows) book.put(kind, row.id, row);
    return rows;
  };
  for (const [kind, operations] of byKind(change.operations)) {
    await load(kind, 'id', operations.map(idOf));
    const given = operations.flatMap((operation) => givenFields(operation, book.row(kind, idOf(operation))));
    if (KINDS_WITH_UNIQUE_NAMES.includes(kind))
      await load(kind, 'name', given.map((fields) => fieldValue(fields, 'name')).filter(isText));
    for (const field of fieldsOf(kind)) {
      if (field.type === 'unit') {
        const codes = given.map((fields) => fieldValue(fields, field.name)).filter(isText);
        await load(
          'bookUnit',
          'name',
          codes.filter((code) => unitOfMeasure(code) === undefined),
        );
      }
      if (field.target === undefined) continue;
      await load(field.target as Kind, 'id', given.map((fields) => fieldValue(fields, field.name)).filter(isUuid));
    }
    await loadUsers(kind, operations.filter((operation) => operation.action === 'remove').map(idOf), load);
    if (kind === 'bookUnit') await loadMeasured(book, operations, load);
    if (kind === 'pricePoint')
      await load(kind, 'productId', given.map((fields) => fieldValue(fields, 'productId')).filter(isUuid));
    if (kind === 'billLine' && given.some((fields) => fieldValue(fields, 'componentId') != null))
      await loadComponents(manager, bookId, book, load);
  }
  return book;
}

type Load = (kind: Kind, field: string, values: Iterable<string>) => Promise<StoredRow[]>;

async function loadUsers(kind: Kind, removed: readonly string[], load: Load): Promise<void> {
  for (const referrer of referrersTo(kind)) {
    const users = await load(referrer.kind, referrer.field, removed);
    await load('product', 'id', users.map((row) => fieldValue(row, 'productId')).filter(isText));
  }
}

/** What is measured in units of the book that are about to be removed. */
async function loadMeasured(book: BookRows, operations: readonly Operation[], load: Load): Promise<void> {
  const removed = operations.filter((operation) => operation.action === 'remove').map(idOf);
  const names = removed.map((id) => book.row('bookUnit', id)?.name).filter(isText);
  if (names.length === 0) return;
  for (const { kind, field } of UNIT_FIELDS) {
    const users = await load(kind, field, names);
    await load('product', 'id', users.map((row) => fieldValue(row, 'productId')).filter(isText));
  }
}

async function loadComponents(manager: EntityManager, bookId: string, book: BookRows, load: Load): Promise<void> {
  const lines = await componentLines(manager, bookId);
  for (const line of lines) book.put('billLine', line.id, line);
  await load(
    'product',
    'id',
    lines.flatMap((line) => [line.productId, line.componentId as string]),
  );
}

function byKind(operations: readonly Operation[]): Map<Kind, Operation[]> {
  const groups = new Map<Kind, Operation[]>();
  for (const operation of operations) {
    const group = groups.get(operation.kind);
    if (group === undefined) groups.set(operation.kind, [operation]);
    else group.push(operation);
  }
  return groups;
}

const idOf = (operation: Operation) => (operation.action === 'create' ? operation.row.id : operation.id);
const isText = (value: unknown): value is string => typeof value === 'string' && value.length <= 2000;
const isUuid = (value: unknown): value is string =>
  typeof value === 'string' && /^[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}$/i.test(value);

function givenFields(operation: Operation, existing: StoredRow | undefined): object[] {
  if (operation.action === 'remove') return [];
  return operation.action === 'create' ? [operation.row] : [{ ...existing, ...operation.after }];
}
