import type { RowOf } from '@nuvar/book';
import { fullCost } from '../costing/index.js';
import { gapSentence, isPartial } from '../figure/index.js';
import { type Decimal, HUNDRED, ZERO } from '../number/index.js';
import { coverage, periodCosts } from '../planning/index.js';
import { plannedAt } from '../production/index.js';
import { pricePoint, priceRatios, salesPerMonth, setPrice } from '../selling/index.js';
import { asked, type AskedFigure, type Evaluation, WHOLE_BOOK } from '../sheet/index.js';

/** What is compared of each price between sides. */
export const MEASURES = [
  'contribution per month',
  'price',
  'full cost',
  'contribution',
  'profit',
  'margin',
  'units per month',
] as const;
export type Measure = (typeof MEASURES)[number];

/** What is compared of the month. */
export const MONTH_LINES = ['contribution', 'fixed costs', 'result', 'covered'] as const;
export type MonthLine = (typeof MONTH_LINES)[number];

/** Whether more of something is good, bad, or neither by itself. */
type Sense = 1 | -1 | 0;
const SENSES: Readonly<Record<Measure | `month ${MonthLine}`, Sense>> = {
  'contribution per month': 1,
  price: 0,
  'full cost': -1,
  contribution: 1,
  profit: 1,
  margin: 1,
  'units per month': 0,
  'month contribution': 1,
  'month fixed costs': -1,
  'month result': 1,
  'month covered': 1,
};

/** Read on profit: units, hours and prices by themselves are neither. */
export type Verdict = 'favourable' | 'adverse' | 'neither';

/** One figure of one side, beside that of the first. Amounts are exact decimal texts. */
export interface SideCell {
  /** The key of the figure on its side; empty where the price is not there. */
  readonly key: string;
  readonly amount: string | null;
  /** Why there is none, in a sentence. */
  readonly gap: string;
  /** Against the first side; null where one of the two is not known. */
  readonly difference: string | null;
  /** Of the first side's amount; null for ratios, and where that is zero. */
  readonly percent: string | null;
  readonly verdict: Verdict | null;
}

export interface SideRow {
  readonly pricePointId: string;
  readonly product: string;
  readonly channel: string;
  readonly unit: string;
  readonly cells: readonly SideCell[];
}

export interface MonthRow {
  readonly line: MonthLine;
  readonly unit: string;
  readonly cells: readonly SideCell[];
}

/** Sides beside each other. */
export interface Sides {
  readonly month: readonly MonthRow[];
  /** Those first whose measure moves most between the sides; rows of a ratio move in points. */
  readonly rows: readonly SideRow[];
}

/**
 * One measure of every price, and the lines of the month, on each side against the first. Ratios differ in percentage
 * points. Of a cost, more is adverse; of contribution, profit, margin and result, less is; units and prices are neither.
 */
export function compareSides(sides: readonly Evaluation[], measure: Measure): Sides {
  const month = MONTH_LINES.map((line): MonthRow => {
    const figures = sides.map((side) => monthFigure(side, line));
    return { line, unit: unitOf(figures), cells: cellsOf(figures, SENSES[`month ${line}`], line === 'covered') };
  });
  const points = new Map(
    sides.flatMap(({ sheet }) =>
      sheet
        .all('pricePoint')
        .filter(({ productId }) => sheet.row('product', productId)?.archived === false)
        .map((point) => [point.id, namesOf(sheet, point)] as const),
    ),
  );
  const rows = [...points].map(([id, names]) => {
    const figures = sides.map((side) =>
      side.sheet.row('pricePoint', id) === undefined ? null : measured(side, measure, id),
    );
    return {
      pricePointId: id,
      ...names,
      unit: unitOf(figures),
      cells: cellsOf(figures, SENSES[measure], measure === 'margin'),
    };
  });
  const moves = new Map<object, Decimal>(rows.map((row) => [row, movesOf(row)]));
  const moveOf = (row: object) => moves.get(row) ?? ZERO;
  return { month, rows: rows.sort((one, other) => moveOf(other).cmp(moveOf(one))) };
}

const namesOf = (sheet: Evaluation['sheet'], point: { readonly productId: string; readonly channelId: string }) => ({
  product: sheet.row('product', point.productId)?.name ?? '',
  channel: sheet.row('channel', point.channelId)?.name ?? '',
});

function monthFigure(evaluation: Evaluation, line: MonthLine): AskedFigure {
  if (line === 'fixed costs') return asked(evaluation, periodCosts, WHOLE_BOOK, 'total');
  const member = { contribution: 'contributionPerMonth', result: 'resultPerMonth', covered: 'covered' } as const;
  return asked(evaluation, coverage, WHOLE_BOOK, member[line]);
}

function measured(evaluation: Evaluation, measure: Measure, id: string): AskedFigure {
  const point = evaluation.sheet.row('pricePoint', id) as RowOf<'pricePoint'>;
  switch (measure) {
    case 'contribution per month':
      return asked(evaluation, salesPerMonth, id, 'contributionPerMonth');
    case 'price':
      return asked(evaluation, setPrice, id, 'price');
    case 'full cost':
      return asked(evaluation, fullCost, point.productId, 'fullCost');
    case 'contribution':
    case 'profit':
      return asked(evaluation, pricePoint, id, measure);
    case 'margin':
      return asked(evaluation, priceRatios, id, 'margin');
    case 'units per month':
      return { figure: plannedAt(evaluation.sheet, point), key: '' };
  }
}

const unitOf = (asked: readonly (AskedFigure | null)[]) => asked.find((each) => each !== null)?.figure.unit.text ?? '';

function cellsOf(all: readonly (AskedFigure | null)[], sense: Sense, isRatio: boolean): SideCell[] {
  const first = all[0]?.figure.amount ?? null;
  return all.map((each, index): SideCell => {
    if (each === null) return { ...NOT_COMPARED, key: '', amount: null, gap: NOT_THERE };
    const { figure, key } = each;
    const own = { key, amount: figure.amount?.toFixed() ?? null, gap: figure.gaps.map(gapSentence).join('; ') };
    // An amount that counts only a part is not compared with one that counts all.
    const isComparable = all[0] != null && isPartial(figure) === isPartial(all[0].figure);
    if (index === 0 || !isComparable || figure.amount === null || first === null) return { ...own, ...NOT_COMPARED };
    const difference = figure.amount.minus(first);
    const percent = isRatio || first.isZero() ? null : shareOf(difference, first);
    return { ...own, difference: difference.toFixed(), percent, verdict: verdictOf(difference, sense) };
  });
}

const NOT_THERE = 'not on this side';
const NOT_COMPARED = { difference: null, percent: null, verdict: null };

const shareOf = (difference: Decimal, first: Decimal) =>
  difference.div(first.abs()).mul(HUNDRED).toDecimalPlaces(12).toFixed();

function verdictOf(difference: Decimal, sense: Sense): Verdict {
  if (difference.isZero() || sense === 0) return 'neither';
  return difference.isPositive() === (sense === 1) ? 'favourable' : 'adverse';
}

/** How far a row moves at most. A row that is on one side only comes before all others. */
function movesOf({ cells }: Pick<SideRow, 'cells'>): Decimal {
  const isOnOneSide = cells.some(({ gap }) => gap === NOT_THERE);
  const moves = cells.map(({ difference }) => (difference === null ? ZERO : ZERO.plus(difference).abs()));
  const most = moves.reduce((largest, each) => (each.gt(largest) ? each : largest), ZERO);
  return isOnOneSide ? most.plus('1e30') : most;
}
