import jsep, { type CoreExpression, type Expression } from 'jsep';
import {
  constant,
  type Figure,
  largest,
  multiplied,
  difference,
  quotient,
  smallest,
  sum,
  type Gap,
} from '../../figure/index.js';
import { decimal } from '../../number/index.js';
import { NUMBER } from '../../quantity/index.js';

/** The figures that a formula may name. */
export const FORMULA_NAMES = ['value', 'weight', 'volume', 'quantity', 'lines'] as const;
export type FormulaName = (typeof FORMULA_NAMES)[number];

/** A formula that was read, or why it is none. */
export type ReadFormula =
  { readonly ok: true; readonly expression: Expression } | { readonly ok: false; readonly reason: string };

/** Longer ones are no arithmetic that anybody could check. */
const MOST_CHARACTERS = 300;
const MOST_DEPTH = 30;
const OPERATORS = new Set(['+', '-', '*', '/']);
const FUNCTIONS = new Set(['min', 'max']);

/**
 * Reads a formula in plain arithmetic: numbers, + - * / and brackets, min(…) and max(…), and the names of figures. Nothing
 * of it is ever run as a program: the parser gives a tree, of which only these are taken. Points are decimal points.
 *
 * @example readFormula('max(45, 0.35 * weight)').ok → true
 * @example readFormula('alert(1)').reason → "it can call min and max only, not \"alert\""
 */
export function readFormula(text: string): ReadFormula {
  const refused = (reason: string): ReadFormula => ({ ok: false, reason });
  if (text.trim() === '') return refused('it is empty');
  if (text.length > MOST_CHARACTERS) return refused(`it has more than ${MOST_CHARACTERS} characters`);
  let expression: Expression;
  try {
    expression = jsep(text);
  } catch {
    return refused('it cannot be read as arithmetic');
  }
  const reason = objection(expression, 0);
  return reason === null ? { ok: true, expression } : refused(reason);
}

type PartOf<Type extends CoreExpression['type']> = Extract<CoreExpression, { readonly type: Type }>;

/** What each part of a formula may be: its own objection, and the parts below it that are looked at next. */
const TAKEN = {
  Literal: ({ value, raw }: PartOf<'Literal'>) =>
    typeof value === 'number' && /^\d*\.?\d+$/.test(raw) ? [] : `"${raw}" is no number`,
  Identifier: ({ name }: PartOf<'Identifier'>) =>
    FORMULA_NAMES.includes(name as FormulaName) ? [] : `there is no "${name}"; it can name ${FORMULA_NAMES.join(', ')}`,
  UnaryExpression: ({ operator, argument }: PartOf<'UnaryExpression'>) =>
    operator === '-' || operator === '+' ? [argument] : `it cannot take "${operator}"`,
  BinaryExpression: ({ operator, left, right }: PartOf<'BinaryExpression'>) =>
    OPERATORS.has(operator) ? [left, right] : `it cannot take "${operator}"`,
  CallExpression: ({ callee, arguments: given }: PartOf<'CallExpression'>) => {
    const name = callee.type === 'Identifier' ? String(callee.name) : 'something';
    if (!FUNCTIONS.has(name)) return `it can call min and max only, not "${name}"`;
    return given.length === 0 ? `${name} needs something to choose from` : given;
  },
};

/** What stands against a part of a formula; null where nothing does. */
function objection(part: Expression, depth: number): string | null {
  if (depth > MOST_DEPTH) return 'it is nested too deep';
  if (!Object.hasOwn(TAKEN, part.type)) return 'it is more than plain arithmetic';
  const look = TAKEN[part.type as keyof typeof TAKEN] as (part: Expression) => readonly Expression[] | string;
  const found = look(part);
  if (typeof found === 'string') return found;
  return found.map((each) => objection(each, depth + 1)).find((reason) => reason !== null) ?? null;
}

const CALLED = 'Formula';

/**
 * The result of a formula that was read, as a figure whose working is the formula itself. The named figures are bare
 * numbers: kilograms, cubic metres, pieces, money of the rule. `whenZero` says what a division by zero is.
 */
export function formulaFigure(part: Expression, named: Readonly<Record<FormulaName, Figure>>, whenZero: Gap): Figure {
  const node = part as CoreExpression;
  const of = (each: Expression) => formulaFigure(each, named, whenZero);
  switch (node.type) {
    case 'Literal':
      return constant(node.raw, decimal(node.raw), NUMBER, 'stands in the formula');
    case 'Identifier':
      return named[node.name as FormulaName];
    case 'UnaryExpression':
      return node.operator === '-' ? difference(CALLED, NOTHING, of(node.argument)) : of(node.argument);
    case 'BinaryExpression':
      return combined(node.operator, of(node.left), of(node.right), whenZero);
    case 'CallExpression': {
      const choose = (node.callee as { name?: string }).name === 'min' ? smallest : largest;
      return choose(CALLED, node.arguments.map(of), '');
    }
    default:
      return NOTHING;
  }
}

const NOTHING = constant('Nothing', '0', NUMBER, 'definition');

function combined(operator: string, left: Figure, right: Figure, whenZero: Gap): Figure {
  switch (operator) {
    case '+':
      return sum(CALLED, NUMBER, [left, right]);
    case '-':
      return difference(CALLED, left, right);
    case '*':
      return multiplied(CALLED, left, right);
    default:
      return quotient(CALLED, left, right, whenZero);
  }
}
