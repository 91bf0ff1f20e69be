import type { Override } from '@nuvar/book';
import { type Gap, gapSentence } from '../figure/index.js';
import { Decimal, ZERO } from '../number/index.js';
import { coverage, periodCosts } from '../planning/index.js';
import { periodFees, salesPerMonth } from '../selling/index.js';
import { type Evaluation, type Fork, WHOLE_BOOK } from '../sheet/index.js';
import type { BridgeOf } from './bridge-of.js';
import { byCause, type Substitution } from './causes.js';
import { differencesBetween } from './differences.js';
import { quantityAndMix } from './quantity-and-mix.js';

/** What a part of a bridge is caused by: what is replaced, or what a difference of volume is made of. */
export type Cause = Exclude<Substitution, 'volume'> | 'quantity' | 'mix' | 'moved by volume' | 'date';

/** What a part does to one price, or to the fixed costs (id null). */
export interface BridgeLine {
  readonly pricePointId: string | null;
  readonly amount: Decimal;
}

export interface BridgePart {
  readonly cause: Cause;
  readonly amount: Decimal;
  readonly lines: readonly BridgeLine[];
  /** The inputs that differ. */
  readonly differences: readonly Override[];
}

export interface Bridge {
  readonly from: Decimal | null;
  readonly to: Decimal | null;
  /** They sum exactly to the difference of the two sides. Parts without differences and amount are left out. */
  readonly parts: readonly BridgePart[];
  /** Why there is no bridge, or why not all is in it, in sentences. */
  readonly gaps: readonly string[];
}

/** Amounts are led from one side to the other to so many decimals, so that the parts sum exactly. */
const DECIMALS = 12;

/**
 * Leads a result from one side to another. The differences of the inputs are laid over the first side, cause after cause, and
 * all is worked out again each time: a part is what its cause adds to what was laid before, so that a joint effect falls on
 * the later cause, and a cause without differences has no part (Horngren, Datar & Rajan: flexible budget). A difference of
 * volume is taken apart into quantity, mix, and costs that move with volume. Where no result is known after one cause, it is
 * counted together with the next. What no input explains comes last: the day, or a value that does not fit its field.
 */
export function bridge(one: Evaluation, other: Evaluation, of: BridgeOf, order: readonly Substitution[]): Bridge {
  const [first, last] = [resultOf(one, of), resultOf(other, of)];
  const gaps = [...new Set([...first.gaps, ...last.gaps].map(gapSentence))];
  if (first.total === null || last.total === null) return { from: first.total, to: last.total, parts: [], gaps };
  const fork = one.fork([]);
  try {
    const steps = stepsOf(one, other, order);
    const parts = partsOf(fork, of, first, steps, { ...last, cause: one.asOf === other.asOf ? 'other' : 'date' });
    return { from: first.total, to: last.total, parts, gaps };
  } finally {
    fork.end();
  }
}

interface Step {
  readonly cause: Substitution;
  readonly differences: readonly Override[];
}

function stepsOf(one: Evaluation, other: Evaluation, order: readonly Substitution[]): Step[] {
  const { added, bySubstitution, removed } = byCause(one.rows, other.rows, differencesBetween(one.rows, other.rows));
  return [
    { cause: 'other' as const, differences: added },
    ...order.map((cause) => ({ cause, differences: bySubstitution.get(cause) ?? [] })),
    { cause: 'other' as const, differences: removed },
  ].filter(({ differences }) => differences.length > 0);
}

interface Result {
  readonly total: Decimal | null;
  readonly byPrice: ReadonlyMap<string, Decimal>;
  readonly fixed: Decimal;
  readonly gaps: readonly Gap[];
}

const exact = (amount: Decimal | null) => amount?.toDecimalPlaces(DECIMALS, Decimal.ROUND_HALF_UP) ?? null;

/** What is led, and what it is made of, on one side. */
function resultOf(evaluation: Evaluation, of: BridgeOf): Result {
  const { sheet } = evaluation;
  const points = sheet
    .all('pricePoint')
    .filter((point) => of.of === 'month' || (of.of === 'product' ? point.productId : point.channelId) === of.id);
  const byPrice = new Map<string, Decimal>();
  for (const { id } of points) {
    const amount = exact(evaluation.read(salesPerMonth, id).contributionPerMonth.amount);
    if (amount !== null) byPrice.set(id, amount);
  }
  const sum = [...byPrice.values()].reduce((total, each) => total.plus(each), ZERO);
  if (of.of === 'month') {
    const { resultPerMonth } = evaluation.read(coverage, WHOLE_BOOK);
    const fixed = exact(evaluation.read(periodCosts, WHOLE_BOOK).total.amount) ?? ZERO;
    return { total: exact(resultPerMonth.amount), byPrice, fixed: fixed.neg(), gaps: resultPerMonth.gaps };
  }
  const fees = of.of === 'channel' ? exact(evaluation.read(periodFees, of.id).perMonth.amount) : null;
  const fixed = (fees ?? ZERO).neg();
  return { total: byPrice.size === 0 ? null : sum.plus(fixed), byPrice, fixed, gaps: [] };
}

function partsOf(
  fork: Fork,
  of: BridgeOf,
  first: Result,
  steps: readonly Step[],
  last: Result & { readonly cause: Cause },
): BridgePart[] {
  const parts: BridgePart[] = [];
  let laid: Override[] = [];
  let before = first;
  let waiting: Override[] = [];
  for (const { cause, differences } of steps) {
    const measured = cause === 'volume' ? quantityAndMix(fork, of) : null;
    laid = [...laid, ...differences];
    fork.lay(laid);
    const after = resultOf(fork, of);
    waiting = [...waiting, ...differences];
    // What is not known yet is counted with what comes next.
    if (after.total === null) continue;
    const made = partBetween(cause === 'volume' ? 'quantity' : cause, before, after, waiting);
    parts.push(...(measured === null ? [made] : volumeParts(made, measured.after(fork))));
    waiting = [];
    before = after;
  }
  parts.push(partBetween(last.cause, before, last, waiting));
  return merged(parts).filter(({ amount, differences }) => !amount.isZero() || differences.length > 0);
}

function partBetween(cause: Cause, before: Result, after: Result, differences: readonly Override[]): BridgePart {
  const ids = new Set([...before.byPrice.keys(), ...after.byPrice.keys()]);
  const lines = [...ids].map((id): BridgeLine => {
    const [was, is] = [before.byPrice.get(id) ?? ZERO, after.byPrice.get(id) ?? ZERO];
    return { pricePointId: id, amount: is.minus(was) };
  });
  const fixed: BridgeLine = { pricePointId: null, amount: after.fixed.minus(before.fixed) };
  const amount = (after.total ?? ZERO).minus(before.total ?? ZERO);
  return { cause, amount, lines: [...lines, fixed].filter((line) => !line.amount.isZero()), differences };
}

/** A difference of volume as quantity and mix; what it moves beside them, such as a step of a fixed cost, is named apart. */
function volumeParts(whole: BridgePart, { quantity, mix }: { quantity: Decimal; mix: Decimal }): BridgePart[] {
  const moved = whole.amount.minus(quantity).minus(mix);
  const part = (cause: Cause, amount: Decimal): BridgePart => ({ ...whole, cause, amount });
  const parts = [{ ...whole, amount: quantity }, part('mix', mix), part('moved by volume', moved)];
  return parts.filter(({ cause, amount }) => cause === 'quantity' || !amount.isZero());
}

/** Parts of one cause become one. */
function merged(parts: readonly BridgePart[]): BridgePart[] {
  const byName = new Map<Cause, BridgePart>();
  for (const part of parts) {
    const known = byName.get(part.cause);
    byName.set(
      part.cause,
      known === undefined
        ? part
        : {
            cause: part.cause,
            amount: known.amount.plus(part.amount),
            lines: [...known.lines, ...part.lines],
            differences: [...known.differences, ...part.differences],
          },
    );
  }
  return [...byName.values()];
}
