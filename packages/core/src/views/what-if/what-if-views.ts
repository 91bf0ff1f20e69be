import { view } from '../view.js';
import { goalInputsView } from './goal-inputs.js';
import { whatIfMarksView, whatIfView } from './what-if-view.js';

/** The views of what-ifs over one evaluation, each with the kind of row whose id it is asked with. */
export const WHAT_IF_VIEWS = {
  whatIf: view('whatIf', (evaluation, id) => whatIfView(evaluation, id)),
  whatIfMarks: view('whatIf', (evaluation, id) => whatIfMarksView(evaluation, id)),
  goalInputs: view(null, (evaluation, id) => goalInputsView(evaluation, id)),
} as const;
