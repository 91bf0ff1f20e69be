import { cardSubtotals, fullCost, lossCost, overheadOnCard } from '../costing/index.js';
import { type Figure, isWhole } from '../figure/index.js';
import { sharesInPercent } from '../number/index.js';
import {
  batch,
  ELEMENT_LABELS,
  equipmentUseCost,
  labourHours,
  labourStepCost,
  lineCost,
  otherCost,
  ownersLabour,
  productCost,
  recoveredScrap,
} from '../production/index.js';
import type { Evaluation } from '../sheet/index.js';
import { type FigureView, figureView, figureViews } from './figure-view.js';

/** One line of a cost card: an element or a subtotal, per unit and per batch, with its share of the full cost. */
export interface CardLine {
  readonly id: string;
  readonly label: string;
  readonly term: string;
  readonly subtotal: boolean;
  readonly perUnit: FigureView;
  readonly perBatch: FigureView | null;
  readonly share: string | null;
}

export interface CardView {
  readonly lines: readonly CardLine[];
  /** The same without all labour, and without the owner's own time. */
  readonly withoutLabour: FigureView;
  readonly withoutOwnersTime: FigureView;
  readonly ownersLabour: FigureView;
  readonly losses: Readonly<Record<'lineLoss' | 'yieldLoss' | 'total', FigureView>>;
  readonly hoursPerUnit: FigureView;
  readonly good: FigureView;
  /** The cost of each bill line, labour step, use of equipment and other cost for one batch, by the id of its row. */
  readonly rowCosts: Readonly<Record<string, FigureView>>;
}

interface Entry {
  readonly id: string;
  readonly label: string;
  readonly term?: string;
  readonly subtotal?: boolean;
  readonly perUnit: Figure;
  readonly perBatch: Figure;
}

/**
 * The cost card of a product with the trade's subtotals. The shares of the elements and the running costs sum to exactly
 * 100.0 %; the landed add-on, packaging, other costs and equipment stand on it where there is any.
 */
export function cardView(evaluation: Evaluation, productId: string): CardView {
  const entries = entriesOf(evaluation, productId);
  const leaves = entries.filter(({ subtotal }) => !subtotal);
  const shares = leaves.every(({ perUnit }) => isWhole(perUnit))
    ? sharesInPercent(leaves.map(({ perUnit }) => perUnit.amount as NonNullable<Figure['amount']>))
    : null;
  const shareOf = (entry: Entry) => {
    if (shares === null) return null;
    return entry.id === 'fullCost' ? '100.0' : (shares[leaves.indexOf(entry)] ?? null);
  };
  return {
    lines: entries.map((entry) => ({
      id: entry.id,
      label: entry.label,
      term: entry.term ?? '',
      subtotal: entry.subtotal ?? false,
      perUnit: figureView(entry.perUnit),
      perBatch: figureView(entry.perBatch),
      share: shareOf(entry),
    })),
    withoutLabour: figureView(evaluation.read(cardSubtotals, productId).withoutLabour),
    withoutOwnersTime: figureView(evaluation.read(overheadOnCard, productId).withoutOwnersTime),
    ownersLabour: figureView(evaluation.read(ownersLabour, productId).perUnit),
    losses: figureViews(evaluation.read(lossCost, productId), ['lineLoss', 'yieldLoss', 'total']),
    hoursPerUnit: figureView(evaluation.read(labourHours, productId).perUnit),
    good: figureView(evaluation.read(batch, productId).good),
    rowCosts: rowCosts(evaluation, productId),
  };
}

function entriesOf(evaluation: Evaluation, productId: string): Entry[] {
  const cost = evaluation.read(productCost, productId);
  const full = evaluation.read(fullCost, productId);
  const carried = evaluation.read(overheadOnCard, productId);
  const subtotals = evaluation.read(cardSubtotals, productId);
  const element = (id: 'materials' | 'landed' | 'packaging' | 'labour' | 'other' | 'equipment', term = ''): Entry => ({
    id,
    label: ELEMENT_LABELS[id],
    term,
    perUnit: cost[id],
    perBatch: cost[`${id}PerBatch`],
  });
  const subtotal = (id: string, label: string, term: string, perUnit: Figure, perBatch: Figure): Entry => ({
    id,
    label,
    term,
    subtotal: true,
    perUnit,
    perBatch,
  });
  const whereAny = (entry: Entry) => (entry.perUnit.parts.length > 0 ? [entry] : []);
  const materialKinds = [element('materials'), ...whereAny(element('landed')), ...whereAny(element('packaging'))];
  return [
    ...materialKinds,
    ...(materialKinds.length > 1
      ? [subtotal('directMaterials', 'Direct materials', '', cost.directMaterials, subtotals.directMaterialsPerBatch)]
      : []),
    element('labour'),
    ...whereAny(element('other', 'direct expenses')),
    subtotal('primeCost', 'Prime cost', '', cost.primeCost, subtotals.primeCostPerBatch),
    ...whereAny(element('equipment', 'variable overhead')),
    {
      id: 'productionOverhead',
      label: 'Running costs of making',
      term: 'production overhead',
      perUnit: carried.productionOverhead,
      perBatch: carried.productionOverheadPerBatch,
    },
    subtotal('productionCost', 'Production cost', '', carried.productionCost, carried.productionCostPerBatch),
    {
      id: 'nonProductionOverhead',
      label: 'Other running costs',
      term: 'non-production',
      perUnit: carried.nonProductionOverhead,
      perBatch: carried.nonProductionOverheadPerBatch,
    },
    subtotal('fullCost', 'Full cost', '', full.fullCost, carried.fullCostPerBatch),
  ];
}

function rowCosts(evaluation: Evaluation, productId: string): Record<string, FigureView> {
  const { sheet } = evaluation;
  const ids = (kind: 'billLine' | 'labourStep' | 'otherCost' | 'equipmentUse' | 'recoveredScrap') =>
    sheet.idsOf(kind, 'productId', productId);
  const viewed = (ofKind: readonly string[], figureOf: (id: string) => Figure) =>
    ofKind.map((id) => [id, figureView(figureOf(id))] as const);
  return Object.fromEntries([
    ...viewed(ids('billLine'), (id) => evaluation.read(lineCost, id).total),
    ...viewed(ids('labourStep'), (id) => evaluation.read(labourStepCost, id).cost),
    ...viewed(ids('otherCost'), (id) => evaluation.read(otherCost, id).perBatch),
    ...viewed(ids('equipmentUse'), (id) => evaluation.read(equipmentUseCost, id).perBatch),
    ...viewed(ids('recoveredScrap'), (id) => evaluation.read(recoveredScrap, id).perBatch),
  ]);
}
