import type { JointMethod, RowOf } from '@nuvar/book';
import {
  choice,
  constant,
  difference,
  type Figure,
  missing,
  multiplied,
  ofMissingRow,
  quotient,
  sum,
} from '../../figure/index.js';
import { compared, ZERO } from '../../number/index.js';
import { converted } from '../../purchasing/index.js';
import { unit } from '../../quantity/index.js';
import { BATCH, type Calculation, money, type Sheet } from '../../sheet/index.js';
import { productionGap } from '../gaps.js';

export type Process = RowOf<'jointProcess'>;
export type Output = RowOf<'jointOutput'>;

export function quantityOf(sheet: Sheet, process: Process, output: Output): Figure {
  return sheet.input('jointOutput', output, 'quantity', {
    name: 'Quantity',
    subject: output.name,
    unit: unit(output.unit).per(BATCH),
    whenEmpty: (place) => productionGap('no-output-quantity', place, { output: output.name, subject: process.name }),
  });
}

const PRICES = { splitOffPrice: 'price at split-off', finalPrice: 'final price' } as const;

export function valueAt(sheet: Sheet, process: Process, output: Output, field: keyof typeof PRICES): Figure {
  const price = sheet.input('jointOutput', output, field, {
    name: PRICES[field].charAt(0).toUpperCase() + PRICES[field].slice(1),
    subject: output.name,
    unit: money(sheet).per(unit(output.unit)),
    whenEmpty: (place) =>
      productionGap('no-output-price', place, { price: PRICES[field], output: output.name, subject: process.name }),
  });
  const name = field === 'finalPrice' ? 'Final sales' : 'Sales value at split-off';
  return multiplied({ name, subject: output.name }, quantityOf(sheet, process, output), price);
}

/** What an output sells for: as it is finally, or at split-off where it has no final price. */
export const finalSales = (sheet: Sheet, process: Process, output: Output): Figure =>
  valueAt(
    sheet,
    process,
    output,
    output.finalPrice === null && output.splitOffPrice !== null ? 'splitOffPrice' : 'finalPrice',
  );

export function furtherCost(sheet: Sheet, process: Process, output: Output): Figure {
  const named = (name: string) => ({ name, subject: output.name });
  const quantity = quantityOf(sheet, process, output);
  const isSoldAtSplitOff = output.finalPrice === null || output.furtherCost === null;
  const each = isSoldAtSplitOff
    ? constant('No further cost', '0', money(sheet).per(unit(output.unit)), 'none is entered')
    : sheet.input('jointOutput', output, 'furtherCost', {
        ...named('Further cost'),
        unit: money(sheet).per(unit(output.unit)),
      });
  return multiplied(named('Further costs'), quantity, each);
}

export const netRealisableValue = (sheet: Sheet, process: Process, output: Output): Figure =>
  difference(
    { name: 'Net realisable value', subject: output.name },
    finalSales(sheet, process, output),
    furtherCost(sheet, process, output),
  );

/** A net realisable value below zero counts as none in a split, so that no output is credited for losing money. */
function atLeastNone(value: Figure): Figure {
  if (value.amount === null || compared(value.amount, ZERO) >= 0) return value;
  const none = constant('None', '0', value.unit, 'an output bears no less than nothing');
  const called = { name: 'Counts for', subject: value.subject };
  return choice(called, none, 'its net realisable value is below zero, which counts as none');
}

/** What an output counts for under a method that splits in proportion. */
function basisOf(sheet: Sheet, process: Process, output: Output, method: JointMethod, first: Output): Figure {
  switch (method) {
    case 'quantity': {
      const quantity = quantityOf(sheet, process, output);
      const same = converted(quantity, output.unit, first.unit);
      if (same !== null) return same;
      const place = { kind: 'jointOutput', id: output.id, field: 'unit' } as const;
      const values = { output: output.name, unit: output.unit, otherUnit: first.unit, subject: process.name };
      const leaf = { name: 'Quantity', subject: output.name, unit: unit(first.unit).per(BATCH) };
      return missing(leaf, productionGap('joint-units-differ', place, values), [quantity]);
    }
    case 'sales value at split-off':
      return valueAt(sheet, process, output, 'splitOffPrice');
    case 'net realisable value':
    case 'constant margin':
      return atLeastNone(netRealisableValue(sheet, process, output));
  }
}

/** The outputs of a joint batch, in their order. */
export const outputsOf = (sheet: Sheet, processId: string): readonly Output[] =>
  sheet.rowsOf('jointOutput', 'processId', processId);

/** Those of them that are no by-products. */
export const mainOutputs = (sheet: Sheet, processId: string): readonly Output[] =>
  outputsOf(sheet, processId).filter(({ isByProduct }) => !isByProduct);

/**
 * What an output of a joint batch counts for in the split, and its part of all that counts. The id is "output@method"; without
 * a method, that of the batch. Reads no cost.
 */
export const jointPart: Calculation<{ basis: Figure; part: Figure }> = {
  name: 'jointPart',
  meanings: {
    basis: 'What this output counts for in the split.',
    part: 'Its part of all that counts.',
  },
  work(sheet, id) {
    const [outputId = '', chosen] = id.split('@');
    const output = sheet.row('jointOutput', outputId);
    const process = output && sheet.row('jointProcess', output.processId);
    if (output === undefined || process === undefined) {
      const gone = ofMissingRow({ name: 'Basis', unit: money(sheet).per(BATCH) }, 'a joint batch');
      return { basis: gone, part: gone };
    }
    const method = (chosen as JointMethod | undefined) ?? process.method;
    const main = mainOutputs(sheet, process.id);
    const first = main[0] ?? output;
    const bases = main.map((each) => basisOf(sheet, process, each, method, first));
    const basis =
      bases[main.findIndex((each) => each.id === outputId)] ?? basisOf(sheet, process, output, method, first);
    const all = sum({ name: 'Basis of all outputs', subject: process.name }, basis.unit, bases);
    const place = { kind: 'jointProcess', id: process.id, field: 'method' } as const;
    const none = productionGap('joint-basis-of-zero', place, { subject: process.name });
    return { basis, part: quotient({ name: 'Part of the basis', subject: output.name }, basis, all, none) };
  },
};
