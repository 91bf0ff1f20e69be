import type { Figure } from '../figure/index.js';
import { BATCH, type Calculation, HOUR } from '../sheet/index.js';
import { batch } from './batch.js';
import { COST_ROWS, TYPED_COST_ROWS } from './cost-rows.js';
import type { Taking } from './taking.js';
import { emptyTaking, endlessTaking } from './whole-product.js';

/** All that one batch of a product takes, row by row. Reads no price. */
export const takings: Calculation<readonly Taking[]> = {
  name: 'takings',
  meanings: {},
  work(sheet, productId) {
    const endless = endlessTaking(sheet, productId);
    if (endless !== null) return [endless];
    const units = sheet.read(batch, productId);
    const isTyped = sheet.row('product', productId)?.costing === 'typed totals';
    const hoursIn = (componentId: string): Figure => sheet.read(labourHours, componentId).perUnit;
    const taken = (isTyped ? TYPED_COST_ROWS : COST_ROWS).flatMap((rows) =>
      rows.takings(sheet, productId, units, hoursIn),
    );
    return taken.length === 0 ? [emptyTaking(sheet, productId)] : taken;
  },
};

/**
 * Productive labour hours in one good unit of a product = hours of its takings for a batch / good units, those inside its
 * components included. It stands beside the takings, since a component's hours are part of what a batch takes.
 */
export const labourHours: Calculation<{ perUnit: Figure }> = {
  name: 'labourHours',
  meanings: { perUnit: 'Productive labour hours in one good unit, with the hours that its components took.' },
  work(sheet, productId) {
    const { good, productName: subject } = sheet.read(batch, productId);
    const hours = sheet.read(takings, productId).flatMap((taking) => taking.hours ?? []);
    const perBatch = sheet.sum({ name: 'Labour hours per batch', subject }, HOUR.per(BATCH), hours);
    return { perUnit: sheet.quotient({ name: 'Labour hours per unit', subject }, perBatch, good) };
  },
};
