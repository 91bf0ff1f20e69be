import { nameKey, type BookRows, type Operation } from '@nuvar/book';
import type { ListRow } from './list-row.js';

/** Small units in which things are bought are costed by the large one. */
const BASE_UNITS: Readonly<Record<string, string>> = { g: 'kg', mg: 'kg', oz: 'lb', ml: 'l', cl: 'l' };

/**
 * The operations that take the understood rows of a price list into the book: one change for all of them. A supplier or a
 * material that several rows name is made once; rows that say nothing new make nothing.
 */
export function priceListOperations(rows: readonly ListRow[], book: BookRows, newId: () => string): Operation[] {
  const operations: Operation[] = [];
  const made = { supplier: new Map<string, string>(), material: new Map<string, string>() };
  const named = (kind: 'supplier' | 'material', name: string, fields: Record<string, unknown>): string => {
    const known = made[kind].get(nameKey(name)) ?? book.rowsWith(kind, 'name', name)[0]?.id;
    if (known !== undefined) return known;
    const id = newId();
    made[kind].set(nameKey(name), id);
    operations.push({ action: 'create', kind, row: { id, name, ...fields } });
    return id;
  };
  for (const row of rows) {
    if (row.outcome === 'not understood' || row.outcome === 'same price') continue;
    const supplierId = row.supplier === '' ? null : named('supplier', row.supplier, {});
    const baseUnit = BASE_UNITS[row.packUnit] ?? row.packUnit;
    const materialId = row.materialId ?? named('material', row.name, { baseUnit });
    operations.push({
      action: 'create',
      kind: 'supplierPrice',
      row: {
        id: newId(),
        materialId,
        supplierId,
        packQuantity: row.packQuantity,
        packUnit: row.packUnit,
        price: row.price,
        currency: row.currency,
        validFrom: row.validFrom,
        minimumOrder: row.minimumOrder,
        orderedPacks: row.orderedPacks,
        supplierCode: row.code,
      },
    });
  }
  return operations;
}
