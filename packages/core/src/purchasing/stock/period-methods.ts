import type { RowOf } from '@nuvar/book';
import { constant, difference, type Figure, multiplied, quotient, sum } from '../../figure/index.js';
import { type Decimal, isPositive, ZERO } from '../../number/index.js';
import { unit } from '../../quantity/index.js';
import { dayIn, money, type Sheet } from '../../sheet/index.js';
import type { Holding } from './holding.js';
import { runLedger } from './ledger.js';
import type { Movement } from './movement.js';
import { stateOf } from './position.js';
import { standardPriceOn } from './standard-price.js';

export const PERIOD_METHODS = [
  'moving average',
  'first in, first out',
  'periodic average',
  'periodic first in, first out',
  'standard',
] as const;
export type PeriodMethod = (typeof PERIOD_METHODS)[number];

/** What one method makes of the movements of a period. */
export interface MethodOfPeriod {
  readonly opening: Figure;
  readonly received: Figure;
  /** Cost of what left, with what was trued up: opening + received - closing, and for standard less its variances. */
  readonly used: Figure;
  readonly closing: Figure;
  readonly perUnit: Figure | null;
  /** Standard only: what was paid above (+) the standard (purchase price variance), and what a new standard changed. */
  readonly priceVariance: Figure | null;
  readonly revaluation: Figure | null;
}

/** The movements of a material from the position before them; those before `from` only lead up to the period. */
interface Span {
  readonly movements: readonly Movement[];
  readonly before: RowOf<'stockPosition'> | null;
  readonly from: string;
  readonly to: string;
}

/** What all methods begin with: what came in and what is left, and how an amount of the ledger is said. */
interface Common {
  readonly subject: string;
  readonly cash: Figure['unit'];
  readonly held: Figure['unit'];
  readonly said: (name: string, amount: Decimal, of: Figure['unit']) => Figure;
  readonly received: Figure;
  readonly closingQuantity: Figure;
}

/**
 * What each method of valuation makes of a period. Moving average and first in, first out go movement by movement.
 * Periodic average = (opening value + receipts) / (opening quantity + received quantity), at which all that is left is
 * valued; periodic first in, first out uses the layers as if all receipts of the period had come first (IAS 2.25 to .27).
 * Standard: quantities x standard price; what was paid beside it is the purchase price variance.
 */
export function periodMethods(
  sheet: Sheet,
  material: RowOf<'material'>,
  { movements, before, from, to }: Span,
): Record<PeriodMethod, MethodOfPeriod> {
  const subject = material.name;
  const [cash, held] = [money(sheet), unit(material.baseUnit)];
  const note = `stock ledger of ${subject}, ${dayIn(sheet, from)} to ${dayIn(sheet, to)}`;
  const said = (name: string, amount: Decimal, of: Figure['unit']) => constant(name, amount, of, note);
  const earlier = movements.filter(({ date }) => date < from);
  const inPeriod = movements.filter(({ date }) => date >= from);
  const comesIn = inPeriod.filter(({ type }) => ['opening', 'receipt', 'late charge'].includes(type));
  const { average, fifo } = stateOf(before);
  const opened = { average: runLedger(average.copy(), earlier), fifo: runLedger(fifo.copy(), earlier) };
  const closed = { average: runLedger(average.copy(), movements), fifo: runLedger(fifo.copy(), movements) };
  // As if all that came in during the period had come before anything left.
  const others = inPeriod.filter((movement) => !comesIn.includes(movement));
  const reordered = runLedger(fifo.copy(), [...earlier, ...comesIn, ...others]);
  const heldBefore = (day: string) =>
    runLedger(
      average.copy(),
      movements.filter(({ date }) => date < day),
    ).quantity;
  const common: Common = {
    ...{ subject, cash, held, said },
    received: said('Received', total(comesIn.map(({ cost }) => cost)), cash),
    closingQuantity: said('Closing quantity', closed.average.quantity, held),
  };
  return {
    'moving average': byMovement(common, opened.average, closed.average),
    'first in, first out': byMovement(common, opened.fifo, closed.fifo),
    'periodic average': periodicAverage(common, opened.average, total(comesIn.map(({ quantity }) => quantity))),
    'periodic first in, first out': byMovement(common, opened.fifo, reordered),
    standard: atStandard(sheet, material, common, { comesIn, heldBefore, from, to }),
  };
}

const NO_VARIANCES = { priceVariance: null, revaluation: null };

const perUnitOf = ({ subject, closingQuantity }: Common, value: Figure): Figure | null =>
  closingQuantity.amount !== null && isPositive(closingQuantity.amount)
    ? quotient({ name: 'Value per base unit', subject }, value, closingQuantity)
    : null;

function usedOf({ subject, cash, received }: Common, opening: Figure, closing: Figure): Figure {
  const available = sum({ name: 'Available', subject }, cash, [opening, received]);
  return difference({ name: 'Cost of use', subject }, available, closing);
}

function byMovement(common: Common, atStart: Holding, atEnd: Holding): MethodOfPeriod {
  const opening = common.said('Opening value', atStart.value, common.cash);
  const closing = common.said('Closing value', atEnd.value, common.cash);
  const { received } = common;
  const used = usedOf(common, opening, closing);
  return { opening, received, used, closing, perUnit: perUnitOf(common, closing), ...NO_VARIANCES };
}

function periodicAverage(common: Common, atStart: Holding, receivedQuantity: Decimal): MethodOfPeriod {
  const { subject, cash, held, said, received, closingQuantity } = common;
  const opening = said('Opening value', atStart.value, cash);
  const quantity = sum({ name: 'Quantity available', subject }, held, [
    said('Opening quantity', atStart.quantity, held),
    said('Quantity received', receivedQuantity, held),
  ]);
  const available = sum({ name: 'Available', subject }, cash, [opening, received]);
  const average = quotient({ name: 'Average of the period', subject }, available, quantity);
  const closing = multiplied({ name: 'Closing value', subject }, closingQuantity, average);
  const used = usedOf(common, opening, closing);
  return { opening, received, used, closing, perUnit: perUnitOf(common, closing), ...NO_VARIANCES };
}

interface AtStandard {
  readonly comesIn: readonly Movement[];
  /** What was in stock before the movements of a day. */
  readonly heldBefore: (day: string) => Decimal;
  readonly from: string;
  readonly to: string;
}

function atStandard(
  sheet: Sheet,
  material: RowOf<'material'>,
  { subject, cash, held, said, received, closingQuantity }: Common,
  span: AtStandard,
): MethodOfPeriod {
  const [atStart, atEnd] = [span.from, span.to].map((day) => standardPriceOn(sheet, material, day)) as [Figure, Figure];
  const openingQuantity = said('Opening quantity', span.heldBefore(span.from), held);
  const opening = multiplied({ name: 'Opening value', subject }, openingQuantity, atStart);
  const closing = multiplied({ name: 'Closing value', subject }, closingQuantity, atEnd);
  const receipts = span.comesIn.flatMap(({ date, quantity }) => {
    if (quantity === null) return [];
    const came = said('Quantity received', quantity, held);
    return [multiplied({ name: 'Received at standard', subject }, came, standardPriceOn(sheet, material, date))];
  });
  const receivedAtStandard = sum({ name: 'Received at standard', subject }, cash, receipts);
  // A new standard revalues what is there when it begins; what comes and goes does so at the standard of its day.
  let standard = atStart;
  const revaluations = standardsBegun(sheet, material.id, span).map((day) => {
    const before = standard;
    standard = standardPriceOn(sheet, material, day);
    const change = difference({ name: 'Change of the standard', subject }, standard, before);
    return multiplied({ name: 'Revaluation', subject }, said('In stock', span.heldBefore(day), held), change);
  });
  const revaluation = sum({ name: 'Revaluation', subject }, cash, revaluations);
  const available = sum({ name: 'Available at standard', subject }, cash, [opening, receivedAtStandard, revaluation]);
  return {
    opening,
    received,
    used: difference({ name: 'Cost of use', subject }, available, closing),
    closing,
    perUnit: atEnd,
    priceVariance: difference({ name: 'Purchase price variance', subject }, received, receivedAtStandard),
    revaluation,
  };
}

/** The days within a period, after its first, from which a new standard price holds. */
function standardsBegun(sheet: Sheet, materialId: string, { from, to }: AtStandard): string[] {
  const rows = sheet.rowsOf('standardPrice', 'materialId', materialId);
  const days = rows.map(({ validFrom }) => validFrom).filter((day) => day > from && day <= to);
  return [...new Set(days)].sort();
}

const total = (amounts: readonly (Decimal | null)[]): Decimal =>
  amounts.reduce<Decimal>((so, each) => so.plus(each ?? ZERO), ZERO);
