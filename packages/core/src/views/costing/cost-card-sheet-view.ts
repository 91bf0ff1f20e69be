import { fullCostBy } from '../../costing/index.js';
import { type Figure, gapSentence } from '../../figure/index.js';
import { methodOf, overheadLot, productOverheadBy, sharedOut } from '../../overhead/index.js';
import { ELEMENT_LABELS, ELEMENTS, plannedSales, productCost } from '../../production/index.js';
import type { Evaluation } from '../../sheet/index.js';
import { methodIds } from '../overhead/methods-view.js';
import { numberedGroups, type NumberedWorkings } from '../general/numbered-workings.js';

/** A line of a cost card as a document shows it; amounts as exact decimals, null where they are not known. */
export interface SheetCardLine {
  readonly label: string;
  readonly isTotal: boolean;
  /** One for each method. */
  readonly amounts: readonly (string | null)[];
}

export interface SheetCard {
  readonly product: string;
  readonly unit: string;
  readonly lines: readonly SheetCardLine[];
  /** What still lacks, in sentences. */
  readonly missing: readonly string[];
}

/** What a method shares out, and what it leaves. */
export interface SheetMethod {
  readonly name: string;
  readonly rates: readonly {
    readonly label: string;
    readonly cost: string | null;
    readonly basis: string | null;
    readonly basisUnit: string;
    readonly rate: string | null;
    readonly note: string;
  }[];
  readonly notSharedOut: readonly { readonly label: string; readonly cost: string | null; readonly why: string }[];
}

/** Cost cards of products by methods, with their workings, as plain data: what documents are written from. */
export interface CostCardSheetView {
  readonly book: string;
  readonly currency: string;
  readonly locale: string;
  readonly asOf: string;
  readonly methods: readonly SheetMethod[];
  readonly cards: readonly SheetCard[];
  readonly workings: NumberedWorkings;
}

/**
 * The cost cards of products; the id is "product,product@method,method". In place of products "*" stands for all that are
 * planned, in place of methods nothing for those of the book. Null where it names no product.
 */
export function costCardSheetView(evaluation: Evaluation, id: string): CostCardSheetView | null {
  const { sheet } = evaluation;
  const [named = '', methods = ''] = id.split('@');
  const ids = methodIds(evaluation, methods);
  const products = productsNamed(evaluation, named);
  if (products.length === 0) return null;
  const { currency, locale, name: book } = sheet.settings();
  const rates = ids.map((methodId) => ({
    heading: `Workings of the rates: ${methodOf(sheet, methodId).name}`,
    figures: evaluation
      .read(sharedOut, methodId)
      .lots.map((lot) => evaluation.read(overheadLot, `${methodId}@${lot.id}`).rate),
  }));
  const costs = products.map((productId) => ({
    heading: `Workings of the cost: ${sheet.row('product', productId)?.name ?? ''}`,
    figures: ids.map((methodId) => evaluation.read(fullCostBy, `${productId}@${methodId}`).fullCost),
  }));
  return {
    book,
    currency,
    locale,
    asOf: sheet.asOf,
    methods: ids.map((methodId) => methodOn(evaluation, methodId)),
    cards: products.map((productId) => cardOf(evaluation, productId, ids)),
    workings: numberedGroups([...rates, ...costs]),
  };
}

function productsNamed({ sheet }: Evaluation, named: string): string[] {
  const all = sheet.all('product').filter(({ archived }) => !archived);
  if (named === '*') return all.filter(({ id }) => plannedSales(sheet, id).length > 0).map(({ id }) => id);
  const wanted = new Set(named.split(','));
  return all.filter(({ id }) => wanted.has(id)).map(({ id }) => id);
}

const text = (figure: Figure | undefined): string | null => figure?.amount?.toFixed() ?? null;

function methodOn(evaluation: Evaluation, methodId: string): SheetMethod {
  const { lots, unassigned } = evaluation.read(sharedOut, methodId);
  return {
    name: methodOf(evaluation.sheet, methodId).name,
    rates: lots.map(({ label, cost, basis, rate }) => ({
      label,
      note: basis.note,
      basisUnit: basis.unit.text,
      cost: text(cost),
      basis: text(basis),
      rate: text(rate),
    })),
    notSharedOut: unassigned.map(({ label, cost, why }) => ({ label, why, cost: text(cost) })),
  };
}

function cardOf(evaluation: Evaluation, productId: string, methodIds: readonly string[]): SheetCard {
  const product = evaluation.sheet.row('product', productId);
  const cost = evaluation.read(productCost, productId);
  const same = (label: string, figure: Figure, isTotal = false): SheetCardLine => ({
    label,
    isTotal,
    amounts: methodIds.map(() => text(figure)),
  });
  const overheads = methodIds.map((methodId) => evaluation.read(productOverheadBy, `${productId}@${methodId}`));
  const full = methodIds.map((methodId) => evaluation.read(fullCostBy, `${productId}@${methodId}`).fullCost);
  const each = (label: string, figures: readonly Figure[], isTotal = false): SheetCardLine => ({
    label,
    isTotal,
    amounts: figures.map(text),
  });
  const ofOverhead = [
    ['Variable running costs', 'variableProduction'],
    ['Production overhead', 'production'],
    ['Non-production overhead', 'nonProduction'],
    ['Variable selling and office costs', 'variableNonProduction'],
  ] as const;
  return {
    product: product?.name ?? '',
    unit: product?.outputUnit ?? 'each',
    lines: [
      ...ELEMENTS.filter((element) => element !== 'equipment' && cost[element].parts.length > 0).map((element) =>
        same(ELEMENT_LABELS[element], cost[element]),
      ),
      same('Prime cost', cost.primeCost, true),
      ...(cost.equipment.parts.length > 0 ? [same(ELEMENT_LABELS.equipment, cost.equipment)] : []),
      same('Cost before overhead', cost.variableCost, true),
      ...ofOverhead
        .filter(([, member]) => overheads.some((overhead) => overhead[member].parts.length > 0))
        .map(([label, member]) =>
          each(
            label,
            overheads.map((overhead) => overhead[member]),
          ),
        ),
      each('Full cost', full, true),
    ],
    missing: [...new Set(full.flatMap(({ gaps }) => gaps.map(gapSentence)))],
  };
}
