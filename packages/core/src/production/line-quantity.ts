import type { RowOf } from '@nuvar/book';
import { BATCH } from '../evaluate/units.js';
import type { Sheet } from '../evaluate/calculation.js';
import { constant, difference, gap, missing, product, wholeOf, type Figure } from '../figure/index.js';
import { PERCENT, unit, unitWord } from '../quantity/index.js';
import { convertedFor, materialPrice, type PurchasedItem } from '../purchasing/index.js';
import { batch } from './batch.js';

/** The material or component of a line, or undefined where it is missing. */
export function itemOf(sheet: Sheet, line: RowOf<'billLine'>): PurchasedItem | undefined {
  if (line.materialId !== null) return sheet.read(materialPrice, line.materialId).item ?? undefined;
  const component = line.componentId === null ? undefined : sheet.row('product', line.componentId);
  return (
    component && {
      name: component.name,
      unit: component.outputUnit,
      isPackaging: false,
      perBaseUnit: null,
      landedPerBaseUnit: null,
    }
  );
}

/**
 * The gross quantity that one batch takes of a line's item, in the item's own unit per batch:
 * net quantity / (1 - loss %), times the units started or the good units where the line is stated per unit.
 * The loss is the share of the input that is lost. Gaps: no quantity, no way between the units.
 */
export function lineQuantity(sheet: Sheet, line: RowOf<'billLine'>, item: PurchasedItem): Figure {
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

function withLoss(sheet: Sheet, line: RowOf<'billLine'>, item: PurchasedItem, net: Figure): Figure {
  const lost = sheet.input('billLine', line, 'lossPercent', { name: 'Loss', subject: item.name, unit: PERCENT });
  const kept = difference('Share of the input that is kept', ALL_OF_THE_INPUT, lost);
  return wholeOf({ name: 'Gross quantity', subject: item.name }, net, kept);
}
