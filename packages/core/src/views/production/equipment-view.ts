import { loadCost } from '../../production/index.js';
import type { Evaluation } from '../../sheet/index.js';
import { type FigureView, shownAll } from '../general/figure-view.js';

export interface LoadView extends Readonly<Record<'perRun' | 'perPlace' | 'idlePerRun', FigureView>> {
  readonly usedIn: readonly { readonly id: string; readonly name: string }[];
}

/** A shared run: what it costs, a place in it, what is idle, and who shares it. */
export function loadView(evaluation: Evaluation, runId: string): LoadView {
  const { sheet } = evaluation;
  const products = new Set(sheet.rowsOf('equipmentUse', 'runId', runId).map((use) => use.productId));
  return {
    ...shownAll(evaluation, loadCost, runId, ['perRun', 'perPlace', 'idlePerRun']),
    usedIn: [...products].map((id) => ({ id, name: sheet.row('product', id)?.name ?? '' })),
  };
}
