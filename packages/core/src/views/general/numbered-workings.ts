import { type Figure, formulaOf } from '../../figure/index.js';
import type { Evaluation } from '../../sheet/index.js';
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

/** Figures whose workings stand together under a heading. */
export interface FiguresUnder {
  readonly heading: string;
  readonly figures: readonly Figure[];
}

/** Workings under a heading; the numbers go on from the group before. */
export interface WorkingGroup {
  readonly heading: string;
  readonly steps: readonly WorkingStep[];
}

export interface NumberedWorkings {
  readonly groups: readonly WorkingGroup[];
  /** True where there were more steps than are printed. */
  readonly isCut: boolean;
}

/** More steps than these are not printed, on some hundred pages: whoever needs them opens the figure on screen. */
const MOST_STEPS = 4000;

/** A sum of one is the figure that it is made of: a step of its own would only repeat it. */
const standsFor = (figure: Figure): Figure => {
  const [only] = figure.parts;
  return figure.operation === 'sum' && figure.parts.length === 1 && only !== undefined ? standsFor(only) : figure;
};

/**
 * The workings of figures as numbered steps, group by group: each figure before those that it was made of, none twice, the
 * formula with the numbers of the steps that it refers to.
 */
export function numberedGroups(groups: readonly FiguresUnder[], most = MOST_STEPS): NumberedWorkings {
  const numbers = new Map<Figure, number>();
  let isCut = false;
  const visit = (figure: Figure, found: Figure[]): void => {
    const real = standsFor(figure);
    if (real.parts.length === 0 || numbers.has(real)) return;
    if (numbers.size >= most) {
      isCut = true;
      return;
    }
    numbers.set(real, numbers.size + 1);
    found.push(real);
    real.parts.forEach((part) => visit(part, found));
  };
  const listed = groups.map(({ heading, figures }) => {
    const found: Figure[] = [];
    figures.forEach((figure) => visit(figure, found));
    return { heading, found };
  });
  return {
    groups: listed.map(({ heading, found }) => ({ heading, steps: found.map((each) => stepOf(each, numbers)) })),
    isCut,
  };
}

const stepOf = (figure: Figure, numbers: ReadonlyMap<Figure, number>): WorkingStep => ({
  step: numbers.get(figure) ?? 0,
  name: figure.name,
  subject: figure.subject,
  amount: figure.amount?.toFixed() ?? null,
  unit: figure.unit.text,
  formula: formulaPieces(figure, numbers),
  note: figure.note,
});

/** The workings of one figure by its reference, numbered; none where there is no such figure. */
export function numberedView(evaluation: Evaluation, reference: string): WorkingStep[] {
  const figure = figureAt(evaluation, reference);
  return figure === null
    ? []
    : numberedGroups([{ heading: '', figures: [figure] }]).groups.flatMap(({ steps }) => steps);
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
  step: numbers.get(standsFor(part)) ?? null,
});
