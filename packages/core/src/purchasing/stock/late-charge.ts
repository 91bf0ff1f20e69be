import type { StockMethod } from '@nuvar/book';
import { constant, difference, type Figure, ofMissingRow } from '../../figure/index.js';
import { type Decimal, decimal, ZERO } from '../../number/index.js';
import { unit } from '../../quantity/index.js';
import { type Calculation, dayIn, money, type Sheet } from '../../sheet/index.js';
import { runLedger } from './ledger.js';
import { type Movement, movementsOf } from './movement.js';
import { stateOf, type StockState } from './position.js';
import { receiptDue } from './receipts.js';

/** What a late charge on a receipt would do if it were posted. */
export interface LateChargeSplit {
  readonly charge: Figure;
  readonly toStock: Figure;
  readonly toCostOfSales: Figure;
  /** What is left in stock of the receipt, by the order in which goods are used. */
  readonly stillInStock: Figure;
}

/**
 * How the late charge of a receipt would be split on a day, by the method of the book: what stock would hold more had it come with
 * the receipt, and the rest, of what was used since. At standard cost all of it is a price variance. What is still in stock of the
 * receipt is told first in, first out. The id is "movement@day@begun": the movements of the material from the day begun on have
 * to be there, and its position before ("material@begun" of `stockPosition`).
 */
export const lateChargeSplit: Calculation<LateChargeSplit> = {
  name: 'lateChargeSplit',
  meanings: {
    charge: 'What of the landed cost of the receipt is not posted yet.',
    toStock: 'What of the late charge would stay in stock.',
    toCostOfSales: 'What of the late charge would go to cost of sales, for what was used since.',
    stillInStock: 'How much of the receipt is still in stock, first in, first out.',
  },
  work(sheet, id) {
    const [movementId = '', day = '', begun = ''] = id.split('@');
    const row = sheet.row('stockMovement', movementId);
    const material = row && sheet.row('material', row.materialId);
    const { notPosted } = sheet.read(receiptDue, movementId);
    if (row === undefined || material === undefined) {
      const gone = ofMissingRow({ name: 'Late charge', unit: money(sheet) }, 'a receipt');
      return { charge: gone, toStock: gone, toCostOfSales: gone, stillInStock: gone };
    }
    const { stockMethod } = sheet.settings();
    const movements = movementsBetween(sheet, material.id, begun, day);
    const state = stateOf(sheet.row('stockPosition', `${material.id}@${begun}`) ?? null);
    const charge = lateCharge(movementId, day, notPosted.amount ?? ZERO);
    const used = usedOf(stockMethod, state, movements, charge);
    const layer = runLedger(state.fifo.copy(), movements).open.find((each) => each.id === movementId);
    const note = `stock ledger of ${material.name} to ${dayIn(sheet, day)}, ${stockMethod}`;
    const toCostOfSales = constant('Used since', used, money(sheet), note);
    return {
      charge: notPosted,
      toStock: difference({ name: 'Stays in stock', subject: material.name }, notPosted, toCostOfSales),
      toCostOfSales,
      stillInStock: constant(
        'Still in stock of the receipt',
        layer?.quantity ?? decimal('0'),
        unit(material.baseUnit),
        `stock ledger of ${material.name} to ${dayIn(sheet, day)}, first in, first out`,
      ),
    };
  },
};

/** The movements of a material over some days, in their order; those that still lack a quantity do not count. */
const movementsBetween = (sheet: Sheet, materialId: string, begun: string, day: string): Movement[] =>
  movementsOf(
    sheet
      .rowsOf('stockMovement', 'materialId', materialId)
      .filter(
        ({ date, type, quantity }) => date >= begun && date <= day && (type === 'late charge' || quantity !== null),
      ),
  );

const lateCharge = (receiptId: string, date: string, cost: Decimal): Movement => ({
  id: 'the late charge',
  date,
  type: 'late charge',
  quantity: null,
  cost,
  ofMovementId: receiptId,
});

/** What of a late charge goes to cost of sales; at standard cost all of it is a price variance. */
function usedOf(
  method: StockMethod,
  { average, fifo }: StockState,
  movements: readonly Movement[],
  charge: Movement,
): Decimal {
  let used = charge.cost ?? ZERO;
  if (method === 'standard') return used;
  const holding = method === 'first in, first out' ? fifo.copy() : average.copy();
  runLedger(holding, [...movements, charge], ({ movement, truedUp }) => {
    if (movement === charge) used = truedUp;
  });
  return used;
}
