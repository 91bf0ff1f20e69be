import { constant, type Figure, multiplied, quotient } from '../figure/index.js';
import { conversion, NUMBER, unitsWithin } from '../quantity/index.js';
import type { Calculation, Sheet } from '../sheet/index.js';
import { convertedFor, type ConvertedItem, factorOf, ownConversions } from './converted.js';
import { materialPrice } from './material-price.js';

/**
 * The price of a material in every unit that can be reached from its base unit, by standard factors and by its own
 * conversions: EUR per g, per kg, per piece. One result a unit, named by the code of the unit.
 */
export const priceInUnits: Calculation<Record<string, Figure>> = {
  name: 'priceInUnits',
  meanings: {},
  work(sheet, materialId) {
    const material = sheet.row('material', materialId);
    if (material === undefined) return {};
    const item: ConvertedItem = { kind: 'material', id: materialId, name: material.name };
    const price = sheet.read(materialPrice, materialId).perBaseUnit;
    const reached = unitsWithin(material.baseUnit, ownConversions(sheet, item)).filter(
      (code) => code !== material.baseUnit,
    );
    return Object.fromEntries(reached.map((code) => [code, pricePer(sheet, item, price, material.baseUnit, code)]));
  },
};

/** Price per wanted unit = price per base unit x base units in one of the wanted, or / wanted units in one base unit. */
function pricePer(sheet: Sheet, item: ConvertedItem, perBase: Figure, base: string, wanted: string): Figure {
  const called = { name: `Price per ${wanted}`, subject: item.name };
  const direct = conversion(wanted, base);
  if (direct?.by === 'divide') return quotient(called, perBase, factorOf(wanted, base, direct));
  if (direct !== null) return multiplied(called, perBase, factorOf(wanted, base, direct));
  const one = constant(`One ${wanted}`, '1', NUMBER, 'definition');
  return multiplied(called, perBase, convertedFor(sheet, item, one, wanted, base) as Figure);
}
