import type { RowOf } from '@nuvar/book';
import type { Figure } from '../../figure/index.js';
import { type Decimal, isPositive, ZERO } from '../../number/index.js';
import {
  isInPeriods,
  madeOf,
  mixProductTerms,
  type MixProductTerms,
  nameInMix,
  outputInMix,
  productsOfMix,
  setUpHead,
} from '../../planning/index.js';
import type { Evaluation, Sheet } from '../../sheet/index.js';
import { type FigureView, shown, shownAll } from '../general/figure-view.js';
import { isBeyond } from './mix-measures.js';

/** A line of a mix plan: its terms, and what is tried of it. */
export interface MixProductView {
  readonly id: string;
  readonly name: string;
  readonly unit: string;
  readonly quantity: string;
  readonly contribution: FigureView;
  readonly revenue: FigureView;
  readonly variableCost: FigureView;
  readonly setUpCost: FigureView | null;
  readonly least: FigureView;
  readonly most: FigureView | null;
  readonly lot: FigureView | null;
  readonly step: FigureView | null;
  /** Of what all lines of the product together are a multiple; null where that does not matter. */
  readonly batch: FigureView | null;
  readonly planned: FigureView | null;
  /** True where it breaks a limit of its own. */
  readonly isBroken: boolean;
}

/** The lines of a mix plan by the quantities tried by hand. */
export function productsOf(evaluation: Evaluation, planId: string): MixProductView[] {
  const { sheet } = evaluation;
  const rows = productsOfMix(sheet, planId);
  const made = madeByProduct(sheet, planId);
  const isOfPeriods = isInPeriods(sheet, planId);
  return rows.map((row, index) => {
    const terms = evaluation.read(mixProductTerms, row.id);
    const { own, together } = made[index] as (typeof made)[number];
    return {
      ...termsView(evaluation, row.id, terms),
      quantity: row.quantity,
      isBroken: breaksOwnLimit(isOfPeriods ? { ...terms, lot: null, batch: null } : terms, own, together),
    };
  });
}

type TermsView = Omit<MixProductView, 'quantity' | 'isBroken'>;

const TERMS_VIEWS = new WeakMap<MixProductTerms, TermsView>();

/** What a plan knows of one of its products, whatever is tried of it. It is the same object as long as its terms are. */
function termsView(evaluation: Evaluation, id: string, terms: MixProductTerms): TermsView {
  const known = TERMS_VIEWS.get(terms);
  if (known !== undefined) return known;
  const { sheet } = evaluation;
  const row = sheet.row('mixProduct', id) as RowOf<'mixProduct'>;
  const figure = (member: 'setUpCost' | 'most' | 'lot' | 'step' | 'batch' | 'planned') =>
    terms[member] === null ? null : shown(evaluation, mixProductTerms, id, member);
  const view: TermsView = {
    id,
    name: nameInMix(sheet, row),
    unit: outputInMix(sheet, row).text,
    ...shownAll(evaluation, mixProductTerms, id, ['contribution', 'revenue', 'variableCost', 'least']),
    setUpCost: figure('setUpCost'),
    most: figure('most'),
    lot: figure('lot'),
    step: figure('step'),
    batch: figure('batch'),
    planned: figure('planned'),
  };
  TERMS_VIEWS.set(terms, view);
  return view;
}

/** By line: what is tried of it - of several periods what is sold in all of them -, and of its product in all its lines. */
function madeByProduct(sheet: Sheet, planId: string): { readonly own: Decimal; readonly together: Decimal }[] {
  const heads = productsOfMix(sheet, planId).map((row) => setUpHead(sheet, row));
  const own = madeOf(sheet, planId, null).quantities.map(({ amount }) => amount ?? ZERO);
  const together = new Map<string, Decimal>();
  heads.forEach((head, index) => {
    together.set(head, (together.get(head) ?? ZERO).plus(own[index] ?? ZERO));
  });
  return heads.map((head, index) => ({ own: own[index] ?? ZERO, together: together.get(head) ?? ZERO }));
}

/** True where so much is whole batches, but for noise. */
function isWholePart(amount: Decimal, batch: Decimal): boolean {
  const parts = amount.div(batch);
  return !isBeyond(parts.minus(parts.round()).abs(), null);
}

/** The minimum lot, and batches, are those of all lines of a product together. */
function breaksOwnLimit({ least, most, lot, batch }: MixProductTerms, made: Decimal, together: Decimal): boolean {
  const isUnder = (limit: Figure | null, quantity: Decimal) =>
    limit !== null && limit.amount !== null && isBeyond(limit.amount.minus(quantity), limit.amount);
  const isOver = most !== null && most.amount !== null && isBeyond(made.minus(most.amount), most.amount);
  const isSplit = batch !== null && batch.amount !== null && !isWholePart(together, batch.amount);
  return isUnder(least, made) || isOver || isSplit || (isPositive(together) && isUnder(lot, together));
}
