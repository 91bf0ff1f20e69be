import { type Figure, ofMissingRow, quotient, sum } from '../../figure/index.js';
import { unit } from '../../quantity/index.js';
import { type Calculation, money } from '../../sheet/index.js';
import { purchasingGap } from '../gaps.js';
import { exchangeDifference, recognised, statedRate } from './exchange.js';
import { lineMeasures, linesOf } from './line-measures.js';

/** The goods of a shipment, without what it costs to bring them here. */
export interface ShipmentGoods {
  /** In the buying currency. */
  readonly value: Figure;
  readonly inBookCurrency: Figure;
  /** What one unit of the buying currency costs, with what was paid ahead; null in the currency of the book. */
  readonly rate: Figure | null;
  /** The shipment's own, without what was paid ahead: that of customs where these publish none. */
  readonly ownRate: Figure | null;
  readonly weight: Figure;
  readonly volume: Figure;
  /** Null where nothing was settled in another currency. */
  readonly exchangeDifference: Figure | null;
}

/**
 * Value of the lines, in the buying currency and in that of the book, with their weight and volume. What was paid ahead
 * keeps its rate (IFRIC 22); what changed until settlement stands apart (IAS 21.28).
 */
export const shipmentGoods: Calculation<ShipmentGoods> = {
  name: 'shipmentGoods',
  meanings: {
    value: 'What the goods cost at the seller, in the buying currency.',
    inBookCurrency: 'What the goods cost at the seller, in the currency of the book.',
    rate: 'What one unit of the buying currency costs, with what was paid ahead.',
    ownRate: 'What one unit of the buying currency costs on the day of the shipment.',
    weight: 'What all lines weigh together.',
    volume: 'How much room all lines take together.',
    exchangeDifference: 'What the exchange rate changed between recognition and settlement: no cost of the goods.',
  },
  work(sheet, shipmentId) {
    const shipment = sheet.row('shipment', shipmentId);
    const subject = shipment?.name ?? 'this shipment';
    if (shipment === undefined) {
      const gone = (of: string) => ofMissingRow({ name: 'Goods', unit: unit(of) }, subject);
      const value = ofMissingRow({ name: 'Goods', unit: money(sheet) }, subject);
      return {
        value,
        inBookCurrency: value,
        rate: null,
        ownRate: null,
        weight: gone('kg'),
        volume: gone('m³'),
        exchangeDifference: null,
      };
    }
    const { currency, date } = shipment;
    const measures = linesOf(sheet, shipmentId).map(({ id }) => sheet.read(lineMeasures, id));
    const total = (name: string, of: string, parts: readonly Figure[]) => sum({ name, subject }, unit(of), parts);
    const value = total(
      'Goods',
      currency,
      measures.map((each) => each.value),
    );
    const rate = statedRate(sheet, 'shipment', shipment, 'rate', currency, date, subject);
    const owed = { amount: value, currency, rate };
    const payments = sheet
      .rowsOf('shipmentPayment', 'shipmentId', shipmentId)
      .filter(({ chargeId }) => chargeId === null);
    const inBookCurrency = recognised(sheet, 'Goods', subject, owed, payments);
    const isMixed = rate !== null && payments.some(({ timing }) => timing === 'ahead');
    const noGoods = purchasingGap('no-goods', { kind: 'shipment', id: shipmentId, field: 'lines' }, { subject });
    return {
      value,
      inBookCurrency,
      rate: isMixed ? quotient({ name: 'Average exchange rate', subject }, inBookCurrency, value, noGoods) : rate,
      ownRate: rate,
      weight: total(
        'Weight',
        'kg',
        measures.map((each) => each.weight),
      ),
      volume: total(
        'Volume',
        'm³',
        measures.map((each) => each.volume),
      ),
      exchangeDifference: exchangeDifference(sheet, subject, owed, payments),
    };
  },
};
