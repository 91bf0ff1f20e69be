import type { Evaluation } from '../evaluate/evaluation.js';
import { materialPrice, priceInUnits, productsUsing } from '../purchasing/index.js';
import { figureView, type FigureView } from './figure-view.js';

export interface MaterialView {
  readonly perBaseUnit: FigureView;
  /** The same price in the other units that fit, by the code of the unit. */
  readonly perOtherUnit: Readonly<Record<string, FigureView>>;
  readonly usedIn: readonly { readonly id: string; readonly name: string }[];
}

/** All that the screen of a material shows of it. */
export function materialView(evaluation: Evaluation, materialId: string): MaterialView {
  return {
    perBaseUnit: figureView(evaluation.read(materialPrice, materialId).perBaseUnit),
    perOtherUnit: Object.fromEntries(
      Object.entries(evaluation.read(priceInUnits, materialId)).map(([unit, figure]) => [unit, figureView(figure)]),
    ),
    usedIn: productsUsing(evaluation.sheet, materialId).map(({ id, name }) => ({ id, name })),
  };
}
