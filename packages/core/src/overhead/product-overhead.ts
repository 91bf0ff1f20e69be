import { type Figure, isWhole, missing } from '../figure/index.js';
import { batch } from '../production/index.js';
import { unit } from '../quantity/index.js';
import { type Calculation, HOUR, money, type Sheet } from '../sheet/index.js';
import type { Driver } from './driver.js';
import { driverName, driverUse, driverUses } from './driver-uses.js';
import { overheadGap } from './gaps.js';
import type { Bearing, Lot } from './lot.js';
import { methodOf, METHODS, methodOfTheBook } from './methods/index.js';
import { lotsOfMethod, overheadLot } from './shared-out.js';

/** One share of the overhead in a good unit of a product. */
export interface OverheadItem {
  readonly lot: Pick<Lot, 'id' | 'label' | 'use' | 'isVariable'>;
  readonly bearing: Bearing;
  /** Driver units in one good unit. */
  readonly quantity: Figure;
  readonly rate: Figure;
  readonly cost: Figure;
}

/** The overhead in a good unit of a product, share by share and together. */
export interface ProductOverhead {
  readonly items: readonly OverheadItem[];
  readonly total: Figure;
  /** Fixed production overhead. */
  readonly production: Figure;
  readonly nonProduction: Figure;
  /** What goes up and down with the work: variable production overhead, and variable costs of selling and office. */
  readonly variableProduction: Figure;
  readonly variableNonProduction: Figure;
}

/**
 * The shares of the overhead in a good unit of a product under a method: for each lot that the product takes something of,
 * driver units x rate. Where a lot has nothing to share out there is no share. Card, full cost, prices, batch sizes and
 * comparisons all read this. Gap: hours in no department under a method that goes by departments.
 */
export function overheadItems(sheet: Sheet, productId: string, methodId: string): OverheadItem[] {
  const lots = sheet.read(lotsOfMethod, methodId);
  const subject = sheet.row('product', productId)?.name ?? '';
  const items = lots.flatMap((lot) => {
    const { rate } = sheet.read(overheadLot, `${methodId}@${lot.id}`);
    if (isWhole(rate) && rate.amount.isZero()) return [];
    return lot.bearings.flatMap((bearing): OverheadItem[] => {
      const quantity = driverUse(sheet, productId, bearing.driver);
      if (quantity === null) return [];
      const cost = sheet.multiplied({ name: bearing.label, subject }, rate, quantity);
      return [{ lot, bearing, quantity, rate, cost }];
    });
  });
  return [...items, ...strayItems(sheet, productId, methodId, subject)];
}

/** What a product lacks that works where the method reaches nothing. */
function strayItems(sheet: Sheet, productId: string, methodId: string, subject: string): OverheadItem[] {
  const drivers = METHODS[methodOf(sheet, methodId).type].strayDrivers?.(sheet) ?? [];
  return drivers.flatMap((driver) => {
    const quantity = sheet.read(driverUses, productId).perUnit[driver];
    return quantity === undefined || quantity.amount?.isZero()
      ? []
      : [strayItem(sheet, productId, subject, driver, quantity)];
  });
}

function strayItem(sheet: Sheet, productId: string, subject: string, driver: Driver, quantity: Figure): OverheadItem {
  const output = unit(sheet.read(batch, productId).outputUnit);
  const reason = overheadGap('no-department', { kind: 'product', id: productId, field: 'steps' }, { subject });
  const label = driverName(sheet, driver);
  const leaf = (of: Figure['unit']) => missing({ name: label, subject, unit: of }, reason, [quantity]);
  return {
    lot: { id: `stray.${driver}`, label, use: 'production', isVariable: false },
    bearing: { id: `stray.${driver}`, label, driver },
    quantity,
    rate: leaf(money(sheet).per(HOUR)),
    cost: leaf(money(sheet).per(output)),
  };
}

function overheadOf(sheet: Sheet, productId: string, methodId: string): ProductOverhead {
  const { outputUnit, productName: subject } = sheet.read(batch, productId);
  const perUnit = money(sheet).per(unit(outputUnit));
  const items = overheadItems(sheet, productId, methodId);
  const together = (name: string, of: (item: OverheadItem) => boolean) =>
    sheet.sum(
      { name, subject },
      perUnit,
      items.filter(of).map(({ cost }) => cost),
    );
  const is = (use: Lot['use'], isVariable: boolean) => (item: OverheadItem) =>
    item.lot.use === use && item.lot.isVariable === isVariable;
  return {
    items,
    total: together('Overhead', () => true),
    production: together('Production overhead', is('production', false)),
    nonProduction: together('Non-production overhead', is('non-production', false)),
    variableProduction: together('Variable running costs', is('production', true)),
    variableNonProduction: together('Variable selling and office costs', is('non-production', true)),
  };
}

const MEANINGS = {
  total: 'The share of the running costs in one unit (absorbed overhead).',
  production: 'The share of the fixed production running costs in one unit (fixed production overhead).',
  nonProduction: 'The share of the other running costs in one unit (non-production overhead).',
  variableProduction: 'The running costs of production that each unit brings (variable production overhead).',
  variableNonProduction: 'The running costs of selling and office that each unit brings.',
};

/** The overhead in a unit of a product by the method of the book. */
export const productOverhead: Calculation<ProductOverhead> = {
  name: 'productOverhead',
  meanings: MEANINGS,
  work: (sheet, productId) => overheadOf(sheet, productId, methodOfTheBook(sheet)),
};

/** The same by any method; the id is "product@method". */
export const productOverheadBy: Calculation<ProductOverhead> = {
  name: 'productOverheadBy',
  meanings: MEANINGS,
  work(sheet, id) {
    const [productId = '', methodId = ''] = id.split('@');
    return overheadOf(sheet, productId, methodId);
  },
};
