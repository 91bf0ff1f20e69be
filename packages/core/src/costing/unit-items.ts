import type { Kind } from '@nuvar/book';
import { constant, type Figure, quotient, sum } from '../figure/index.js';
import { productOverhead } from '../overhead/index.js';
import { batch, type CostItem, costItems, ELEMENT_LABELS, ELEMENTS, itemTotal } from '../production/index.js';
import { NUMBER } from '../quantity/index.js';
import type { Sheet } from '../sheet/index.js';

/** So much of one thing in a good unit of a product, at a price. All items of a unit together are its full cost. */
export interface UnitItem {
  /** What it is of: "material.0192...", "overhead.production". Each stands once among the items of a unit. */
  readonly source: string;
  readonly element: string;
  readonly label: string;
  readonly quantity: Figure;
  readonly price: Figure;
}

const ONCE = constant('Once a unit', '1', NUMBER, 'definition');

/** What one good unit is made of: each material, component, kind of work, machine and share of the running costs once. */
export function unitItems(sheet: Sheet, productId: string): UnitItem[] {
  if (sheet.row('product', productId) === undefined) return [];
  const { good, productName } = sheet.read(batch, productId);
  const groups = new Map<string, CostItem[]>();
  for (const item of sheet.read(costItems, productId)) {
    const source = sourceOf(sheet, item);
    const known = groups.get(source);
    if (known === undefined) groups.set(source, [item]);
    else known.push(item);
  }
  const items = [...groups].map(([source, group]) => unitItem(sheet, source, group, good, productName));
  return [...counted(items), ...overheadOfUnit(sheet, productId)];
}

/** What one good unit of a component is made of, at its variable cost: what another product pays for it. */
export const itemsInside = (sheet: Sheet, componentId: string): UnitItem[] =>
  unitItems(sheet, componentId).filter(({ element }) => element !== 'overhead');

/** Those that are counted first, and then what stands on a card once. */
const counted = (items: readonly UnitItem[]) => [
  ...items.filter(({ quantity }) => quantity !== ONCE),
  ...items.filter(({ quantity }) => quantity === ONCE),
];

const KIND_OF_SOURCE: Readonly<Record<string, string>> = {
  equipmentRun: 'run',
  billLine: 'line',
  labourStep: 'step',
  equipmentUse: 'use',
  otherCost: 'other',
  recoveredScrap: 'scrap',
};

/** The name under which items are brought together and found again on another card. */
function sourceOf(sheet: Sheet, { taking }: CostItem): string {
  const { kind, id } = taking.of ?? taking;
  if (taking.of === null && kind === 'typedCost') return `typed.${sheet.row('typedCost', id)?.element ?? ''}`;
  return `${KIND_OF_SOURCE[kind] ?? kind}.${id}`;
}

function unitItem(sheet: Sheet, source: string, group: readonly CostItem[], good: Figure, subject: string): UnitItem {
  const [first] = group as [CostItem];
  const element = first.taking.of?.kind === 'product' ? 'component' : elementOf(first);
  const label = labelOf(sheet, first);
  if (first.taking.of === null || first.price === null) {
    const total = sum(
      { name: `${label} per batch`, subject },
      itemTotal(sheet, first).unit,
      group.map((item) => itemTotal(sheet, item)),
    );
    return {
      source,
      element,
      label,
      quantity: ONCE,
      price: quotient({ name: 'Per unit', subject: label }, total, good),
    };
  }
  const quantities = group.map(({ taking }) => taking.quantity);
  const perBatch = sum({ name: `${label} per batch`, subject }, (quantities[0] as Figure).unit, quantities);
  const quantity = quotient({ name: `${label} in one unit`, subject }, perBatch, good);
  return { source, element, label, quantity, price: first.price };
}

const elementOf = (item: CostItem) =>
  ELEMENTS.find((element) => element !== 'landed' && item[element] !== null) ?? 'materials';

function labelOf(sheet: Sheet, { taking }: CostItem): string {
  return taking.of?.name ?? NAME_OF_ROW[taking.kind]?.(sheet, taking.id) ?? '';
}

/** How an item is called that is of nothing else in the book: by the row that it is of. */
const NAME_OF_ROW: Readonly<Partial<Record<Kind, (sheet: Sheet, id: string) => string | undefined>>> = {
  billLine: (sheet, id) => sheet.row('billLine', id)?.text,
  jointOutput: (sheet, id) => sheet.row('jointOutput', id)?.name,
  labourStep: (sheet, id) => sheet.row('labourStep', id)?.name,
  equipmentUse: () => 'Equipment',
  otherCost: (sheet, id) => sheet.row('otherCost', id)?.name,
  recoveredScrap: (sheet, id) => sheet.row('recoveredScrap', id)?.name,
  typedCost: (sheet, id) => ELEMENT_LABELS[sheet.row('typedCost', id)?.element ?? 'materials'],
  product: (sheet, id) => sheet.row('product', id)?.name,
};

/** The shares of the running costs by the method of the book; none where there is nothing to share out. */
const overheadOfUnit = (sheet: Sheet, productId: string): UnitItem[] =>
  sheet.read(productOverhead, productId).items.map(({ bearing, quantity, rate }) => ({
    source: `overhead.${bearing.id}`,
    element: 'overhead',
    label: bearing.label,
    quantity,
    price: rate,
  }));
