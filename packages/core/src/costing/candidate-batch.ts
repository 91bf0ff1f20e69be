import { difference, type Figure, multiplied, ofMissingRow, percentOf, quotient, sum } from '../figure/index.js';
import { type CostDriver, driversOfAnyBatch, isCostDriver, productOverhead, SALES_VALUE } from '../overhead/index.js';
import { batch, costItems, type Element, itemTotal, labourHours, productCost } from '../production/index.js';
import { PERCENT, unit } from '../quantity/index.js';
import { BATCH, type Calculation, HOUR, money, type Sheet } from '../sheet/index.js';
import { costingGap } from './gaps.js';

/** What one unit would cost in batches of another size. */
export interface CandidateBatch {
  readonly size: Figure;
  readonly variableCost: Figure;
  readonly fullCost: Figure;
  /** What a batch costs whatever its size, spread over its good units. */
  readonly setUpPerUnit: Figure;
}

/** What of a batch does not depend on its size, and what of a unit does not depend on the size of its batch. */
export interface BatchParts {
  readonly costPerBatch: Figure;
  readonly costPerUnit: Figure;
  readonly hoursPerBatch: Figure;
  readonly hoursPerUnit: Figure;
}

/**
 * Splits the cost and the hours of a product into what each batch takes whatever its size (all takings that are stated per
 * batch: set-up, lines, work, machine time, scrap that is recovered) and the rest, which is the same for each good unit: cost per unit - cost per batch / good units.
 */
export const batchParts: Calculation<BatchParts> = {
  name: 'batchParts',
  meanings: {
    costPerBatch: 'What each batch costs whatever its size.',
    costPerUnit: 'What each good unit costs whatever the size of its batch.',
    hoursPerBatch: 'Productive labour hours that each batch takes whatever its size.',
    hoursPerUnit: 'Productive labour hours that each good unit takes whatever the size of its batch.',
  },
  work(sheet, productId) {
    const row = sheet.row('product', productId);
    const named = (name: string) => ({ name, subject: row?.name ?? '' });
    const { good } = sheet.read(batch, productId);
    const ofAnyBatch = sheet.read(costItems, productId).filter(({ taking }) => taking.basis === 'batch');
    const costs = ofAnyBatch.map((item) => itemTotal(sheet, item));
    const hours = ofAnyBatch.flatMap(({ taking }) => taking.hours ?? []);
    const costPerBatch = sum(named('Cost of any batch'), money(sheet).per(BATCH), costs);
    const hoursPerBatch = sum(named('Hours of any batch'), HOUR.per(BATCH), hours);
    const rest = (name: string, all: Figure, ofBatch: Figure) =>
      difference(named(name), all, quotient(named('Of the batch, per unit'), ofBatch, good));
    return {
      costPerBatch,
      hoursPerBatch,
      costPerUnit: rest('Cost of any unit', sheet.read(productCost, productId).variableCost, costPerBatch),
      hoursPerUnit: rest('Hours of any unit', sheet.read(labourHours, productId).perUnit, hoursPerBatch),
    };
  },
};

/**
 * Unit cost in batches of another size N: cost of any unit + cost of any batch / (N x yield %); the drivers of
 * the overhead likewise, at today's rates. Gap: no size typed yet.
 */
export const candidateBatch: Calculation<CandidateBatch> = {
  name: 'candidateBatch',
  meanings: {
    size: 'Units started in a batch of this size.',
    variableCost: 'What one good unit would cost before overhead in batches of this size.',
    fullCost: 'What one good unit would cost with its share of the running costs in batches of this size.',
    setUpPerUnit: 'What a batch costs whatever its size, spread over its good units.',
  },
  work(sheet, id) {
    const row = sheet.row('candidateBatch', id);
    const product = row && sheet.row('product', row.productId);
    if (row === undefined || product === undefined) {
      const gone = ofMissingRow({ name: 'Batch size', unit: unit('each') }, 'a batch size');
      return { size: gone, variableCost: gone, fullCost: gone, setUpPerUnit: gone };
    }
    const named = (name: string) => ({ name, subject: product.name });
    const size = sheet.input('candidateBatch', row, 'batchSize', {
      ...named('Units started per batch'),
      unit: unit(product.outputUnit).per(BATCH),
      whenEmpty: (place) => costingGap('no-batch-size', place),
    });
    const yielded = sheet.input('product', product, 'yieldPercent', { ...named('Yield'), unit: PERCENT });
    const good = percentOf(named('Good units per batch'), yielded, size);
    const parts = sheet.read(batchParts, product.id);
    const setUpPerUnit = quotient(named('Batch cost per unit'), parts.costPerBatch, good);
    const variableCost = sum(named('Cost before overhead'), parts.costPerUnit.unit, [parts.costPerUnit, setUpPerUnit]);
    const overhead = sheet.read(overheadParts, product.id);
    const share = sum(named('Overhead'), overhead.perUnit.unit, [
      overhead.perUnit,
      quotient(named('Overhead of the batch, per unit'), overhead.perBatch, good),
    ]);
    return { size, variableCost, fullCost: sum(named('Full cost'), share.unit, [variableCost, share]), setUpPerUnit };
  },
};

/** What of the overhead of a product each batch brings whatever its size, and what each good unit does. */
export const overheadParts: Calculation<{ perBatch: Figure; perUnit: Figure }> = {
  name: 'overheadParts',
  meanings: {
    perBatch: 'The overhead that each batch is charged with whatever its size.',
    perUnit: 'The overhead that each good unit is charged with whatever the size of its batch.',
  },
  work(sheet, productId) {
    const { good, productName: subject } = sheet.read(batch, productId);
    const { items, total } = sheet.read(productOverhead, productId);
    const ofBatches = items.flatMap(({ bearing, rate }) => {
      const taken = takenByAnyBatch(sheet, productId, bearing.driver);
      return taken === null ? [] : [multiplied({ name: 'Of any batch', subject: bearing.label }, rate, taken)];
    });
    const perBatch = sum({ name: 'Overhead of any batch', subject }, money(sheet).per(BATCH), ofBatches);
    const spread = quotient({ name: 'Of the batch, per unit', subject }, perBatch, good);
    return { perBatch, perUnit: difference({ name: 'Overhead of any unit', subject }, total, spread) };
  },
};

/** What a batch of any size takes of a driver whatever is in it; null where it takes nothing. */
function takenByAnyBatch(sheet: Sheet, productId: string, driver: string): Figure | null {
  if (driver === 'units' || driver === SALES_VALUE) return null;
  if (driver === 'labour hours') return sheet.read(batchParts, productId).hoursPerBatch;
  if (!isCostDriver(driver)) return sheet.read(driversOfAnyBatch, productId)[driver] ?? null;
  const elements = ELEMENTS_OF[driver];
  const costs = sheet
    .read(costItems, productId)
    .filter(({ taking }) => taking.basis === 'batch')
    .flatMap((item) => elements.flatMap((element) => item[element] ?? []));
  return sum('Cost of any batch', money(sheet).per(BATCH), costs);
}

const ELEMENTS_OF: Readonly<Record<CostDriver, readonly Element[]>> = {
  'labour cost': ['labour'],
  'material cost': ['materials', 'landed', 'packaging'],
  'prime cost': ['materials', 'landed', 'packaging', 'labour', 'other'],
  'production cost': ['materials', 'landed', 'packaging', 'labour', 'other', 'equipment'],
};
