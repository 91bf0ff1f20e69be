import { fullCost, overheadPerMonth } from '../costing/index.js';
import { openDays, overhead, runningCost } from '../overhead/index.js';
import { labourHours } from '../production/index.js';
import type { Evaluation } from '../sheet/index.js';
import { type FigureView, figureView, figureViews } from './figure-view.js';

export interface OverheadView {
  readonly total: FigureView;
  readonly perOpenDay: FigureView;
  readonly openDays: FigureView;
  readonly plannedHours: FigureView;
  readonly basis: FigureView;
  /** Which hours the running costs are shared over, in words. */
  readonly basisNote: string;
  readonly rate: FigureView;
  readonly sharedOut: FigureView;
  readonly notSharedOut: FigureView;
  readonly costs: Readonly<Record<string, { readonly perMonth: FigureView; readonly perOpenDay: FigureView }>>;
  readonly products: readonly {
    readonly id: string;
    readonly name: string;
    readonly hours: FigureView;
    readonly perUnit: FigureView;
    readonly perMonth: FigureView;
  }[];
}

/** The running costs, the rate by which they are shared out, and what falls on each product. */
export function overheadView(evaluation: Evaluation): OverheadView {
  const { sheet } = evaluation;
  const figures = evaluation.read(overhead);
  return {
    ...figureViews(figures, ['total', 'perOpenDay', 'plannedHours', 'basis', 'rate', 'sharedOut', 'notSharedOut']),
    openDays: figureView(evaluation.read(openDays).perMonth),
    basisNote: figures.basis.note,
    costs: Object.fromEntries(
      sheet
        .all('runningCost')
        .map((row) => [row.id, figureViews(evaluation.read(runningCost, row.id), ['perMonth', 'perOpenDay'])]),
    ),
    products: sheet.all('product').map((row) => {
      const full = evaluation.read(fullCost, row.id);
      return {
        id: row.id,
        name: row.name,
        hours: figureView(evaluation.read(labourHours, row.id).perUnit),
        perUnit: figureView(full.overhead),
        perMonth: figureView(evaluation.read(overheadPerMonth, row.id).carried),
      };
    }),
  };
}
