import type { RowOf } from '@nuvar/book';
import { constant, difference, type Figure, multiplied, quotient, rounded, sum } from '../../figure/index.js';
import { minorUnit } from '../../money/index.js';
import { decimal } from '../../number/index.js';
import { bookCurrency, type Calculation, money, type Sheet } from '../../sheet/index.js';
import { convertedFor } from '../converted.js';
import { landedLine } from '../shipment/landed-line.js';
import { lineMeasures, lineName } from '../shipment/line-measures.js';
import { inLedgerOrder } from './movement.js';

/** How much of a line of a shipment has been received, and what was posted of it. */
export interface ReceivedLine {
  /** In the unit of the line: ordered, received or lost so far, and still to come. */
  readonly ordered: Figure;
  readonly settled: Figure;
  readonly toCome: Figure;
  /** What was posted into stock: receipts and late charges. */
  readonly posted: Figure;
  /** What the received part is worth by the landed cost of today, and what of that was not posted. */
  readonly due: Figure;
  readonly notPosted: Figure;
}

const ofLine = (sheet: Sheet, lineId: string): RowOf<'stockMovement'>[] =>
  inLedgerOrder(sheet.rowsOf('stockMovement', 'lineId', lineId));

const isReceipt = ({ type }: RowOf<'stockMovement'>) => type === 'receipt';

/** Receipts of a line in their order, each with what is settled before it and by it, in the unit of the line. */
function settledBy(sheet: Sheet, lineId: string, subject: string, lineUnit: Figure['unit']) {
  let before = constant('Received before', '0', lineUnit, 'no receipt before it');
  return ofLine(sheet, lineId)
    .filter(isReceipt)
    .map((row) => {
      const own = sheet.input('stockMovement', row, 'ofLine', { name: 'Received', subject, unit: lineUnit });
      const from = before;
      before = sum({ name: 'Received so far', subject }, lineUnit, [from, own]);
      return { row, from, to: before };
    });
}

/** The part of the landed cost of a line that its first so many units bear, in minor units: parts of it add up to the whole. */
function dueUpTo(sheet: Sheet, lineId: string, subject: string, quantity: Figure): Figure {
  const { landed } = sheet.read(landedLine, lineId);
  const { quantity: ordered } = sheet.read(lineMeasures, lineId);
  const part = quotient(
    { name: 'Part of the landed cost', subject },
    multiplied('Landed cost x received', landed, quantity),
    ordered,
  );
  return rounded({ name: 'Due', subject }, part, minorUnit(bookCurrency(sheet)), sheet.settings().rounding);
}

/** Received so far, still to come, posted and due of a line. Gaps: what the landed cost lacks. */
export const receivedLine: Calculation<ReceivedLine> = {
  name: 'receivedLine',
  meanings: {
    ordered: 'How much the line is.',
    settled: 'How much of the line was received, or lost on the way.',
    toCome: 'How much of the line is still to come.',
    posted: 'What was posted into stock of the line: receipts and late charges.',
    due: 'What the part that was received costs by the landed cost of today.',
    notPosted: 'What of that has not been posted yet: a late charge.',
  },
  work(sheet, lineId) {
    const line = sheet.row('shipmentLine', lineId);
    const subject = line === undefined ? 'this line' : lineName(sheet, line);
    const { quantity: ordered } = sheet.read(lineMeasures, lineId);
    const receipts = settledBy(sheet, lineId, subject, ordered.unit);
    const settled = receipts.at(-1)?.to ?? constant('Received so far', '0', ordered.unit, 'nothing received yet');
    const called = (name: string) => ({ name, subject });
    const costs = ofLine(sheet, lineId)
      .filter(({ cost }) => cost !== null)
      .map((row) => sheet.input('stockMovement', row, 'cost', { ...called('Posted'), unit: money(sheet) }));
    const posted = sum(called('Posted'), money(sheet), costs);
    const due = dueUpTo(sheet, lineId, subject, settled);
    return {
      ordered,
      settled,
      toCome: difference(called('Still to come'), ordered, settled),
      posted,
      due,
      notPosted: difference(called('Not posted yet'), due, posted),
    };
  },
};

/** What is not posted yet of one receipt: the late charge that belongs to it. */
export interface ReceiptDue {
  readonly due: Figure;
  readonly posted: Figure;
  readonly notPosted: Figure;
}

/** What one receipt of a shipment should have been posted at by the landed cost of today, against what was. The id is that of the movement. */
export const receiptDue: Calculation<ReceiptDue> = {
  name: 'receiptDue',
  meanings: {
    due: 'What the receipt costs by the landed cost of today.',
    posted: 'What was posted of it: the receipt and its late charges.',
    notPosted: 'What has not been posted yet: a late charge.',
  },
  work(sheet, movementId) {
    const row = sheet.row('stockMovement', movementId);
    const lineId = row?.lineId ?? '';
    const line = sheet.row('shipmentLine', lineId);
    const subject = line === undefined ? 'this line' : lineName(sheet, line);
    const called = (name: string) => ({ name, subject });
    const { quantity } = sheet.read(lineMeasures, lineId);
    const part = settledBy(sheet, lineId, subject, quantity.unit).find(({ row: each }) => each.id === movementId);
    const none = constant('Received', '0', quantity.unit, 'no receipt of a shipment');
    const [from, to] = [part?.from ?? none, part?.to ?? none];
    const due = difference(called('Due'), dueUpTo(sheet, lineId, subject, to), dueUpTo(sheet, lineId, subject, from));
    const own = ofLine(sheet, lineId).filter(
      ({ id, ofMovementId, cost }) => cost !== null && (id === movementId || ofMovementId === movementId),
    );
    const costs = own.map((each) =>
      sheet.input('stockMovement', each, 'cost', { ...called('Posted'), unit: money(sheet) }),
    );
    const posted = sum(called('Posted'), money(sheet), costs);
    return { due, posted, notPosted: difference(called('Not posted yet'), due, posted) };
  },
};

/** What a receipt posts into stock. */
export interface ReceiptToPost {
  /** In base units of the material: what came in, good or not; null where no way leads there. */
  readonly quantity: Figure | null;
  /** In the unit of the line: what came and what was lost on the way. */
  readonly ofLine: Figure;
  readonly cost: Figure;
  readonly perBaseUnit: Figure | null;
  /** Of it, what was lost abnormally and goes to expense at that cost. */
  readonly lostQuantity: Figure | null;
  readonly lostCost: Figure | null;
}

/**
 * What a receipt of part of a line posts: its part of the landed cost, in minor units, so that the parts of a line add up
 * to its landed cost. Units lost normally on the way are carried by the good ones; those lost abnormally go to expense at
 * landed cost / (good + lost abnormally) (IAS 2.16). The id is "line@good@lost@abnormal", quantities in the unit of the line.
 */
export const receiptToPost: Calculation<ReceiptToPost> = {
  name: 'receiptToPost',
  meanings: {
    quantity: 'What comes into stock.',
    ofLine: 'How much of the line it settles.',
    cost: 'What it costs at the door, as it will be posted.',
    perBaseUnit: 'What one base unit of it costs at the door.',
    lostQuantity: 'What was lost beyond what is usual.',
    lostCost: 'What that cost: it goes to expense.',
  },
  work(sheet, id) {
    const [lineId = '', good = '0', lost = '0', abnormal = '0'] = id.split('@');
    const line = sheet.row('shipmentLine', lineId);
    const subject = line === undefined ? 'this line' : lineName(sheet, line);
    const called = (name: string) => ({ name, subject });
    const { quantity: ordered } = sheet.read(lineMeasures, lineId);
    const entered = (name: string, amount: string) =>
      constant(name, decimal(amount), ordered.unit, 'entered for this receipt');
    const { settled } = sheet.read(receivedLine, lineId);
    const [goods, gone] = [entered('Good', good), entered('Lost beyond what is usual', abnormal)];
    const came = sum(called('Came'), ordered.unit, [goods, gone]);
    const ofLine = sum(called('Settled by it'), ordered.unit, [came, entered('Lost on the way', lost)]);
    const to = sum(called('Received with it'), ordered.unit, [settled, ofLine]);
    const cost = difference(
      called('Cost'),
      dueUpTo(sheet, lineId, subject, to),
      dueUpTo(sheet, lineId, subject, settled),
    );
    const inBase = (figure: Figure) => {
      const material = line && sheet.row('material', line.materialId);
      if (line === undefined || material === undefined) return null;
      const item = { kind: 'material', id: material.id, name: subject } as const;
      return convertedFor(sheet, item, figure, line.unit, material.baseUnit);
    };
    const quantity = inBase(came);
    const perBaseUnit = quantity && quotient(called('Cost per base unit'), cost, quantity);
    const lostQuantity = gone.amount?.isZero() === false ? inBase(gone) : null;
    const lostCost = lostQuantity && perBaseUnit && multiplied(called('Lost'), lostQuantity, perBaseUnit);
    return { quantity, ofLine, cost, perBaseUnit, lostQuantity, lostCost };
  },
};
