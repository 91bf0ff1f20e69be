import type { RowOf } from '@nuvar/book';
import { difference, type Figure, missing, multiplied, quotient } from '../figure/index.js';
import { convertedFor } from '../purchasing/index.js';
import { unit, unitWord } from '../quantity/index.js';
import { BATCH, type Sheet } from '../sheet/index.js';
import { batch, type Batch } from './batch.js';
import { ofComponent } from './bill-lines.js';
import { productionGap } from './gaps.js';
import { jointPart, mainOutputs, type Output, outputsOf, type Process, quantityOf } from './joint/joint-basis.js';
import { typedJointCost } from './joint/joint-cost.js';
import { shareOfOutput } from './joint/joint-split.js';
import { type CostRow, itemOn, type Taking, type UnitCost } from './taking.js';

/**
 * The share of a joint batch in a product that comes out of it. Where a product says what the batch costs, its part of that
 * product is taken like a component, so that elements and hours stay what they are; by what its share differs from that (a
 * by-product taken off, a constant margin) stands beside it.
 */
export const jointOutputs: CostRow = {
  kind: 'jointOutput',
  takings(sheet, productId, units, hoursIn) {
    return sheet.rowsOf('jointOutput', 'productId', productId).flatMap((output): Taking[] => {
      const process = sheet.row('jointProcess', output.processId);
      if (process === undefined || output.isByProduct) return [];
      const own: Taking = { ...base(output), of: null, quantity: units.good, hours: null };
      if (process.productId === null) return [own];
      const component = sheet.row('product', process.productId);
      if (component === undefined) return [own];
      const quantity = componentPerBatch(sheet, process, output, component, units);
      const hours = multiplied({ name: 'Hours inside', subject: component.name }, quantity, hoursIn(component.id));
      const of = { kind: 'product', id: component.id, name: component.name } as const;
      return [{ ...base(output), of, quantity, hours }, ...(isInProportion(sheet, process) ? [] : [own])];
    });
  },
  priced(sheet, { of, id }, costOf) {
    if (of !== null) return costOf(of.id);
    return ownPrice(sheet, id, costOf);
  },
  cost(sheet, taking, priced) {
    if (taking.of !== null) return ofComponent(sheet, taking, priced as UnitCost);
    const price = priced as Figure;
    const called = { name: 'Share of the joint batch', subject: price.subject };
    return itemOn('materials', taking, price, sheet.multiplied(called, price, taking.quantity));
  },
};

const base = ({ id }: Output) => ({ kind: 'jointOutput', id, basis: 'good unit' }) as const;

/** Part of the basis x good units of the batch / quantity of the output x good units of the product. */
function componentPerBatch(
  sheet: Sheet,
  process: Process,
  output: Output,
  component: RowOf<'product'>,
  units: Batch,
): Figure {
  const named = (name: string) => ({ name, subject: component.name });
  const { part } = sheet.read(jointPart, output.id);
  const inBatch = multiplied(named('Its part of the batch'), part, sheet.read(batch, component.id).good);
  const each = quotient(named('In one unit'), inBatch, inProductUnits(sheet, process, output, units));
  return multiplied(named('Per batch'), each, units.good);
}

/** The quantity of the output in the unit in which the product is counted. */
function inProductUnits(sheet: Sheet, process: Process, output: Output, units: Batch): Figure {
  const quantity = quantityOf(sheet, process, output);
  const item = { kind: 'product', id: output.productId ?? '', name: units.productName } as const;
  const same = convertedFor(sheet, item, quantity, output.unit, units.outputUnit);
  if (same !== null) return same;
  const place = { kind: 'jointOutput', id: output.id, field: 'unit' } as const;
  const values = {
    output: output.name,
    unit: unitWord(output.unit),
    product: units.productName,
    otherUnit: unitWord(units.outputUnit),
  };
  const leaf = { name: 'Quantity', subject: output.name, unit: unit(units.outputUnit).per(BATCH) };
  return missing(leaf, productionGap('joint-unit-of-product', place, values), [quantity]);
}

/** What one unit bears of the joint batch beside its part of the product by which that is costed. */
function ownPrice(sheet: Sheet, outputId: string, costOf: (productId: string) => UnitCost): Figure {
  const output = sheet.row('jointOutput', outputId) as Output;
  const process = sheet.row('jointProcess', output.processId) as Process;
  const named = (name: string) => ({ name, subject: process.name });
  const quantity = inProductUnits(sheet, process, output, sheet.read(batch, output.productId ?? ''));
  const share = (jointCost: Figure) => shareOfOutput(sheet, process, output, process.method, jointCost);
  if (process.productId === null)
    return quotient(named('Joint cost per unit'), share(typedJointCost(sheet, process)), quantity);
  const { good } = sheet.read(batch, process.productId);
  const jointCost = multiplied(named('Joint cost'), costOf(process.productId).variableCost, good);
  const { part } = sheet.read(jointPart, outputId);
  const carried = multiplied(named('Carried by its part of the batch'), jointCost, part);
  return quotient(named('Beside its part'), difference(named('Beside its part'), share(jointCost), carried), quantity);
}

/** True where every output bears exactly its part of the batch, so that nothing stands beside it. */
function isInProportion(sheet: Sheet, { id, method, byProducts }: Process): boolean {
  const hasByProducts = mainOutputs(sheet, id).length < outputsOf(sheet, id).length;
  return method !== 'constant margin' && !(hasByProducts && byProducts === 'taken off the joint cost');
}
