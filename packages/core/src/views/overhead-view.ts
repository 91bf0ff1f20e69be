import { fullCost, overheadPerMonth } from '../costing/index.js';
import { openDays, overhead, runningCost } from '../overhead/index.js';
import { labourHours } from '../production/index.js';
import { type Evaluation, WHOLE_BOOK } from '../sheet/index.js';
import { type FigureView, shown, shownAll } from './figure-view.js';

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
    ...shownAll(evaluation, overhead, WHOLE_BOOK, [
      'total',
      'perOpenDay',
      'plannedHours',
      'basis',
      'rate',
      'sharedOut',
      'notSharedOut',
    ]),
    openDays: shown(evaluation, openDays, WHOLE_BOOK, 'perMonth'),
    basisNote: figures.basis.note,
    costs: Object.fromEntries(
      sheet
        .all('runningCost')
        .map((row) => [row.id, shownAll(evaluation, runningCost, row.id, ['perMonth', 'perOpenDay'])]),
    ),
    products: sheet.all('product').map((row) => ({
      id: row.id,
      name: row.name,
      hours: shown(evaluation, labourHours, row.id, 'perUnit'),
      perUnit: shown(evaluation, fullCost, row.id, 'overhead'),
      perMonth: shown(evaluation, overheadPerMonth, row.id, 'carried'),
    })),
  };
}
