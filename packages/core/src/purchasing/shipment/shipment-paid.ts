import { type Figure, sum } from '../../figure/index.js';
import { type Calculation, money } from '../../sheet/index.js';
import { landedLine } from './landed-line.js';
import { landedShipment } from './landed-shipment.js';
import { linesOf } from './line-measures.js';
import { chargeAmount, chargesOf } from './shipment-charge.js';

/** What is paid for a shipment in all, in the currency of the book, and what of that comes back. */
export interface ShipmentPaid {
  readonly taxOnGoods: Figure;
  readonly taxOnCharges: Figure;
  readonly recovered: Figure;
  readonly paid: Figure;
}

/**
 * All that is paid for a shipment = landed cost + what goes to expense + what is recovered. Recovered = import tax and charges that
 * are said to be, the recovered tax on the goods and that on the charges beside the price (IAS 2.11: recoverable tax is no cost).
 */
export const shipmentPaid: Calculation<ShipmentPaid> = {
  name: 'shipmentPaid',
  meanings: {
    taxOnGoods: 'The tax on the goods that is recovered.',
    taxOnCharges: 'The tax on charges that is recovered.',
    recovered: 'All that is recovered: import tax and charges, the tax on goods and on charges.',
    paid: 'All that is paid for the shipment, recovered tax included.',
  },
  work(sheet, shipmentId) {
    const { landed, expense, recovered: charged } = sheet.read(landedShipment, shipmentId);
    const total = (name: string, parts: readonly Figure[]) =>
      sum({ name, subject: landed.subject }, money(sheet), parts);
    const taxOnGoods = total(
      'Tax on the goods, recovered',
      linesOf(sheet, shipmentId).flatMap(({ id }) => sheet.read(landedLine, id).goodsTaxRecovered ?? []),
    );
    const taxOnCharges = total(
      'Tax on charges, recovered',
      chargesOf(sheet, shipmentId)
        .filter(({ inPrice }) => !inPrice)
        .flatMap(({ id }) => sheet.read(chargeAmount, id).taxRecovered ?? []),
    );
    const recovered = total('Recovered', [charged, taxOnGoods, taxOnCharges]);
    return { taxOnGoods, taxOnCharges, recovered, paid: total('Paid in all', [landed, expense, recovered]) };
  },
};
