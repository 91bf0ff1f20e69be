import { type Figure, formulaOf } from '../figure/index.js';
import type { Evaluation } from '../sheet/index.js';
import { figureAt } from './working-view.js';

/** A part of a step, as it stands in its formula. */
export interface StepPart {
  readonly name: string;
  readonly amount: string | null;
  readonly unit: string;
  /** The step that works it out; null for an input. */
  readonly step: number | null;
}

/** One step of a working on paper: a figure, how it was made, and of what. */
export interface WorkingStep {
  readonly step: number;
  readonly name: string;
  readonly subject: string;
  readonly amount: string | null;
  readonly unit: string;
  readonly formula: readonly (string | StepPart)[];
  readonly note: string;
}

/** More steps than these are not printed: whoever needs them opens the figure on screen. */
const MOST_STEPS = 400;

/**
 * The workings of figures as numbered steps: each figure before those that it was made of, none twice, the formula with
 * the numbers of the steps that it refers to.
 */
export function numberedWorkings(figures: readonly Figure[]): WorkingStep[] {
  const numbers = new Map<Figure, number>();
  const found: Figure[] = [];
  const visit = (figure: Figure): void => {
    if (figure.parts.length === 0 || numbers.has(figure) || found.length >= MOST_STEPS) return;
    found.push(figure);
    numbers.set(figure, found.length);
    figure.parts.forEach(visit);
  };
  figures.forEach(visit);
  return found.map((figure, index) => ({
    step: index + 1,
    name: figure.name,
    subject: figure.subject,
    amount: figure.amount?.toFixed() ?? null,
    unit: figure.unit.text,
    formula: formulaPieces(figure, numbers),
    note: figure.note,
  }));
}

/** The workings of one figure by its reference, numbered; none where there is no such figure. */
export function numberedView(evaluation: Evaluation, reference: string): WorkingStep[] {
  const figure = figureAt(evaluation, reference);
  return figure === null ? [] : numberedWorkings([figure]);
}

/** Where an operation writes no formula of its own, its parts one after the other. */
function formulaPieces(figure: Figure, numbers: ReadonlyMap<Figure, number>): (string | StepPart)[] {
  const tokens = formulaOf(figure);
  const written =
    tokens.length > 0 ? tokens : figure.parts.flatMap((_part, place) => (place === 0 ? [place] : ['; ', place]));
  return written.map((token) => (typeof token === 'string' ? token : partOf(figure.parts[token] as Figure, numbers)));
}

const partOf = (part: Figure, numbers: ReadonlyMap<Figure, number>): StepPart => ({
  name: part.name,
  amount: part.amount?.toFixed() ?? null,
  unit: part.unit.text,
  step: numbers.get(part) ?? null,
});
