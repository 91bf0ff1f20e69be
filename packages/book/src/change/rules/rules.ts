import type { Kind } from '../../kinds.js';
import { problem, type Problem } from '../../problem/index.js';
import { type BookReader, fieldValue, type StoredRow, type Write } from '../stored-row.js';
import { billProblems } from './bill-rules.js';
import { fulfilledByAnother, leastIsNotAboveMost, oneRateAWeight, packingIsOfOneItem } from './fees.js';
import {
  mixLimitsAreInOrder,
  mixPartsAreOfOnePlan,
  mixProductsAreNamed,
  oneScarceResource,
  resourcesAreOfOneThing,
} from './mix.js';
import { namesDiffer, onePriceAChannel } from './names.js';
import {
  endsAfterItBegins,
  oneMethodOfTheBook,
  pairsDiffer,
  poolsHoldTheirShares,
  servicesAreOfServices,
} from './overhead.js';
import { linesAreOfOneItem, piecesDoNotGrow, usesAreOfOneMachine, wasteLeavesSomething } from './production.js';
import { sentQuoteProblems } from './quotes.js';
import { referencesLead, stillUsed } from './references.js';
import type { RowRule, WrittenRow } from './rule.js';
import { entryFeesAreInOrder, partsAreOfOneShipment, postedProblems, settledProblems } from './shipments.js';
import { baseUnitStays, movementsFit, receiptsFit, returnsAreBound } from './stock.js';
import { whatIfChangesCanBeRead } from './what-ifs.js';
import { bookUnitsHaveNamesOfTheirOwn, conversionsConvert, unitsAreKnown, unitStillUsed } from './units.js';

/** The rules that a row is held against, in the order in which their problems are told. */
const ROW_RULES: readonly RowRule[] = [
  referencesLead,
  unitsAreKnown,
  namesDiffer,
  bookUnitsHaveNamesOfTheirOwn,
  usesAreOfOneMachine,
  linesAreOfOneItem,
  wasteLeavesSomething,
  conversionsConvert,
  piecesDoNotGrow,
  onePriceAChannel,
  partsAreOfOneShipment,
  entryFeesAreInOrder,
  movementsFit,
  receiptsFit,
  returnsAreBound,
  baseUnitStays,
  pairsDiffer,
  endsAfterItBegins,
  servicesAreOfServices,
  poolsHoldTheirShares,
  oneMethodOfTheBook,
  leastIsNotAboveMost,
  fulfilledByAnother,
  oneRateAWeight,
  packingIsOfOneItem,
  resourcesAreOfOneThing,
  mixProductsAreNamed,
  mixLimitsAreInOrder,
  mixPartsAreOfOnePlan,
  oneScarceResource,
  whatIfChangesCanBeRead,
];

/**
 * The rules that reach beyond one row, held against the book as the writes leave it. `format` is that of the book file
 * from which the rows come: rules that came later are not held against them.
 */
export function ruleProblems(book: BookReader, writes: readonly Write[], format = Number.POSITIVE_INFINITY): Problem[] {
  const ofRows = writes.flatMap((write) => writeProblems(book, write, format));
  const linked = writes.filter(isLinked).map(({ after }) => after as StoredRow<'billLine'>);
  return [
    ...ofRows,
    ...billProblems(book, linked, format),
    ...settledProblems(book, writes),
    ...postedProblems(book, writes),
    ...sentQuoteProblems(book, writes),
  ];
}

function isLinked({ kind, before, after }: Write): boolean {
  if (kind !== 'billLine' || after === null) return false;
  return (
    before === null ||
    ['productId', 'componentId'].some((field) => fieldValue(before, field) !== fieldValue(after, field))
  );
}

function writeProblems(book: BookReader, write: Write, format: number): Problem[] {
  const { kind, id, before, after } = write;
  if (kind === 'settings' && (before === null || after === null))
    return [problem('settings-stay', { kind, rowId: id })];
  if (after === null) return removalProblems(book, kind, before as StoredRow);
  const changes = (field: string) => before === null || fieldValue(before, field) !== fieldValue(after, field);
  const row: WrittenRow = { kind, before, after, changes };
  return ROW_RULES.filter((rule) => isHeld(rule, row, format)).flatMap((rule) => rule.problems(book, row));
}

function isHeld({ kinds, reads, since }: RowRule, { kind, changes }: WrittenRow, format: number): boolean {
  if (format < since) return false;
  return (kinds === null || kinds.includes(kind)) && (reads === null || reads.some(changes));
}

function removalProblems(book: BookReader, kind: Kind, removed: StoredRow): Problem[] {
  return kind === 'bookUnit' ? unitStillUsed(book, removed as StoredRow<'bookUnit'>) : stillUsed(book, kind, removed);
}
