import { BATCH, money } from '../evaluate/units.js';
import type { Calculation, Sheet } from '../evaluate/calculation.js';
import { gap, missing, product, quotient, sum, type Figure } from '../figure/index.js';
import { unit } from '../quantity/index.js';
import { ELEMENT_LABELS, ELEMENTS, type Element } from './elements.js';
import { itemOf, lineQuantity } from './line-quantity.js';
import { batch } from './batch.js';
import { isInLoop } from './component-loops.js';
import { labourStepCost } from './labour-step-cost.js';

/** What a bill line costs for one batch, and how that falls on the elements; null where it does not touch one. */
export interface LineCost extends Readonly<Record<Element, Figure | null>> {
  readonly total: Figure;
}

/**
 * Cost of a bill line for one batch = quantity per batch x price of the material, or x each element of the component's
 * unit cost, so that a nested product still shows its elements.
 */
export const lineCost: Calculation<LineCost> = {
  name: 'billLine',
  meanings: { total: 'What this line costs for one batch.' },
  work(sheet, lineId) {
    const line = sheet.row('billLine', lineId);
    const item = line && itemOf(sheet, line);
    if (line === undefined || item === undefined) {
      const reason = gap('row-missing', null, { subject: 'a bill line' });
      return asMaterials(missing({ name: 'Cost of the line', unit: money(sheet).per(BATCH) }, reason));
    }
    const quantity = lineQuantity(sheet, line, item);
    if (line.componentId !== null) return componentLine(sheet, line.componentId, item.name, quantity);
    const total = product({ name: 'Cost per batch', subject: item.name }, quantity, item.perBaseUnit as Figure);
    return item.isPackaging
      ? { total, materials: null, packaging: total, labour: null, other: null }
      : asMaterials(total);
  },
};

const asMaterials = (total: Figure): LineCost => ({
  total,
  materials: total,
  packaging: null,
  labour: null,
  other: null,
});

function componentLine(sheet: Sheet, componentId: string, name: string, quantity: Figure): LineCost {
  const unitCost = sheet.read(productCost, componentId);
  const inside = (element: Element): Figure | null => {
    const cost = unitCost[element];
    if (cost.parts.length === 0 && cost.gaps.length === 0) return null;
    return product({ name: INSIDE[element], subject: name }, quantity, cost);
  };
  const [materials, packaging, labour, other] = [
    inside('materials'),
    inside('packaging'),
    inside('labour'),
    inside('other'),
  ];
  const parts = [materials, packaging, labour, other].filter((figure) => figure !== null);
  const total = sum({ name: 'Cost per batch', subject: name }, money(sheet).per(BATCH), parts);
  return { total, materials, packaging, labour, other };
}

const named = (suffix: string) =>
  Object.fromEntries(ELEMENTS.map((element) => [element, `${ELEMENT_LABELS[element]} ${suffix}`])) as Record<
    Element,
    string
  >;
const INSIDE = named('inside');
const PER_BATCH = named('per batch');

type PerBatch = `${Element}PerBatch`;

/** The direct cost of a product by element, per good unit and per batch. */
export type ProductCost = Readonly<
  Record<Element | PerBatch | 'directMaterials' | 'primeCost' | 'primeCostPerBatch' | 'withoutLabour', Figure>
>;

/**
 * The direct cost of a product, by element. Batch cost = what its lines, steps and other costs come to for one batch;
 * unit cost = batch cost / good units, not rounded. Direct materials = materials + packaging; prime cost = direct
 * materials + labour + other costs (the trade's direct expenses). A product with nothing in it has a gap, not zero.
 */
export const productCost: Calculation<ProductCost> = {
  name: 'product',
  meanings: {
    materials: 'Materials in one good unit, those inside components included.',
    packaging: 'Packaging of one good unit.',
    labour: 'Labour in one good unit, that inside components included.',
    other: 'Other costs of one good unit (direct expenses).',
    materialsPerBatch: 'Materials for one batch.',
    packagingPerBatch: 'Packaging for one batch.',
    labourPerBatch: 'Labour for one batch.',
    otherPerBatch: 'Other costs of one batch (direct expenses).',
    directMaterials: 'Materials and packaging together (direct materials).',
    primeCost: 'What one good unit costs by itself, before any share of the running costs (prime cost).',
    primeCostPerBatch: 'What one batch costs by itself, before any share of the running costs.',
    withoutLabour: 'Prime cost with all labour left out.',
  },
  work(sheet, productId) {
    const row = sheet.row('product', productId);
    const subject = row?.name ?? 'this product';
    const [perUnit, perBatch] = [money(sheet).per(unit(row?.outputUnit ?? 'each')), money(sheet).per(BATCH)];
    const parts = costParts(sheet, productId, subject);
    const { good } = sheet.read(batch, productId);
    const ofBatch = (element: Element) => sum({ name: PER_BATCH[element], subject }, perBatch, parts[element]);
    const ofUnit = (element: Element, total: Figure) => {
      const called = { name: ELEMENT_LABELS[element], subject };
      return total.parts.length === 0 ? sum(called, perUnit, []) : quotient(called, total, good);
    };
    const materialsPerBatch = ofBatch('materials');
    const packagingPerBatch = ofBatch('packaging');
    const labourPerBatch = ofBatch('labour');
    const otherPerBatch = ofBatch('other');
    const materials = ofUnit('materials', materialsPerBatch);
    const packaging = ofUnit('packaging', packagingPerBatch);
    const labour = ofUnit('labour', labourPerBatch);
    const other = ofUnit('other', otherPerBatch);
    const all = [materialsPerBatch, packagingPerBatch, labourPerBatch, otherPerBatch];
    const directMaterials = sum({ name: 'Direct materials', subject }, perUnit, [materials, packaging]);
    return {
      materials,
      packaging,
      labour,
      other,
      materialsPerBatch,
      packagingPerBatch,
      labourPerBatch,
      otherPerBatch,
      directMaterials,
      primeCost: sum({ name: 'Prime cost', subject }, perUnit, [directMaterials, labour, other]),
      primeCostPerBatch: sum({ name: 'Prime cost per batch', subject }, perBatch, all),
      withoutLabour: sum({ name: 'Cost without labour', subject }, perUnit, [directMaterials, other]),
    };
  },
};

/** Everything that goes into a batch of a product, sorted by the element on which it falls. */
function costParts(sheet: Sheet, productId: string, subject: string): Record<Element, Figure[]> {
  const parts: Record<Element, Figure[]> = { materials: [], packaging: [], labour: [], other: [] };
  const perBatch = money(sheet).per(BATCH);
  if (isInLoop(sheet, productId)) {
    parts.materials.push(
      missing({ name: 'Components', subject, unit: perBatch }, gap('component-loop', null, { subject })),
    );
    return parts;
  }
  for (const lineId of sheet.idsOf('billLine', 'productId', productId)) {
    const cost = sheet.read(lineCost, lineId);
    if (cost.materials !== null) parts.materials.push(cost.materials);
    if (cost.packaging !== null) parts.packaging.push(cost.packaging);
    if (cost.labour !== null) parts.labour.push(cost.labour);
    if (cost.other !== null) parts.other.push(cost.other);
  }
  for (const stepId of sheet.idsOf('labourStep', 'productId', productId))
    parts.labour.push(sheet.read(labourStepCost, stepId).cost);
  for (const costId of sheet.idsOf('otherCost', 'productId', productId))
    parts.other.push(sheet.read(otherCost, costId).perBatch);
  if (ELEMENTS.every((element) => parts[element].length === 0)) {
    const place = { kind: 'product', id: productId, field: 'name' } as const;
    parts.materials.push(
      missing({ name: 'What goes into it', subject, unit: perBatch }, gap('nothing-in-it', place, { subject })),
    );
  }
  return parts;
}

/** A direct expense for one batch: as stated, or per good unit x good units. */
export const otherCost: Calculation<{ perBatch: Figure }> = {
  name: 'otherCost',
  meanings: { perBatch: 'What this comes to for one batch.' },
  work(sheet, id) {
    const row = sheet.row('otherCost', id);
    const leaf = { name: 'Other cost', subject: row?.name ?? '', unit: money(sheet).per(BATCH) };
    if (row === undefined) return { perBatch: missing(leaf, gap('row-missing', null, { subject: 'a product' })) };
    const owner = sheet.row('product', row.productId);
    const whenEmpty = () =>
      gap(
        'no-cost-amount',
        { kind: 'otherCost', id, field: 'amount' },
        { cost: row.name, subject: owner?.name ?? 'a product' },
      );
    const basis = row.basis === 'batch' ? BATCH : unit(owner?.outputUnit ?? 'each');
    const amount = sheet.input('otherCost', row, 'amount', {
      name: 'Amount',
      subject: row.name,
      unit: money(sheet).per(basis),
      whenEmpty,
    });
    if (row.basis === 'batch') return { perBatch: amount };
    return {
      perBatch: product({ name: 'Other cost', subject: row.name }, amount, sheet.read(batch, row.productId).good),
    };
  },
};
