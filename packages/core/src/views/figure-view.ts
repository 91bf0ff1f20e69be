import { type Figure, figureKey, gapSentence, isPartial, isStated, type Place } from '../figure/index.js';

/** A gap as a screen or a report shows it. */
export interface GapView {
  readonly code: string;
  readonly sentence: string;
  /** True where the sentence is the result, false where it asks for something. */
  readonly stated: boolean;
  readonly place: Place | null;
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
}

export function figureView(figure: Figure): FigureView {
  return {
    key: figureKey(figure),
    name: figure.name,
    amount: figure.amount === null ? null : figure.amount.toFixed(),
    unit: figure.unit.text,
    partial: isPartial(figure),
    gaps: figure.gaps.map((gap) => ({
      code: gap.code,
      sentence: gapSentence(gap),
      stated: isStated(gap),
      place: gap.place,
    })),
  };
}

/** The views of all the figures of a result, under their own names. */
export function figureViews<Result extends object, Member extends keyof Result>(
  result: Result,
  members: readonly Member[],
): Record<Member, FigureView> {
  return Object.fromEntries(members.map((member) => [member, figureView(result[member] as Figure)])) as Record<
    Member,
    FigureView
  >;
}
