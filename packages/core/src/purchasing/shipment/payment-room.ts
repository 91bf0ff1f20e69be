import type { RowOf } from '@nuvar/book';
import { difference, type Figure, ofMissingRow, sum } from '../../figure/index.js';
import { unit } from '../../quantity/index.js';
import { type Calculation, money, type Sheet } from '../../sheet/index.js';
import { chargeAmount, chargeName } from './shipment-charge.js';
import { shipmentGoods } from './shipment-goods.js';

/** What of the goods or of a charge is still to be paid. */
export interface PaymentRoom {
  readonly owed: Figure;
  readonly paid: Figure;
  readonly left: Figure;
}

/**
 * What the goods of a shipment or one of its charges come to in their own currency, what was paid for them, and what is left; below
 * zero where more was paid than is owed. The id is "shipment" for the goods, "shipment@charge" for a charge, and with a payment
 * behind it, "shipment@charge@payment", that payment is left out: what it can be at most.
 */
export const paymentRoom: Calculation<PaymentRoom> = {
  name: 'paymentRoom',
  meanings: {
    owed: 'What the goods or the charge come to, in their own currency.',
    paid: 'What was paid for them.',
    left: 'What is still to be paid for them; below zero where more was paid than is owed.',
  },
  work(sheet, id) {
    const [shipmentId = '', chargeId = '', without = ''] = id.split('@');
    const shipment = sheet.row('shipment', shipmentId);
    const charge = chargeId === '' ? null : sheet.row('shipmentCharge', chargeId);
    if (shipment === undefined || charge === undefined) {
      const gone = ofMissingRow({ name: 'Owed', unit: money(sheet) }, 'this shipment');
      return { owed: gone, paid: gone, left: gone };
    }
    const subject = charge === null ? shipment.name : chargeName(charge);
    const currency = charge === null ? shipment.currency : charge.currency;
    const owed =
      charge === null ? sheet.read(shipmentGoods, shipmentId).value : sheet.read(chargeAmount, charge.id).inItsCurrency;
    const paid = sum(
      { name: 'Paid', subject },
      unit(currency),
      sheet
        .rowsOf('shipmentPayment', 'shipmentId', shipmentId)
        .filter((payment) => (payment.chargeId ?? '') === chargeId && payment.id !== without)
        .flatMap((payment) => amountOf(sheet, payment, subject, currency)),
    );
    return { owed, paid, left: difference({ name: 'Left to pay', subject }, owed, paid) };
  },
};

function amountOf(sheet: Sheet, payment: RowOf<'shipmentPayment'>, subject: string, currency: string): Figure[] {
  if (payment.amount === null) return [];
  return [sheet.input('shipmentPayment', payment, 'amount', { name: 'Payment', subject, unit: unit(currency) })];
}
