import { CHARGE_TYPES, type ChargeType } from '@nuvar/book';
import { type Figure, sum } from '../../figure/index.js';
import { type Calculation, money } from '../../sheet/index.js';
import { landedShipment } from './landed-shipment.js';
import { chargeAmount, chargesOf } from './shipment-charge.js';
import { CHARGE_WORDS } from './delivery.js';

/**
 * What the buyer pays of each type of charge in a shipment, wherever it goes, by the type; with duty, import tax and entry
 * fee by the customs profile, the fee under customs clearance. A type without a charge has no total.
 */
export const chargeTotals: Calculation<Partial<Record<ChargeType, Figure>>> = {
  name: 'chargeTotals',
  meanings: {},
  work(sheet, shipmentId) {
    const { duty, importTax, entryFee } = sheet.read(landedShipment, shipmentId);
    const byProfile: Partial<Record<ChargeType, Figure | null>> = {
      duty,
      'import tax': importTax,
      'customs clearance': entryFee,
    };
    const charges = chargesOf(sheet, shipmentId).filter(({ inPrice }) => !inPrice);
    const subject = sheet.row('shipment', shipmentId)?.name ?? '';
    return Object.fromEntries(
      CHARGE_TYPES.flatMap((type) => {
        const stated = charges
          .filter((charge) => charge.type === type)
          .map(({ id }) => sheet.read(chargeAmount, id).amount);
        const worked = byProfile[type];
        const parts = worked == null ? stated : [...stated, worked];
        return parts.length === 0 ? [] : [[type, sum({ name: CHARGE_WORDS[type], subject }, money(sheet), parts)]];
      }),
    );
  },
};
