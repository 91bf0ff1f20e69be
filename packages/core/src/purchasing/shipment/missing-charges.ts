import type { ChargeType } from '@nuvar/book';
import { type Figure, missing } from '../../figure/index.js';
import { money, type Sheet } from '../../sheet/index.js';
import { purchasingGap } from '../gaps.js';
import { askedForBy, CHARGE_WORDS } from './delivery.js';
import { chargesOf } from './shipment-charge.js';

/** The charges that are the buyer's own by the delivery term of a shipment, and of which nothing is stated. */
export function missingCharges(sheet: Sheet, shipmentId: string): readonly ChargeType[] {
  const term = sheet.row('shipment', shipmentId)?.deliveryTerm ?? null;
  const stated = new Set(
    chargesOf(sheet, shipmentId)
      .filter(({ inPrice }) => !inPrice)
      .map(({ type }) => type),
  );
  return askedForBy(term).filter((type) => !stated.has(type));
}

/** A charge of which nothing is stated, until one is typed (0 where there is none). */
export function missingCharge(sheet: Sheet, shipmentId: string, type: ChargeType, subject: string): Figure {
  const values = { charge: CHARGE_WORDS[type], shipment: sheet.row('shipment', shipmentId)?.name ?? 'this shipment' };
  const place = { kind: 'shipment', id: shipmentId, field: `charge ${type}` } as const;
  return missing({ name: CHARGE_WORDS[type], subject, unit: money(sheet) }, purchasingGap('no-charge', place, values));
}
