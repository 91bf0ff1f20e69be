import type { Kind } from '@nuvar/book';
import { cardSubtotals, fullCost, lossCost, overheadOnCard } from '../../costing/index.js';
import { type Figure, isWhole } from '../../figure/index.js';
import { sharesInPercent } from '../../number/index.js';
import {
  batch,
  type Element,
  ELEMENT_LABELS,
  equipmentUseCost,
  labourHours,
  labourStepCost,
  lineCost,
  otherCost,
  ownersLabour,
  rolledYield,
  productCost,
  scrapWorth,
} from '../../production/index.js';
import { unitBehaviour } from '../../selling/index.js';
import { asked, type AskedFigure, type Calculation, type Evaluation } from '../../sheet/index.js';
import { type FigureView, figureView, shown, shownAll } from '../general/figure-view.js';

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
  /** What of the full cost changes with each unit, and what does not. */
  readonly changing: FigureView;
  readonly fixed: FigureView;
  readonly losses: Readonly<Record<'lineLoss' | 'yieldLoss' | 'total', FigureView>>;
  /** Through all steps, those of components included; null where nothing that is made goes into it. */
  readonly rolledYield: FigureView | null;
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
  readonly perUnit: AskedFigure;
  readonly perBatch: AskedFigure;
}

/**
 * The cost card of a product with the trade's subtotals. The shares of the elements and the running costs sum to exactly
 * 100.0 %; the landed add-on, packaging, other costs and equipment stand on it where there is any.
 */
export function cardView(evaluation: Evaluation, productId: string): CardView {
  const entries = entriesOf(evaluation, productId);
  const leaves = entries.filter(({ subtotal }) => !subtotal);
  const amounts = leaves.map(({ perUnit: { figure } }) => (isWhole(figure) ? figure.amount : null));
  const shares = amounts.every((amount) => amount !== null) ? sharesInPercent(amounts) : null;
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
      perUnit: figureView(entry.perUnit.figure, entry.perUnit.key),
      perBatch: figureView(entry.perBatch.figure, entry.perBatch.key),
      share: shareOf(entry),
    })),
    withoutLabour: shown(evaluation, cardSubtotals, productId, 'withoutLabour'),
    withoutOwnersTime: shown(evaluation, overheadOnCard, productId, 'withoutOwnersTime'),
    ownersLabour: shown(evaluation, ownersLabour, productId, 'perUnit'),
    changing: shown(evaluation, unitBehaviour, productId, 'changingCost'),
    fixed: shown(evaluation, unitBehaviour, productId, 'fixedInUnit'),
    losses: shownAll(evaluation, lossCost, productId, ['lineLoss', 'yieldLoss', 'total']),
    rolledYield:
      evaluation.read(rolledYield, productId).rolled &&
      shown(evaluation, rolledYield as Calculation<Record<'rolled', Figure>>, productId, 'rolled'),
    hoursPerUnit: shown(evaluation, labourHours, productId, 'perUnit'),
    good: shown(evaluation, batch, productId, 'good'),
    rowCosts: rowCosts(evaluation, productId),
  };
}

function entriesOf(evaluation: Evaluation, productId: string): Entry[] {
  const of = <Result extends object>(calculation: Calculation<Result>, member: keyof Result & string) =>
    asked(evaluation, calculation, productId, member);
  const element = (id: Element, term = ''): Entry => ({
    id,
    label: ELEMENT_LABELS[id],
    term,
    perUnit: of(productCost, id),
    perBatch: of(productCost, `${id}PerBatch`),
  });
  const subtotal = (id: string, label: string, perUnit: AskedFigure, perBatch: AskedFigure): Entry => ({
    id,
    label,
    subtotal: true,
    perUnit,
    perBatch,
  });
  const whereAny = (entry: Entry) => (entry.perUnit.figure.parts.length > 0 ? [entry] : []);
  const materialKinds = [element('materials'), ...whereAny(element('landed')), ...whereAny(element('packaging'))];
  const directMaterials = subtotal(
    'directMaterials',
    'Direct materials',
    of(productCost, 'directMaterials'),
    of(cardSubtotals, 'directMaterialsPerBatch'),
  );
  return [
    ...materialKinds,
    ...(materialKinds.length > 1 ? [directMaterials] : []),
    element('labour'),
    ...whereAny(element('other', 'direct expenses')),
    subtotal('primeCost', 'Prime cost', of(productCost, 'primeCost'), of(cardSubtotals, 'primeCostPerBatch')),
    ...whereAny(element('equipment', 'variable overhead')),
    ...whereAny({
      id: 'variableOverhead',
      label: 'Variable running costs',
      perUnit: of(overheadOnCard, 'variableOverhead'),
      perBatch: of(overheadOnCard, 'variableOverheadPerBatch'),
    }),
    {
      id: 'productionOverhead',
      label: 'Production overhead',
      perUnit: of(overheadOnCard, 'productionOverhead'),
      perBatch: of(overheadOnCard, 'productionOverheadPerBatch'),
    },
    subtotal(
      'productionCost',
      'Production cost',
      of(overheadOnCard, 'productionCost'),
      of(overheadOnCard, 'productionCostPerBatch'),
    ),
    {
      id: 'nonProductionOverhead',
      label: 'Other overhead',
      term: 'non-production',
      perUnit: of(overheadOnCard, 'nonProductionOverhead'),
      perBatch: of(overheadOnCard, 'nonProductionOverheadPerBatch'),
    },
    subtotal('fullCost', 'Full cost', of(fullCost, 'fullCost'), of(overheadOnCard, 'fullCostPerBatch')),
  ];
}

function rowCosts(evaluation: Evaluation, productId: string): Record<string, FigureView> {
  const viewed = <Result extends object>(kind: Kind, calculation: Calculation<Result>, member: keyof Result & string) =>
    evaluation.sheet
      .idsOf(kind, 'productId', productId)
      .map((id) => [id, shown(evaluation, calculation, id, member)] as const);
  return Object.fromEntries([
    ...viewed('billLine', lineCost, 'total'),
    ...viewed('labourStep', labourStepCost, 'cost'),
    ...viewed('otherCost', otherCost, 'perBatch'),
    ...viewed('equipmentUse', equipmentUseCost, 'perBatch'),
    ...viewed('recoveredScrap', scrapWorth, 'perBatch'),
  ]);
}
