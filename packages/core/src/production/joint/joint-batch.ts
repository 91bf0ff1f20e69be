import type { JointMethod } from '@nuvar/book';
import { difference, type Figure, multiplied, ofMissingRow, quotient, shareOf, sum } from '../../figure/index.js';
import { BATCH, type Calculation, money, type Sheet } from '../../sheet/index.js';
import { batch } from '../batch.js';
import { productCost } from '../product-cost.js';
import { bestUse } from './best-use.js';
import {
  finalSales,
  furtherCost,
  mainOutputs,
  netRealisableValue,
  outputsOf,
  type Process,
  quantityOf,
  valueAt,
} from './joint-basis.js';
import { typedJointCost } from './joint-cost.js';
import { byProductValue, shareOfOutput, toSplit } from './joint-split.js';

/** One batch out of which several products come, before its cost is split. */
export interface JointBatch {
  readonly jointCost: Figure;
  readonly byProducts: Figure;
  readonly toSplit: Figure;
  readonly sales: Figure;
  readonly furtherCosts: Figure;
  readonly profit: Figure;
  readonly margin: Figure;
  readonly bestProfit: Figure;
}

/** Joint cost = as typed, else what a batch of the product that it is costed by costs before overhead. */
function jointCostOf(sheet: Sheet, process: Process): Figure {
  if (process.productId === null) return typedJointCost(sheet, process);
  const { good } = sheet.read(batch, process.productId);
  const called = { name: 'Joint cost', subject: process.name };
  return multiplied(called, sheet.read(productCost, process.productId).variableCost, good);
}

/**
 * A joint batch: its cost, what its by-products bring, and what is split. By-products are taken off the joint cost, or shown
 * as income. Profit = sales - further costs + by-products - joint cost; margin = profit / sales of the main products.
 */
export const jointBatch: Calculation<JointBatch> = {
  name: 'jointBatch',
  meanings: {
    jointCost: 'What the batch costs up to split-off (joint cost).',
    byProducts: 'What the by-products bring, after what they cost further (net realisable value).',
    toSplit: 'The joint cost that is split over the main products.',
    sales: 'What the main products of the batch sell for.',
    furtherCosts: 'What the main products cost from split-off on.',
    profit: 'What the batch leaves before overhead.',
    margin: 'That in percent of the sales of the main products.',
    bestProfit: 'What the batch leaves before overhead where each output is put to its best use.',
  },
  work(sheet, id) {
    const process = sheet.row('jointProcess', id);
    const perBatch = money(sheet).per(BATCH);
    if (process === undefined) {
      const gone = ofMissingRow({ name: 'Joint cost', unit: perBatch }, 'a joint batch');
      return {
        jointCost: gone,
        byProducts: gone,
        toSplit: gone,
        sales: gone,
        furtherCosts: gone,
        profit: gone,
        margin: gone,
        bestProfit: gone,
      };
    }
    const named = (name: string) => ({ name, subject: process.name });
    const main = mainOutputs(sheet, id);
    const jointCost = jointCostOf(sheet, process);
    const byProducts = byProductValue(sheet, process);
    const sales = sum(
      named('Sales'),
      perBatch,
      main.map((output) => finalSales(sheet, process, output)),
    );
    const furtherCosts = sum(
      named('Further costs'),
      perBatch,
      main.map((output) => furtherCost(sheet, process, output)),
    );
    const earned = difference(named('Sales less further costs'), sales, furtherCosts);
    const withBy =
      byProducts.parts.length === 0 ? earned : sum(named('With by-products'), perBatch, [earned, byProducts]);
    const profit = difference(named('Profit before overhead'), withBy, jointCost);
    return {
      jointCost,
      byProducts,
      toSplit: toSplit(sheet, process, jointCost),
      sales,
      furtherCosts,
      profit,
      margin: shareOf(named('Margin'), profit, sales),
      bestProfit: bestProfit(sheet, process, jointCost),
    };
  },
};

function bestProfit(sheet: Sheet, { id, name: subject }: Process, jointCost: Figure): Figure {
  const worths = outputsOf(sheet, id).map((output) => sheet.read(bestUse, output.id).worth);
  const brought = sum({ name: 'All outputs by their best use', subject }, jointCost.unit, worths);
  return difference({ name: 'Profit by the best uses', subject }, brought, jointCost);
}

/** What one output of a joint batch bears, and what it leaves. */
export interface JointShare {
  readonly share: Figure;
  readonly perUnit: Figure;
  readonly profit: Figure;
  readonly margin: Figure;
}

/** The joint cost that an output bears and what it leaves. The id is "output@method"; without a method, that of the batch. */
export const jointShare: Calculation<JointShare> = {
  name: 'jointShare',
  meanings: {
    share: 'The joint cost that this output bears.',
    perUnit: 'The joint cost that one unit of this output bears.',
    profit: 'What this output leaves after its share and its further costs.',
    margin: 'That in percent of its sales.',
  },
  work(sheet, id) {
    const [outputId = '', chosen] = id.split('@');
    const output = sheet.row('jointOutput', outputId);
    const process = output && sheet.row('jointProcess', output.processId);
    if (output === undefined || process === undefined) {
      const gone = ofMissingRow({ name: 'Joint cost', unit: money(sheet).per(BATCH) }, 'a joint batch');
      return { share: gone, perUnit: gone, profit: gone, margin: gone };
    }
    const method = (chosen as JointMethod | undefined) ?? process.method;
    const named = (name: string) => ({ name, subject: output.name });
    const share = shareOfOutput(sheet, process, output, method, jointCostOf(sheet, process));
    const left = difference(named('Left after its share'), netRealisableValue(sheet, process, output), share);
    return {
      share,
      perUnit: quotient(named('Joint cost per unit'), share, quantityOf(sheet, process, output)),
      profit: left,
      margin: shareOf(named('Margin'), left, finalSales(sheet, process, output)),
    };
  },
};

/** What it brings to take an output further than split-off: what it sells for more - what that costs. */
export const furtherProcessing: Calculation<{ more: Figure; cost: Figure; gain: Figure }> = {
  name: 'furtherProcessing',
  meanings: {
    more: 'How much more this output sells for when it is taken further than split-off.',
    cost: 'What taking it further costs.',
    gain: 'What is left of that: above zero, take it further; below, sell it at split-off.',
  },
  work(sheet, outputId) {
    const output = sheet.row('jointOutput', outputId);
    const process = output && sheet.row('jointProcess', output.processId);
    if (output === undefined || process === undefined) {
      const gone = ofMissingRow({ name: 'Gain', unit: money(sheet).per(BATCH) }, 'a joint batch');
      return { more: gone, cost: gone, gain: gone };
    }
    const named = (name: string) => ({ name, subject: output.name });
    const more = difference(
      named('Sold for more'),
      valueAt(sheet, process, output, 'finalPrice'),
      valueAt(sheet, process, output, 'splitOffPrice'),
    );
    const cost = furtherCost(sheet, process, output);
    return { more, cost, gain: difference(named('Gain by going further'), more, cost) };
  },
};
