import type { Operation, StoredRow } from '@nuvar/book';
import { createOf, nextPosition } from '../../book/operations.js';
import { model } from '../../book/model.js';

type Charge = StoredRow<'shipmentCharge'>;

/** Where a charge of a type usually goes: what a bank takes is no cost of the goods, and import tax is recovered. */
const USUAL: Partial<Readonly<Record<Charge['type'], Partial<Charge>>>> = {
  bank: { treatment: 'expense' },
  'import tax': { treatment: 'recovered' },
};

/** The operation that adds a charge to a shipment, as charges of its type usually are. */
export function newCharge(
  id: string,
  shipmentId: string,
  currency: string,
  fields: Partial<Charge> & Pick<Charge, 'type'>,
  before: readonly Operation[] = [],
): Operation {
  const charges = model.rows.rowsWith('shipmentCharge', 'shipmentId', shipmentId);
  const position = nextPosition('shipmentCharge', charges, before);
  return createOf('shipmentCharge', id, { shipmentId, position, currency, ...USUAL[fields.type], ...fields });
}
