import type { Evaluation } from '../evaluate/evaluation.js';
import { coverage } from '../planning/index.js';
import { openDays, overhead } from '../overhead/index.js';
import { pricePoint } from '../selling/index.js';
import { figureView, figureViews, type FigureView } from './figure-view.js';
import { stripView, type StripView } from './strip-view.js';

/** A product that is sold, as the overview shows it. */
export interface OverviewProduct {
  readonly id: string;
  readonly name: string;
  readonly strip: StripView;
  readonly margin: FigureView;
  readonly contributionPerMonth: FigureView;
}

export interface OverviewView {
  readonly products: readonly OverviewProduct[];
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
  const points = sheet.all('pricePoint');
  const costs = evaluation.read(overhead);
  return {
    products: points.map((point) => {
      const sale = evaluation.read(pricePoint, point.id);
      return {
        id: point.productId,
        name: sheet.row('product', point.productId)?.name ?? '',
        strip: stripView(evaluation, point.productId, point.id),
        margin: figureView(sale.margin),
        contributionPerMonth: figureView(sale.contributionPerMonth),
      };
    }),
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
