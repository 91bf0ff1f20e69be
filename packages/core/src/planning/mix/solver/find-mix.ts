import type { Highs } from 'highs';
import type { MixModel } from '../mix-model.js';
import type { OtherAsGood } from './as-good.js';
import { explainMix, type MixExplanation } from './explain-mix.js';
import { isWhole, type LimitGain, limitGains } from './limit-gains.js';
import { type RankedMix, rankedMixes } from './ranked-mix.js';
import { type MixAnswer, type MixSearchOptions, solveMix } from './solve-mix.js';
import { wholeAsGood } from './whole-as-good.js';

/** All that is found out about the best mix of a model. */
export interface MixFindings {
  readonly model: MixModel;
  readonly answer: MixAnswer;
  /** Null where something is counted whole. */
  readonly explanation: MixExplanation | null;
  /** What more of each limit brings, where something is counted whole. */
  readonly gains: readonly LimitGain[];
  readonly asGood: readonly OtherAsGood[];
  /** By resource of the model. */
  readonly ranked: readonly RankedMix[];
}

/** For how many seconds reasons are worked out that have to be searched for; what is not found by then is said not to be known. */
export const SECONDS_OF_REASONS = 10;

/**
 * Finds the best mix of a model, then why it is the best: it gives what it has found so far each time that something is added, the
 * answer first, and at last all of it. Screen and report read the same.
 */
export function* findMix(highs: Highs, model: MixModel, options: MixSearchOptions = {}): Generator<MixFindings, void> {
  const answer = solveMix(highs, model, options);
  let findings: MixFindings = { model, answer, explanation: null, gains: [], asGood: [], ranked: [] };
  yield findings;
  if (answer.quantities.length === 0) return;
  // What is sold of what was made before has no rank of its own.
  if (!model.isInPeriods) yield (findings = { ...findings, ranked: rankedMixes(model) });
  if (!isWhole(model)) {
    const explanation = explainMix(highs, model);
    yield { ...findings, explanation, asGood: explanation?.asGood ?? [] };
    return;
  }
  for (const gain of limitGains(highs, model, answer, SECONDS_OF_REASONS))
    yield (findings = { ...findings, gains: [...findings.gains, gain] });
  yield { ...findings, asGood: wholeAsGood(highs, model, SECONDS_OF_REASONS) };
}
