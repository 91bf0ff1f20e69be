import { unitOfMeasure } from '../../fields/index.js';
import { fieldsOf, UNIT_FIELDS } from '../../kinds.js';
import { problem, type Problem } from '../../problem/index.js';
import { type BookReader, fieldValue, type StoredRow } from '../stored-row.js';
import { firstById, usedIn } from './references.js';
import type { RowRule } from './rule.js';

/** A unit is one that Nuvar knows, or by its exact name one of the book's own. */
export const unitsAreKnown: RowRule = {
  kinds: null,
  reads: null,
  since: 1,
  problems: (book, { kind, after, changes }) =>
    fieldsOf(kind)
      .filter(({ name, type }) => type === 'unit' && changes(name))
      .flatMap(({ name: field }) => {
        const code = fieldValue(after, field) as string;
        const isKnown =
          unitOfMeasure(code) !== undefined || book.rowsWith('bookUnit', 'name', code).some(isNamed(code));
        return isKnown ? [] : [problem('unknown-unit', { kind, rowId: after.id, field, values: { unit: code } })];
      }),
};

const isNamed = (name: string) => (row: object) => fieldValue(row, 'name') === name;

/** A unit of the book keeps the name that rows refer to it by, and has none that everybody knows. */
export const bookUnitsHaveNamesOfTheirOwn: RowRule<'bookUnit'> = {
  kinds: ['bookUnit'],
  reads: ['name'],
  since: 1,
  problems(_book, { before, after }) {
    const at = { kind: 'bookUnit', rowId: after.id, field: 'name' } as const;
    if (before !== null) return [problem('unit-name-stays', at)];
    const isKnown = unitOfMeasure(after.name) !== undefined;
    return isKnown ? [problem('unit-is-known', { ...at, values: { unit: after.name } })] : [];
  },
};

/** A conversion is of one item, and between units that have no fixed way between them. */
export const conversionsConvert: RowRule<'itemConversion'> = {
  kinds: ['itemConversion'],
  reads: ['materialId', 'productId', 'unit', 'equalUnit'],
  since: 1,
  problems(_book, { after: { id, materialId, productId, unit, equalUnit } }) {
    const at = { kind: 'itemConversion', rowId: id } as const;
    if ((materialId === null) === (productId === null))
      return [problem('conversion-needs-one-item', { ...at, field: 'materialId' })];
    const [dimension, other] = [unit, equalUnit].map((code) => unitOfMeasure(code)?.dimension);
    const isFixed = dimension === undefined ? unit === equalUnit : dimension === other;
    return isFixed
      ? [problem('conversion-has-a-fixed-way', { ...at, field: 'equalUnit', values: { unit, equalUnit } })]
      : [];
  },
};

/** A unit of the book stays while something is measured in it. */
export function unitStillUsed(book: BookReader, removed: StoredRow<'bookUnit'>): Problem[] {
  for (const { kind, field } of UNIT_FIELDS) {
    const user = firstById(book.rowsWith(kind, field, removed.name));
    if (user !== undefined) return [usedIn(book, 'bookUnit', removed, kind, user)];
  }
  return [];
}
