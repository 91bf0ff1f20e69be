import { isRowId } from '../fields/index.js';
import { isKind } from '../kinds.js';
import { problem, type Problem } from '../problem/index.js';
import { MOST_OPERATIONS, type Change, type Operation } from './change.js';

const isRecord = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);
/** The values of a row are texts, numbers, yes or no, or empty: whatever else was sent is no row. */
const isFlat = (value: Record<string, unknown>) =>
  Object.values(value).every((each) => each === null || ['string', 'number', 'boolean'].includes(typeof each));

/**
 * Reads a change from what came over the wire. Only its shape is looked at here; what it says about rows is held
 * against the book by `applyChange`.
 */
export function readChange(input: unknown): Change | Problem[] {
  const refuse = (detail: string) => [problem('malformed-change', { values: { detail } })];
  if (!isRecord(input)) return refuse('it is not an object');
  const unknown = Object.keys(input).find((key) => !['id', 'operations', 'undoes'].includes(key));
  if (unknown !== undefined) return refuse(`it has no part called "${unknown.slice(0, 60)}"`);
  if (!isRowId(input.id)) return refuse('its id is not a UUID in small letters');
  if (input.undoes !== undefined && !isRowId(input.undoes)) return refuse('"undoes" is not the id of a change');
  if (!Array.isArray(input.operations) || input.operations.length === 0) return refuse('it holds no operations');
  if (input.operations.length > MOST_OPERATIONS) return refuse(`it holds more than ${MOST_OPERATIONS} operations`);
  const problems = input.operations.flatMap((operation: unknown, index) => operationProblems(operation, index));
  if (problems.length > 0) return problems;
  const operations = input.operations as Operation[];
  return input.undoes === undefined ? { id: input.id, operations } : { id: input.id, operations, undoes: input.undoes };
}

function operationProblems(operation: unknown, index: number): Problem[] {
  const refuse = (detail: string) => [
    problem('malformed-change', { values: { detail: `operation ${index + 1} ${detail}` } }),
  ];
  if (!isRecord(operation)) return refuse('is not an object');
  if (typeof operation.kind !== 'string') return refuse('names no kind of row');
  if (!isKind(operation.kind)) return [problem('unknown-kind', { values: { kind: operation.kind.slice(0, 60) } })];
  switch (operation.action) {
    case 'create':
      if (!isRecord(operation.row) || !isRowId(operation.row.id))
        return refuse('has no row with a UUID in small letters');
      return isFlat(operation.row) ? [] : refuse('has a row with a value that is itself a list or an object');
    case 'update':
      if (!isRowId(operation.id)) return refuse('has no id');
      if (!isRecord(operation.before) || !isRecord(operation.after)) return refuse('names no fields before and after');
      if (!isFlat(operation.before) || !isFlat(operation.after))
        return refuse('has a field with a value that is itself a list or an object');
      return Object.keys(operation.after).every((field) => Object.hasOwn(operation.before as object, field))
        ? []
        : refuse('changes a field without its value before');
    case 'remove':
      if (!isRowId(operation.id)) return refuse('has no id');
      return Number.isInteger(operation.version) ? [] : refuse('names no version');
    default:
      return refuse('is neither a create, an update nor a remove');
  }
}
