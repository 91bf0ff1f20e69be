import type { RowOf } from '@nuvar/book';
import { constant, difference, type Figure, missing, multiplied, percentOf, sum, wholeOf } from '../figure/index.js';
import { convertedFor } from '../purchasing/index.js';
import { PERCENT, unit, unitWord } from '../quantity/index.js';
import { BATCH, type Sheet } from '../sheet/index.js';
import type { Batch } from './batch.js';
import { productionGap } from './gaps.js';
import type { LineItem } from './line-item.js';

/** A line of an item, and the batch that takes of it. */
interface TakenOf {
  readonly sheet: Sheet;
  readonly line: RowOf<'billLine'>;
  readonly item: LineItem;
  readonly units: Batch;
  /** What one part of it takes of the material, where parts are cut from sheets. */
  readonly perPart: Figure | null;
}

/**
 * The gross quantity that one batch takes of a line's item, in the item's own unit per batch:
 * net quantity / (1 - waste %) where waste is a share of the input, net quantity x (1 + waste %) where it comes on top,
 * times the units started or the good units where the line is stated per unit. Parts that are cut from sheets are counted, and
 * take what `sheetLayout` says of the material. Gaps: no quantity, no way between the units.
 */
export function quantityPerBatch(taken: TakenOf): Figure {
  const { sheet, line, item, units } = taken;
  const net = netQuantity(taken);
  const inItemUnits =
    taken.perPart === null
      ? convertedFor(sheet, item, net, line.unit, item.unit)
      : multiplied({ name: 'Sheets for the parts', subject: item.name }, net, taken.perPart);
  if (inItemUnits === null) return withoutWay(taken, net);
  const gross = line.lossPercent === '0' ? inItemUnits : withWaste(taken, inItemUnits);
  if (line.basis === 'batch') return gross;
  return multiplied(
    { name: 'Quantity per batch', subject: item.name },
    gross,
    line.basis === 'good unit' ? units.good : units.started,
  );
}

function netQuantity({ sheet, line, item, units }: TakenOf): Figure {
  const basis = line.basis === 'batch' ? BATCH : unit(units.outputUnit);
  return sheet.input('billLine', line, 'quantity', {
    name: 'Net quantity',
    subject: item.name,
    unit: unit(line.unit).per(basis),
    whenEmpty: (place) => productionGap('no-quantity', place, { item: item.name, subject: units.productName }),
  });
}

function withoutWay({ line, item, units }: TakenOf, net: Figure): Figure {
  const leaf = { name: 'Quantity per batch', subject: item.name, unit: unit(item.unit).per(BATCH) };
  const ways = { from: unitWord(line.unit), to: unitWord(item.unit) };
  const place = { kind: item.kind, id: item.id, field: 'conversions' };
  return missing(
    leaf,
    productionGap('no-conversion', place, { item: item.name, subject: units.productName, ...ways }),
    [net],
  );
}

const ALL_OF_THE_INPUT = constant('All of the input', '100', PERCENT, 'definition');
export const ALL_OF_THE_NET = constant('The net quantity itself', '100', PERCENT, 'definition');

function withWaste({ sheet, line, item }: TakenOf, net: Figure): Figure {
  const called = { name: 'Gross quantity', subject: item.name };
  const wasted = sheet.input('billLine', line, 'lossPercent', { name: 'Waste', subject: item.name, unit: PERCENT });
  return line.lossBasis === 'on top'
    ? percentOf(called, sum('Net quantity with waste', PERCENT, [ALL_OF_THE_NET, wasted]), net)
    : wholeOf(called, net, difference('Share of the input that is kept', ALL_OF_THE_INPUT, wasted));
}
