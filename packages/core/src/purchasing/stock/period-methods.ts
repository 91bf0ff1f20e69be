import type { RowOf } from '@nuvar/book';
import { choice, constant, difference, type Figure, multiplied, quotient, sum } from '../../figure/index.js';
import { compared, type Decimal, isPositive, ZERO } from '../../number/index.js';
import { unit } from '../../quantity/index.js';
import { dayIn, money, type Sheet } from '../../sheet/index.js';
import type { Holding } from './holding.js';
import { type LedgerEntry, runLedger } from './ledger.js';
import type { Movement } from './movement.js';
import type { Common, MethodOfPeriod } from './period-common.js';
import { inMonthOrder, month } from './month-order.js';
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
 * Periodic average and periodic first in, first out value each calendar month as one (`inMonthOrder`), the one in which the
 * period begins or ends as far as it goes, so that one period opens as the one before it closed (IAS 2.25 to .27). What
 * comes late is a cost of the month in which it came. Standard: quantities x standard price; what was paid beside it is the
 * purchase price variance.
 */
export function periodMethods(
  sheet: Sheet,
  material: RowOf<'material'>,
  span: Span,
): Record<PeriodMethod, MethodOfPeriod> {
  const { movements, before, from, to } = span;
  const subject = material.name;
  const [cash, held] = [money(sheet), unit(material.baseUnit)];
  const note = `stock ledger of ${subject}, ${dayIn(sheet, from)} to ${dayIn(sheet, to)}`;
  const said = (name: string, amount: Decimal, of: Figure['unit']) => constant(name, amount, of, note);
  const inPeriod = movements.filter(({ date }) => date >= from);
  const comesIn = inPeriod.filter(isIncoming);
  const ofType = (type: Movement['type']) => inPeriod.filter((movement) => movement.type === type);
  const { average, fifo, monthAverage, monthFifo } = stateOf(before);
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
    subject,
    cash,
    held,
    said,
    received: said('Received', total(comesIn.map(({ cost }) => cost)), cash),
    closingQuantity: said('Closing quantity', runLedger(average.copy(), movements).quantity, held),
    back: ofType('return to supplier'),
    lost: ofType('write-off'),
  };
  const asTheyMoved = (of: readonly Movement[]) => of;
  const byMonths = (of: readonly Movement[]) => inMonthOrder(of, average);
  return {
    'moving average': byLedger(common, ledgerOver(average, span, asTheyMoved)),
    'first in, first out': byLedger(common, ledgerOver(fifo, span, asTheyMoved)),
    'periodic average': periodicAverage(common, ledgerOver(monthAverage, span, byMonths), to),
    'periodic first in, first out': byLedger(common, ledgerOver(monthFifo, span, byMonths)),
    standard: atStandard(sheet, material, common, { comesIn, heldBefore, paidFor, from, to }),
  };
}

/** A ledger over a period: what was held at its ends, and what each movement of it did. */
interface LedgerOverPeriod {
  readonly atStart: Holding;
  readonly atEnd: Holding;
  readonly entries: readonly LedgerEntry[];
}

/** Goes through what came before a period and then through all until its end, in the order of a method. */
function ledgerOver(
  before: Holding,
  { movements, from }: Span,
  inOrder: (movements: readonly Movement[]) => readonly Movement[],
): LedgerOverPeriod {
  const entries: LedgerEntry[] = [];
  const earlier = movements.filter(({ date }) => date < from);
  const atStart = runLedger(before.copy(), inOrder(earlier));
  const atEnd = runLedger(before.copy(), inOrder(movements), (entry) => {
    if (entry.movement.date >= from) entries.push(entry);
  });
  return { atStart, atEnd, entries };
}

const isIncoming = ({ type }: Movement): boolean => ['opening', 'receipt', 'late charge'].includes(type);

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

function byLedger(common: Common, { atStart, atEnd, entries }: LedgerOverPeriod, closingFrom?: Figure): MethodOfPeriod {
  const opening = common.said('Opening value', atStart.value, common.cash);
  const closing = closingFrom ?? common.said('Closing value', atEnd.value, common.cash);
  const { received } = common;
  const apart = apartOf(common, entries);
  const used = usedOf(common, opening, closing, apart);
  return { opening, received, used, ...apart, closing, perUnit: perUnitOf(common, closing), ...NO_VARIANCES };
}

/** What is left x the average of the last month: the value of all that was available in it / its quantity. */
function periodicAverage(common: Common, ledger: LedgerOverPeriod, to: string): MethodOfPeriod {
  const { subject, held, cash, said, closingQuantity } = common;
  const available = ledger.entries.findLast(
    ({ movement }) => isIncoming(movement) && month(movement.date) === month(to),
  );
  const left = closingQuantity.amount;
  if (available === undefined || left === null || left.isNegative()) return byLedger(common, ledger);
  const average = quotient(
    { name: 'Average of the month', subject },
    said('Available in the month', available.valueAfter, cash),
    said('Quantity available', available.quantityAfter, held),
  );
  const closing = multiplied({ name: 'Closing value', subject }, closingQuantity, average);
  const isAllThereIs = closing.amount !== null && compared(closing.amount, ledger.atEnd.value) === 0;
  return byLedger(common, ledger, isAllThereIs ? closing : undefined);
}

const total = (amounts: readonly (Decimal | null)[]): Decimal =>
  amounts.reduce<Decimal>((so, each) => so.plus(each ?? ZERO), ZERO);
