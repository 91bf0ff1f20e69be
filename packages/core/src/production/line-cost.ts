import { type Figure, gap, missing, product, stillMadeOf, sum } from '../figure/index.js';
import { type MaterialPrice, materialPrice } from '../purchasing/index.js';
import { BATCH, money, type Sheet } from '../sheet/index.js';
import { byElement, type Element, ELEMENT_LABELS, ELEMENTS } from './elements.js';
import type { LineItem } from './line-item.js';
import type { LineQuantity } from './line-quantity.js';

/** What a bill line costs for one batch by element; null where it does not touch one. */
export interface LineCost extends Readonly<Record<Element, Figure | null>> {
  readonly quantity: LineQuantity;
  /** The item of that quantity: from here it is told whether its price has moved, without looking at the line. */
  readonly item: LineItem | null;
  /** What it was priced at; null where the line is not linked to anything. */
  readonly price: MaterialPrice | UnitCostByElement | null;
}

/** What one good unit of a component costs by element. */
export type UnitCostByElement = Readonly<Record<Element, Figure>>;

/** What a bill line costs for one batch, all elements together. */
export function lineTotal(sheet: Sheet, cost: LineCost): Figure {
  const parts = ELEMENTS.map((element) => cost[element]).filter((part) => part !== null);
  const [only] = parts;
  // Of a material it is called what it is; of a component, the one element inside it is not the line.
  if (only !== undefined && parts.length === 1 && cost.quantity.line.componentId === null) return only;
  const subject = cost.quantity.item?.name ?? cost.quantity.line.text;
  return sum({ name: 'Cost per batch', subject }, money(sheet).per(BATCH), parts);
}

/**
 * Cost of a bill line for one batch = quantity per batch x price of the material, or x each element of the component's
 * unit cost, so that a nested product still shows its elements. A landed add-on is an element of its own. What it cost
 * last time is taken over as far as neither quantity nor price has moved. Gap: a line that is not linked to anything yet.
 */
export function costOfLine(
  sheet: Sheet,
  quantity: LineQuantity,
  unitCostOf: (componentId: string) => UnitCostByElement,
  before: LineCost | undefined,
): LineCost {
  const isSameQuantity = before?.quantity === quantity;
  const item = isSameQuantity ? before.item : quantity.item;
  if (item === null) return withoutItem(sheet, quantity);
  const price = item.kind === 'material' ? sheet.read(materialPrice, item.id) : unitCostOf(item.id);
  if (isSameQuantity && before.price === price) return before;
  const perBatch = quantity.perBatch as Figure;
  return 'listed' in price
    ? materialLine(quantity, item, perBatch, price)
    : componentLine(quantity, item, perBatch, price, before);
}

function withoutItem(sheet: Sheet, quantity: LineQuantity): LineCost {
  const { id, text, productId } = quantity.line;
  const subject = sheet.row('product', productId)?.name ?? 'a product';
  const reason =
    text === ''
      ? gap('row-missing', null, { subject: 'a bill line' })
      : gap('not-linked', { kind: 'billLine', id, field: 'text' }, { text, subject });
  const total = missing({ name: 'Cost per batch', subject: text, unit: money(sheet).per(BATCH) }, reason);
  return ofMaterial(quantity, null, total, null);
}

function materialLine(quantity: LineQuantity, item: LineItem, perBatch: Figure, price: MaterialPrice): LineCost {
  const named = (name: string) => ({ name, subject: item.name });
  if (price.landed === null)
    return ofMaterial(quantity, price, product(named('Cost per batch'), perBatch, price.listed), null);
  const landed = product(named('Landed add-on per batch'), perBatch, price.landed);
  return ofMaterial(quantity, price, product(named('Listed cost per batch'), perBatch, price.listed), landed);
}

/** A line that falls on materials or packaging, and may have a landed add-on beside it. */
function ofMaterial(
  quantity: LineQuantity,
  price: MaterialPrice | null,
  listed: Figure,
  landed: Figure | null,
): LineCost {
  const isPackaging = quantity.item?.isPackaging ?? false;
  return {
    quantity,
    item: quantity.item,
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

/** What has not moved inside the component is taken over, so that what it goes into has not moved either. */
function componentLine(
  quantity: LineQuantity,
  { name: subject }: LineItem,
  perBatch: Figure,
  unitCost: UnitCostByElement,
  before: LineCost | undefined,
): LineCost {
  const inside = byElement((element): Figure | null => {
    const cost = unitCost[element];
    if (cost.parts.length === 0 && cost.gaps.length === 0) return null;
    const called = { name: INSIDE[element], subject };
    return stillMadeOf(before?.[element], called, [perBatch, cost]) ?? product(called, perBatch, cost);
  });
  return {
    quantity,
    item: quantity.item,
    price: unitCost,
    materials: inside.materials,
    landed: inside.landed,
    packaging: inside.packaging,
    labour: inside.labour,
    other: inside.other,
    equipment: inside.equipment,
  };
}
