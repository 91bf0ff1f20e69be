import { fullCost, unitItems } from '../costing/index.js';
import { difference, type Figure, multiplied, quotient, shareOf, sum } from '../figure/index.js';
import { landedLine, lineMeasures, convertedFor } from '../purchasing/index.js';
import type { Calculation } from '../sheet/index.js';
import { pricePoint } from './price-point.js';
import { setPrice } from './set-price.js';

/** A product sold at its set price, with one material at the landed cost of a shipment; null throughout where it has none of it. */
export interface LandedSale {
  readonly netRevenue: Figure | null;
  readonly fullCost: Figure | null;
  readonly profit: Figure | null;
  readonly margin: Figure | null;
  readonly markup: Figure | null;
  /** For how many units of the product the line is enough. */
  readonly units: Figure | null;
  readonly profitInAll: Figure | null;
}

const NONE: LandedSale = {
  netRevenue: null,
  fullCost: null,
  profit: null,
  margin: null,
  markup: null,
  units: null,
  profitInAll: null,
};

/**
 * What a product would leave at its set price with the landed cost of a line in place of the planning price of its
 * material: full cost + quantity of the material in a unit x (landed cost - planning price per base unit); profit less the
 * same. Units = quantity of the line / quantity in a unit. The id is that of the line and of the price, "line@price". Gaps:
 * what the landed cost, the full cost or the price lacks.
 */
export const landedSale: Calculation<LandedSale> = {
  name: 'landedSale',
  meanings: {
    netRevenue: 'What one unit sold brings: price and postage without sales tax, less what is refunded.',
    fullCost: 'The full cost of the product with the material at its landed cost.',
    profit: 'What each sale leaves with the material at its landed cost.',
    margin: 'That profit in percent of the net revenue.',
    markup: 'That profit in percent of the full cost.',
    units: 'For how many units of the product the line is enough.',
    profitInAll: 'What the sale of all of them leaves.',
  },
  work(sheet, id) {
    const [lineId = '', pointId = ''] = id.split('@');
    const line = sheet.row('shipmentLine', lineId);
    const { sold, netRevenue } = sheet.read(setPrice, pointId);
    const material = line && sheet.row('material', line.materialId);
    if (line === undefined || material === undefined || sold === null) return NONE;
    const { id: productId, name: subject } = sold.product;
    const item = unitItems(sheet, productId).find(({ source }) => source === `material.${material.id}`);
    const { perBaseUnit } = sheet.read(landedLine, lineId);
    if (item === undefined || perBaseUnit === null) return NONE;
    const called = (name: string) => ({ name, subject });
    const dearer = difference({ name: 'Landed above planned', subject: material.name }, perBaseUnit, item.price);
    const change = multiplied(called('Change by the landed cost'), item.quantity, dearer);
    const planned = sheet.read(fullCost, productId).fullCost;
    const cost = sum(called('Full cost, landed'), planned.unit, [planned, change]);
    const profit = difference(called('Profit, landed'), sheet.read(pricePoint, pointId).profit, change);
    const { quantity } = sheet.read(lineMeasures, lineId);
    const inBase = convertedFor(
      sheet,
      { kind: 'material', id: material.id, name: material.name },
      quantity,
      line.unit,
      material.baseUnit,
    );
    const units = inBase && quotient(called('Units'), inBase, item.quantity);
    return {
      netRevenue,
      fullCost: cost,
      profit,
      margin: shareOf(called('Margin'), profit, netRevenue),
      markup: shareOf(called('Markup'), profit, cost),
      units,
      profitInAll: units && multiplied(called('Profit in all'), profit, units),
    };
  },
};
