import type { Kind } from '../../kinds.js';
import { compareDecimalText } from '../../fields/index.js';
import { problem, type Problem } from '../../problem/index.js';
import { type BookReader, fieldValue, type StoredRow, type Write } from '../stored-row.js';
import type { RowRule } from './rule.js';

/** A charge is borne by lines of its own shipment, and a payment pays a charge of its own shipment. */
export const partsAreOfOneShipment: RowRule<'chargedLine' | 'shipmentPayment'> = {
  kinds: ['chargedLine', 'shipmentPayment'],
  reads: ['chargeId', 'lineId', 'shipmentId'],
  since: 5,
  problems(book, { kind, after }) {
    const ofCharge = shipmentOf(book, 'shipmentCharge', after.chargeId);
    const own = 'lineId' in after ? shipmentOf(book, 'shipmentLine', after.lineId) : after.shipmentId;
    // What is not there is told by the rule about references.
    if (ofCharge === undefined || own === undefined || ofCharge === own) return [];
    return [problem('charge-of-another-shipment', { kind, rowId: after.id, field: 'chargeId' })];
  },
};

/** The smallest entry fee of a customs profile is no larger than the largest. */
export const entryFeesAreInOrder: RowRule<'customsProfile'> = {
  kinds: ['customsProfile'],
  reads: ['entryFeeMinimum', 'entryFeeMaximum'],
  since: 5,
  problems(_book, { after: { id, entryFeeMinimum: least, entryFeeMaximum: most } }) {
    return least !== null && most !== null && compareDecimalText(least, most) > 0
      ? [problem('entry-fees-crossed', { kind: 'customsProfile', rowId: id, field: 'entryFeeMaximum' })]
      : [];
  },
};

/** The kinds of row that belong to a shipment, with the field that leads to it. */
const PARTS: Partial<Readonly<Record<Kind, 'shipmentId' | 'chargeId'>>> = {
  shipmentLine: 'shipmentId',
  shipmentCharge: 'shipmentId',
  shipmentPayment: 'shipmentId',
  chargedLine: 'chargeId',
};

/**
 * A settled shipment and its parts stay as they are. Its state can be changed, and with it in one change the rest; a
 * shipment that a change makes may be settled from the start.
 */
export function settledProblems(book: BookReader, writes: readonly Write[]): Problem[] {
  const shipmentWrites = new Map(writes.filter(({ kind }) => kind === 'shipment').map((write) => [write.id, write]));
  const isHeld = (shipmentId: string | undefined) => {
    if (shipmentId === undefined) return false;
    const write = shipmentWrites.get(shipmentId);
    if (write !== undefined) return isHeldItself(write.before, write.after);
    const shipment = book.row('shipment', shipmentId);
    return shipment !== undefined && fieldValue(shipment, 'state') === 'settled';
  };
  return writes.flatMap(({ kind, id, before, after }) => {
    const row = (after ?? before) as StoredRow;
    const isOfSettled =
      kind === 'shipment'
        ? isHeldItself(before, after)
        : PARTS[kind] !== undefined && isHeld(shipmentOfPart(book, kind, row));
    return isOfSettled ? [problem('shipment-settled', { kind, rowId: id })] : [];
  });
}

/** True where a settled shipment is edited or removed without its state being changed, or being posted or opened again. */
const isHeldItself = (before: StoredRow | null, after: StoredRow | null) =>
  before !== null &&
  fieldValue(before, 'state') === 'settled' &&
  (after === null ||
    (fieldValue(after, 'state') === 'settled' && fieldValue(after, 'postedOn') === fieldValue(before, 'postedOn')));

/** What of a posted shipment and its charges may still be written: bills come after the goods. */
const FREE_WHEN_POSTED: Partial<Readonly<Record<Kind, ReadonlySet<string>>>> = {
  shipment: new Set(['name', 'state', 'note', 'supplierId']),
  shipmentCharge: new Set(['billed', 'billedRate', 'account', 'remark', 'position']),
};

/**
 * Of a posted shipment what its goods cost stays as it was posted: its lines, its terms and rates, and what its charges were
 * estimated at. Bills and payments come after it, and charges that nobody had thought of. It can be opened again, and
 * corrected in the same change.
 */
export function postedProblems(book: BookReader, writes: readonly Write[]): Problem[] {
  const shipmentWrites = new Map(writes.filter(({ kind }) => kind === 'shipment').map((write) => [write.id, write]));
  const isPosted = (shipmentId: string | undefined) => {
    if (shipmentId === undefined) return false;
    const write = shipmentWrites.get(shipmentId);
    if (write !== undefined)
      return write.before !== null && write.after !== null && staysPosted(write.before, write.after);
    const shipment = book.row('shipment', shipmentId);
    return shipment !== undefined && fieldValue(shipment, 'postedOn') !== null;
  };
  return writes.flatMap(({ kind, id, before, after }) => {
    const row = (after ?? before) as StoredRow;
    const shipmentId = kind === 'shipment' ? id : PARTS[kind] && shipmentOfPart(book, kind, row);
    if (kind === 'shipmentPayment' || !isPosted(shipmentId)) return [];
    const free = FREE_WHEN_POSTED[kind];
    if (free !== undefined && before === null) return [];
    const touched =
      before === null || after === null ? null : Object.keys(after).filter((field) => !isSame(before, after, field));
    const field = touched === null ? undefined : touched.find((each) => each !== 'version' && !free?.has(each));
    if (touched !== null && field === undefined) return [];
    return [problem('shipment-posted', { kind, rowId: id, ...(field !== undefined && { field }) })];
  });
}

const isSame = (before: StoredRow, after: StoredRow, field: string) =>
  fieldValue(before, field) === fieldValue(after, field);

const staysPosted = (before: StoredRow, after: StoredRow) =>
  fieldValue(before, 'postedOn') !== null && isSame(before, after, 'postedOn');

function shipmentOfPart(book: BookReader, kind: Kind, row: StoredRow): string | undefined {
  const found = fieldValue(row, PARTS[kind] ?? '') as string;
  return PARTS[kind] === 'chargeId' ? shipmentOf(book, 'shipmentCharge', found) : found;
}

/** The id of the shipment of a line or a charge; undefined where there is no such row. */
function shipmentOf(book: BookReader, kind: 'shipmentLine' | 'shipmentCharge', id: string | null): string | undefined {
  const row = id === null ? undefined : book.row(kind, id);
  return row && (fieldValue(row, 'shipmentId') as string);
}
