import { plannedMaterial } from '../../production/index.js';
import type { Evaluation } from '../../sheet/index.js';
import { type FigureView, shown } from '../general/figure-view.js';

/** What the plan needs of a material in a month. */
export interface NeededMaterial {
  readonly id: string;
  readonly name: string;
  readonly perMonth: FigureView;
}

/** The materials that the plan needs, in their order. */
export function neededMaterialsView(evaluation: Evaluation): NeededMaterial[] {
  return evaluation.sheet
    .all('material')
    .filter(({ id, archived }) => !archived && evaluation.read(plannedMaterial, id).perMonth.parts.length > 0)
    .map(({ id, name }) => ({ id, name, perMonth: shown(evaluation, plannedMaterial, id, 'perMonth') }));
}
