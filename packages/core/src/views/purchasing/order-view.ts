import { decimal, ZERO } from '../../number/index.js';
import { orderOption, orderQuantities, type OrderOption } from '../../planning/index.js';
import { stockOnHand } from '../../purchasing/index.js';
import type { Calculation, Evaluation } from '../../sheet/index.js';
import { type FigureView, shown, shownAll } from '../general/figure-view.js';

const MEMBERS = [
  'quantity',
  'perBaseUnit',
  'ordersPerYear',
  'purchase',
  'ordering',
  'holding',
  'total',
  'tiedUp',
  'outlay',
] as const;

/** One quantity that could be ordered each time. */
export interface OrderOptionView extends Readonly<
  Record<
    'quantity' | 'perBaseUnit' | 'ordersPerYear' | 'purchase' | 'ordering' | 'holding' | 'total' | 'tiedUp' | 'outlay',
    FigureView
  >
> {
  readonly supplier: string;
  readonly why: string;
  /** As stored. */
  readonly packs: string;
  readonly isCheapest: boolean;
}

export interface OrderView {
  readonly need: FigureView;
  readonly options: readonly OrderOptionView[];
  /** In base units, as stored: what a new line takes; null where nothing can be compared. */
  readonly bestQuantity: string | null;
}

/** How much of a material to order each time: what a year costs at each quantity, and which one is cheapest. */
export function orderView(evaluation: Evaluation, materialId: string): OrderView {
  const { options, best } = evaluation.read(orderQuantities, materialId);
  const { sheet } = evaluation;
  const quantity = best === null ? null : options[best]?.quantity.amount;
  return {
    need: shown(evaluation, orderQuantities, materialId, 'need'),
    options: options.map(({ priceId, why, packs }, index) => ({
      supplier: sheet.row('supplier', sheet.row('supplierPrice', priceId)?.supplierId ?? '')?.name ?? '',
      why,
      packs,
      isCheapest: index === best,
      ...shownAll(evaluation, orderOption as Calculation<OrderOption>, `${materialId}@${index}`, MEMBERS),
    })),
    bestQuantity: quantity == null ? null : quantity.toDecimalPlaces(12).toFixed(),
  };
}

/** A material of which there is no more in stock than its reorder level, and how much of it to order. */
export interface ToOrderView {
  readonly materialId: string;
  readonly quantity: string;
}

/** What is to be ordered: materials at or below their reorder level, in the quantity that costs least, else up to that level. */
export function toOrderView(evaluation: Evaluation): ToOrderView[] {
  const { sheet } = evaluation;
  return sheet.all('material').flatMap((material) => {
    if (material.archived || material.reorderLevel === null) return [];
    const level = decimal(material.reorderLevel);
    const held = evaluation.read(stockOnHand, material.id).quantity?.amount ?? ZERO;
    if (held.gt(level)) return [];
    const { bestQuantity } = orderView(evaluation, material.id);
    const upToLevel = level.minus(held);
    const quantity = bestQuantity ?? (upToLevel.isZero() ? '1' : upToLevel.toDecimalPlaces(12).toFixed());
    return [{ materialId: material.id, quantity }];
  });
}
