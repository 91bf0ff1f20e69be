import type { RowOf } from '@nuvar/book';
import { BATCH } from '../evaluate/units.js';
import type { Calculation, Sheet } from '../evaluate/calculation.js';
import { constant, difference, gap, missing, product, wholeOf, type Figure } from '../figure/index.js';
import { PERCENT, unit, unitWord } from '../quantity/index.js';
import { convertedFor } from '../purchasing/index.js';
import { batch } from './batch.js';

/** What a bill line takes for one batch, and of what. */
export interface LineQuantity {
  readonly line: RowOf<'billLine'>;
  readonly itemName: string;
  readonly isPackaging: boolean;
  /** In the item's own unit per batch, losses included; null where the line is not linked to an item. */
  readonly perBatch: Figure | null;
}

/** What the lines of a product take that point to other products; apart, since hours of labour need no more than these. */
export const componentQuantities: Calculation<readonly LineQuantity[]> = {
  name: 'componentQuantities',
  meanings: {},
  work: (sheet, productId) =>
    sheet
      .rowsOf('billLine', 'productId', productId)
      .filter(({ componentId }) => componentId !== null)
      .map((line) => quantityOf(sheet, line)),
};

/** What all lines of a product take, in the order of its bill. Apart from what they cost, so that a price does not touch it. */
export const billQuantities: Calculation<readonly LineQuantity[]> = {
  name: 'billQuantities',
  meanings: {},
  work(sheet, productId) {
    const components = sheet.read(componentQuantities, productId);
    return sheet
      .rowsOf('billLine', 'productId', productId)
      .map((line) => components.find((each) => each.line === line) ?? quantityOf(sheet, line));
  },
};

interface Item {
  readonly name: string;
  /** The unit to which quantities of it are brought. */
  readonly unit: string;
  readonly isPackaging: boolean;
}

function itemOf(sheet: Sheet, line: RowOf<'billLine'>): Item | null {
  if (line.materialId !== null) {
    const material = sheet.row('material', line.materialId);
    return material === undefined
      ? null
      : { name: material.name, unit: material.baseUnit, isPackaging: material.kind === 'packaging' };
  }
  const component = line.componentId === null ? undefined : sheet.row('product', line.componentId);
  return component === undefined ? null : { name: component.name, unit: component.outputUnit, isPackaging: false };
}

function quantityOf(sheet: Sheet, line: RowOf<'billLine'>): LineQuantity {
  const item = itemOf(sheet, line);
  if (item === null) return { line, itemName: '', isPackaging: false, perBatch: null };
  const { name, isPackaging } = item;
  return { line, itemName: name, isPackaging, perBatch: quantityPerBatch(sheet, line, item) };
}

/**
 * The gross quantity that one batch takes of a line's item, in the item's own unit per batch:
 * net quantity / (1 - loss %), times the units started or the good units where the line is stated per unit.
 * The loss is the share of the input that is lost. Gaps: no quantity, no way between the units.
 */
function quantityPerBatch(sheet: Sheet, line: RowOf<'billLine'>, item: Item): Figure {
  const units = sheet.read(batch, line.productId);
  const names = { item: item.name, subject: units.productName };
  const place = { kind: 'billLine', id: line.id, field: 'quantity' } as const;
  const basis = line.basis === 'batch' ? BATCH : unit(units.outputUnit);
  const net = sheet.input('billLine', line, 'quantity', {
    name: 'Net quantity',
    subject: item.name,
    unit: unit(line.unit).per(basis),
    whenEmpty: () => gap('no-quantity', place, names),
  });
  const inItemUnits = convertedFor(sheet, { ...itemPlace(line), name: item.name }, net, line.unit, item.unit);
  if (inItemUnits === null) {
    const leaf = { name: 'Quantity per batch', subject: item.name, unit: unit(item.unit).per(BATCH) };
    const reason = gap(
      'no-conversion',
      { ...itemPlace(line), field: 'conversions' },
      { ...names, from: unitWord(line.unit), to: unitWord(item.unit) },
    );
    return missing(leaf, reason, [net]);
  }
  const gross = line.lossPercent === '0' ? inItemUnits : withLoss(sheet, line, item, inItemUnits);
  if (line.basis === 'batch') return gross;
  return product(
    { name: 'Quantity per batch', subject: item.name },
    gross,
    line.basis === 'good unit' ? units.good : units.started,
  );
}

const ALL_OF_THE_INPUT = constant('All of the input', '100', PERCENT, 'definition');

/** The row of a line's item, on whose own conversions its quantities may depend. */
const itemPlace = ({ materialId, componentId }: RowOf<'billLine'>) =>
  materialId !== null
    ? ({ kind: 'material', id: materialId } as const)
    : ({ kind: 'product', id: componentId ?? '' } as const);

function withLoss(sheet: Sheet, line: RowOf<'billLine'>, item: Item, net: Figure): Figure {
  const lost = sheet.input('billLine', line, 'lossPercent', { name: 'Loss', subject: item.name, unit: PERCENT });
  const kept = difference('Share of the input that is kept', ALL_OF_THE_INPUT, lost);
  return wholeOf({ name: 'Gross quantity', subject: item.name }, net, kept);
}
