import type { Evaluation } from '../evaluate/evaluation.js';
import { coverage } from '../planning/index.js';
import type { Figure } from '../figure/index.js';
import { ZERO, type Decimal } from '../number/index.js';
import { fullCost, openDays, overhead } from '../overhead/index.js';
import { pricePoint } from '../selling/index.js';
import { figureView, figureViews, type FigureView } from './figure-view.js';

/** A product that is sold, as the overview lists it. Its figures are those of its price point. */
export interface OverviewProduct {
  readonly id: string;
  readonly name: string;
  readonly pricePointId: string;
}

export interface OverviewView {
  /** Those first that leave most in a month; those of which that is not known yet last. */
  readonly products: readonly OverviewProduct[];
  /** The largest price before tax or cost of them all: the common scale of their strips. */
  readonly scale: string;
  readonly runningCosts: FigureView;
  readonly perOpenDay: FigureView;
  readonly openDays: FigureView;
  readonly contributionPerMonth: FigureView;
  readonly contributionPerOpenDay: FigureView;
  readonly resultPerMonth: FigureView;
  readonly covered: FigureView;
}

/** What an owner wants to see on opening the book: which products earn, and how much of the open day is covered. */
export function overviewView(evaluation: Evaluation): OverviewView {
  const { sheet } = evaluation;
  const costs = evaluation.read(overhead);
  const sold = sheet
    .all('pricePoint')
    .filter((point) => !sheet.row('product', point.productId)?.archived)
    .map((point) => ({ point, sale: evaluation.read(pricePoint, point.id) }));
  const earned = ({ sale }: (typeof sold)[number]) => sale.contributionPerMonth.amount;
  const mostFirst = [...sold].sort((one, other) => {
    const [left, right] = [earned(one), earned(other)];
    if (left === null || right === null) return Number(left === null) - Number(right === null);
    return right.comparedTo(left);
  });
  const widths = sold.flatMap(({ point, sale }) => [
    sale.beforeTax.amount,
    costAndFees(evaluation, point.productId, sale.fees),
  ]);
  return {
    products: mostFirst.map(({ point }) => ({
      id: point.productId,
      name: sheet.row('product', point.productId)?.name ?? '',
      pricePointId: point.id,
    })),
    scale: widths.reduce((most: Decimal, each) => (each?.gt(most) ? each : most), ZERO).toFixed(),
    runningCosts: figureView(costs.total),
    perOpenDay: figureView(costs.perOpenDay),
    openDays: figureView(evaluation.read(openDays).perMonth),
    ...figureViews(evaluation.read(coverage), [
      'contributionPerMonth',
      'contributionPerOpenDay',
      'resultPerMonth',
      'covered',
    ]),
  };
}

function costAndFees(evaluation: Evaluation, productId: string, fees: Figure): Decimal | null {
  return evaluation.read(fullCost, productId).fullCost.amount?.plus(fees.amount ?? 0) ?? null;
}
