import { fullCost } from '../../costing/index.js';
import { productCost } from '../../production/index.js';
import { channelUnitCost, pricePoint, setPrice } from '../../selling/index.js';
import type { Calculation, Evaluation } from '../../sheet/index.js';
import { type FigureView, shown } from '../general/figure-view.js';

/** The parts of a price in the fixed order of the price strip; fees and profit only where there is a price. */
export interface StripView {
  readonly price: FigureView | null;
  readonly parts: readonly { readonly part: StripPart; readonly figure: FigureView }[];
  readonly profit: FigureView | null;
  readonly contribution: FigureView | null;
}

export const STRIP_PARTS = ['materials', 'labour', 'other', 'equipment', 'overhead', 'fees'] as const;
export type StripPart = (typeof STRIP_PARTS)[number];

/** What a price before tax is made of: direct materials, labour, other costs, equipment, running costs, fees, and what is left. */
export function stripView(evaluation: Evaluation, productId: string, pricePointId: string | null): StripView {
  const ofPrice = <Result extends object>(calculation: Calculation<Result>, member: keyof Result & string) =>
    pricePointId === null ? null : shown(evaluation, calculation, pricePointId, member);
  const point = pricePointId === null ? undefined : evaluation.sheet.row('pricePoint', pricePointId);
  const figures: Readonly<Record<StripPart, FigureView | null>> = {
    materials: shown(evaluation, productCost, productId, 'directMaterials'),
    labour: shown(evaluation, productCost, productId, 'labour'),
    other: shown(evaluation, productCost, productId, 'other'),
    equipment: shown(evaluation, productCost, productId, 'equipment'),
    overhead:
      point === undefined
        ? shown(evaluation, fullCost, productId, 'overhead')
        : shown(evaluation, channelUnitCost, `${productId}@${point.channelId}`, 'overhead'),
    fees: ofPrice(pricePoint, 'sellingAndPeriodCost'),
  };
  return {
    price: ofPrice(setPrice, 'beforeTax'),
    parts: STRIP_PARTS.flatMap((part) => {
      const figure = figures[part];
      return figure === null ? [] : [{ part, figure }];
    }),
    profit: ofPrice(pricePoint, 'profit'),
    contribution: ofPrice(pricePoint, 'contribution'),
  };
}

/** The strip of a price; null where the price is gone. */
export function priceStripView(evaluation: Evaluation, pricePointId: string): StripView | null {
  const point = evaluation.sheet.row('pricePoint', pricePointId);
  return point === undefined ? null : stripView(evaluation, point.productId, pricePointId);
}
