import type { MixGoal } from '@nuvar/book';
import {
  differenceWords,
  endWords,
  type Evaluation,
  explainMix,
  isWhole,
  limitWords,
  mixReasons,
  type MixView,
  type MixWriting,
  plainDecimal,
  quantitiesOfPlan,
  shortageWords,
  solveMix,
  type ViewOf,
  VIEWS,
  wholeAsGood,
  wholeGain,
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
  readonly best: ViewOf<'mixOutcome'> | null;
  /** By product of the plan, as decimals; empty where no mix was found. */
  readonly quantities: readonly string[];
  readonly sentences: readonly string[];
  readonly reasons: readonly string[];
}

const SECONDS_A_GAIN = 2;
const MOST_GAINS = 8;

let solver: ReturnType<typeof loadSolver> | null = null;

/** A mix plan with the best mix, found again for the report; null where there is no such plan. */
export async function mixReport(evaluation: Evaluation, planId: string): Promise<MixReport | null> {
  const { sheet } = evaluation;
  const plan = sheet.row('mixPlan', planId);
  if (plan === undefined) return null;
  const { name: book, currency, locale } = sheet.settings();
  const view = VIEWS.mix(evaluation, planId);
  const highs = await (solver ??= loadSolver());
  const { model } = view;
  const answer = solveMix(highs, model);
  const writing = writingIn(locale, currency);
  const quantities = answer.quantities.length === 0 ? [] : quantitiesOfPlan(view.products, model, answer.quantities);
  const best = quantities.length === 0 ? null : VIEWS.mixOutcome(evaluation, `${planId}@${quantities.join('|')}`);
  const whole = isWhole(model) && best !== null;
  const gains = whole
    ? model.resources.slice(0, MOST_GAINS).map((_each, at) => wholeGain(highs, model, answer.goal, at, SECONDS_A_GAIN))
    : [];
  const findings = {
    model,
    answer,
    gains,
    asGood: whole ? wholeAsGood(highs, model, SECONDS_A_GAIN) : [],
    explanation: best === null ? null : explainMix(highs, model),
  };
  return {
    book,
    currency,
    locale,
    plan: plan.name,
    goal: plan.goal,
    asOf: sheet.asOf,
    view,
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
  const { money, number } = writtenIn(locale, currency);
  return {
    currency,
    money: (value) => money(plainDecimal(value)),
    amount: (value) => number(plainDecimal(value), Math.abs(value) < 1 ? 3 : 2),
  };
}
