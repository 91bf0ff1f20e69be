import { fullCost } from '../../costing/index.js';
import type { Figure } from '../../figure/index.js';
import { compared, type Decimal, ZERO } from '../../number/index.js';
import { openDays, overhead } from '../../overhead/index.js';
import { coverage, periodCosts } from '../../planning/index.js';
import { pricePoint, salesPerMonth, setPrice } from '../../selling/index.js';
import { type Evaluation, WHOLE_BOOK } from '../../sheet/index.js';
import { type FigureView, shown, shownAll } from './figure-view.js';

/** A product that is sold, as the overview lists it. Its figures are those of its price point. */
export interface OverviewProduct {
  readonly id: string;
  readonly name: string;
  readonly channel: string;
  readonly pricePointId: string;
  /** True where it is known what it leaves in a month. */
  readonly isKnown: boolean;
}

export interface OverviewView {
  /** Those first that leave most in a month; those of which that is not known yet last. */
  readonly products: readonly OverviewProduct[];
  /** The largest price before tax or cost of them all: the common scale of their strips. */
  readonly scale: string;
  readonly runningCosts: FigureView;
  /** Fees by the month, the day and the listing of the channels in use; null where there are none. */
  readonly channelFees: FigureView | null;
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
  const sold = sheet
    .all('pricePoint')
    .filter((point) => !sheet.row('product', point.productId)?.archived)
    .map((point) => ({
      point,
      set: evaluation.read(setPrice, point.id),
      perMonth: evaluation.read(salesPerMonth, point.id),
    }));
  const earned = ({ perMonth }: (typeof sold)[number]) => perMonth.contributionPerMonth.amount;
  const mostFirst = [...sold].sort((one, other) => {
    const [left, right] = [earned(one), earned(other)];
    if (left === null || right === null) return Number(left === null) - Number(right === null);
    return compared(right, left);
  });
  const { channelFees: fees } = evaluation.read(periodCosts, WHOLE_BOOK);
  const widths = sold.flatMap(({ point, set }) => [
    set.beforeTax.amount,
    costAndFees(evaluation, point.productId, evaluation.read(pricePoint, point.id).sellingCost),
  ]);
  return {
    products: mostFirst.map(({ point, perMonth }) => ({
      id: point.productId,
      name: sheet.row('product', point.productId)?.name ?? '',
      channel: sheet.row('channel', point.channelId)?.name ?? '',
      pricePointId: point.id,
      isKnown: perMonth.contributionPerMonth.amount !== null,
    })),
    scale: widths
      .reduce((most: Decimal, each) => (each !== null && compared(each, most) > 0 ? each : most), ZERO)
      .toFixed(),
    runningCosts: shown(evaluation, overhead, WHOLE_BOOK, 'total'),
    channelFees: fees.parts.length === 0 ? null : shown(evaluation, periodCosts, WHOLE_BOOK, 'channelFees'),
    perOpenDay: shown(evaluation, periodCosts, WHOLE_BOOK, 'perOpenDay'),
    openDays: shown(evaluation, openDays, WHOLE_BOOK, 'perMonth'),
    ...shownAll(evaluation, coverage, WHOLE_BOOK, [
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
