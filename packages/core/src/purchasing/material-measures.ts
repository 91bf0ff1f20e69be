import type { RowOf } from '@nuvar/book';
import { constant } from '../figure/index.js';
import { type Decimal, isPositive } from '../number/index.js';
import { unit } from '../quantity/index.js';
import type { Sheet } from '../sheet/index.js';
import { convertedFor } from './converted.js';
import { lineMeasures } from './shipment/line-measures.js';

/** What one base unit weighs and how much room it takes; null where neither conversions nor a shipment say it. */
export interface MaterialMeasures {
  readonly kilograms: Decimal | null;
  readonly cubicMetres: Decimal | null;
}

/** Weight in kg and volume in m³ of one base unit: packed, as its latest shipment says; else by unit conversions. */
export function materialMeasures(sheet: Sheet, material: RowOf<'material'>): MaterialMeasures {
  const item = { kind: 'material', id: material.id, name: material.name } as const;
  const lines = sheet.rowsOf('shipmentLine', 'materialId', material.id).filter(({ quantity }) => quantity !== null);
  const latest = lines.at(-1);
  const inUnit = (field: 'weight' | 'volume', of: string): Decimal | null => {
    const one = constant('One', '1', unit(material.baseUnit), 'definition');
    const byConversion = convertedFor(sheet, item, one, material.baseUnit, of)?.amount ?? null;
    if (latest === undefined || latest[field] === null) return byConversion;
    const { quantity, [field]: measure } = sheet.read(lineMeasures, latest.id);
    const inBase = convertedFor(sheet, item, quantity, latest.unit, material.baseUnit)?.amount;
    return inBase == null || !isPositive(inBase) || measure.amount === null ? byConversion : measure.amount.div(inBase);
  };
  const some = (amount: Decimal | null) => (amount !== null && isPositive(amount) ? amount : null);
  return { kilograms: some(inUnit('weight', 'kg')), cubicMetres: some(inUnit('volume', 'm³')) };
}
