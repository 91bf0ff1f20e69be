import type { RowOf } from '@nuvar/book';
import { choice, constant, type Figure } from '../../figure/index.js';
import { PERCENT } from '../../quantity/index.js';
import type { Sheet } from '../../sheet/index.js';
import { inputTax } from '../input-tax.js';

/** The share of the tax on a shipment that is not recovered: as it was posted, else that of the day of the shipment. */
export function unrecoveredOf(sheet: Sheet, shipment: RowOf<'shipment'>): Figure {
  if (shipment.postedTaxPercent === null) return sheet.read(inputTax, shipment.date).unrecovered;
  const leaf = { name: 'Tax not recovered, as posted', subject: shipment.name, unit: PERCENT };
  return sheet.input('shipment', shipment, 'postedTaxPercent', leaf);
}

/** The share of its import tax that is not recovered: as it was posted, else as its customs profile says. */
export function unrecoveredImportTax(
  sheet: Sheet,
  shipment: RowOf<'shipment'>,
  profile: RowOf<'customsProfile'> | undefined,
): Figure {
  if (shipment.postedImportTaxPercent !== null) {
    const leaf = { name: 'Import tax not recovered, as posted', subject: shipment.name, unit: PERCENT };
    return sheet.input('shipment', shipment, 'postedImportTaxPercent', leaf);
  }
  const name = 'Import tax not recovered';
  if (profile === undefined || profile.importTax === 'by registration') {
    const { unrecovered } = sheet.read(inputTax, shipment.date);
    return choice({ name, subject: shipment.name }, unrecovered, 'as other tax on purchases');
  }
  return constant(
    name,
    profile.importTax === 'cost' ? '100' : '0',
    PERCENT,
    `by the customs profile "${profile.name}"`,
  );
}
