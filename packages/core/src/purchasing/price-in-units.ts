import { unitsThatFit } from '@nuvar/book';
import type { Calculation } from '../evaluate/calculation.js';
import { constant, product, quotient, type Figure } from '../figure/index.js';
import { conversion, unit } from '../quantity/index.js';
import { materialPrice } from './material-price.js';

/**
 * The price of a material in every unit that measures the same thing as its base unit: EUR per g, per kg, per lb. One
 * result a unit, named by its place in the table of units.
 */
export const priceInUnits: Calculation<Record<string, Figure>> = {
  name: 'priceInUnits',
  meanings: {},
  work(sheet, materialId) {
    const material = sheet.row('material', materialId);
    const price = sheet.read(materialPrice, materialId).perBaseUnit;
    if (material === undefined) return {};
    const others = unitsThatFit(material.baseUnit).filter((each) => each.code !== material.baseUnit);
    return Object.fromEntries(others.map((each) => [each.code, perUnit(price, material.baseUnit, each.code)]));

    function perUnit(perBase: Figure, base: string, wanted: string): Figure {
      const way = conversion(wanted, base);
      const called = { name: `Price per ${wanted}`, subject: material?.name ?? '' };
      const standard = 'Table of units (NIST SP 811)';
      if (way?.by === 'divide')
        return quotient(
          called,
          perBase,
          constant(`${wanted} in one ${base}`, way.factor, unit(wanted).per(unit(base)), standard),
        );
      const factor = way?.factor.toFixed() ?? '1';
      return product(
        called,
        perBase,
        constant(`${base} in one ${wanted}`, factor, unit(base).per(unit(wanted)), standard),
      );
    }
  },
};
