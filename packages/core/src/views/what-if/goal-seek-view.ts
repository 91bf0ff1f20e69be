import { fieldsOf, type Kind } from '@nuvar/book';
import type { Figure } from '../../figure/index.js';
import { minorUnit } from '../../money/index.js';
import { Decimal, decimal, ONE } from '../../number/index.js';
import type { Evaluation } from '../../sheet/index.js';
import { goalSeek, type SoughtInput, type SoughtValue } from '../../what-if/index.js';
import { movableField } from '../general/movable-field.js';
import { inputsOf } from './goal-inputs.js';

/** A value of the input, and the figure there. Exact, as decimal texts. */
export interface GoalValue {
  readonly value: string;
  readonly figure: string;
}

export interface GoalView {
  readonly values: readonly GoalValue[];
  readonly jumps: readonly (readonly [GoalValue, GoalValue])[];
  readonly nearest: GoalValue | null;
  readonly isUnmoved: boolean;
  readonly unit: string;
  readonly figureUnit: string;
}

/** What is sought: which figure is to become what, and by which field. */
export interface GoalAsked {
  readonly key: string;
  readonly goal: string;
  readonly kind: Kind;
  readonly id: string;
  readonly field: string;
}

/** Figures of which less is better, by the names of their calculation and result: a goal for them is met from above. */
const LESS_IS_BETTER = /cost|fee|tax|breakEven|postage|discount|needed/i;

/** The id between the two names is left out: it is made of figures and letters, which may spell anything. */
function isMoreBetter(key: string): boolean {
  const parts = key.split('/');
  return !LESS_IS_BETTER.test(`${parts[0] ?? ''} ${parts.at(-1) ?? ''}`);
}

/** The values of an input at which a figure reaches a goal; null where the figure or the field is not there. */
export function goalView(evaluation: Evaluation, asked: GoalAsked): GoalView | null {
  const figure = evaluation.figure(asked.key);
  const input = figure && inputsOf(figure).get(`${asked.id}.${asked.field}`);
  const row = evaluation.rows.row(asked.kind, asked.id) as unknown as Record<string, unknown> | undefined;
  const text = row?.[asked.field];
  if (figure === null || typeof text !== 'string') return null;
  const sought = soughtInput(evaluation, asked, decimal(text), input ?? null);
  const moreIsBetter = isMoreBetter(asked.key);
  const found = goalSeek(evaluation, sought, { key: asked.key, goal: decimal(asked.goal), moreIsBetter });
  return {
    values: found.values.map(shownValue),
    jumps: found.jumps.map(([below, above]) => [shownValue(below), shownValue(above)] as const),
    nearest: found.nearest && shownValue(found.nearest),
    isUnmoved: found.isUnmoved,
    unit: input?.unit.text ?? '',
    figureUnit: figure.unit.text,
  };
}

const shownValue = ({ value, figure }: SoughtValue): GoalValue => ({
  value: value.toFixed(),
  figure: figure.toFixed(),
});

/** Beyond today's value, an input without a bound is looked for up to so many times that. */
const REACH = 100;

function soughtInput(
  { sheet }: Evaluation,
  { kind, id, field }: GoalAsked,
  today: Decimal,
  input: Figure | null,
): SoughtInput {
  const bounds = fieldsOf(kind).find(({ name }) => name === field)?.bounds ?? {};
  const step = stepOf(sheet.settings().currency, input?.unit.text ?? '');
  const reach = (today.isZero() ? ONE : today.abs()).mul(REACH);
  const least = limit(bounds.from, bounds.above, step) ?? reach.neg();
  const most = mostOf(input) ?? limit(bounds.to, bounds.below, step.neg()) ?? reach;
  const [from, to] = [Decimal.min(least, today), Decimal.min(most, reach)];
  return { kind, id, field, from, to, step, today };
}

const mostOf = (input: Figure | null) => (input === null ? null : (movableField(input)?.most ?? null));

/** A bound of a field; one that it only comes near to is a step away from it. */
function limit(within: string | undefined, beyond: string | undefined, step: Decimal): Decimal | null {
  if (within !== undefined) return decimal(within);
  return beyond === undefined ? null : decimal(beyond).plus(step);
}

/** The step to which a value is rounded: the smallest coin of an amount of money, else a thousandth. */
function stepOf(currency: string, unit: string): Decimal {
  if (unit.startsWith(currency)) return minorUnit(currency) ?? decimal('0.01');
  return unit === '%' ? decimal('0.01') : unit === 'each' ? ONE : decimal('0.001');
}
