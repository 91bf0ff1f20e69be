import type { Figure } from '../../figure/index.js';
import type { Evaluation } from '../../sheet/index.js';
import { figureView, type FigureView } from '../general/figure-view.js';
import { type MovableField, movableField } from '../general/movable-field.js';

/** An input that goes into a figure and can be moved for a goal. */
export interface GoalInput extends FigureView {
  readonly subject: string;
  readonly place: MovableField['place'];
}

/** The inputs of a figure that hold a decimal, each once, in the order in which its working comes upon them; the id is its key. */
export function goalInputsView(evaluation: Evaluation, key: string): readonly GoalInput[] {
  const figure = evaluation.figure(key);
  return figure === null ? [] : [...inputsOf(figure).values()].map((input) => inputView(input));
}

function inputView(input: Figure): GoalInput {
  const { place } = movableField(input) as MovableField;
  return { ...figureView(input), subject: input.subject, place };
}

/** The inputs of a figure that hold a decimal, by "row.field". */
export function inputsOf(figure: Figure): ReadonlyMap<string, Figure> {
  const found = new Map<string, Figure>();
  const seen = new Set<Figure>();
  const visit = (each: Figure) => {
    if (seen.has(each)) return;
    seen.add(each);
    const field = each.operation === 'input' || each.operation === 'overridden' ? movableField(each) : null;
    if (field !== null) found.set(`${field.place.id}.${field.place.field}`, each);
    each.parts.forEach(visit);
  };
  visit(figure);
  return found;
}
