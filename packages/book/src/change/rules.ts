import { fieldsOf, KIND_LABELS, KINDS_WITH_UNIQUE_NAMES, referrersTo, UNIT_FIELDS, type Kind } from '../kinds.js';
import { unitOfMeasure, compareDecimalText } from '../fields/index.js';
import { problem, type Problem } from '../problem/index.js';
import type { BillLine, Product } from '../production/index.js';
import type { PricePoint } from '../selling/index.js';
import { findLoop } from './find-loop.js';
import { fieldValue, type BookReader, type StoredRow, type Write } from './stored-row.js';

/** How a row is called in a sentence: by its name where it has one, else by its kind. */
export function rowLabel(kind: Kind, row: object): string {
  const name = fieldValue(row, 'name');
  return typeof name === 'string' && name !== '' ? name : `this ${KIND_LABELS[kind]}`;
}

/** The rules that reach beyond one row, held against the book as the change leaves it. */
export function ruleProblems(book: BookReader, write: Write): Problem[] {
  const { kind, after } = write;
  if (kind === 'settings' && (write.before === null || after === null)) {
    return [problem('settings-stay', { kind, rowId: write.id })];
  }
  if (after === null) {
    const removed = write.before as StoredRow;
    return kind === 'bookUnit' ? unitStillUsed(book, removed as StoredRow<'bookUnit'>) : stillUsed(book, kind, removed);
  }
  return [
    ...missingReferences(book, kind, after),
    ...unknownUnits(book, kind, after),
    ...takenName(book, kind, after),
    ...(kind === 'bookUnit' ? ownUnitProblems(write.before as StoredRow<'bookUnit'> | null, after) : []),
    ...(kind === 'equipmentUse' ? equipmentUseProblems(after as StoredRow<'equipmentUse'>) : []),
    ...(kind === 'billLine' ? billLineProblems(book, after as StoredRow<'billLine'>) : []),
    ...(kind === 'itemConversion' ? conversionProblems(after as StoredRow<'itemConversion'>) : []),
    ...(kind === 'product' ? yieldProblems(after as Product) : []),
    ...(kind === 'pricePoint' ? secondPrice(book, after as PricePoint) : []),
  ];
}

function missingReferences(book: BookReader, kind: Kind, row: StoredRow): Problem[] {
  return fieldsOf(kind)
    .filter((field) => field.target !== undefined)
    .filter((field) => {
      const id = fieldValue(row, field.name);
      return typeof id === 'string' && book.row(field.target as Kind, id) === undefined;
    })
    .map((field) =>
      problem('unknown-reference', {
        kind,
        rowId: row.id,
        field: field.name,
        values: { label: field.label, target: KIND_LABELS[field.target as Kind] },
      }),
    );
}

function stillUsed(book: BookReader, kind: Kind, removed: StoredRow): Problem[] {
  for (const referrer of referrersTo(kind)) {
    const user = book.rowsWith(referrer.kind, referrer.field, removed.id)[0];
    if (user === undefined) continue;
    return [usedIn(book, kind, removed, referrer.kind, user)];
  }
  return [];
}

function usedIn(book: BookReader, kind: Kind, removed: StoredRow, userKind: Kind, user: object): Problem {
  const ownerId = fieldValue(user, 'productId');
  const owner = typeof ownerId === 'string' ? book.row('product', ownerId) : undefined;
  const label = owner ? rowLabel('product', owner) : rowLabel(userKind, user);
  return problem('still-used', { kind, rowId: removed.id, values: { name: rowLabel(kind, removed), user: label } });
}

function takenName(book: BookReader, kind: Kind, row: StoredRow): Problem[] {
  if (!KINDS_WITH_UNIQUE_NAMES.includes(kind)) return [];
  const name = fieldValue(row, 'name') as string;
  const taken = book.rowsWith(kind, 'name', name).some((other) => other.id !== row.id);
  return taken
    ? [problem('name-taken', { kind, rowId: row.id, field: 'name', values: { kind: KIND_LABELS[kind], name } })]
    : [];
}

function unknownUnits(book: BookReader, kind: Kind, row: StoredRow): Problem[] {
  return fieldsOf(kind)
    .filter((field) => field.type === 'unit')
    .flatMap((field) => {
      const code = fieldValue(row, field.name) as string;
      const isKnown = unitOfMeasure(code) !== undefined || book.rowsWith('bookUnit', 'name', code).some(isNamed(code));
      return isKnown
        ? []
        : [problem('unknown-unit', { kind, rowId: row.id, field: field.name, values: { unit: code } })];
    });
}

const isNamed = (name: string) => (row: object) => fieldValue(row, 'name') === name;

function ownUnitProblems(before: StoredRow<'bookUnit'> | null, after: StoredRow): Problem[] {
  const name = fieldValue(after, 'name') as string;
  const at = { kind: 'bookUnit', rowId: after.id, field: 'name' } as const;
  if (before !== null && before.name !== name) return [problem('unit-name-stays', at)];
  return unitOfMeasure(name) === undefined ? [] : [problem('unit-is-known', { ...at, values: { unit: name } })];
}

function unitStillUsed(book: BookReader, removed: StoredRow<'bookUnit'>): Problem[] {
  for (const { kind, field } of UNIT_FIELDS) {
    const user = book.rowsWith(kind, field, removed.name)[0];
    if (user !== undefined) return [usedIn(book, 'bookUnit', removed, kind, user)];
  }
  return [];
}

function equipmentUseProblems({ id, equipmentId, runId, basis }: StoredRow<'equipmentUse'>): Problem[] {
  const at = { kind: 'equipmentUse', rowId: id } as const;
  if (equipmentId !== null && runId !== null)
    return [problem('use-needs-one-machine', { ...at, field: 'equipmentId' })];
  if (equipmentId === null && runId === null) return [];
  return (basis === 'space per unit') === (runId !== null)
    ? []
    : [problem('space-needs-a-run', { ...at, field: 'basis' })];
}

function billLineProblems(book: BookReader, line: BillLine): Problem[] {
  const named = [line.materialId !== null, line.componentId !== null, line.text !== ''].filter(Boolean).length;
  if (named !== 1) {
    return [problem('line-needs-one-item', { kind: 'billLine', rowId: line.id, field: 'materialId' })];
  }
  if (line.componentId === null) return [];
  const loop = findLoop(line.productId, (productId) =>
    book
      .rowsWith('billLine', 'productId', productId)
      .flatMap((row) => (row as StoredRow<'billLine'>).componentId ?? []),
  );
  if (loop === null) return [];
  const names = loop.map((id) => rowLabel('product', book.row('product', id) ?? {})).join(' → ');
  return [
    problem('component-loop', { kind: 'billLine', rowId: line.id, field: 'componentId', values: { loop: names } }),
  ];
}

function conversionProblems({ id, materialId, productId, unit, equalUnit }: StoredRow<'itemConversion'>): Problem[] {
  const at = { kind: 'itemConversion', rowId: id } as const;
  if ((materialId === null) === (productId === null)) {
    return [problem('conversion-needs-one-item', { ...at, field: 'materialId' })];
  }
  const [dimension, other] = [unit, equalUnit].map((code) => unitOfMeasure(code)?.dimension);
  const isFixed = dimension === undefined ? unit === equalUnit : dimension === other;
  return isFixed
    ? [problem('conversion-has-a-fixed-way', { ...at, field: 'equalUnit', values: { unit, equalUnit } })]
    : [];
}

function yieldProblems(product: Product): Problem[] {
  const counted = unitOfMeasure(product.outputUnit)?.dimension === 'count';
  return counted && compareDecimalText(product.yieldPercent, '100') > 0
    ? [problem('yield-over-100', { kind: 'product', rowId: product.id, field: 'yieldPercent' })]
    : [];
}

function secondPrice(book: BookReader, point: PricePoint): Problem[] {
  const second = book
    .rowsWith('pricePoint', 'productId', point.productId)
    .some((other) => other.id !== point.id && (other as StoredRow<'pricePoint'>).channelId === point.channelId);
  return second ? [problem('price-exists', { kind: 'pricePoint', rowId: point.id, field: 'channelId' })] : [];
}
