import type { Figure } from '../../figure/index.js';
import type { Evaluation } from '../../sheet/index.js';
import {
  bridge,
  type BridgeOf,
  type Cause,
  compareSides,
  differenceWorking,
  MEASURES,
  type Measure,
  type Sides,
  SUBSTITUTIONS,
  type Substitution,
} from '../../what-if/index.js';
import { type FigureView, figureView } from '../general/figure-view.js';
import { type DifferenceWords, overrideWords } from './row-words.js';

/** Several evaluations beside each other, and one measure of all their prices; the id is the measure. */
export function sidesView(sides: readonly Evaluation[], id: string): Sides {
  return compareSides(sides, (MEASURES as readonly string[]).includes(id) ? (id as Measure) : 'contribution per month');
}

export interface BridgeView {
  /** Exact, as decimal texts; null where one is not known. */
  readonly from: string | null;
  readonly to: string | null;
  readonly unit: string;
  readonly gaps: readonly string[];
  readonly parts: readonly {
    readonly cause: Cause;
    readonly amount: string;
    readonly lines: readonly { readonly product: string; readonly channel: string; readonly amount: string }[];
    readonly inputs: readonly DifferenceWords[];
  }[];
}

/** So many inputs of a part are told; a file of prices may have changed thousands. */
const MOST_INPUTS = 200;

/** What is led, and in which order causes are replaced: "month", "product/id" or "channel/id", and behind "@" the order. */
export function bridgeView(sides: readonly Evaluation[], id: string): BridgeView | null {
  const [one, other] = sides;
  if (one === undefined || other === undefined) return null;
  const [what = '', order = ''] = id.split('@');
  const { from, to, parts, gaps } = bridge(one, other, bridgeOf(what), orderOf(order));
  const { locale, currency } = other.sheet.settings();
  const nameOf = (pricePointId: string | null) => {
    const side = pricePointId === null || other.sheet.row('pricePoint', pricePointId) !== undefined ? other : one;
    const point = pricePointId === null ? undefined : side.sheet.row('pricePoint', pricePointId);
    if (point === undefined) return { product: '', channel: '' };
    const { productId, channelId } = point;
    return {
      product: side.sheet.row('product', productId)?.name ?? '',
      channel: side.sheet.row('channel', channelId)?.name ?? '',
    };
  };
  return {
    from: from?.toFixed() ?? null,
    to: to?.toFixed() ?? null,
    unit: `${currency}/month`,
    gaps,
    parts: parts.map(({ cause, amount, lines, differences }) => ({
      cause,
      amount: amount.toFixed(),
      lines: lines.map((line) => ({ ...nameOf(line.pricePointId), amount: line.amount.toFixed() })),
      inputs: differences.slice(0, MOST_INPUTS).map((each) => overrideWords(each, one.rows, other.rows, locale)),
    })),
  };
}

function bridgeOf(what: string): BridgeOf {
  const [of = '', id = ''] = what.split('/');
  return of === 'product' || of === 'channel' ? { of, id } : { of: 'month' };
}

/** The causes as they are named, and after them all others in their usual order. */
function orderOf(text: string): Substitution[] {
  const named = text
    .split(',')
    .filter((each): each is Substitution => (SUBSTITUTIONS as readonly string[]).includes(each));
  return [...new Set([...named, ...SUBSTITUTIONS])];
}

export interface DifferenceView {
  readonly before: FigureView | null;
  readonly after: FigureView | null;
  readonly difference: string | null;
  readonly inputs: readonly (DifferenceWords & { readonly effect: string | null })[];
  readonly together: string | null;
  readonly more: number;
}

/** Why a figure is another on the second side; the id is its key. */
export function differenceView(sides: readonly Evaluation[], key: string): DifferenceView | null {
  const [one, other] = sides;
  if (one === undefined || other === undefined) return null;
  const { before, after, inputs, together, more } = differenceWorking(one, other, key);
  const { locale } = other.sheet.settings();
  return {
    before: before && figureView(before, key),
    after: after && figureView(after, key),
    difference: differenceOf(before, after),
    inputs: inputs.map(({ difference, effect }) => ({
      ...overrideWords(difference, one.rows, other.rows, locale),
      effect: effect?.toFixed() ?? null,
    })),
    together: together?.toFixed() ?? null,
    more,
  };
}

function differenceOf(before: Figure | null, after: Figure | null): string | null {
  return before?.amount == null || after?.amount == null ? null : after.amount.minus(before.amount).toFixed();
}
