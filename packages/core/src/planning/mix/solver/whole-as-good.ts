import type { Highs } from 'highs';
import type { MixModel } from '../mix-model.js';
import { asGoodOf, type OtherAsGood } from './as-good.js';
import { inSession } from './session.js';

const MOST_PRODUCTS = 20;

/** Products that another mix as good makes more or less of, where something is counted whole; not looked for among very many. */
export function wholeAsGood(highs: Highs, model: MixModel, secondsEach: number): OtherAsGood[] {
  if (model.products.length > MOST_PRODUCTS) return [];
  return inSession(highs, model, secondsEach, (session) => {
    const best = session.now();
    return best.status === 'best' ? asGoodOf(session, best) : [];
  });
}
