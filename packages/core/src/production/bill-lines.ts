import type { RowOf } from '@nuvar/book';
import { type Figure, figureGap, folded, missing, multiplied, shareOf, sum } from '../figure/index.js';
import { materialPrice, type MaterialPrice, ownConversions } from '../purchasing/index.js';
import { conversion, PERCENT } from '../quantity/index.js';
import { BATCH, money, type Sheet } from '../sheet/index.js';
import type { Batch } from './batch.js';
import { byElement, type Element, ELEMENT_LABELS } from './elements.js';
import { productionGap } from './gaps.js';
import { itemOf, type LineItem } from './line-item.js';
import { ALL_OF_THE_NET, quantityPerBatch } from './line-quantity.js';
import { isCutFromSheet, sheetLayout } from './sheet-layout.js';
import { type CostItem, type CostRow, itemOn, type Taking, type UnitCost } from './taking.js';

type Line = RowOf<'billLine'>;

/**
 * What a line's taking depends on beside the batch: its item alone, as mostly; with the hours inside a component, with the
 * item's own conversions where they are needed, and with what a part takes that is cut from a sheet.
 */
type Reads =
  LineItem | readonly [item: LineItem, inside: Figure | null, conversions: unknown, perPart: Figure | null] | null;

/**
 * The lines of a bill: gross quantity of a material or of another product. A component brings its elements of cost and
 * its labour hours, so that a nested product's card still shows elements.
 */
export const billLines: CostRow = {
  kind: 'billLine',
  takings: (sheet, productId, units, hoursIn) =>
    sheet.list(
      sheet.rowsOf('billLine', 'productId', productId),
      [units, money(sheet)],
      (line) => readsOf(sheet, line, hoursIn),
      (line, reads) => takingOf(sheet, line, units, reads),
    ),
  priced: (sheet, { of }, costOf) => {
    if (of === null) return null;
    return of.kind === 'material' ? sheet.read(materialPrice, of.id) : costOf(of.id);
  },
  cost(sheet, taking, priced) {
    if (priced === null) return itemOn('materials', taking, null, taking.quantity);
    return 'listed' in priced
      ? ofMaterial(taking, priced as MaterialPrice)
      : ofComponent(sheet, taking, priced as UnitCost);
  },
  /** As stated of the input; stated on top, it is L / (100 % + L) of the gross quantity. */
  waste(sheet, { id, of }) {
    const line = sheet.row('billLine', id);
    if (line === undefined || of === null || line.lossPercent === '0') return null;
    const leaf = { name: 'Waste', subject: of.name, unit: PERCENT };
    const stated = sheet.input('billLine', line, 'lossPercent', leaf);
    if (line.lossBasis === 'of the input') return stated;
    const whole = sum('Net quantity with waste', PERCENT, [ALL_OF_THE_NET, stated]);
    return shareOf('Share of the input that is wasted', stated, whole);
  },
};

function readsOf(sheet: Sheet, line: Line, hoursIn: (componentId: string) => Figure): Reads {
  const item = itemOf(sheet, line);
  if (item === null) return null;
  if (isCutFromSheet(line)) return [item, null, null, sheet.read(sheetLayout, line.id).perPart];
  const isFixedWay = conversion(line.unit, item.unit) !== null;
  if (item.kind === 'material' && isFixedWay) return item;
  return [
    item,
    item.kind === 'product' ? hoursIn(item.id) : null,
    isFixedWay ? null : ownConversions(sheet, item),
    null,
  ];
}

const isComposite = (reads: Reads): reads is readonly [LineItem, Figure | null, unknown, Figure | null] =>
  Array.isArray(reads);

function takingOf(sheet: Sheet, line: Line, units: Batch, reads: Reads): Taking {
  const [item, inside, , perPart] = isComposite(reads) ? reads : [reads, null, null, null];
  const { id, basis } = line;
  if (item === null)
    return { kind: 'billLine', id, of: null, basis, quantity: notLinked(sheet, line, units), hours: null };
  const quantity = folded(quantityPerBatch, { sheet, line, item, units, perPart });
  return {
    kind: 'billLine',
    id,
    of: item,
    basis,
    quantity,
    hours: inside && multiplied({ name: 'Hours inside', subject: item.name }, quantity, inside),
  };
}

function notLinked(sheet: Sheet, { id, text }: Line, { productName: subject }: Batch): Figure {
  const reason =
    text === ''
      ? figureGap('row-missing', null, { subject: 'a bill line' })
      : productionGap('not-linked', { kind: 'billLine', id, field: 'text' }, { text, subject });
  return missing({ name: 'Cost per batch', subject: text, unit: money(sheet).per(BATCH) }, reason);
}

/** Quantity per batch x price of the material; a landed add-on is an element of its own. */
function ofMaterial(taking: Taking, price: MaterialPrice): CostItem {
  const { of, quantity } = taking;
  const subject = of?.name ?? '';
  const element = (of as LineItem).isPackaging ? 'packaging' : 'materials';
  if (price.landed === null) {
    const cost = multiplied({ name: 'Cost per batch', subject }, quantity, price.listed);
    return itemOn(element, taking, price.perBaseUnit, cost);
  }
  const listed = multiplied({ name: 'Listed cost per batch', subject }, quantity, price.listed);
  const landed = multiplied({ name: 'Landed add-on per batch', subject }, quantity, price.landed);
  return itemOn(element, taking, price.perBaseUnit, listed, landed);
}

const INSIDE = byElement((element) => `${ELEMENT_LABELS[element]} inside`);

/** Quantity per batch x each element of the component's unit cost. Also of a part of a joint batch. */
export function ofComponent(sheet: Sheet, taking: Taking, unitCost: UnitCost): CostItem {
  const subject = taking.of?.name ?? '';
  const inComponent = (element: Element): Figure | null => {
    const inside = unitCost[element];
    if (inside.parts.length === 0 && inside.gaps.length === 0) return null;
    return sheet.multiplied({ name: INSIDE[element], subject }, taking.quantity, inside);
  };
  return {
    taking,
    price: unitCost.variableCost,
    materials: inComponent('materials'),
    landed: inComponent('landed'),
    packaging: inComponent('packaging'),
    labour: inComponent('labour'),
    other: inComponent('other'),
    equipment: inComponent('equipment'),
  };
}
