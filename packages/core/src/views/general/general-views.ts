import { leversOf } from './levers-view.js';
import { looseEndsView } from './loose-ends-view.js';
import { numberedView } from './numbered-workings.js';
import { overviewView } from './overview-view.js';
import { workingView } from './working-view.js';
import { view } from '../view.js';

/** The views over the whole book, and of any figure, each with the kind of row whose id it is asked with. */
export const GENERAL_VIEWS = {
  overview: view(null, (evaluation, _id) => overviewView(evaluation)),
  looseEnds: view(null, (evaluation, _id) => looseEndsView(evaluation)),
  numbered: view(null, (evaluation, key) => numberedView(evaluation, key)),
  working: view(null, (evaluation, id) => workingView(evaluation, id)),
  levers: view(null, (evaluation, id) => leversOf(evaluation, id, 5)),
} as const;
