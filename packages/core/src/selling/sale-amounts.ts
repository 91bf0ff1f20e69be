import { constant, type Figure, isWhole } from '../figure/index.js';
import { type Decimal, HUNDRED, ONE, ZERO } from '../number/index.js';
import { NUMBER } from '../quantity/index.js';
import type { PackedLine } from './dispatch/packing.js';
import type { BesidePrice } from './fees/fee-amount.js';
import type { ReturnTerms } from './returns.js';

/** What a sale costs and brings beside its price and its fees, for a unit, in plain amounts. */
export interface SaleAmounts {
  /** The share of the price that is kept after returns. */
  readonly kept: Decimal;
  /** Packing, postage, handling of returns, less what the rest of them is worth. */
  readonly costs: Decimal;
  /** The postage that is charged and not refunded. */
  readonly brings: Decimal;
}

/** What goes out of a sale beside its fees, and what stands beside its price. */
interface SaleCosts {
  readonly packing: readonly PackedLine[];
  readonly postagePaid: Figure | null;
  readonly returns: ReturnTerms | null;
  readonly beside: BesidePrice;
}

/** Null while something of it is missing. */
export function saleAmounts({ packing, postagePaid, returns, beside }: SaleCosts): SaleAmounts | null {
  const dispatch = [...packing.map(({ perUnit }) => perUnit), ...(postagePaid === null ? [] : [postagePaid])];
  const postage = beside.postage ?? NOTHING;
  if (![...dispatch, postage].every(isWhole)) return null;
  const sent = dispatch.reduce<Decimal>((so, { amount }) => so.plus(amount ?? ZERO), ZERO);
  const charged = postage.amount ?? ZERO;
  if (returns === null) return { kept: ONE, costs: sent, brings: charged };
  const { rate, handling, scrap, refundsPostage } = returns;
  const [handled, worth] = [handling ?? NOTHING, scrap ?? NOTHING];
  if (!isWhole(rate) || !isWhole(handled) || !isWhole(worth)) return null;
  const share = rate.amount.div(HUNDRED);
  const kept = ONE.minus(share);
  return {
    kept,
    costs: sent.plus(share.mul(handled.amount)).minus(worth.amount),
    brings: refundsPostage ? charged.mul(kept) : charged,
  };
}

const NOTHING = constant('Nothing', '0', NUMBER, 'definition');
