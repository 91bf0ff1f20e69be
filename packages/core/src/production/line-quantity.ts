import type { RowOf } from '@nuvar/book';
import { constant, difference, type Figure, folded, gap, missing, product, wholeOf } from '../figure/index.js';
import { convertedFor } from '../purchasing/index.js';
import { conversion, PERCENT, unit, unitWord } from '../quantity/index.js';
import { BATCH, type Calculation, type Sheet } from '../sheet/index.js';
import { batch, type Batch } from './batch.js';
import { itemOf, type LineItem } from './line-item.js';

/** What a bill line takes for one batch, and of what. */
export interface LineQuantity {
  readonly line: RowOf<'billLine'>;
  /** Null where the line is not linked to an item. */
  readonly item: LineItem | null;
  /** The batch for which it was worked out. */
  readonly units: Batch;
  /** In the item's own unit per batch, losses included; null where there is no item. */
  readonly perBatch: Figure | null;
}

/** What the lines of a product take that point to other products; apart, since hours of labour need no more than these. */
export const componentQuantities: Calculation<readonly LineQuantity[]> = {
  name: 'componentQuantities',
  meanings: {},
  work: (sheet, productId, before) =>
    quantitiesOf(
      sheet,
      productId,
      sheet.rowsOf('billLine', 'productId', productId).filter(({ componentId }) => componentId !== null),
      before ?? [],
    ),
};

/** What all lines of a product take, in the order of its bill. Apart from what they cost, so that a price does not touch it. */
export const billQuantities: Calculation<readonly LineQuantity[]> = {
  name: 'billQuantities',
  meanings: {},
  work: (sheet, productId, before) =>
    quantitiesOf(sheet, productId, sheet.rowsOf('billLine', 'productId', productId), [
      ...sheet.read(componentQuantities, productId),
      ...(before ?? []),
    ]),
};

/** What is known already is taken over where it is still right. */
function quantitiesOf(
  sheet: Sheet,
  productId: string,
  lines: readonly RowOf<'billLine'>[],
  known: readonly LineQuantity[],
): LineQuantity[] {
  const units = sheet.read(batch, productId);
  return lines.map((line) => {
    const item = itemOf(sheet, line);
    const before = known.find((each) => each.line === line);
    if (before !== undefined && isStillRight(before, item, units)) return before;
    if (item === null) return { line, item, units, perBatch: null };
    return { line, item, units, perBatch: folded(quantityPerBatch, { sheet, line, item, units }) };
  });
}

/** Conversions of an item's own are not looked at here: where they are needed, nothing is taken over. */
function isStillRight(
  { line, item: known, units: before }: LineQuantity,
  item: LineItem | null,
  units: Batch,
): boolean {
  return before === units && known === item && (item === null || conversion(line.unit, item.unit) !== null);
}

/** A line of an item, and the batch that takes of it. */
interface Taken {
  readonly sheet: Sheet;
  readonly line: RowOf<'billLine'>;
  readonly item: LineItem;
  readonly units: Batch;
}

/**
 * The gross quantity that one batch takes of a line's item, in the item's own unit per batch:
 * net quantity / (1 - loss %), times the units started or the good units where the line is stated per unit.
 * The loss is the share of the input that is lost. Gaps: no quantity, no way between the units.
 */
function quantityPerBatch(taken: Taken): Figure {
  const { sheet, line, item, units } = taken;
  const net = netQuantity(taken);
  const inItemUnits = convertedFor(sheet, item, net, line.unit, item.unit);
  if (inItemUnits === null) return withoutWay(taken, net);
  const gross = line.lossPercent === '0' ? inItemUnits : withLoss(taken, inItemUnits);
  if (line.basis === 'batch') return gross;
  return product(
    { name: 'Quantity per batch', subject: item.name },
    gross,
    line.basis === 'good unit' ? units.good : units.started,
  );
}

function netQuantity({ sheet, line, item, units }: Taken): Figure {
  const basis = line.basis === 'batch' ? BATCH : unit(units.outputUnit);
  return sheet.input('billLine', line, 'quantity', {
    name: 'Net quantity',
    subject: item.name,
    unit: unit(line.unit).per(basis),
    whenEmpty: (place) => gap('no-quantity', place, { item: item.name, subject: units.productName }),
  });
}

function withoutWay({ line, item, units }: Taken, net: Figure): Figure {
  const leaf = { name: 'Quantity per batch', subject: item.name, unit: unit(item.unit).per(BATCH) };
  const ways = { from: unitWord(line.unit), to: unitWord(item.unit) };
  const place = { kind: item.kind, id: item.id, field: 'conversions' };
  return missing(leaf, gap('no-conversion', place, { item: item.name, subject: units.productName, ...ways }), [net]);
}

const ALL_OF_THE_INPUT = constant('All of the input', '100', PERCENT, 'definition');

function withLoss({ sheet, line, item }: Taken, net: Figure): Figure {
  const lost = sheet.input('billLine', line, 'lossPercent', { name: 'Loss', subject: item.name, unit: PERCENT });
  const kept = difference('Share of the input that is kept', ALL_OF_THE_INPUT, lost);
  return wholeOf({ name: 'Gross quantity', subject: item.name }, net, kept);
}
