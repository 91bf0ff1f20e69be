import { fullCost } from '../../costing/index.js';
import {
  breakEvenOfBook,
  breakEvenOfCash,
  breakEvenOfShare,
  breakEvenOfStep,
  type BreakEvenStep,
  breakEvenSteps,
  candidateSale,
} from '../../planning/index.js';
import { labourHours, productCost } from '../../production/index.js';
import {
  exactPriceOnStretch,
  priceLimits,
  pricePoint,
  priceRatios,
  salesPerMonth,
  setPrice,
  targetAnswers,
} from '../../selling/index.js';
import type { Calculation, Evaluation } from '../../sheet/index.js';
import { type FigureView, shown, shownAll } from '../general/figure-view.js';
import { stripView, type StripView } from './strip-view.js';

const SET = ['price', 'discounted', 'beforeTax', 'tax', 'paid', 'fees'] as const;
const LEFT = ['contribution', 'profit', 'sellingCost'] as const;
const RATIOS = ['margin', 'contributionMargin', 'markup'] as const;
const LIMITS = [
  'exactPrice',
  'suggested',
  'contributionFloor',
  'profitFloor',
  'suggestedDiscounted',
  'contributionFloorDiscounted',
  'profitFloorDiscounted',
] as const;
const PER_MONTH = [
  'contributionPerHour',
  'contributionPerMonth',
  'profitPerMonth',
  'undiscountedContribution',
  'unitsToEarnTheSame',
] as const;
type PriceFigure = (typeof SET | typeof LEFT | typeof RATIOS | typeof LIMITS | typeof PER_MONTH)[number];

export interface PriceView extends Readonly<Record<PriceFigure, FigureView>> {
  readonly strip: StripView;
  readonly answers: TargetAnswersView | null;
}

/** All list prices that reach a target, as decimals, and the best that can be reached where none does. */
export interface TargetAnswersView {
  readonly ranges: readonly { readonly from: string; readonly upTo: string | null; readonly exact: FigureView }[];
  readonly best: { readonly price: string; readonly result: string } | null;
}

/** All that a price screen shows of a price point. */
export function priceView(evaluation: Evaluation, pricePointId: string): PriceView {
  const productId = evaluation.sheet.row('pricePoint', pricePointId)?.productId ?? '';
  return {
    ...shownAll(evaluation, setPrice, pricePointId, SET),
    ...shownAll(evaluation, pricePoint, pricePointId, LEFT),
    ...shownAll(evaluation, priceRatios, pricePointId, RATIOS),
    ...shownAll(evaluation, priceLimits, pricePointId, LIMITS),
    ...shownAll(evaluation, salesPerMonth, pricePointId, PER_MONTH),
    strip: stripView(evaluation, productId, pricePointId),
    answers: answersView(evaluation, pricePointId),
  };
}

function answersView(evaluation: Evaluation, pricePointId: string): TargetAnswersView | null {
  const answers = targetAnswers(evaluation.sheet, pricePointId);
  if (answers === null) return null;
  const { ranges, best } = answers;
  return {
    ranges: ranges.map(({ from, upTo }, place) => ({
      from: from.toFixed(),
      upTo: upTo?.toFixed() ?? null,
      exact: shown(evaluation, exactPriceOnStretch, `${pricePointId}@${place}`, 'exact'),
    })),
    best: best && { price: best.price.toFixed(), result: best.result.toFixed() },
  };
}

/** A product as a list shows it. */
export interface ProductView {
  readonly variableCost: FigureView;
  readonly fullCost: FigureView;
  readonly hours: FigureView;
}

/** What a product costs. */
export function productView(evaluation: Evaluation, productId: string): ProductView {
  return {
    variableCost: shown(evaluation, productCost, productId, 'variableCost'),
    fullCost: shown(evaluation, fullCost, productId, 'fullCost'),
    hours: shown(evaluation, labourHours, productId, 'perUnit'),
  };
}

const BREAK_EVEN_FIGURES = [
  'fixedCost',
  'exactUnits',
  'units',
  'unitsPerOpenDay',
  'wholeUnitsPerOpenDay',
  'exactRevenue',
  'revenue',
] as const;
type BreakEvenFigures = Readonly<Record<(typeof BREAK_EVEN_FIGURES)[number], FigureView>>;

export interface CandidateView {
  readonly price: FigureView;
  readonly beforeTax: FigureView;
  readonly contribution: FigureView;
  readonly ofBook: BreakEvenFigures;
  readonly ofShare: BreakEvenFigures;
  readonly ofCash: BreakEvenFigures;
  /** Every break-even where the fixed cost of the book goes in steps; empty where nothing does. */
  readonly steps: readonly BreakEvenStepView[];
}

/** A step of the fixed cost, with its break-even and what the first unit beyond it leaves. */
export interface BreakEvenStepView {
  readonly upTo: FigureView | null;
  readonly fixedCost: FigureView;
  readonly units: FigureView;
  readonly beyond: FigureView | null;
}

const breakEvenStepView = (evaluation: Evaluation, candidateId: string, index: number): BreakEvenStepView => {
  const id = `${candidateId}@${index}`;
  const step = evaluation.read(breakEvenSteps, candidateId).steps[index];
  const figure = (member: keyof BreakEvenStep) =>
    shown(evaluation, breakEvenOfStep as Calculation<BreakEvenStep>, id, member);
  return {
    upTo: step?.upTo ? figure('upTo') : null,
    fixedCost: figure('fixedCost'),
    units: figure('units'),
    beyond: step?.beyond ? figure('beyond') : null,
  };
};

/** A candidate price, or the set price by its id, with its break-even against both fixed costs. */
export function candidateView(evaluation: Evaluation, candidateId: string): CandidateView {
  return {
    ...shownAll(evaluation, candidateSale, candidateId, ['price', 'beforeTax', 'contribution']),
    ofBook: shownAll(evaluation, breakEvenOfBook, candidateId, BREAK_EVEN_FIGURES),
    ofShare: shownAll(evaluation, breakEvenOfShare, candidateId, BREAK_EVEN_FIGURES),
    ofCash: shownAll(evaluation, breakEvenOfCash, candidateId, BREAK_EVEN_FIGURES),
    steps: evaluation
      .read(breakEvenSteps, candidateId)
      .steps.map((_step, index) => breakEvenStepView(evaluation, candidateId, index)),
  };
}
