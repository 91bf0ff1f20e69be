import { type Figure, sum } from '../figure/index.js';
import { type Unit, unit } from '../quantity/index.js';
import { BATCH, type Calculation, money } from '../sheet/index.js';
import { batch } from './batch.js';
import { costRowOf } from './cost-rows.js';
import { byElement, type Element, ELEMENT_LABELS } from './elements.js';
import type { CostItem, UnitCost } from './taking.js';
import { takings } from './takings.js';

/**
 * What all takings of one batch cost, in their order. It stands beside the cost of the product, since an item may be of
 * another product, whose cost is made of items.
 */
export const costItems: Calculation<readonly CostItem[]> = {
  name: 'costItems',
  meanings: {},
  work(sheet, productId) {
    const units = sheet.read(batch, productId);
    const costOf = (componentId: string): UnitCost => sheet.read(productCost, componentId);
    return sheet.list(
      sheet.read(takings, productId),
      [units, money(sheet)],
      (taking) => costRowOf(taking).priced(sheet, taking, costOf),
      (taking, priced) => costRowOf(taking).cost(sheet, taking, priced, units),
    );
  },
};

type PerBatch = `${Element}PerBatch`;

/** The cost of a product by element before any share of the running costs, per good unit and per batch. */
export type ProductCost = Readonly<
  Record<Element | PerBatch | 'directMaterials' | 'primeCost' | 'variableCost', Figure>
>;

/**
 * The cost of a product by element. Batch cost = the sum of what its takings cost; unit cost = batch cost / good units,
 * not rounded. Direct materials = materials (less recovered scrap) + landed add-on + packaging; prime cost = direct
 * materials + labour + other costs (the trade's direct expenses); + equipment (variable production overhead) = cost before
 * overhead. Gaps: those of its rows; one with nothing in it has a gap, not zero.
 */
export const productCost: Calculation<ProductCost> = {
  name: 'product',
  meanings: {
    materials: 'Materials in one good unit, including those in its components.',
    landed: 'The landed add-on of the materials in one good unit.',
    packaging: 'Packaging of one good unit.',
    labour: 'Labour in one good unit, including that in its components.',
    other: 'Other direct costs of one good unit (direct expenses).',
    equipment: 'Energy, wear and upkeep of machines for one good unit (variable production overhead).',
    materialsPerBatch: 'Materials for one batch.',
    landedPerBatch: 'The landed add-on of the materials in one batch.',
    packagingPerBatch: 'Packaging for one batch.',
    labourPerBatch: 'Labour for one batch.',
    otherPerBatch: 'Other direct costs of one batch (direct expenses).',
    equipmentPerBatch: 'Energy, wear and upkeep of machines for one batch.',
    directMaterials: 'Materials, landed add-on and packaging of one good unit together (direct materials).',
    primeCost: 'Direct materials, labour and other direct costs of one good unit (prime cost).',
    variableCost: 'What one good unit costs before overhead.',
  },
  work(sheet, productId) {
    const { good, outputUnit, productName: subject } = sheet.read(batch, productId);
    const [batchUnit, unitUnit] = [money(sheet).per(BATCH), money(sheet).per(unit(outputUnit))];
    const parts = partsByElement(sheet.read(costItems, productId));
    const perBatch = byElement((element) =>
      parts[element].length === 0
        ? nothingOf(element, batchUnit)
        : sheet.sum({ name: PER_BATCH[element], subject }, batchUnit, parts[element]),
    );
    const perUnit = byElement((element) =>
      parts[element].length === 0
        ? nothingOf(element, unitUnit)
        : sheet.quotient({ name: ELEMENT_LABELS[element], subject }, perBatch[element], good),
    );
    const together = (name: string, figures: readonly Figure[]) =>
      sum({ name, subject }, unitUnit, figures.filter(isSomething));
    const directMaterials = together('Direct materials', [perUnit.materials, perUnit.landed, perUnit.packaging]);
    const primeCost = together('Prime cost', [directMaterials, perUnit.labour, perUnit.other]);
    // Written out in one go: a spread would lay out each of these objects several times over.
    return {
      materials: perUnit.materials,
      landed: perUnit.landed,
      packaging: perUnit.packaging,
      labour: perUnit.labour,
      other: perUnit.other,
      equipment: perUnit.equipment,
      materialsPerBatch: perBatch.materials,
      landedPerBatch: perBatch.landed,
      packagingPerBatch: perBatch.packaging,
      labourPerBatch: perBatch.labour,
      otherPerBatch: perBatch.other,
      equipmentPerBatch: perBatch.equipment,
      directMaterials,
      primeCost,
      variableCost: together('Cost before overhead', [primeCost, perUnit.equipment]),
    };
  },
};

/** False for an element of which there is nothing, so that sums can leave it out. */
const isSomething = (figure: Figure) => figure.parts.length > 0 || figure.gaps.length > 0;

const PER_BATCH = byElement((element) => `${ELEMENT_LABELS[element]} per batch`);

function partsByElement(items: readonly CostItem[]): Record<Element, Figure[]> {
  const parts = byElement((): Figure[] => []);
  for (const cost of items) {
    if (cost.materials !== null) parts.materials.push(cost.materials);
    if (cost.landed !== null) parts.landed.push(cost.landed);
    if (cost.packaging !== null) parts.packaging.push(cost.packaging);
    if (cost.labour !== null) parts.labour.push(cost.labour);
    if (cost.other !== null) parts.other.push(cost.other);
    if (cost.equipment !== null) parts.equipment.push(cost.equipment);
  }
  return parts;
}

const NOTHING = new Map<Unit, Record<Element, Figure>>();

/** Nothing of an element, in some unit: one figure for all products that have nothing of it, and so of no origin. */
function nothingOf(element: Element, of: Unit): Figure {
  const known = NOTHING.get(of);
  if (known !== undefined) return known[element];
  const made = byElement((each): Figure => ({
    ...sum(ELEMENT_LABELS[each], of, []),
    publishedOf: { calculation: null, id: '' },
  }));
  NOTHING.set(of, made);
  return made[element];
}
