import type { ChargeType } from '@nuvar/book';
import { type Figure, missing, ofMissingRow, shareOf, sum } from '../../figure/index.js';
import { type Calculation, money } from '../../sheet/index.js';
import { purchasingGap } from '../gaps.js';
import { landedLine } from './landed-line.js';
import { linesOf } from './line-measures.js';
import { missingCharge, missingCharges } from './missing-charges.js';
import { chargeAmount, chargesOf } from './shipment-charge.js';
import { shipmentGoods } from './shipment-goods.js';

/** A shipment at the buyer's door, in the currency of the book. */
export interface LandedShipment {
  readonly goods: Figure;
  /** What came on top and belongs to the cost of the goods; partial while a charge of the delivery term is missing. */
  readonly onTop: Figure;
  readonly landed: Figure;
  readonly onTopPercent: Figure;
  readonly expense: Figure;
  readonly recovered: Figure;
  /** What the customs profile makes of the lines; null where a charge says it, or nothing is owed. */
  readonly duty: Figure | null;
  readonly importTax: Figure | null;
  readonly entryFee: Figure | null;
  /** Bills - estimates of the charges that are billed; null where none is. */
  readonly againstEstimate: Figure | null;
  /** Of goods and charges together; null where nothing was settled in another currency. */
  readonly exchangeDifference: Figure | null;
  /** The charges that are the buyer's own by the delivery term and of which nothing is stated. */
  readonly missingCharges: readonly ChargeType[];
}

/**
 * Landed cost of a shipment: the sum of its lines; charges that the delivery term makes the buyer's and of which nothing
 * is stated are gaps of it, until one is typed (0 where there is none).
 */
export const landedShipment: Calculation<LandedShipment> = {
  name: 'landedShipment',
  meanings: {
    goods: 'What the goods cost at the seller.',
    onTop: 'What comes on top of the goods until they are here, as far as it belongs to their cost.',
    landed: 'What the shipment costs at the door (landed cost).',
    onTopPercent: 'What comes on top, as a percentage of the goods.',
    expense: 'What the shipment costs beside the goods: charges that go to expense.',
    recovered: 'Charges that are recovered, such as import tax.',
    duty: 'Duty on all lines, by the customs profile.',
    importTax: 'Import tax on all lines, by the customs profile.',
    entryFee: 'What the customs take for the entry of the shipment.',
    againstEstimate: 'By how much the bills are above the estimates of the same charges.',
    exchangeDifference: 'What exchange rates changed between recognition and settlement: no cost of the goods.',
  },
  work(sheet, shipmentId) {
    const shipment = sheet.row('shipment', shipmentId);
    const subject = shipment?.name ?? 'this shipment';
    const called = (name: string) => ({ name, subject });
    const lines = linesOf(sheet, shipmentId).map(({ id }) => sheet.read(landedLine, id));
    const charges = chargesOf(sheet, shipmentId);
    const asked = missingCharges(sheet, shipmentId);
    // The lines lack them too; without a line they are said of the shipment alone.
    const ofNoLine = lines.length > 0 ? [] : asked.map((type) => missingCharge(sheet, shipmentId, type, subject));
    const total = (name: string, member: 'goods' | 'onTop' | 'expense' | 'recovered', more: readonly Figure[] = []) =>
      sum(called(name), money(sheet), [...lines.map((line) => line[member]), ...more]);
    const byProfile = (name: string, label: string) => {
      const parts = lines.flatMap((line) =>
        line.parts.filter((part) => part.chargeId === null && part.label === label),
      );
      return parts.length === 0
        ? null
        : sum(
            called(name),
            money(sheet),
            parts.map(({ figure }) => figure),
          );
    };
    const goods = lines.length === 0 ? noGoods() : total('Goods', 'goods');
    const onTop = total('On top of the goods', 'onTop', ofNoLine);
    // Nothing on top of goods that are not known is no landed cost of nothing.
    const isAnythingOnTop = asked.length > 0 || lines.some(({ parts }) => parts.length > 0);
    const amounts = charges.map(({ id }) => sheet.read(chargeAmount, id));
    const differences = amounts.flatMap(({ difference: each }) => each ?? []);
    const exchange = [
      sheet.read(shipmentGoods, shipmentId).exchangeDifference,
      ...amounts.map(({ exchangeDifference }) => exchangeDifference),
    ].filter((each) => each !== null);
    return {
      goods,
      onTop,
      landed: sum(called('Landed cost'), money(sheet), isAnythingOnTop ? [goods, onTop] : [goods]),
      onTopPercent: shareOf(called('On top of the goods'), onTop, goods),
      expense: total('To expense', 'expense'),
      recovered: total('Recovered', 'recovered'),
      duty: byProfile('Duty', 'duty'),
      importTax: byProfile('Import tax', 'import tax'),
      entryFee: byProfile('Entry fee', 'entry fee'),
      againstEstimate:
        differences.length === 0 ? null : sum(called('Bills above estimates'), money(sheet), differences),
      exchangeDifference: exchange.length === 0 ? null : sum(called('Exchange difference'), money(sheet), exchange),
      missingCharges: asked,
    };

    function noGoods(): Figure {
      const leaf = { ...called('Goods'), unit: money(sheet) };
      if (shipment === undefined) return ofMissingRow(leaf, subject);
      const place = { kind: 'shipment', id: shipmentId, field: 'lines' } as const;
      return missing(leaf, purchasingGap('no-goods', place, { subject }));
    }
  },
};
