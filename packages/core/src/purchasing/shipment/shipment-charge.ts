import type { RowOf } from '@nuvar/book';
import {
  constant,
  difference,
  type Figure,
  multiplied,
  ofMissingRow,
  quotient,
  rounded,
  shareOf,
} from '../../figure/index.js';
import { minorUnit } from '../../money/index.js';
import { PERCENT, unit } from '../../quantity/index.js';
import { bookCurrency, type Calculation, money, type Sheet } from '../../sheet/index.js';
import { costWithTax, netOfTax } from '../input-tax.js';
import { chargeEstimate } from './charge-estimate.js';
import { CHARGE_WORDS } from './delivery.js';
import { customsRate, exchangeDifference, inBookCurrency, type Owed, recognised, statedRate } from './exchange.js';
import { unrecoveredOf } from './shipment-tax.js';

type Charge = RowOf<'shipmentCharge'>;

/** A charge on a shipment, in the currency of the book. */
export interface ChargeAmount {
  /** What counts: the bill, else the estimate; in minor units, so that its shares sum to it. */
  readonly amount: Figure;
  /** In the currency of the charge. */
  readonly inItsCurrency: Figure;
  /** What customs take it for: before tax, at their rate, whatever was paid ahead; in minor units. */
  readonly atCustoms: Figure;
  /** The tax on it that is recovered, in the currency of the book; null where no tax on it is stated. */
  readonly taxRecovered: Figure | null;
  /** What the estimate would be taken for there. */
  readonly estimateAtCustoms: Figure;
  readonly estimate: Figure;
  /** Null until it is billed. */
  readonly bill: Figure | null;
  /** Bill - estimate, and how much of it the amount and the exchange rate make; null until it is billed. */
  readonly difference: Figure | null;
  readonly differencePercent: Figure | null;
  readonly byAmount: Figure | null;
  readonly byRate: Figure | null;
  /** Null where nothing was settled in another currency. */
  readonly exchangeDifference: Figure | null;
}

/**
 * What a charge comes to. Estimate: `chargeEstimate` x exchange rate. Bill: billed amount x its rate, what was paid ahead at the
 * rates of its payments. By amount = (billed - estimated) x rate of the estimate; by rate = billed x (rate of the bill -
 * rate of the estimate). Gap: no amount yet, no exchange rate, a measure that a line lacks.
 */
export const chargeAmount: Calculation<ChargeAmount> = {
  name: 'chargeAmount',
  meanings: {
    amount: 'What the charge comes to, in the currency of the book: the bill, else the estimate.',
    inItsCurrency: 'What the charge comes to, in its own currency.',
    taxRecovered: 'The tax on the charge that is recovered: no cost, and paid all the same.',
    atCustoms: 'What customs take the charge for: before tax, at their rate.',
    estimateAtCustoms: 'What customs would take the estimate of the charge for.',
    estimate: 'What the charge was estimated at, in the currency of the book.',
    bill: 'What was billed, in the currency of the book.',
    difference: 'By how much the bill is above the estimate.',
    differencePercent: 'That difference in percent of the estimate.',
    byAmount: 'The part of that difference that the billed amount makes, at the rate of the estimate.',
    byRate: 'The part of that difference that the exchange rate makes.',
    exchangeDifference: 'What the exchange rate changed between recognition and settlement: no cost of the goods.',
  },
  work(sheet, chargeId) {
    const charge = sheet.row('shipmentCharge', chargeId);
    const shipment = charge && sheet.row('shipment', charge.shipmentId);
    if (charge === undefined || shipment === undefined) {
      const amount = ofMissingRow({ name: 'Charge', unit: money(sheet) }, 'this charge');
      return {
        ...NOT_BILLED,
        amount,
        inItsCurrency: amount,
        estimate: amount,
        taxRecovered: null,
        atCustoms: amount,
        estimateAtCustoms: amount,
        exchangeDifference: null,
      };
    }
    const subject = chargeName(charge);
    const { currency } = charge;
    const rate = statedRate(sheet, 'shipmentCharge', charge, 'rate', currency, shipment.date, subject);
    const stated = chargeEstimate(sheet, charge, subject);
    const amount = withTax(sheet, shipment, charge, stated);
    const estimated = { amount, currency, rate };
    const estimate = inBookCurrency(sheet, 'Estimate', subject, estimated);
    const billed = charge.billed === null ? null : billedOf(sheet, shipment, charge, subject, rate);
    const owed = billed ?? estimated;
    const atCustoms = (of: Figure, own: Figure | null) =>
      inMinorUnits(
        sheet,
        charge,
        inBookCurrency(sheet, 'At customs', subject, {
          amount: netOfTax(sheet, 'shipmentCharge', charge, of),
          currency,
          rate: own === null ? null : (customsRate(sheet, shipment, currency) ?? own),
        }),
      );
    const payments = sheet.rowsOf('shipmentPayment', 'chargeId', chargeId);
    const counts = recognised(sheet, charge.billed === null ? 'Estimate' : 'Bill', subject, owed, payments);
    return {
      taxRecovered: taxRecoveredOn(sheet, charge, billed?.stated ?? stated, owed.amount, counts),
      amount: inMinorUnits(sheet, charge, counts),
      inItsCurrency: owed.amount,
      estimate,
      atCustoms: atCustoms(billed?.stated ?? stated, owed.rate),
      estimateAtCustoms: atCustoms(stated, rate),
      ...(charge.billed === null ? NOT_BILLED : against(sheet, subject, estimated, estimate, owed.amount, counts)),
      exchangeDifference: exchangeDifference(sheet, subject, owed, payments),
    };
  },
};

const NOT_BILLED = { bill: null, difference: null, differencePercent: null, byAmount: null, byRate: null };

const inMinorUnits = (sheet: Sheet, charge: Charge, figure: Figure): Figure =>
  rounded(
    { name: name(charge), subject: charge.remark },
    figure,
    minorUnit(bookCurrency(sheet)),
    sheet.settings().rounding,
  );

/** What was billed, at the rate of the bill where it has one of its own. */
function billedOf(
  sheet: Sheet,
  shipment: RowOf<'shipment'>,
  charge: Charge,
  subject: string,
  rate: Figure | null,
): Owed & { readonly stated: Figure } {
  const { currency } = charge;
  const stated = sheet.input('shipmentCharge', charge, 'billed', { name: 'Bill', subject, unit: unit(currency) });
  const amount = withTax(sheet, shipment, charge, stated);
  if (charge.billedRate === null || rate === null) return { amount, stated, currency, rate };
  const leaf = { name: 'Rate of the bill', subject, unit: rate.unit };
  return { amount, stated, currency, rate: sheet.input('shipmentCharge', charge, 'billedRate', leaf) };
}

/** A charge with the tax on it that is not recovered on the day of its shipment, or was not when it was posted. */
const withTax = (sheet: Sheet, shipment: RowOf<'shipment'>, charge: Charge, stated: Figure): Figure =>
  costWithTax(sheet, 'shipmentCharge', charge, stated, { unrecovered: unrecoveredOf(sheet, shipment) });

/**
 * The tax on a charge that is recovered: what it comes to with all its tax less what counts of it, at the rate at which that
 * counts. Null where no tax is stated.
 */
function taxRecoveredOn(sheet: Sheet, charge: Charge, stated: Figure, counted: Figure, inBook: Figure): Figure | null {
  if (charge.taxPercent === null) return null;
  const subject = chargeName(charge);
  const withAll = costWithTax(sheet, 'shipmentCharge', charge, stated, { unrecovered: ALL });
  const inItsCurrency = difference({ name: 'Tax recovered', subject }, withAll, counted);
  if (inItsCurrency.unit === inBook.unit) return inItsCurrency;
  const rate = quotient({ name: 'Rate at which it counts', subject }, inBook, counted);
  return multiplied({ name: `Tax recovered, ${bookCurrency(sheet)}`, subject }, inItsCurrency, rate);
}

const ALL = constant('All of the tax', '100', PERCENT, 'what is paid, recovered or not');

/** A bill against the estimate: the difference, and what of it the amount and the exchange rate make. */
function against(sheet: Sheet, subject: string, estimated: Owed, estimate: Figure, billed: Figure, bill: Figure) {
  const extra = difference({ name: 'Billed above the estimate', subject }, billed, estimated.amount);
  const byAmount = inBookCurrency(sheet, 'By the amount', subject, { ...estimated, amount: extra });
  const total = difference({ name: 'Difference', subject }, bill, estimate);
  return {
    bill,
    difference: total,
    differencePercent: shareOf({ name: 'Difference', subject }, total, estimate),
    byAmount,
    byRate: difference({ name: 'By the exchange rate', subject }, total, byAmount),
  };
}

const name = ({ type }: Charge) => {
  const words = CHARGE_WORDS[type];
  return words.charAt(0).toUpperCase() + words.slice(1);
};

/** What a charge is called in a sentence: its type, and its remark where it has one. */
export const chargeName = ({ type, remark }: Charge): string =>
  remark === '' ? CHARGE_WORDS[type] : `${CHARGE_WORDS[type]} (${remark})`;

/** The charges of a shipment in their order. */
export const chargesOf = (sheet: Sheet, shipmentId: string): readonly Charge[] =>
  sheet.rowsOf('shipmentCharge', 'shipmentId', shipmentId);
