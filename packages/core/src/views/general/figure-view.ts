import { type Figure, figureKey, gapSentence, isPartial, type Place } from '../../figure/index.js';
import { asked, type Calculation, type Evaluation } from '../../sheet/index.js';

/** A gap as a screen or a report shows it. */
export interface GapView {
  readonly code: string;
  readonly sentence: string;
  /** True where the sentence is the result, false where it asks for something. */
  readonly stated: boolean;
  readonly place: Place | null;
  /** What the sentence names, as data. */
  readonly values: Readonly<Record<string, string>>;
}

/** A figure as plain data: what crosses from the worker to the screen, and from the server to a script. */
export interface FigureView {
  readonly key: string;
  readonly name: string;
  /** Exact, as a decimal string; null where there is none. */
  readonly amount: string | null;
  readonly unit: string;
  readonly partial: boolean;
  readonly gaps: readonly GapView[];
  /** What it is without the what-if that is shown, where that is another amount; null where it is none there. */
  readonly before?: string | null;
}

/**
 * A figure as plain data. Its key is that of the question by which it was asked for; a figure inside another's working is
 * told by its origin, where it has one.
 */
export function figureView(figure: Figure, key = figureKey(figure)): FigureView {
  return {
    key,
    name: figure.name,
    amount: figure.amount === null ? null : figure.amount.toFixed(),
    unit: figure.unit.text,
    partial: isPartial(figure),
    gaps: figure.gaps.map((gap) => ({
      code: gap.code,
      sentence: gapSentence(gap),
      stated: gap.stated,
      place: gap.place,
      values: gap.values,
    })),
  };
}

/** Reads one of the results of a calculation and names it at once: its key belongs to the question, and stays. */
export function shown<Result extends object>(
  evaluation: Evaluation,
  calculation: Calculation<Result>,
  id: string,
  member: keyof Result & string,
): FigureView {
  const { figure, key } = asked(evaluation, calculation, id, member);
  return figureView(figure, key);
}

/** Several results of a calculation, under their own names. */
export function shownAll<Result extends object, Member extends keyof Result & string>(
  evaluation: Evaluation,
  calculation: Calculation<Result>,
  id: string,
  members: readonly Member[],
): Record<Member, FigureView> {
  return Object.fromEntries(members.map((member) => [member, shown(evaluation, calculation, id, member)])) as Record<
    Member,
    FigureView
  >;
}
