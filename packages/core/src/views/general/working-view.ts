import { type Figure, figureKey, formulaOf, type FormulaToken } from '../../figure/index.js';
import type { Evaluation } from '../../sheet/index.js';
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

/** The figure at a reference; null where there is none (any more). */
export function figureAt(evaluation: Evaluation, reference: string): Figure | null {
  const [key = '', path = ''] = reference.split('#');
  let figure = evaluation.figure(key);
  for (const index of path === '' ? [] : path.split('.')) figure = figure?.parts[Number(index)] ?? null;
  return figure;
}

/**
 * Opens a figure. A reference is the key of a published figure, or "key#0.2": the third part of the first part of it.
 * Only a published figure has a meaning in a sentence. Null where there is no such figure (any more).
 */
export function workingView(evaluation: Evaluation, reference: string): WorkingView | null {
  const [key = '', path = ''] = reference.split('#');
  const figure = figureAt(evaluation, reference);
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
