import type { JointMethod } from '@nuvar/book';
import { constant, difference, type Figure, multiplied, percentOf, shareOf, sum } from '../../figure/index.js';
import { PERCENT } from '../../quantity/index.js';
import { BATCH, money, type Sheet } from '../../sheet/index.js';
import {
  finalSales,
  furtherCost,
  jointPart,
  mainOutputs,
  netRealisableValue,
  type Output,
  outputsOf,
  type Process,
} from './joint-basis.js';

/** What the by-products of a joint batch bring, after what they cost further. */
export function byProductValue(sheet: Sheet, process: Process): Figure {
  return sum(
    { name: 'Net value of by-products', subject: process.name },
    money(sheet).per(BATCH),
    outputsOf(sheet, process.id)
      .filter(({ isByProduct }) => isByProduct)
      .map((output) => netRealisableValue(sheet, process, output)),
  );
}

/** The joint cost that is split over the main products: without what by-products bring, where that is taken off it. */
export function toSplit(sheet: Sheet, process: Process, jointCost: Figure): Figure {
  const brought = byProductValue(sheet, process);
  return process.byProducts === 'taken off the joint cost' && brought.parts.length > 0
    ? difference({ name: 'To be split', subject: process.name }, jointCost, brought)
    : jointCost;
}

/**
 * The joint cost that an output bears: to be split x its part of the basis (quantity, sales value at split-off, net realisable
 * value); under a constant margin, final sales x (1 - margin of all) - further costs. A by-product bears none. Source:
 * Horngren, Datar & Rajan, Cost Accounting.
 */
export function shareOfOutput(
  sheet: Sheet,
  process: Process,
  output: Output,
  method: JointMethod,
  jointCost: Figure,
): Figure {
  if (output.isByProduct) return constant('Joint cost', '0', money(sheet).per(BATCH), 'a by-product bears none');
  const split = toSplit(sheet, process, jointCost);
  if (method === 'constant margin') return constantMarginShare(sheet, process, output, split);
  const { part } = sheet.read(jointPart, `${output.id}@${method}`);
  return multiplied({ name: 'Joint cost', subject: output.name }, split, part);
}

const WHOLE = constant('All of the sales', '100', PERCENT, 'definition');

/** Every main product is to leave the same margin on its final sales. */
function constantMarginShare(sheet: Sheet, process: Process, output: Output, split: Figure): Figure {
  const named = (name: string) => ({ name, subject: output.name });
  const perBatch = money(sheet).per(BATCH);
  const main = mainOutputs(sheet, process.id);
  const together = (name: string, figures: readonly Figure[]) =>
    sum({ name, subject: process.name }, perBatch, figures);
  const sales = together(
    'Sales',
    main.map((each) => finalSales(sheet, process, each)),
  );
  const further = together(
    'Further costs',
    main.map((each) => furtherCost(sheet, process, each)),
  );
  const left = difference(
    named('Left of all sales'),
    difference(named('Sales less further costs'), sales, further),
    split,
  );
  const margin = shareOf({ name: 'Margin of all', subject: process.name }, left, sales);
  const inPercent = difference(named('Costs in percent of sales'), WHOLE, margin);
  const costs = percentOf(named('All its costs at that margin'), inPercent, finalSales(sheet, process, output));
  return difference(named('Joint cost'), costs, furtherCost(sheet, process, output));
}
