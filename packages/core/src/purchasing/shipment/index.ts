import type { Calculation } from '../../sheet/index.js';
import { chargeShares } from './charge-shares.js';
import { chargeTotals } from './charge-totals.js';
import { entryFee, lineCustoms } from './customs.js';
import { landedLine } from './landed-line.js';
import { landedShipment } from './landed-shipment.js';
import { lineMeasures } from './line-measures.js';
import { load } from './load.js';
import { paymentRoom } from './payment-room.js';
import { priceUnderTerm } from './price-under-term.js';
import { ruleFits } from './rule-fits.js';
import { chargeAmount } from './shipment-charge.js';
import { shipmentGoods } from './shipment-goods.js';
import { shipmentPaid } from './shipment-paid.js';

export { bearingLines } from './charge-basis.js';
export { chargeShares } from './charge-shares.js';
export { chargeTotals } from './charge-totals.js';
export { lineCustoms } from './customs.js';
export { askedForBy, CHARGE_WORDS, isInSellersPrice, STOPS } from './delivery.js';
export { landedLine, type LandedPart } from './landed-line.js';
export { landedShipment } from './landed-shipment.js';
export { lineMeasures, lineName, linesOf } from './line-measures.js';
export { CARRIERS, load } from './load.js';
export { chargeAmount, chargeName, chargesOf } from './shipment-charge.js';
export { FORMULA_NAMES, readFormula } from './formula.js';
export { paymentRoom } from './payment-room.js';
export { priceUnderTerm } from './price-under-term.js';
export { ruleFits, rulesThatFit } from './rule-fits.js';
export { shipmentPosting, shipmentReopening, type PostedFields, type ShipmentPosting } from './shipment-posting.js';
export { shipmentGoods } from './shipment-goods.js';
export { shipmentPaid } from './shipment-paid.js';

/** The calculations of shipments whose figures can be asked for by key. */
export const SHIPMENT_CALCULATIONS: readonly Calculation<unknown>[] = [
  lineMeasures,
  shipmentGoods,
  chargeAmount,
  chargeShares,
  lineCustoms,
  entryFee,
  landedLine,
  landedShipment,
  shipmentPaid,
  priceUnderTerm,
  paymentRoom,
  chargeTotals,
  load,
  ruleFits,
];
