import { componentOf, countedIn, fullCost, itemsInside, unitItems } from '../../costing/index.js';
import { type Figure, isWhole } from '../../figure/index.js';
import { unit } from '../../quantity/index.js';
import type { Evaluation, Sheet } from '../../sheet/index.js';
import { type FigureView, shown } from '../general/figure-view.js';

/** The lines under which the card of a product can be frozen now: what a frozen line holds, as it is stored. */
export interface FreezableView {
  readonly lines: readonly {
    readonly within: string;
    readonly source: string;
    readonly element: string;
    readonly label: string;
    readonly quantity: string;
    readonly unit: string;
    readonly price: string;
  }[];
  /** What is missing, as sentences: a card with something missing cannot be frozen. */
  readonly missing: FigureView['gaps'];
}

/** At most as many decimals as a row may hold. */
const STORED_DECIMALS = 12;
const stored = (figure: Figure) => (figure.amount?.toDecimalPlaces(STORED_DECIMALS) ?? 0).toString();

/** What the card of a product would be saved as now, or what is missing for it. */
export function freezableView(evaluation: Evaluation, productId: string): FreezableView {
  return {
    lines: linesWithin(evaluation.sheet, productId, '', new Set()),
    missing: shown(evaluation, fullCost, productId, 'fullCost').gaps,
  };
}

/** The lines of a unit, and after them those inside its components, each component once. */
function linesWithin(sheet: Sheet, productId: string, within: string, seen: Set<string>): FreezableView['lines'] {
  const output = unit(sheet.row('product', productId)?.outputUnit ?? 'each');
  const all = within === '' ? unitItems(sheet, productId) : itemsInside(sheet, productId);
  const items = all.filter(({ quantity, price }) => isWhole(quantity) && isWhole(price));
  const lines = items.map((item) => ({
    within,
    source: item.source,
    element: item.element,
    label: item.label,
    quantity: stored(item.quantity),
    unit: countedIn({ now: item, before: null }, output),
    price: stored(item.price),
  }));
  const inside = items.flatMap(({ source, element }) => {
    if (element !== 'component' || seen.has(source)) return [];
    seen.add(source);
    return linesWithin(sheet, componentOf(source), source, seen);
  });
  return [...lines, ...inside];
}
