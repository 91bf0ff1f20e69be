import type { RowOf } from '@nuvar/book';
import { constant, difference, type Figure, percentOf } from '../figure/index.js';
import type { SoldProduct } from './dispatch/packing.js';
import { PERCENT, unit } from '../quantity/index.js';
import { money, type Sheet } from '../sheet/index.js';

/** What comes back of the units that are dispatched, and what becomes of it. */
export interface ReturnTerms {
  /** In percent of the units dispatched. */
  readonly rate: Figure;
  /** The share of the units dispatched that customers keep, in percent. */
  readonly kept: Figure;
  readonly refundsPostage: boolean;
  /** For each returned unit; null for nothing. */
  readonly handling: Figure | null;
  /** In percent of the units dispatched: those that come back and are sold again as new; null for none. */
  readonly asNew: Figure | null;
  /** What those that cannot be sold as new bring, for one unit dispatched; null for nothing. */
  readonly scrap: Figure | null;
}

const ALL_SENT = constant('All units dispatched', '100', PERCENT, 'definition');
const ALL_BACK = constant('All units that come back', '100', PERCENT, 'definition');

/** The returns of a product in a channel, by the rate of its price where typed, else the channel's; null where nothing comes back. */
export function returnTermsOf(
  sheet: Sheet,
  channel: RowOf<'channel'>,
  product: SoldProduct,
  point: RowOf<'pricePoint'> | undefined,
): ReturnTerms | null {
  const stated = point?.returnsPercent ?? channel.returnsPercent;
  if (stated === '0') return null;
  const subject = channel.name;
  const perUnit = money(sheet).per(unit(product.outputUnit));
  const ofChannel = (field: 'returnHandling' | 'resaleablePercent' | 'scrapWorth', name: string, of: typeof perUnit) =>
    channel[field] === '0' ? null : sheet.input('channel', channel, field, { name, subject, unit: of });
  const leaf = { name: 'Returns, of the units dispatched', unit: PERCENT };
  const rate =
    point === undefined || point.returnsPercent === null
      ? sheet.input('channel', channel, 'returnsPercent', { ...leaf, subject })
      : sheet.input('pricePoint', point, 'returnsPercent', { ...leaf, subject: product.name });
  const resaleable = ofChannel('resaleablePercent', 'Returned as new', PERCENT);
  const worth = ofChannel('scrapWorth', 'Worth of a returned unit that is not as new', perUnit);
  const rest = resaleable === null ? ALL_BACK : difference('Returned, not as new', ALL_BACK, resaleable);
  return {
    rate,
    kept: difference({ name: 'Kept, of the units dispatched', subject }, ALL_SENT, rate),
    refundsPostage: channel.refundsPostage,
    handling: ofChannel('returnHandling', 'Handling per return', perUnit),
    asNew: resaleable && percentOf({ name: 'Back as new, of the units dispatched', subject }, rate, resaleable),
    scrap:
      worth &&
      percentOf(
        { name: 'Worth of what is not as new', subject },
        percentOf('Back, not as new, of the units dispatched', rate, rest),
        worth,
      ),
  };
}

/** What changes with one unit dispatched, less what comes back as new and is sold again. */
export function costOfDispatched(changingCost: Figure, returns: ReturnTerms | null): Figure {
  if (returns === null || returns.asNew === null) return changingCost;
  const { subject } = changingCost;
  const gone = difference('Not back as new, of the units dispatched', ALL_SENT, returns.asNew);
  return percentOf({ name: 'Variable cost, without what comes back as new', subject }, gone, changingCost);
}
