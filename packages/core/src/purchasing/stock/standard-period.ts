import type { RowOf } from '@nuvar/book';
import { choice, difference, type Figure, multiplied, sum } from '../../figure/index.js';
import { type Decimal, ZERO } from '../../number/index.js';
import type { Sheet } from '../../sheet/index.js';
import type { Movement } from './movement.js';
import type { Common, MethodOfPeriod } from './period-common.js';
import { standardPriceOn } from './standard-price.js';

/** What a period at standard price is worked out of, beside what all methods begin with. */
export interface AtStandard {
  readonly comesIn: readonly Movement[];
  /** What was in stock before the movements of a day. */
  readonly heldBefore: (day: string) => Decimal;
  /** What was paid for goods that went back; null where their receipts are not known, or nothing did. */
  readonly paidFor: (of: readonly Movement[]) => Decimal | null;
  readonly from: string;
  readonly to: string;
}

/**
 * A period at standard price: quantities x the standard of their day. A new standard, from the first day of the period too,
 * revalues what is there when it begins. What was paid beside the standard for goods that were kept is the purchase price
 * variance.
 */
export function atStandard(
  sheet: Sheet,
  material: RowOf<'material'>,
  common: Common,
  span: AtStandard,
): MethodOfPeriod {
  const { subject, cash, held, said, received, closingQuantity, back, lost } = common;
  const priced = (name: string, of: readonly Movement[]) =>
    sum(
      { name, subject },
      cash,
      of.map(({ date, quantity }) =>
        multiplied({ name, subject }, said('Quantity', quantity ?? ZERO, held), standardPriceOn(sheet, material, date)),
      ),
    );
  const begun = standardsBegun(sheet, material.id, span);
  const atStart = standardAtStart(sheet, material, span.from);
  const openingQuantity = said('Opening quantity', span.heldBefore(span.from), held);
  const opening = multiplied({ name: 'Opening value', subject }, openingQuantity, atStart);
  const perUnit = standardPriceOn(sheet, material, span.to);
  const closing = multiplied({ name: 'Closing value', subject }, closingQuantity, perUnit);
  const atStandardPrice = priced(
    'Received at standard',
    span.comesIn.filter(({ quantity }) => quantity !== null),
  );
  const toSupplier = back.length === 0 ? null : priced('Back to the supplier', back);
  const writtenOff = lost.length === 0 ? null : priced('Written off', lost);
  const revaluation = revaluedBy(sheet, material, common, span, begun, atStart);
  const available = sum({ name: 'Available at standard', subject }, cash, [opening, atStandardPrice, revaluation]);
  const left = difference({ name: 'Left the stock', subject }, available, closing);
  const others = [toSupplier, writtenOff].filter((figure) => figure !== null);
  const used =
    others.length === 0
      ? choice({ name: 'Cost of use', subject }, left, 'nothing went back or was written off')
      : difference({ name: 'Cost of use', subject }, left, sum({ name: 'No use', subject }, cash, others));
  const inAll = difference({ name: 'Purchase price variance', subject }, received, atStandardPrice);
  return {
    opening,
    received,
    used,
    toSupplier,
    writtenOff,
    closing,
    perUnit,
    revaluation,
    priceVariance: ofKept(common, inAll, span.paidFor(back), toSupplier),
  };
}

/** The variance of goods that were kept: what went back was bought at no price. */
function ofKept({ subject, cash, said }: Common, inAll: Figure, paid: Decimal | null, back: Figure | null): Figure {
  if (paid === null || back === null) return inAll;
  const paidFor = said('Paid for what went back', paid, cash);
  const ofBack = difference({ name: 'Variance of what went back', subject }, paidFor, back);
  return difference({ name: inAll.name, subject }, inAll, ofBack);
}

function revaluedBy(
  sheet: Sheet,
  material: RowOf<'material'>,
  { subject, cash, held, said }: Common,
  span: AtStandard,
  begun: readonly string[],
  atStart: Figure,
): Figure {
  let standard = atStart;
  const revaluations = begun.map((day) => {
    const before = standard;
    standard = standardPriceOn(sheet, material, day);
    const change = difference({ name: 'Change of the standard', subject }, standard, before);
    return multiplied({ name: 'Revaluation', subject }, said('In stock', span.heldBefore(day), held), change);
  });
  return sum({ name: 'Revaluation', subject }, cash, revaluations);
}

/** The standard at which the period before closed; that of the first day where there was none. */
function standardAtStart(sheet: Sheet, material: RowOf<'material'>, from: string): Figure {
  const earlier = sheet
    .rowsOf('standardPrice', 'materialId', material.id)
    .map(({ validFrom }) => validFrom)
    .filter((day) => day < from)
    .sort()
    .at(-1);
  return standardPriceOn(sheet, material, earlier ?? from);
}

/** The days within a period from which a new standard price holds. */
function standardsBegun(sheet: Sheet, materialId: string, { from, to }: AtStandard): string[] {
  const days = sheet.rowsOf('standardPrice', 'materialId', materialId).map(({ validFrom }) => validFrom);
  const earliest = [...days].sort()[0];
  return [...new Set(days)].filter((day) => day >= from && day <= to && day !== earliest).sort();
}
