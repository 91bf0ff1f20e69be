import type { RowOf } from '@nuvar/book';
import { choice, type Figure, multiplied, quotient, sum } from '../../figure/index.js';
import { isPositive } from '../../number/index.js';
import { unit } from '../../quantity/index.js';
import { type Calculation, dayIn, money, type Sheet } from '../../sheet/index.js';
import { standardPriceOn } from './standard-price.js';

/** What is in stock of a material; null throughout where nothing was ever moved. */
export interface StockOnHand {
  readonly quantity: Figure | null;
  /** By the method of the book. */
  readonly value: Figure | null;
  readonly perBaseUnit: Figure | null;
  /** What the planning bases read: the moving average, and the cost of the oldest layer. */
  readonly average: Figure | null;
  readonly oldest: Figure | null;
}

/**
 * Stock of a material as of the day: quantity, value by the method of the book, and what a base unit is worth (value /
 * quantity; where nothing is left, what the last one was worth). Standard: quantity x standard price of the day.
 * Moving average and layers are those of the stock ledger (`runLedger`). Gap: no standard price where that is the method.
 */
export const stockOnHand: Calculation<StockOnHand> = {
  name: 'stockOnHand',
  meanings: {
    quantity: 'How much of the material is in stock, by its ledger.',
    value: 'What the stock of the material is worth, by the method of the book.',
    perBaseUnit: 'What one base unit of the material in stock is worth.',
    average: 'What one base unit in stock costs on average (moving average).',
    oldest: 'What one base unit of the oldest stock cost (first in, first out).',
  },
  work(sheet, materialId) {
    const row = sheet.row('stockPosition', materialId);
    const material = sheet.row('material', materialId);
    if (row === undefined || material === undefined)
      return { quantity: null, value: null, perBaseUnit: null, average: null, oldest: null };
    const subject = material.name;
    const read = (field: keyof RowOf<'stockPosition'> & string, name: string, of: Figure['unit']) =>
      sheet.input('stockPosition', row, field, { name, subject, unit: of });
    const [amount, perUnit] = [money(sheet), money(sheet).per(unit(row.unit))];
    const quantity = read('quantity', 'Quantity in stock', unit(row.unit));
    const average = row.averageCost === null ? null : read('averageCost', 'Moving average', perUnit);
    const oldest = row.oldestCost === null ? null : read('oldestCost', 'Oldest cost', perUnit);
    const { stockMethod } = sheet.settings();
    const said = (figure: Figure, name: string) =>
      choice({ name, subject }, figure, `${stockMethod}, ledger to ${dayIn(sheet, row.day)}`);
    if (stockMethod === 'standard') {
      const standard = standardPriceOn(sheet, material, sheet.asOf);
      const value = multiplied({ name: 'Stock value', subject }, quantity, standard);
      return { quantity, value, perBaseUnit: standard, average, oldest };
    }
    const isAverage = stockMethod === 'moving average';
    const value = said(read(isAverage ? 'averageValue' : 'fifoValue', 'Stock value', amount), 'Stock value');
    const isThere = quantity.amount !== null && isPositive(quantity.amount);
    const perBaseUnit = isThere
      ? quotient({ name: 'Value per base unit', subject }, value, quantity)
      : isAverage
        ? average
        : oldest;
    return { quantity, value, perBaseUnit, average, oldest };
  },
};

/** What all stock is worth. */
export const stockTotal: Calculation<{ readonly value: Figure }> = {
  name: 'stockTotal',
  meanings: { value: 'What all materials in stock are worth, by the method of the book.' },
  work(sheet) {
    const values = stockedMaterials(sheet).flatMap(({ id }) => sheet.read(stockOnHand, id).value ?? []);
    return { value: sum('Stock value', money(sheet), values) };
  },
};

/** The materials of which something was ever moved. */
export const stockedMaterials = (sheet: Sheet): readonly RowOf<'material'>[] =>
  sheet.all('stockPosition').flatMap(({ id }) => (id.includes('@') ? [] : (sheet.row('material', id) ?? [])));
