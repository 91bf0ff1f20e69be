import { compared, type Decimal, HUNDRED, ONE, ZERO } from '../number/index.js';
import type { Figure, Operation } from './figure.js';

/** A formula in pieces: text as it stands, and the places of parts for which a name or a figure is put in. */
export type FormulaToken = string | number;

/** What is to be known of an operation beside how its amount is worked out. */
interface OperationRow {
  /** How far the result moves for each part that rises by one of its units; the parts have amounts. */
  readonly slopes: (figure: Figure, amounts: readonly Decimal[]) => Decimal[];
  /** How the result is made of the parts. */
  readonly formula: (figure: Figure) => readonly FormulaToken[];
}

/** More parts than these are not written out: they stand in the list below. */
const MOST_WRITTEN = 8;

const joined = ({ parts }: Figure, sign: string): FormulaToken[] =>
  parts.flatMap((_part, place) => (place === 0 ? [place] : [sign, place]));

const NO_SLOPES = () => [];
const NO_FORMULA = () => [];

const LEAF: OperationRow = { slopes: NO_SLOPES, formula: NO_FORMULA };

/**
 * One row for each operation, complete by type. Rounding counts as a slope of 1; a choice, a largest, a smallest and
 * an override count by the branch that was taken.
 */
const OPERATIONS: Readonly<Record<Operation, OperationRow>> = {
  input: LEAF,
  constant: LEAF,
  missing: LEAF,
  sum: {
    slopes: ({ parts }) => parts.map(() => ONE),
    formula: (figure) => {
      if (figure.parts.length === 0) return ['nothing'];
      return figure.parts.length > MOST_WRITTEN
        ? [`the sum of the ${figure.parts.length} below`]
        : joined(figure, ' + ');
    },
  },
  difference: { slopes: () => [ONE, ONE.neg()], formula: () => [0, ' − ', 1] },
  product: { slopes: (_figure, [one = ZERO, other = ZERO]) => [other, one], formula: () => [0, ' × ', 1] },
  quotient: {
    slopes: (_figure, [one = ZERO, other = ONE]) => [ONE.div(other), one.neg().div(other.mul(other))],
    formula: () => [0, ' ÷ ', 1],
  },
  'percent of': {
    slopes: (_figure, [percent = ZERO, base = ZERO]) => [base.div(HUNDRED), percent.div(HUNDRED)],
    formula: () => [0, ' % of ', 1],
  },
  'whole of': { slopes: hundredfold, formula: () => [0, ' ÷ ', 1, ' %'] },
  'share of': { slopes: hundredfold, formula: () => [0, ' ÷ ', 1, ', in %'] },
  round: { slopes: () => [ONE], formula: () => [0] },
  choice: { slopes: () => [ONE], formula: () => [0] },
  largest: outermost('largest'),
  smallest: outermost('smallest'),
  'apportioned share': {
    slopes: (_figure, [total = ZERO, own = ZERO, basis = ONE]) => [
      own.div(basis),
      total.div(basis),
      total.mul(own).neg().div(basis.mul(basis)),
    ],
    formula: () => [0, ' × ', 1, ' ÷ ', 2],
  },
  band: {
    slopes: ({ parts }, [whole = ZERO, from = ZERO, to]) => {
      if (compared(whole, from) <= 0) return parts.map(() => ZERO);
      const isFull = to !== undefined && compared(whole, to) > 0;
      return isFull ? [ZERO, ONE.neg(), ONE] : [ONE, ONE.neg(), ZERO].slice(0, parts.length);
    },
    formula: ({ parts }) =>
      parts.length === 3 ? ['the part of ', 0, ' between ', 1, ' and ', 2] : ['the part of ', 0, ' above ', 1],
  },
  overridden: {
    slopes: ({ parts }, [baseline = ZERO, by = ONE]) => {
      const how = parts[1]?.note;
      if (how === 'scale') return [by, baseline];
      return how === 'add' ? [ONE, ONE] : [ZERO, ONE].slice(0, parts.length);
    },
    formula: ({ parts }) => {
      const how = parts[1]?.note;
      if (how === undefined) return ['nothing in place of ', 0];
      return how === 'set' ? [1, ' in place of ', 0] : [0, how === 'add' ? ' + ' : ' × ', 1];
    },
  },
};

/** The largest or smallest of the parts. */
function outermost(which: 'largest' | 'smallest'): OperationRow {
  return {
    slopes: ({ parts, amount }) => {
      const chosen = parts.findIndex((part) => part.amount !== null && compared(part.amount, amount ?? ZERO) === 0);
      return parts.map((_part, place) => (place === chosen ? ONE : ZERO));
    },
    formula: (figure) =>
      figure.parts.length > MOST_WRITTEN
        ? [`the ${which} of the ${figure.parts.length} below`]
        : [`the ${which} of `, ...joined(figure, ', ')],
  };
}

/** Of part x 100 / whole: 100 / whole, and -part x 100 / whole². */
function hundredfold(_figure: Figure, [part = ZERO, whole = ONE]: readonly Decimal[]): Decimal[] {
  return [HUNDRED.div(whole), part.mul(HUNDRED).neg().div(whole.mul(whole))];
}

/** How far a whole figure moves for each of its parts that rises by one of its units. */
export function partSlopes(figure: Figure): Decimal[] {
  return OPERATIONS[figure.operation].slopes(
    figure,
    figure.parts.map(({ amount }) => amount ?? ZERO),
  );
}

/** How a figure is made of its parts, in pieces; empty for one that has none, or whose parts only say why it is missing. */
export function formulaOf(figure: Figure): readonly FormulaToken[] {
  return figure.parts.length === 0 && figure.operation !== 'sum' ? [] : OPERATIONS[figure.operation].formula(figure);
}
