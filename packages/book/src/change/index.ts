export { applyChange, type Applied, type NewBook } from './apply-change.js';
export {
  MOST_OPERATIONS,
  type Change,
  type CreateOperation,
  type Operation,
  type RemoveOperation,
  type UpdateOperation,
} from './change.js';
export { describeWrites, labelOfField, subjectOf, valueWords } from './describe-change.js';
export { inOrder } from './in-order.js';
export { copyOf } from './copy-of.js';
export { readChange } from './read-change.js';
export { removalOf } from './removal-of.js';
export { billLevels, MOST_LEVELS, ruleProblems, type BillLevels } from './rules/index.js';
export { bookRows, rowsByKind, type BookRows, type RowsByKind } from './book-rows.js';
export { changedFields, reverseOperations, withoutVersion } from './reverse-change.js';
export {
  fieldValue,
  storedFields,
  type BookReader,
  type StoredField,
  type StoredRow,
  type Write,
} from './stored-row.js';
export { columnsOfRows, rowsOfColumns, type KindColumns, type RowColumns } from './row-columns.js';
