import type { DecisionType, FixedCostFate, RowOf } from '@nuvar/book';
import { decision, decisionCost, type DecisionLines } from '../../planning/index.js';
import { compared, type Decimal, isPositive, ZERO } from '../../number/index.js';
import type { Evaluation } from '../../sheet/index.js';
import { type FigureView, shown } from '../general/figure-view.js';

/** How a line counts: for the decision, against it, or not at all. */
export type DecisionRole = 'for' | 'against' | 'for nothing';

export interface DecisionLine {
  readonly id: keyof DecisionLines;
  readonly role: DecisionRole;
  readonly figure: FigureView;
}

/** A decision line by line: what changes, and what does not. */
export interface DecisionView {
  readonly units: FigureView;
  readonly lines: readonly DecisionLine[];
  /** The fixed costs that it is said to touch, each by itself. */
  readonly costs: readonly { readonly id: string; readonly fate: FixedCostFate; readonly amount: FigureView }[];
  readonly scarceHours: FigureView | null;
  readonly hoursThatCount: FigureView | null;
  /** The hours in the mix plan that says what they are worth, and what they are hours of there; null for no plan. */
  readonly inPlan: {
    readonly planId: string;
    readonly hours: FigureView;
    /** The resource of the plan; null where it has no such resource. */
    readonly resourceId: string | null;
    readonly areTaken: boolean;
  } | null;
  readonly advantage: FigureView;
  readonly turningPrice: FigureView | null;
  /** Products that need this one in their bill, by name: they need it whatever is decided. */
  readonly neededIn: readonly string[];
  /** All decisions on the same product, this one among them. */
  readonly alternatives: readonly DecisionAlternative[];
  /** Null while something is not known. */
  readonly verdict: 'do it' | 'leave it' | 'no difference' | null;
}

/** A decision beside others on the same product. */
export interface DecisionAlternative {
  readonly id: string;
  readonly name: string;
  readonly type: DecisionType;
  readonly units: FigureView;
  readonly advantage: FigureView;
  /** True for what leaves most in a month of all that is known whole; never of an order that comes once. */
  readonly leavesMost: boolean;
}

const LINES: readonly (readonly [keyof DecisionLines, DecisionRole])[] = [
  ['making', 'for'],
  ['orderContribution', 'for'],
  ['purchase', 'against'],
  ['lostContribution', 'against'],
  ['restOfBatch', 'against'],
  ['fixedGone', 'for'],
  ['fixedOnTop', 'against'],
  ['oneTime', 'against'],
];

const FIXED: readonly (keyof DecisionLines)[] = ['fixedGone', 'fixedOnTop', 'fixedStays'];

/** A decision to buy in, to take a special order, or to drop a product. */
export function decisionView(evaluation: Evaluation, id: string): DecisionView {
  const lines = evaluation.read(decision, id);
  const type: DecisionType = evaluation.sheet.row('decision', id)?.type ?? 'buy in';
  const line = (member: keyof DecisionLines, role: DecisionRole): DecisionLine => ({
    id: member,
    role,
    figure: shown(evaluation, decision, id, member),
  });
  // A sum of no fixed costs is not listed; every other line that there is counts in the total.
  const isThere = (member: keyof DecisionLines) =>
    lines[member] !== null && (!FIXED.includes(member) || lines[member].parts.length > 0);
  const optional = (member: keyof DecisionLines) =>
    lines[member] === null ? null : shown(evaluation, decision, id, member);
  const { amount } = lines.advantage;
  return {
    units: shown(evaluation, decision, id, 'units'),
    lines: [
      ...LINES.filter(([member]) => isThere(member)).map(([member, role]) => line(member, role)),
      ...(lines.scarceWorth === null ? [] : [line('scarceWorth', type === 'special order' ? 'against' : 'for')]),
      ...(isThere('fixedStays') ? [line('fixedStays', 'for nothing')] : []),
    ],
    costs: evaluation.sheet.rowsOf('decisionCost', 'decisionId', id).map((row) => ({
      id: row.id,
      fate: row.fate,
      amount: shown(evaluation, decisionCost, row.id, 'amount'),
    })),
    scarceHours: optional('scarceHours'),
    hoursThatCount: optional('hoursThatCount'),
    inPlan: inPlan(evaluation, id),
    advantage: shown(evaluation, decision, id, 'advantage'),
    turningPrice: optional('turningPrice'),
    neededIn: neededIn(evaluation, id),
    alternatives: alternativesOf(evaluation, id),
    verdict:
      amount === null || lines.advantage.gaps.length > 0
        ? null
        : ((['leave it', 'no difference', 'do it'] as const)[Math.sign(compared(amount, ZERO)) + 1] ?? null),
  };
}

function neededIn({ sheet }: Evaluation, id: string): string[] {
  const productId = sheet.row('decision', id)?.productId ?? '';
  const users = new Set(sheet.rowsOf('billLine', 'componentId', productId).map((line) => line.productId));
  return [...users].flatMap((userId) => {
    const user = sheet.row('product', userId);
    return user === undefined || user.archived ? [] : [user.name];
  });
}

function alternativesOf(evaluation: Evaluation, id: string): DecisionAlternative[] {
  const { sheet } = evaluation;
  const productId = sheet.row('decision', id)?.productId ?? '';
  const rows = sheet.rowsOf('decision', 'productId', productId);
  const advantages = rows.map((row) => monthlyAdvantage(evaluation, row));
  const most = advantages.reduce<Decimal>((so, each) => (each !== null && each.gt(so) ? each : so), ZERO);
  return rows.map((row, index) => ({
    leavesMost: isPositive(most) && advantages[index]?.eq(most) === true,
    id: row.id,
    name: row.name,
    type: row.type,
    units: shown(evaluation, decision, row.id, 'units'),
    advantage: shown(evaluation, decision, row.id, 'advantage'),
  }));
}

/** What a decision brings in a month; null for an order that comes once, and while something is not known. */
function monthlyAdvantage(evaluation: Evaluation, { id, type }: RowOf<'decision'>): Decimal | null {
  const { amount, gaps } = evaluation.read(decision, id).advantage;
  return type === 'special order' || gaps.length > 0 ? null : amount;
}

function inPlan(evaluation: Evaluation, id: string): DecisionView['inPlan'] {
  const row = evaluation.sheet.row('decision', id);
  if (row === undefined || row.mixPlanId === null || evaluation.read(decision, id).hoursInPlan === null) return null;
  const { gradeId, equipmentId, mixPlanId: planId } = row;
  const resource = evaluation.sheet
    .rowsOf('mixResource', 'planId', planId)
    .find((each) => (gradeId === null ? each.equipmentId === equipmentId : each.gradeId === gradeId));
  return {
    planId,
    hours: shown(evaluation, decision, id, 'hoursInPlan'),
    resourceId: resource?.id ?? null,
    areTaken: row.type === 'special order',
  };
}
