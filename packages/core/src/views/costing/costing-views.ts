import { cardByMethodView } from './card-by-method-view.js';
import { cardView } from './card-view.js';
import { againstView, frozenView } from './comparison-view.js';
import { costCardSheetView } from './cost-card-sheet-view.js';
import { freezableView } from './freezable-view.js';
import { view } from '../view.js';

/** The views of costing, each with the kind of row whose id it is asked with. */
export const COSTING_VIEWS = {
  cardByMethod: view('product', (evaluation, id) => cardByMethodView(evaluation, id)),
  costCardSheet: view(null, (evaluation, id) => costCardSheetView(evaluation, id)),
  card: view('product', (evaluation, id) => cardView(evaluation, id)),
  freezable: view('product', (evaluation, id) => freezableView(evaluation, id)),
  frozen: view('frozenCard', (evaluation, id) => frozenView(evaluation, id)),
  against: view('product', (evaluation, id) => againstView(evaluation, id)),
} as const;
