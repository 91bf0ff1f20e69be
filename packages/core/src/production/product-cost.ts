import {
  difference,
  type Figure,
  gap,
  missing,
  ofMissingRow,
  product,
  quotient,
  runningSum,
  stillMadeOf,
  sum,
} from '../figure/index.js';
import { type Unit, unit } from '../quantity/index.js';
import { BATCH, type Calculation, money, type Sheet } from '../sheet/index.js';
import { batch } from './batch.js';
import { isInLoop } from './component-loops.js';
import { byElement, type Element, ELEMENT_LABELS, ELEMENTS } from './elements.js';
import { equipmentUseCost } from './equipment-use.js';
import { labourStepCost } from './labour-step-cost.js';
import { costOfLine, type LineCost, lineTotal } from './line-cost.js';
import { billQuantities } from './line-quantity.js';
import { otherCost } from './other-cost.js';
import { recoveredScrap } from './recovered-scrap.js';
import { typedCosts } from './typed-costs.js';

/** What each line of a bill costs. It stands here, since a line may be of another product, whose cost is made of lines. */
export const lineCosts: Calculation<readonly LineCost[]> = {
  name: 'lineCosts',
  meanings: {},
  work(sheet, productId, before) {
    const unitCostOf = (componentId: string) => sheet.read(productCost, componentId);
    return sheet
      .read(billQuantities, productId)
      .map((quantity, index) => costOfLine(sheet, quantity, unitCostOf, before?.[index]));
  },
};

/** The cost of one bill line, for whoever wants to open it. */
export const lineCost: Calculation<{ total: Figure }> = {
  name: 'billLine',
  meanings: { total: 'What this line costs for one batch.' },
  work(sheet, lineId) {
    const line = sheet.row('billLine', lineId);
    const costs = line === undefined ? [] : sheet.read(lineCosts, line.productId);
    const found = costs.find(({ quantity }) => quantity.line.id === lineId);
    if (found !== undefined) return { total: lineTotal(sheet, found) };
    const leaf = { name: 'Cost per batch', unit: money(sheet).per(BATCH) };
    return { total: ofMissingRow(leaf, 'a bill line') };
  },
};

type PerBatch = `${Element}PerBatch`;

/** The cost of a product by element before any share of the running costs, per good unit and per batch. */
export type ProductCost = Readonly<
  Record<Element | PerBatch | 'directMaterials' | 'primeCost' | 'variableCost', Figure>
>;

/**
 * The cost of a product by element. Batch cost = what its lines, steps and other costs come to for one batch; unit cost =
 * batch cost / good units, not rounded. Direct materials = materials (less recovered scrap) + landed add-on + packaging;
 * prime cost = direct materials + labour + other costs (the trade's direct expenses); + equipment (variable production
 * overhead) = variable cost. A quick product takes its typed totals instead. One with nothing in it has a gap, not zero.
 */
export const productCost: Calculation<ProductCost> = {
  name: 'product',
  meanings: {
    materials: 'Materials in one good unit, those inside components included.',
    landed: 'What it costs to get the materials of one good unit here (landed add-on).',
    packaging: 'Packaging of one good unit.',
    labour: 'Labour in one good unit, that inside components included.',
    other: 'Other costs of one good unit (direct expenses).',
    equipment: 'Energy, wear and upkeep of machines for one good unit (variable production overhead).',
    materialsPerBatch: 'Materials for one batch.',
    landedPerBatch: 'What it costs to get the materials of one batch here.',
    packagingPerBatch: 'Packaging for one batch.',
    labourPerBatch: 'Labour for one batch.',
    otherPerBatch: 'Other costs of one batch (direct expenses).',
    equipmentPerBatch: 'Energy, wear and upkeep of machines for one batch.',
    directMaterials: 'Materials, landed add-on and packaging of one good unit together (direct materials).',
    primeCost: 'Materials, labour and other costs that go straight into one good unit (prime cost).',
    variableCost: 'What one good unit costs by itself, before any share of the running costs (variable cost).',
  },
  work(sheet, productId, before) {
    const row = sheet.row('product', productId);
    const subject = row?.name ?? 'this product';
    const unitUnit = money(sheet).per(unit(row?.outputUnit ?? 'each'));
    const { good } = sheet.read(batch, productId);
    const perBatch = batchCosts(sheet, productId, subject, before);
    const perUnit = byElement((element) => {
      if (isNothing(perBatch[element])) return nothingOf(element, unitUnit);
      const called = { name: ELEMENT_LABELS[element], subject };
      const parts = [perBatch[element], good] as const;
      return stillMadeOf(before?.[element], called, parts) ?? quotient(called, ...parts);
    });
    const together = (name: string, parts: readonly Figure[]) =>
      sum(
        { name, subject },
        unitUnit,
        parts.filter((part) => !isNothing(part)),
      );
    const directMaterials = together(
      'Direct materials',
      DIRECT_MATERIALS.map((element) => perUnit[element]),
    );
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
      variableCost: together('Variable cost', [primeCost, perUnit.equipment]),
    };
  },
};

const DIRECT_MATERIALS: readonly Element[] = ['materials', 'landed', 'packaging'];
/** True for an element of which there is nothing, so that sums and divisions can leave it out. */
const isNothing = (figure: Figure) => figure.parts.length === 0 && figure.gaps.length === 0;

const NOTHING = new Map<Unit, Record<Element, Figure>>();

/** Nothing of an element, in some unit: one figure for all products that have nothing of it. It has no working to open. */
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

const PER_BATCH = byElement((element) => `${ELEMENT_LABELS[element]} per batch`);

/** What one batch costs by element: of a quick product as typed, else the sum of its lines, steps, uses and other costs. */
function batchCosts(
  sheet: Sheet,
  productId: string,
  subject: string,
  before: ProductCost | undefined,
): Record<Element, Figure> {
  if (sheet.row('product', productId)?.costing === 'typed totals') {
    const { good } = sheet.read(batch, productId);
    const typed = sheet.read(typedCosts, productId);
    return byElement((element) =>
      isNothing(typed[element])
        ? nothingOf(element, money(sheet).per(BATCH))
        : product({ name: PER_BATCH[element], subject }, typed[element], good),
    );
  }
  const parts = isInLoop(sheet, productId) ? loopParts(sheet, subject) : costParts(sheet, productId, subject);
  const batchUnit = money(sheet).per(BATCH);
  const totals = byElement((element) =>
    parts[element].length === 0
      ? nothingOf(element, batchUnit)
      : runningSum({ name: PER_BATCH[element], subject }, batchUnit, parts[element], before?.[`${element}PerBatch`]),
  );
  const scrap = sheet.idsOf('recoveredScrap', 'productId', productId);
  if (scrap.length === 0) return totals;
  const worth = scrap.map((id) => sheet.read(recoveredScrap, id).perBatch);
  const recovered = sum({ name: 'Recovered scrap per batch', subject }, batchUnit, worth);
  const called = { name: 'Materials less recovered scrap', subject };
  return { ...totals, materials: difference(called, totals.materials, recovered) };
}

type Parts = Record<Element, Figure[]>;
const noParts = (): Parts => byElement((): Figure[] => []);

function loopParts(sheet: Sheet, subject: string): Parts {
  const leaf = { name: 'Components', subject, unit: money(sheet).per(BATCH) };
  return { ...noParts(), materials: [missing(leaf, gap('component-loop', null, { subject }))] };
}

/** Everything that goes into a batch of a product, sorted by the element on which it falls. */
function costParts(sheet: Sheet, productId: string, subject: string): Parts {
  const parts = noParts();
  for (const cost of sheet.read(lineCosts, productId)) {
    if (cost.materials !== null) parts.materials.push(cost.materials);
    if (cost.landed !== null) parts.landed.push(cost.landed);
    if (cost.packaging !== null) parts.packaging.push(cost.packaging);
    if (cost.labour !== null) parts.labour.push(cost.labour);
    if (cost.other !== null) parts.other.push(cost.other);
    if (cost.equipment !== null) parts.equipment.push(cost.equipment);
  }
  for (const id of sheet.idsOf('labourStep', 'productId', productId))
    parts.labour.push(sheet.read(labourStepCost, id).cost);
  for (const id of sheet.idsOf('otherCost', 'productId', productId))
    parts.other.push(sheet.read(otherCost, id).perBatch);
  for (const id of sheet.idsOf('equipmentUse', 'productId', productId))
    parts.equipment.push(sheet.read(equipmentUseCost, id).perBatch);
  if (ELEMENTS.every((element) => parts[element].length === 0)) {
    const leaf = { name: 'What goes into it', subject, unit: money(sheet).per(BATCH) };
    const place = { kind: 'product', id: productId, field: 'bill' } as const;
    parts.materials.push(missing(leaf, gap('nothing-in-it', place, { subject })));
  }
  return parts;
}
