import type { MixGoal } from '@nuvar/book';
import {
  differenceWords,
  endWords,
  type Evaluation,
  findMix,
  limitWords,
  minorDigits,
  type MixFindings,
  type MixModelView,
  mixReasons,
  type MixView,
  type MixWriting,
  moneyDigits,
  plainDecimal,
  quantitiesOfPlan,
  shortageWords,
  type ViewOf,
  VIEWS,
} from '@nuvar/core';
import { loadSolver } from '@nuvar/core/solver';
import { writtenIn } from './written.js';

/** A mix plan as it is reported: by hand and at its best, with the reasons. */
export interface MixReport {
  readonly book: string;
  readonly plan: string;
  readonly goal: MixGoal;
  readonly currency: string;
  readonly locale: string;
  readonly asOf: string;
  readonly view: MixView;
  readonly modelView: MixModelView;
  readonly best: ViewOf<'mixOutcome'> | null;
  /** By quantity of the plan, as decimals; empty where no mix was found. */
  readonly quantities: readonly string[];
  readonly sentences: readonly string[];
  readonly reasons: readonly string[];
}

let solver: ReturnType<typeof loadSolver> | null = null;

/** A mix plan with the best mix, found again for the report; null where there is no such plan. */
export async function mixReport(evaluation: Evaluation, planId: string): Promise<MixReport | null> {
  const { sheet } = evaluation;
  const plan = sheet.row('mixPlan', planId);
  if (plan === undefined) return null;
  const { name: book, currency, locale } = sheet.settings();
  const view = VIEWS.mix(evaluation, planId);
  const highs = await (solver ??= loadSolver());
  const modelView = VIEWS.mixModel(evaluation, planId);
  const { model } = modelView;
  const tried = model.products.map(({ place }) => Number(view.slots[place]?.quantity ?? 0));
  const findings = [...findMix(highs, model, { tried })].at(-1) as MixFindings;
  const { answer } = findings;
  const writing = writingIn(locale, currency);
  const quantities = answer.quantities.length === 0 ? [] : quantitiesOfPlan(view.slots, model, answer.quantities);
  const best = quantities.length === 0 ? null : VIEWS.mixOutcome(evaluation, `${planId}@${quantities.join('|')}`);
  return {
    book,
    currency,
    locale,
    plan: plan.name,
    goal: plan.goal,
    asOf: sheet.asOf,
    view,
    modelView,
    best,
    quantities,
    sentences: [
      `By hand: ${shortageWords(view, writing)}`,
      endWords(answer, model, writing),
      ...answer.contradiction.map((limit) => limitWords(model, limit, writing).sentence),
      ...(best === null || best.moved.length === 0
        ? []
        : [`The best mix against it: ${differenceWords(best, writing)}.`]),
    ].filter((sentence) => sentence !== ''),
    reasons: mixReasons(findings, writing).map(({ sentence }) => sentence),
  };
}

function writingIn(locale: string, currency: string): MixWriting {
  const { number, decimals } = writtenIn(locale, currency);
  return {
    currency,
    money: (value) => decimals(plainDecimal(value), moneyDigits(value, minorDigits(currency))),
    amount: (value) => number(plainDecimal(value), Math.abs(value) < 1 ? 3 : 2),
  };
}
