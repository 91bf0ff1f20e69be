import type { RowOf } from '@nuvar/book';
import { choice, constant, difference, type Figure, multiplied, quotient, sum } from '../../figure/index.js';
import { type Decimal, isPositive, ZERO } from '../../number/index.js';
import { unit } from '../../quantity/index.js';
import { dayIn, money, type Sheet } from '../../sheet/index.js';
import type { Holding } from './holding.js';
import { type LedgerEntry, runLedger } from './ledger.js';
import type { Movement } from './movement.js';
import type { Common, MethodOfPeriod } from './period-common.js';
import { stateOf } from './position.js';
import { atStandard } from './standard-period.js';

export type { MethodOfPeriod } from './period-common.js';

export const PERIOD_METHODS = [
  'moving average',
  'first in, first out',
  'periodic average',
  'periodic first in, first out',
  'standard',
] as const;
export type PeriodMethod = (typeof PERIOD_METHODS)[number];

/** The movements of a material from the position before them; those before `from` only lead up to the period. */
interface Span {
  readonly movements: readonly Movement[];
  readonly before: RowOf<'stockPosition'> | null;
  readonly from: string;
  readonly to: string;
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
  const comesIn = inPeriod.filter(isIncoming);
  const ofType = (type: Movement['type']) => inPeriod.filter((movement) => movement.type === type);
  const { average, fifo } = stateOf(before);
  const opened = { average: runLedger(average.copy(), earlier), fifo: runLedger(fifo.copy(), earlier) };
  const closed = { average: runLedger(average.copy(), movements), fifo: runLedger(fifo.copy(), movements) };
  // As if all that came in during the period had come before anything left; a count stays what it found where it was made.
  const others = withCountsFixed(movements, average).filter(
    (movement) => movement.date >= from && !isIncoming(movement),
  );
  const reordered = (told?: (entry: LedgerEntry) => void) =>
    runLedger(fifo.copy(), [...withCountsFixed(earlier, average), ...comesIn, ...others], told);
  const heldBefore = (day: string) =>
    runLedger(
      average.copy(),
      movements.filter(({ date }) => date < day),
    ).quantity;
  const paidFor = (of: readonly Movement[]): Decimal | null => {
    const paid = of.map(({ ofMovementId, quantity }) => {
      const receipt = movements.find(({ id }) => id === ofMovementId);
      return receipt?.cost == null || receipt.quantity === null || quantity === null
        ? null
        : receipt.cost.times(quantity).div(receipt.quantity);
    });
    return paid.includes(null) || paid.length === 0 ? null : total(paid);
  };
  const common: Common = {
    ...{ subject, cash, held, said },
    received: said('Received', total(comesIn.map(({ cost }) => cost)), cash),
    closingQuantity: said('Closing quantity', closed.average.quantity, held),
    ...{ back: ofType('return to supplier'), lost: ofType('write-off') },
  };
  const told = (holding: Holding, of: readonly Movement[]) => {
    const entries: LedgerEntry[] = [];
    runLedger(holding, of, (entry) => void (entry.movement.date >= from && entries.push(entry)));
    return entries;
  };
  return {
    'moving average': byMovement(common, opened.average, closed.average, told(average.copy(), movements)),
    'first in, first out': byMovement(common, opened.fifo, closed.fifo, told(fifo.copy(), movements)),
    'periodic average': periodicAverage(common, opened.average, total(comesIn.map(({ quantity }) => quantity))),
    'periodic first in, first out': periodicFifo(),
    standard: atStandard(sheet, material, common, { comesIn, heldBefore, paidFor, from, to }),
  };

  function periodicFifo(): MethodOfPeriod {
    const entries: LedgerEntry[] = [];
    const ended = reordered((entry) => void (entry.movement.date >= from && entries.push(entry)));
    return byMovement(common, opened.fifo, ended, entries);
  }
}

const isIncoming = ({ type }: Movement): boolean => ['opening', 'receipt', 'late charge'].includes(type);

/** The movements with each count as what it found missing or too much, where it was made. */
function withCountsFixed(movements: readonly Movement[], before: Holding): readonly Movement[] {
  const found = new Map<string, Decimal>();
  runLedger(
    before.copy(),
    movements,
    ({ movement, quantity }) => void (movement.type === 'count' && found.set(movement.id, quantity)),
  );
  return movements.flatMap((movement): readonly Movement[] => {
    const change = found.get(movement.id);
    if (change === undefined) return [movement];
    if (change.isZero()) return [];
    return change.isNegative()
      ? [{ ...movement, type: 'issue', quantity: change.negated() }]
      : [{ ...movement, type: 'return from customer', quantity: change, ofMovementId: null }];
  });
}

const NO_VARIANCES = { priceVariance: null, revaluation: null };

const perUnitOf = ({ subject, closingQuantity }: Common, value: Figure): Figure | null =>
  closingQuantity.amount !== null && isPositive(closingQuantity.amount)
    ? quotient({ name: 'Value per base unit', subject }, value, closingQuantity)
    : null;

/** What was available less what is left, what went back and what was written off. */
function usedOf({ subject, cash, received }: Common, opening: Figure, closing: Figure, apart: Apart): Figure {
  const available = sum({ name: 'Available', subject }, cash, [opening, received]);
  const left = difference({ name: 'Left the stock', subject }, available, closing);
  const others = [apart.toSupplier, apart.writtenOff].filter((figure) => figure !== null);
  return others.length === 0
    ? choice({ name: 'Cost of use', subject }, left, 'nothing went back or was written off')
    : difference({ name: 'Cost of use', subject }, left, sum({ name: 'No use', subject }, cash, others));
}

type Apart = Pick<MethodOfPeriod, 'toSupplier' | 'writtenOff'>;

/** What went back to the supplier and was written off, at what it left at by the entries of a ledger. */
function apartOf({ cash, said, back, lost }: Common, entries: readonly LedgerEntry[]): Apart {
  const valueOf = (of: readonly Movement[]) =>
    total(
      entries.filter(({ movement }) => of.some(({ id }) => id === movement.id)).map(({ value }) => value.negated()),
    );
  return {
    toSupplier: back.length === 0 ? null : said('Back to the supplier', valueOf(back), cash),
    writtenOff: lost.length === 0 ? null : said('Written off', valueOf(lost), cash),
  };
}

function byMovement(common: Common, atStart: Holding, atEnd: Holding, entries: readonly LedgerEntry[]): MethodOfPeriod {
  const opening = common.said('Opening value', atStart.value, common.cash);
  const closing = common.said('Closing value', atEnd.value, common.cash);
  const { received } = common;
  const apart = apartOf(common, entries);
  const used = usedOf(common, opening, closing, apart);
  return { opening, received, used, ...apart, closing, perUnit: perUnitOf(common, closing), ...NO_VARIANCES };
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
  const atAverage = (name: string, of: readonly Movement[]) =>
    of.length === 0
      ? null
      : multiplied({ name, subject }, said(`Quantity: ${name}`, total(of.map((each) => each.quantity)), held), average);
  const apart = {
    toSupplier: atAverage('Back to the supplier', common.back),
    writtenOff: atAverage('Written off', common.lost),
  };
  const used = usedOf(common, opening, closing, apart);
  return { opening, received, used, ...apart, closing, perUnit: perUnitOf(common, closing), ...NO_VARIANCES };
}

const total = (amounts: readonly (Decimal | null)[]): Decimal =>
  amounts.reduce<Decimal>((so, each) => so.plus(each ?? ZERO), ZERO);
