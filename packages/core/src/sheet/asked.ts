import type { Figure } from '../figure/index.js';
import type { Calculation } from './calculation.js';
import type { Evaluation } from './evaluation.js';

/** A figure with the key of the question that it answers: which of the results of a calculation, for which id. */
export interface AskedFigure {
  readonly figure: Figure;
  readonly key: string;
}

/** Asks for one of the results of a calculation. */
export function asked<Result extends object>(
  evaluation: Evaluation,
  calculation: Calculation<Result>,
  id: string,
  member: keyof Result & string,
): AskedFigure {
  return {
    figure: evaluation.read(calculation, id)[member] as Figure,
    key: `${calculation.name}/${id}/${member}`,
  };
}
