import { Decimal, decimal, HUNDRED, ONE } from '../../number/index.js';
import type { Evaluation } from '../../sheet/index.js';
import { twoInputs } from '../../what-if/index.js';
import { type FigureView, figureView } from '../general/figure-view.js';
import { type MovableField, movableField } from '../general/movable-field.js';
import { inputsOf } from './goal-inputs.js';

/** Which figure is looked at, over which two of its inputs, in steps of how many percent of what each is today. */
export interface TwoInputsAsked {
  readonly key: string;
  readonly down: MovableField['place'];
  readonly across: MovableField['place'];
  readonly percent: string;
}

/** The values of an input, exact decimal texts in their order, and which of them is that of today. */
export interface TriedInput {
  readonly values: readonly string[];
  readonly today: number;
}

export interface TwoInputsView {
  readonly down: TriedInput;
  readonly across: TriedInput;
  /** Row by row; null where there is no such figure. */
  readonly figures: readonly (readonly (FigureView | null)[])[];
}

/** So many steps to each side of today's value. */
const STEPS = 3;
/** A value that is only tried is rounded to so many digits: nobody asks for a price of 16.575. */
const DIGITS = 4;

/**
 * One figure over two of its inputs, each in steps about its value of today; what is beyond the bounds of a field is left out.
 * Null where the figure, or one of the inputs in it, is not there.
 */
export function twoInputsView(evaluation: Evaluation, { key, ...asked }: TwoInputsAsked): TwoInputsView | null {
  const figure = evaluation.figure(key);
  const inputs = figure === null ? null : inputsOf(figure);
  const fieldOf = ({ id, field }: MovableField['place']) => {
    const input = inputs?.get(`${id}.${field}`);
    return input === undefined ? null : movableField(input);
  };
  const [down, across] = [fieldOf(asked.down), fieldOf(asked.across)];
  if (down === null || across === null) return null;
  const [rows, columns] = [triedAbout(down, asked.percent), triedAbout(across, asked.percent)];
  const figures = twoInputs(
    evaluation,
    key,
    { ...down.place, values: rows.values },
    { ...across.place, values: columns.values },
  );
  return {
    down: rows,
    across: columns,
    figures: figures.map((row) => row.map((each) => each && figureView(each, ''))),
  };
}

function triedAbout({ amount, most }: MovableField, percent: string): TriedInput {
  const steps = Array.from({ length: 2 * STEPS + 1 }, (_none, index) => index - STEPS);
  const values = steps.map((step) =>
    step === 0
      ? amount
      : amount
          .mul(ONE.plus(decimal(percent).mul(step).div(HUNDRED)))
          .toSignificantDigits(DIGITS, Decimal.ROUND_HALF_UP),
  );
  const within = values.filter((value) => most === null || value.lte(most));
  const texts = [...new Set(within.map((value) => value.toFixed()))];
  return { values: texts, today: texts.indexOf(amount.toFixed()) };
}
