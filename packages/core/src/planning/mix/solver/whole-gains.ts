import type { Highs } from 'highs';
import type { MixModel } from '../mix-model.js';
import { asGoodOf, type OtherAsGood } from './as-good.js';
import { mixProgram } from './program.js';
import { inSession } from './session.js';
import { settled } from './solved.js';

/** What more of a resource brings where something is counted whole: found by solving again, and not by a price of one. */
export interface WholeGain {
  /** The place of the resource in the model. */
  readonly at: number;
  readonly ofOne: number;
  readonly ofTen: number;
}

const MORE = [1, 10] as const;
const MOST_PRODUCTS = 20;

/**
 * What one and ten more of a resource bring to the goal of a model with whole numbers, by solving again with that much more of it.
 * Where the time is up before a gain is proven, what was found by then is counted: at least so much.
 */
export function wholeGain(highs: Highs, model: MixModel, goal: number, at: number, seconds: number): WholeGain {
  const [ofOne, ofTen] = inSession(highs, model, seconds, (session) => {
    const row = session.program.rows.findIndex((each) => each.of === 'resource' && each.at === at);
    const available = model.resources[at]?.available ?? 0;
    return MORE.map((more) => {
      const { goal: reached } = session.withLimit(row, available + more);
      const gain = model.isLeast ? goal - reached : reached - goal;
      return Number.isNaN(gain) ? 0 : Math.max(0, settled(gain));
    });
  });
  return { at, ofOne: ofOne ?? 0, ofTen: ofTen ?? 0 };
}

/** Products that another mix as good makes more or less of, where something is counted whole; not looked for among very many. */
export function wholeAsGood(highs: Highs, model: MixModel, seconds: number): OtherAsGood[] {
  if (model.products.length > MOST_PRODUCTS) return [];
  return inSession(highs, model, seconds, (session) => {
    const best = session.now();
    return best.status === 'best' ? asGoodOf(session, best) : [];
  });
}

/** True where a model counts something whole, so that no limit has a price of its own. */
export const isWhole = (model: MixModel): boolean => !mixProgram(model).isContinuous;
