import { fullCost } from '../costing/index.js';
import { productCost } from '../production/index.js';
import { pricePoint, setPrice } from '../selling/index.js';
import type { Evaluation } from '../sheet/index.js';
import { type FigureView, figureView } from './figure-view.js';

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
  const cost = evaluation.read(productCost, productId);
  const full = evaluation.read(fullCost, productId);
  const set = pricePointId === null ? null : evaluation.read(setPrice, pricePointId);
  const sale = pricePointId === null ? null : evaluation.read(pricePoint, pricePointId);
  const figures = {
    materials: cost.directMaterials,
    labour: cost.labour,
    other: cost.other,
    equipment: cost.equipment,
    overhead: full.overhead,
    fees: set?.fees,
  };
  return {
    price: set === null ? null : figureView(set.beforeTax),
    parts: STRIP_PARTS.flatMap((part) => {
      const figure = figures[part];
      return figure === undefined ? [] : [{ part, figure: figureView(figure) }];
    }),
    profit: sale === null ? null : figureView(sale.profit),
    contribution: sale === null ? null : figureView(sale.contribution),
  };
}
