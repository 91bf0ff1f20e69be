import type { RowOf } from '@nuvar/book';
import type { Figure } from '../figure/index.js';
import type { Unit } from '../quantity/index.js';
import { MONTH, type Sheet } from '../sheet/index.js';

/** The actual basis of the newest month, up to the day of the evaluation, of a department or of the whole book; null where none is known. */
export function actualBasis(sheet: Sheet, departmentId: string | null, counted: Unit): Figure | null {
  const known = sheet
    .all('overheadActual')
    .filter((row) => row.departmentId === departmentId && row.basisQuantity !== null && row.month <= sheet.asOf);
  const newest = known.reduce<RowOf<'overheadActual'> | null>(
    (so, row) => (so === null || row.month >= so.month ? row : so),
    null,
  );
  return newest === null
    ? null
    : sheet.input('overheadActual', newest, 'basisQuantity', { name: 'Actual basis', unit: counted.per(MONTH) });
}
