import { BATCH, money } from '../evaluate/units.js';
import type { Sheet } from '../evaluate/calculation.js';
import { gap, missing, product, sum, type Figure } from '../figure/index.js';
import { byElement, ELEMENT_LABELS, type Element } from './elements.js';
import { materialPrice, type MaterialPrice } from '../purchasing/index.js';
import type { LineItem, LineQuantity } from './line-quantity.js';

/** What a bill line costs for one batch, and how that falls on the elements; null where it does not touch one. */
export interface LineCost extends Readonly<Record<Element, Figure | null>> {
  readonly total: Figure;
  readonly quantity: LineQuantity;
  /** What it was priced at; null where the line is not linked to anything. */
  readonly price: MaterialPrice | UnitCostByElement | null;
}

/** What one good unit of a component costs by element. */
export type UnitCostByElement = Readonly<Record<Element, Figure>>;

/**
 * Cost of a bill line for one batch = quantity per batch x price of the material, or x each element of the component's
 * unit cost, so that a nested product still shows its elements. A landed add-on is an element of its own. What it cost
 * last time is taken over where neither quantity nor price has moved. Gap: a line that is not linked to anything yet.
 */
export function costOfLine(
  sheet: Sheet,
  quantity: LineQuantity,
  unitCostOf: (componentId: string) => UnitCostByElement,
  before: LineCost | undefined,
): LineCost {
  const { line, item, perBatch } = quantity;
  if (item === null || perBatch === null) return withoutItem(sheet, quantity);
  if (line.materialId !== null) {
    const price = sheet.read(materialPrice, line.materialId);
    return isStillRight(before, quantity, price) ? before : materialLine(quantity, item, perBatch, price);
  }
  const unitCost = unitCostOf(line.componentId ?? '');
  return isStillRight(before, quantity, unitCost) ? before : componentLine(sheet, quantity, item, perBatch, unitCost);
}

function isStillRight(
  before: LineCost | undefined,
  quantity: LineQuantity,
  price: LineCost['price'],
): before is LineCost {
  return before !== undefined && before.quantity === quantity && before.price === price;
}

function withoutItem(sheet: Sheet, quantity: LineQuantity): LineCost {
  const { id, text, productId } = quantity.line;
  const subject = sheet.row('product', productId)?.name ?? 'a product';
  const reason =
    text === ''
      ? gap('row-missing', null, { subject: 'a bill line' })
      : gap('not-linked', { kind: 'billLine', id, field: 'text' }, { text, subject });
  const total = missing({ name: 'Cost per batch', subject: text, unit: money(sheet).per(BATCH) }, reason);
  return ofMaterial(quantity, null, total, total, null);
}

function materialLine(quantity: LineQuantity, item: LineItem, perBatch: Figure, price: MaterialPrice): LineCost {
  const named = (name: string) => ({ name, subject: item.name });
  if (price.landed === null) {
    const total = product(named('Cost per batch'), perBatch, price.listed);
    return ofMaterial(quantity, price, total, total, null);
  }
  const landed = product(named('Landed add-on per batch'), perBatch, price.landed);
  const listed = product(named('Listed cost per batch'), perBatch, price.listed);
  const total = sum(named('Cost per batch'), landed.unit, [listed, landed]);
  return ofMaterial(quantity, price, total, listed, landed);
}

/** A line that falls on materials or packaging, and may have a landed add-on beside it. */
function ofMaterial(
  quantity: LineQuantity,
  price: MaterialPrice | null,
  total: Figure,
  listed: Figure,
  landed: Figure | null,
): LineCost {
  const isPackaging = quantity.item?.isPackaging ?? false;
  return {
    total,
    quantity,
    price,
    materials: isPackaging ? null : listed,
    landed,
    packaging: isPackaging ? listed : null,
    labour: null,
    other: null,
    equipment: null,
  };
}

const INSIDE = byElement((element) => `${ELEMENT_LABELS[element]} inside`);

function componentLine(
  sheet: Sheet,
  quantity: LineQuantity,
  { name: subject }: LineItem,
  perBatch: Figure,
  unitCost: UnitCostByElement,
): LineCost {
  const parts: Figure[] = [];
  const inside = byElement((element): Figure | null => {
    const cost = unitCost[element];
    if (cost.parts.length === 0 && cost.gaps.length === 0) return null;
    const figure = product({ name: INSIDE[element], subject }, perBatch, cost);
    parts.push(figure);
    return figure;
  });
  const total = sum({ name: 'Cost per batch', subject }, money(sheet).per(BATCH), parts);
  return {
    total,
    quantity,
    price: unitCost,
    materials: inside.materials,
    landed: inside.landed,
    packaging: inside.packaging,
    labour: inside.labour,
    other: inside.other,
    equipment: inside.equipment,
  };
}
