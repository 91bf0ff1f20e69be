import { BATCH, money } from '../evaluate/units.js';
import type { Sheet } from '../evaluate/calculation.js';
import { gap, missing, product, sum, type Figure } from '../figure/index.js';
import { byElement, ELEMENT_LABELS, type Element } from './elements.js';
import type { PurchasedItem } from '../purchasing/index.js';
import { itemOf, lineQuantity } from './line-quantity.js';

/** What a bill line costs for one batch, and how that falls on the elements; null where it does not touch one. */
export interface LineCost extends Readonly<Record<Element, Figure | null>> {
  readonly total: Figure;
  /** What one batch takes of the item, losses included; null where the line is not linked to one. */
  readonly quantity: Figure | null;
}

/** A line that falls on one element, and may have a landed add-on beside it. Written out, so that all have one shape. */
function onElement(
  element: 'materials' | 'packaging',
  cost: Figure,
  total: Figure,
  quantity: Figure | null,
  landed: Figure | null = null,
): LineCost {
  return {
    total,
    quantity,
    materials: element === 'materials' ? cost : null,
    landed,
    packaging: element === 'packaging' ? cost : null,
    labour: null,
    other: null,
    equipment: null,
  };
}

/** What one good unit of a component costs by element. */
export type UnitCostByElement = Readonly<Record<Element, Figure>>;

/**
 * Cost of a bill line for one batch = quantity per batch x price of the material, or x each element of the component's
 * unit cost, so that a nested product still shows its elements. A landed add-on is an element of its own. Gap: a line
 * that is not linked to anything yet.
 */
export function costOfLine(
  sheet: Sheet,
  lineId: string,
  unitCostOf: (componentId: string) => UnitCostByElement,
): LineCost {
  const line = sheet.row('billLine', lineId);
  const item = line && itemOf(sheet, line);
  if (line === undefined || item === undefined) return withoutItem(sheet, line?.text ?? '', line?.productId, lineId);
  const quantity = lineQuantity(sheet, line, item);
  if (line.componentId === null) return materialLine(item, quantity);
  return componentLine(sheet, unitCostOf(line.componentId), item.name, quantity);
}

function withoutItem(sheet: Sheet, text: string, productId: string | undefined, lineId: string): LineCost {
  const owner = sheet.row('product', productId ?? '')?.name ?? 'a product';
  const reason =
    text === ''
      ? gap('row-missing', null, { subject: 'a bill line' })
      : gap('not-linked', { kind: 'billLine', id: lineId, field: 'text' }, { text, subject: owner });
  const total = missing({ name: 'Cost per batch', subject: text, unit: money(sheet).per(BATCH) }, reason);
  return onElement('materials', total, total, null);
}

function materialLine(
  { name, isPackaging, perBaseUnit, landedPerBaseUnit }: PurchasedItem,
  quantity: Figure,
): LineCost {
  const element = isPackaging ? 'packaging' : 'materials';
  if (landedPerBaseUnit === null) {
    const total = product({ name: 'Cost per batch', subject: name }, quantity, perBaseUnit as Figure);
    return onElement(element, total, total, quantity);
  }
  const landed = product({ name: 'Landed add-on per batch', subject: name }, quantity, landedPerBaseUnit);
  const bought = product({ name: 'Listed cost per batch', subject: name }, quantity, perBaseUnit as Figure);
  const total = sum({ name: 'Cost per batch', subject: name }, landed.unit, [bought, landed]);
  return onElement(element, bought, total, quantity, landed);
}

const INSIDE = byElement((element) => `${ELEMENT_LABELS[element]} inside`);

function componentLine(sheet: Sheet, unitCost: UnitCostByElement, name: string, quantity: Figure): LineCost {
  const parts: Figure[] = [];
  const inside = byElement((element): Figure | null => {
    const cost = unitCost[element];
    if (cost.parts.length === 0 && cost.gaps.length === 0) return null;
    const figure = product({ name: INSIDE[element], subject: name }, quantity, cost);
    parts.push(figure);
    return figure;
  });
  const total = sum({ name: 'Cost per batch', subject: name }, money(sheet).per(BATCH), parts);
  return {
    total,
    quantity,
    materials: inside.materials,
    landed: inside.landed,
    packaging: inside.packaging,
    labour: inside.labour,
    other: inside.other,
    equipment: inside.equipment,
  };
}
