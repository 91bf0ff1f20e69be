import { constant, difference, type Figure, quotient, sum } from '../figure/index.js';
import { overhead } from '../overhead/index.js';
import {
  batch,
  ELEMENT_LABELS,
  ELEMENTS,
  equipmentUseCost,
  labourHours,
  labourRate,
  labourStepCost,
  lineCosts,
  lineTotal,
  otherCost,
  productCost,
  recoveredScrap,
  typedCosts,
} from '../production/index.js';
import { materialPrice } from '../purchasing/index.js';
import { NUMBER } from '../quantity/index.js';
import { BATCH, money, type Sheet, WHOLE_BOOK } from '../sheet/index.js';

/** So much of one thing in a good unit of a product, at a price. All items of a product together are its full cost. */
export interface CostItem {
  /** What it is of: "material.0192...", "overhead.production". Each stands once among the items of a product. */
  readonly source: string;
  readonly element: string;
  readonly label: string;
  readonly quantity: Figure;
  readonly price: Figure;
}

const ONCE = constant('Once a unit', '1', NUMBER, 'definition');

/** What one good unit is made of: each material, component, kind of work, machine and share of the running costs once. */
export function costItems(sheet: Sheet, productId: string): CostItem[] {
  const row = sheet.row('product', productId);
  if (row === undefined) return [];
  const items = row.costing === 'typed totals' ? typedItems(sheet, productId) : detailedItems(sheet, productId);
  const hours = sheet.read(labourHours, productId).perUnit;
  const { productionRate, nonProductionRate } = sheet.read(overhead, WHOLE_BOOK);
  const share = (source: string, label: string, price: Figure) =>
    ({ source: `overhead.${source}`, element: 'overhead', label, quantity: hours, price }) as const;
  return [
    ...items,
    share('production', 'Production overhead', productionRate),
    share('non-production', 'Non-production overhead', nonProductionRate),
  ];
}

function typedItems(sheet: Sheet, productId: string): CostItem[] {
  const typed = sheet.read(typedCosts, productId);
  return ELEMENTS.filter((element) => typed[element].parts.length > 0 || typed[element].gaps.length > 0).map(
    (element) => ({
      source: `typed.${element}`,
      element,
      label: ELEMENT_LABELS[element],
      quantity: ONCE,
      price: typed[element],
    }),
  );
}

/** What a batch takes of something, collected over all lines that take of it. */
interface Taken extends Omit<CostItem, 'quantity'> {
  readonly perBatch: Figure[];
}

function detailedItems(sheet: Sheet, productId: string): CostItem[] {
  const subject = sheet.row('product', productId)?.name ?? '';
  const { good } = sheet.read(batch, productId);
  const taken = new Map<string, Taken>();
  const take = (source: string, element: string, label: string, perBatch: Figure, price: Figure) => {
    const known = taken.get(source);
    if (known === undefined) taken.set(source, { source, element, label, perBatch: [perBatch], price });
    else known.perBatch.push(perBatch);
  };
  const whole: CostItem[] = [];
  const takeWhole = (source: string, element: string, label: string, costPerBatch: Figure) =>
    whole.push({
      source,
      element,
      label,
      quantity: ONCE,
      price: quotient({ name: 'Per unit', subject: label }, costPerBatch, good),
    });

  for (const cost of sheet.read(lineCosts, productId)) {
    const { line, item, perBatch: quantity } = cost.quantity;
    if (item === null || quantity === null)
      takeWhole(`line.${line.id}`, 'materials', line.text, lineTotal(sheet, cost));
    else if (line.componentId !== null)
      take(
        `product.${line.componentId}`,
        'component',
        item.name,
        quantity,
        sheet.read(productCost, line.componentId).variableCost,
      );
    else {
      const element = item.isPackaging ? 'packaging' : 'materials';
      take(
        `material.${line.materialId}`,
        element,
        item.name,
        quantity,
        sheet.read(materialPrice, line.materialId ?? '').perBaseUnit,
      );
    }
  }
  for (const step of sheet.rowsOf('labourStep', 'productId', productId)) {
    const { hours, cost } = sheet.read(labourStepCost, step.id);
    const grade = step.gradeId === null ? undefined : sheet.row('labourGrade', step.gradeId);
    if (grade === undefined) takeWhole(`step.${step.id}`, 'labour', step.name, cost);
    else take(`labourGrade.${grade.id}`, 'labour', grade.name, hours, sheet.read(labourRate, grade.id).perHour);
  }
  for (const use of sheet.rowsOf('equipmentUse', 'productId', productId)) {
    const { taken: amount, rate, perBatch } = sheet.read(equipmentUseCost, use.id);
    const machine = use.runId === null ? `equipment.${use.equipmentId}` : `run.${use.runId}`;
    if (amount === null || rate === null) takeWhole(`use.${use.id}`, 'equipment', 'Equipment', perBatch);
    else take(machine, 'equipment', rate.subject, amount, rate);
  }
  for (const row of sheet.rowsOf('otherCost', 'productId', productId))
    takeWhole(`other.${row.id}`, 'other', row.name, sheet.read(otherCost, row.id).perBatch);
  for (const row of sheet.rowsOf('recoveredScrap', 'productId', productId)) {
    const nothing = sum({ name: 'Nothing', subject: row.name }, money(sheet).per(BATCH), []);
    const worth = sheet.read(recoveredScrap, row.id).perBatch;
    takeWhole(
      `scrap.${row.id}`,
      'materials',
      row.name,
      difference({ name: 'Less scrap', subject: row.name }, nothing, worth),
    );
  }
  const counted = [...taken.values()].map(({ perBatch, ...item }) => {
    const called = { name: `${item.label} in one unit`, subject };
    const together = sum({ name: `${item.label} per batch`, subject }, (perBatch[0] as Figure).unit, perBatch);
    return { ...item, quantity: quotient(called, together, good) };
  });
  return [...counted, ...whole];
}
