import type { RowOf } from '@nuvar/book';
import { choice, difference, type Figure, multiplied, quotient, rounded } from '../../figure/index.js';
import { ONE } from '../../number/index.js';
import { batch, committedCost } from '../../production/index.js';
import { type Unit, unit } from '../../quantity/index.js';
import { contributionOf, netProceedsAt, priceForTarget, saleTerms, unitCostOf } from '../../selling/index.js';
import { money, type Sheet } from '../../sheet/index.js';
import { planningGap } from '../gaps.js';

/** What a decision is about. */
export interface About {
  readonly row: RowOf<'decision'>;
  readonly product: RowOf<'product'>;
  readonly units: Figure;
  /** Money, or money a month. */
  readonly period: Unit;
}

/** The price quoted or offered for a unit. Gap: none yet. */
export function priceOf(sheet: Sheet, { row, product }: About): Figure {
  return sheet.input('decision', row, 'price', {
    name: 'Price',
    subject: product.name,
    unit: money(sheet).per(unit(product.outputUnit)),
    whenEmpty: (place) => planningGap('no-decision-price', place, { subject: product.name }),
  });
}

/** What a unit of a special order leaves: at its price before tax, in the channel where it is sold, or with no fees at all. */
export function orderContribution(sheet: Sheet, { row, product }: About, price: Figure): Figure {
  const subject = product.name;
  const channel = row.channelId === null ? undefined : sheet.row('channel', row.channelId);
  const cost = unitCostOf(sheet, product.id, null);
  if (channel === undefined) return difference({ name: 'Contribution', subject }, price, cost.changingCost);
  const terms = { ...saleTerms(sheet, product, channel, undefined), taxInside: false };
  return contributionOf(netProceedsAt(price, terms, subject), cost, terms, subject);
}

/** What changes with the units that whole batches make beyond an order = (batches, rounded up, x good units of one - units) x what changes with a unit that is made. */
export function restOfBatch(sheet: Sheet, { product, units }: About): Figure {
  const named = (name: string) => ({ name, subject: product.name });
  const { good } = sheet.read(batch, product.id);
  const batches = rounded(named('Whole batches'), quotient(named('Batches'), units, good), ONE, 'up');
  const beyond = difference(named('Made beyond the order'), multiplied(named('Made'), batches, good), units);
  return multiplied(named('Rest of the last batch'), beyond, sheet.read(committedCost, product.id).changing);
}

/**
 * The price before tax at which an order through a channel leaves just what the rest of the decision takes, with the fees at that
 * price. Null without a channel; gaps where no price leaves it.
 */
export function orderTurningPrice(
  sheet: Sheet,
  { row, product, units }: About,
  left: Figure | null,
  brought: Figure,
  taken: Figure,
): Figure | null {
  const channel = sheet.row('channel', row.channelId ?? '');
  if (channel === undefined || left === null) return null;
  const subject = product.name;
  const beside = difference({ name: 'Brought beside the order', subject }, brought, left);
  const needed = difference({ name: 'To be left by the order', subject }, taken, beside);
  const terms = { ...saleTerms(sheet, product, channel, undefined), taxInside: false };
  const { exact } = priceForTarget(
    {
      basis: 'amount',
      wanted: quotient({ name: 'To be left by a unit', subject }, needed, units),
      place: { kind: 'decision', id: row.id, field: 'price' },
    },
    terms,
    unitCostOf(sheet, product.id, null).changingCost,
    subject,
    sheet.settings().currency,
  );
  return choice({ name: 'Price that makes no difference', subject }, exact, 'before tax, with the fees at that price');
}
