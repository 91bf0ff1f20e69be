import { orderThresholds, perBottleneck, saleFee, saleLines, type SaleLines, setPrice } from '../selling/index.js';
import type { Evaluation } from '../sheet/index.js';
import { type FigureView, shown, shownAll } from './figure-view.js';

/** Of what a sale is looked at, in the order of the columns. */
export const SALE_SCALES = ['unit', 'order-1', 'order-2', 'order-3', 'month'] as const;
export type SaleColumn = (typeof SALE_SCALES)[number];

/** How a line stands in the sum: the start, added, taken off, or what is left so far. */
export type SaleLineRole = 'start' | 'plus' | 'minus' | 'total';

export interface SaleLine {
  readonly id: keyof SaleLines | `fee-${string}`;
  /** The name of a fee; null where the line is named by its id. */
  readonly name: string | null;
  readonly role: SaleLineRole;
  readonly figures: Readonly<Record<SaleColumn, FigureView | null>>;
}

/** What is left of a sale, line by line, for a unit, for orders of one to three, and for the planned month. */
export interface SaleLeftView {
  readonly lines: readonly SaleLine[];
  readonly margin: FigureView;
  readonly markup: FigureView;
  readonly thresholds: Readonly<
    Record<'perOrder' | 'contributionShare' | 'smallestOrder' | 'advertisingBreakEven', FigureView>
  >;
  /** Contribution for each paid hour, the owner's own time left out. */
  readonly perPaidHour: FigureView;
}

const BEFORE_FEES: readonly (readonly [keyof SaleLines, SaleLineRole])[] = [
  ['listPrice', 'start'],
  ['discount', 'minus'],
  ['coupon', 'minus'],
  ['tax', 'minus'],
  ['beforeTax', 'total'],
  ['postageCharged', 'plus'],
  ['refunds', 'minus'],
  ['netRevenue', 'total'],
];
const AFTER_FEES: readonly (readonly [keyof SaleLines, SaleLineRole])[] = [
  ['packing', 'minus'],
  ['postagePaid', 'minus'],
  ['returnsCost', 'minus'],
  ['afterFees', 'total'],
  ['materials', 'minus'],
  ['labour', 'minus'],
  ['other', 'minus'],
  ['equipment', 'minus'],
  ['otherVariable', 'minus'],
  ['asNew', 'plus'],
  ['contribution', 'total'],
  ['fixed', 'minus'],
  ['periodFees', 'minus'],
  ['profit', 'total'],
];

export function saleLeftView(evaluation: Evaluation, pointId: string): SaleLeftView {
  const at = (scale: SaleColumn) => `${pointId}@${scale}`;
  const line = ([id, role]: readonly [keyof SaleLines, SaleLineRole]): SaleLine => ({
    ...{ id, role, name: null },
    figures: byScale((scale) =>
      evaluation.read(saleLines, at(scale))[id] === null ? null : shown(evaluation, saleLines, at(scale), id),
    ),
  });
  const { taken } = evaluation.read(setPrice, pointId);
  const fees = taken.map(({ terms }): SaleLine => ({
    ...{ id: `fee-${terms.id}`, role: 'minus', name: terms.name },
    figures: byScale((scale) => shown(evaluation, saleFee, `${at(scale)}@${terms.id}`, 'amount')),
  }));
  const isThere = ({ figures }: SaleLine) => Object.values(figures).some((figure) => figure !== null);
  return {
    lines: [...BEFORE_FEES.map(line), ...fees, ...AFTER_FEES.map(line)].filter(isThere),
    ...shownAll(evaluation, saleLines, at('unit'), ['margin', 'markup']),
    thresholds: shownAll(evaluation, orderThresholds, pointId, [
      'perOrder',
      'contributionShare',
      'smallestOrder',
      'advertisingBreakEven',
    ]),
    perPaidHour: shown(evaluation, perBottleneck, `${pointId}@paid`, 'contribution'),
  };
}

const byScale = <T>(of: (scale: SaleColumn) => T): Readonly<Record<SaleColumn, T>> => ({
  unit: of('unit'),
  'order-1': of('order-1'),
  'order-2': of('order-2'),
  'order-3': of('order-3'),
  month: of('month'),
});

/** What a sale leaves for each hour of a bottleneck; the id is "point@equipment.id" or "point@labourGrade.id". */
export const bottleneckView = (evaluation: Evaluation, id: string) =>
  shownAll(evaluation, perBottleneck, id, ['hours', 'contribution']);
