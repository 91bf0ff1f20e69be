import { fullCost, overheadPerMonth } from '../../costing/index.js';
import {
  lotUse,
  methodOf,
  methodOfTheBook,
  openDays,
  overhead,
  overheadLot,
  runningCost,
  sharedOut,
  unassignedCost,
} from '../../overhead/index.js';
import { labourHours } from '../../production/index.js';
import { type Evaluation, WHOLE_BOOK } from '../../sheet/index.js';
import { type FigureView, shown, shownAll } from '../general/figure-view.js';

/** Overhead that is charged at one rate, and how much of it the plan takes up. */
export interface LotView extends Readonly<
  Record<'cost' | 'basis' | 'rate' | 'used' | 'assigned' | 'unused', FigureView>
> {
  readonly id: string;
  readonly label: string;
  readonly isProduction: boolean;
  readonly isVariable: boolean;
  /** What it is shared over, in words. */
  readonly basisNote: string;
}

/** Overhead that no product is charged with, and why. */
export interface UnassignedView {
  readonly id: string;
  readonly label: string;
  readonly why: string;
  readonly cost: FigureView;
}

export interface OverheadView extends Readonly<
  Record<'total' | 'variable' | 'fixed' | 'perOpenDay' | 'plannedHours' | 'sharedOut' | 'notSharedOut', FigureView>
> {
  readonly openDays: FigureView;
  /** The method of the book. */
  readonly method: string;
  readonly lots: readonly LotView[];
  readonly unassigned: readonly UnassignedView[];
  readonly costs: Readonly<Record<string, { readonly perMonth: FigureView; readonly perOpenDay: FigureView }>>;
  readonly products: readonly {
    readonly id: string;
    readonly name: string;
    readonly hours: FigureView;
    readonly perUnit: FigureView;
    readonly perMonth: FigureView;
  }[];
}

/** The running costs, how they are shared out by the method of the book, and what falls on each product. */
export function overheadView(evaluation: Evaluation): OverheadView {
  const { sheet } = evaluation;
  const methodId = methodOfTheBook(sheet);
  return {
    ...shownAll(evaluation, overhead, WHOLE_BOOK, [
      'total',
      'variable',
      'fixed',
      'perOpenDay',
      'plannedHours',
      'sharedOut',
      'notSharedOut',
    ]),
    openDays: shown(evaluation, openDays, WHOLE_BOOK, 'perMonth'),
    method: methodOf(sheet, methodId).name,
    lots: lotViews(evaluation, methodId),
    unassigned: unassignedViews(evaluation, methodId),
    costs: Object.fromEntries(
      sheet
        .all('runningCost')
        .map((row) => [row.id, shownAll(evaluation, runningCost, row.id, ['perMonth', 'perOpenDay'])]),
    ),
    products: sheet
      .all('product')
      .filter(({ archived, quoted }) => !archived && !quoted)
      .map((row) => ({
        id: row.id,
        name: row.name,
        hours: shown(evaluation, labourHours, row.id, 'perUnit'),
        perUnit: shown(evaluation, fullCost, row.id, 'overhead'),
        perMonth: shown(evaluation, overheadPerMonth, row.id, 'carried'),
      })),
  };
}

/** What a method shares out, rate by rate. */
export function lotViews(evaluation: Evaluation, methodId: string): LotView[] {
  return evaluation.read(sharedOut, methodId).lots.map(({ id, label, use, isVariable, basis }) => ({
    id,
    label,
    isProduction: use === 'production',
    isVariable,
    basisNote: basis.note,
    ...shownAll(evaluation, overheadLot, `${methodId}@${id}`, ['cost', 'basis', 'rate']),
    ...shownAll(evaluation, lotUse, `${methodId}@${id}`, ['used', 'assigned', 'unused']),
  }));
}

/** What a method shares out over no product. */
export function unassignedViews(evaluation: Evaluation, methodId: string): UnassignedView[] {
  return evaluation.read(sharedOut, methodId).unassigned.map(({ id, label, why }) => ({
    id,
    label,
    why,
    cost: shown(evaluation, unassignedCost, `${methodId}@${id}`, 'cost'),
  }));
}
