import { mixVolumes } from '../../planning/index.js';
import { decisionView } from './decision-view.js';
import { mixRankingView, mixUseView } from './mix-ranking-view.js';
import { mixStockTermsView } from './mix-schedule-view.js';
import { mixModelView } from './mix-model-view.js';
import { mixApartView, mixBesideView, mixOutcomeView, mixView } from './mix-view.js';
import { view } from '../view.js';

/** The views of planning, each with the kind of row whose id it is asked with. */
export const PLANNING_VIEWS = {
  decision: view('decision', (evaluation, id) => decisionView(evaluation, id)),
  mix: view('mixPlan', (evaluation, id) => mixView(evaluation, id)),
  mixModel: view('mixPlan', (evaluation, id) => mixModelView(evaluation, id)),
  mixOutcome: view('mixPlan', (evaluation, id) => mixOutcomeView(evaluation, id)),
  mixVolumes: view('mixPlan', (evaluation, id) => mixVolumes(evaluation.sheet, id)),
  mixBeside: view('mixPlan', (evaluation, id) => mixBesideView(evaluation, id)),
  mixApart: view('mixPlan', (evaluation, id) => mixApartView(evaluation, id)),
  mixRanking: view('mixResource', (evaluation, id) => mixRankingView(evaluation, id)),
  mixUse: view('mixProduct', (evaluation, id) => mixUseView(evaluation, id)),
  mixStockTerms: view('mixProduct', (evaluation, id) => mixStockTermsView(evaluation, id)),
} as const;
