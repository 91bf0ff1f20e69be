import { type Figure, figureKey, formulaOf, type FormulaToken, slopes } from '../figure/index.js';
import { compared } from '../number/index.js';
import type { Evaluation } from '../sheet/index.js';
import { type FigureView, figureView } from './figure-view.js';

/** One figure opened: what it is, how it was made, and of what. */
export interface WorkingView extends FigureView {
  /** Where it stands: the key of a published figure, and the way down from it through its parts. */
  readonly reference: string;
  readonly subject: string;
  readonly meaning: string;
  readonly operation: string;
  readonly note: string;
  /** How it is made of its parts, in pieces: text, and the places of parts for which a name or a figure is put in. */
  readonly formula: readonly FormulaToken[];
  /** The field of a row, where the figure is an input that can be changed in place. */
  readonly input: { readonly kind: string; readonly id: string; readonly field: string } | null;
  readonly parts: readonly PartView[];
}

export interface PartView extends FigureView {
  readonly reference: string;
  readonly subject: string;
  readonly operation: string;
  readonly note: string;
  readonly input: WorkingView['input'];
}

/**
 * Opens a figure. A reference is the key of a published figure, or "key#0.2": the third part of the first part of it.
 * Only a published figure has a meaning in a sentence. Null where there is no such figure (any more).
 */
export function workingView(evaluation: Evaluation, reference: string): WorkingView | null {
  const [key = '', path = ''] = reference.split('#');
  let figure = evaluation.figure(key);
  for (const index of path === '' ? [] : path.split('.')) figure = figure?.parts[Number(index)] ?? null;
  if (figure === null) return null;
  const own = path === '' ? key : figureKey(figure);
  const parts = figure.parts.map((part, index) =>
    partView(part, figureKey(part) || `${key}#${path === '' ? '' : `${path}.`}${index}`),
  );
  return {
    ...partView(figure, reference, own),
    meaning: own === '' ? '' : evaluation.meaning(own),
    formula: formulaOf(figure),
    parts,
  };
}

function partView(figure: Figure, reference: string, key = figureKey(figure)): PartView {
  return {
    ...figureView(figure, key),
    reference,
    subject: figure.subject,
    operation: figure.operation,
    note: figure.note,
    input: figure.operation === 'input' || figure.operation === 'missing' ? figure.place : null,
  };
}

/** What moves a figure most: its inputs, by how far the figure moves when each of them rises by one percent. */
export interface LeverView extends FigureView {
  readonly subject: string;
  readonly perPercent: string;
}

/** The fields that move a figure most: by how much it moves when each of them rises by one percent, the largest first. */
export function leversOf(evaluation: Evaluation, key: string, most: number): LeverView[] {
  const figure = evaluation.figure(key);
  if (figure === null) return [];
  return slopes(figure)
    .map(({ input, slope }) => ({ input, effect: slope.mul(input.amount ?? 0).div(100) }))
    .filter(({ effect }) => !effect.isZero())
    .sort((one, other) => compared(other.effect.abs(), one.effect.abs()))
    .slice(0, most)
    .map(({ input, effect }) => ({ ...figureView(input), subject: input.subject, perPercent: effect.toFixed() }));
}
