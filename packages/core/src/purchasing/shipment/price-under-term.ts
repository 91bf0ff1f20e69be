import { CHARGE_TYPES, type ChargeType, DELIVERY_TERMS, type DeliveryTerm, type RowOf } from '@nuvar/book';
import { constant, type Figure, missing, multiplied, ofMissingRow, shareOf, sum } from '../../figure/index.js';
import { NUMBER } from '../../quantity/index.js';
import { type Calculation, money, type Sheet } from '../../sheet/index.js';
import { purchasingGap } from '../gaps.js';
import { CHARGE_WORDS, isAskedFor, isInSellersPrice } from './delivery.js';
import { landedShipment } from './landed-shipment.js';
import { missingCharge } from './missing-charges.js';
import { chargeAmount, chargesOf } from './shipment-charge.js';
import { shipmentGoods } from './shipment-goods.js';

/** What the goods of a shipment would cost at the seller under another delivery term. */
export interface PriceUnderTerm {
  readonly price: Figure;
  readonly more: Figure;
  readonly morePercent: Figure;
}

/**
 * The price of the goods of a shipment under a delivery term, at the same cost at the door: the price as it is + the charges that
 * the seller would then pay in the buyer's place - those that the buyer would (Incoterms 2020, rules A9 and B9), each as the
 * shipment states it. The id is "shipment@term". Gaps: no term of the shipment; a charge that moves and of which nothing is
 * stated, on the buyer's side or in the price.
 */
export const priceUnderTerm: Calculation<PriceUnderTerm> = {
  name: 'priceUnderTerm',
  meanings: {
    price: 'What the goods would cost at the seller under this delivery term.',
    more: 'By how much that is more than under the term of the shipment.',
    morePercent: 'That in percent of the price under the term of the shipment.',
  },
  work(sheet, id) {
    const [shipmentId = '', term = ''] = id.split('@');
    const shipment = sheet.row('shipment', shipmentId);
    const subject = shipment?.name ?? 'this shipment';
    const leaf = { name: 'Price under the term', subject, unit: money(sheet) };
    const asked = DELIVERY_TERMS.find((each) => each === term);
    const { inBookCurrency: goods } = sheet.read(shipmentGoods, shipmentId);
    if (shipment === undefined || shipment.deliveryTerm === null || asked === undefined) {
      const place = { kind: 'shipment', id: shipmentId, field: 'deliveryTerm' } as const;
      const none =
        shipment === undefined || asked === undefined
          ? ofMissingRow(leaf, asked === undefined ? 'this delivery term' : subject)
          : missing(leaf, purchasingGap('no-delivery-term', place, { subject }));
      return { price: none, more: none, morePercent: none };
    }
    const now = shipment.deliveryTerm;
    const moved = CHARGE_TYPES.flatMap((type) => movedCharge(sheet, shipment, type, now, asked));
    const more = sum({ name: 'More than now', subject }, money(sheet), moved);
    return {
      price: sum({ name: leaf.name, subject }, money(sheet), [goods, more]),
      more,
      morePercent: shareOf({ name: 'More than now', subject }, more, goods),
    };
  },
};

/** A charge that changes sides: added to the price where the seller takes it on, taken off it where the buyer does. */
function movedCharge(
  sheet: Sheet,
  shipment: RowOf<'shipment'>,
  type: ChargeType,
  now: DeliveryTerm,
  then: DeliveryTerm,
): Figure[] {
  const [isSellers, willBeSellers] = [isInSellersPrice(now, type), isInSellersPrice(then, type)];
  if (isSellers === willBeSellers) return [];
  const stated = chargesOf(sheet, shipment.id)
    .filter((charge) => charge.type === type && charge.inPrice === isSellers)
    .map(({ id }) => sheet.read(chargeAmount, id).amount);
  const amounts = stated.length > 0 ? stated : unstated(sheet, shipment, type, isSellers);
  return isSellers ? amounts.map((amount) => negative(amount)) : amounts;
}

const LESS = constant('Taken off', '-1', NUMBER, 'the buyer would pay it beside the price');
const negative = (amount: Figure) => multiplied({ name: `Less ${amount.name}`, subject: amount.subject }, amount, LESS);

/** What a charge that is not typed comes to: by the customs profile, a gap where one is needed, else nothing. */
function unstated(sheet: Sheet, shipment: RowOf<'shipment'>, type: ChargeType, isSellers: boolean): Figure[] {
  const { duty, importTax } = sheet.read(landedShipment, shipment.id);
  const byProfile = type === 'duty' ? duty : type === 'import tax' ? importTax : null;
  if (byProfile !== null && !isSellers) return [byProfile];
  const isNeeded = isAskedFor(type) || ((type === 'duty' || type === 'import tax') && isSellers);
  if (!isNeeded) return [];
  if (!isSellers) return [missingCharge(sheet, shipment.id, type, shipment.name)];
  const values = { charge: CHARGE_WORDS[type], subject: shipment.name };
  const place = { kind: 'shipment', id: shipment.id, field: `charge ${type}` } as const;
  const leaf = { name: CHARGE_WORDS[type], subject: shipment.name, unit: money(sheet) };
  return [missing(leaf, purchasingGap('no-charge-in-price', place, values))];
}
