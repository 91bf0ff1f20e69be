import type { Highs } from 'highs';
import type { MixModel } from '../mix-model.js';
import { asGoodOf, type OtherAsGood } from './as-good.js';
import { type LimitWorth, limitWorth } from './limit-worth.js';
import { productReason, type ProductReason } from './product-reason.js';
import { inSession, SECONDS_EACH } from './session.js';

/** Why the best mix of a continuous model is the best. */
export interface MixExplanation {
  readonly resources: readonly LimitWorth[];
  readonly totals: readonly LimitWorth[];
  readonly products: readonly ProductReason[];
  readonly asGood: readonly OtherAsGood[];
}

/**
 * Explains the best mix of a continuous model: what one more and one less of each limit is worth, and for how much of it; between
 * what a unit of each product may bring for the answer to stay; and whether other mixes are as good. Each is found by solving
 * again with that one number moved, so that it holds at a degenerate optimum too, where the duals of a single solve do not.
 * Null where the model counts anything whole: there are no such worths then.
 */
export function explainMix(highs: Highs, model: MixModel, isSolvedAgain = false): MixExplanation | null {
  return inSession(highs, model, SECONDS_EACH, (session) => {
    if (!session.program.isContinuous) return null;
    const best = session.now();
    if (best.status !== 'best') return null;
    const sharp = isSolvedAgain ? null : session.sharpRanges(best);
    const worthsOf = (of: 'resource' | 'total') =>
      (of === 'resource' ? model.resources : model.totals).flatMap(
        (_each, at) => limitWorth(session, best, sharp, { of, at }) ?? [],
      );
    return {
      resources: worthsOf('resource'),
      totals: worthsOf('total'),
      products: model.products.map((_product, at) => productReason(session, best, sharp, at)),
      // A sharp optimum is the only one.
      asGood: sharp === null ? asGoodOf(session, best) : [],
    };
  });
}
