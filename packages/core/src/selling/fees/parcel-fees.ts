import type { RowOf } from '@nuvar/book';
import {
  band as sliceOf,
  choice,
  constant,
  type Figure,
  isWhole,
  missing,
  multiplied,
  percentOf,
  sum,
} from '../../figure/index.js';
import { compared, decimal } from '../../number/index.js';
import { PERCENT, unit, type Unit } from '../../quantity/index.js';
import { money, MONTH, type Sheet } from '../../sheet/index.js';
import { chargedParcel } from '../dispatch/charged-parcel.js';
import { fitsWithin, KILOGRAM, parcel } from '../dispatch/parcel.js';
import { sellingGap } from '../gaps.js';
import { bandRows } from './fee-bands.js';
import type { FeeContext } from './fee-context.js';

type Rule = RowOf<'feeRule'>;

/** An amount for the weight, the packaging, the size or the volume of one unit. Gaps: what its parcel lacks; beyond the last band or size. */
export function ofParcel(
  sheet: Sheet,
  rule: Rule,
  context: FeeContext,
  productId: string,
  stated: (of: Unit) => Figure,
): Figure {
  const called = { name: `${rule.name} per unit`, subject: context.channel.name };
  const measures = sheet.read(parcel, productId);
  if (rule.takenOf === 'packaging weight') return multiplied(called, stated(KILOGRAM), measures.packaging);
  if (rule.takenOf === 'volume and month') return storage(sheet, rule, context, measures.litres, stated);
  const weight = sheet.read(chargedParcel, `${productId}@feeRule.${rule.id}`).charged;
  if (rule.takenOf === 'size') return bySize(sheet, rule, context, measures.sides, weight);
  const bands = bandRows(sheet, rule);
  return bands.length === 0
    ? multiplied(called, stated(KILOGRAM), weight)
    : byWeight(sheet, rule, context, bands, weight);
}

/** Storage: amount per litre and month x litres x months in store, in the months of the year in which it is charged. */
function storage(sheet: Sheet, rule: Rule, context: FeeContext, litres: Figure, stated: (of: Unit) => Figure): Figure {
  const { name: subject } = context.channel;
  const called = { name: `${rule.name} per unit`, subject };
  const aMonth = multiplied({ name: `${rule.name} a month`, subject }, stated(litreMonth), litres);
  const inStore = multiplied(called, aMonth, context.monthsInStore());
  if (rule.fromMonth === null && rule.toMonth === null) return inStore;
  const [from, to] = [rule.fromMonth ?? 1, rule.toMonth ?? 12];
  const months = to >= from ? to - from + 1 : 12 - from + 1 + to;
  const share = constant('Of the year', decimal(String(months)).mul(100).div(12), PERCENT, `${months} of 12 months`);
  return percentOf(called, share, inStore);
}

const litreMonth = unit('l').times(MONTH);

/** The first size in which a unit fits. Gap: it fits in none, which is never nothing. */
function bySize(
  sheet: Sheet,
  rule: Rule,
  { channel, output, product }: FeeContext,
  sides: readonly Figure[],
  weight: Figure,
): Figure {
  const perUnit = money(sheet).per(output);
  const called = { name: `${rule.name} per unit`, subject: channel.name };
  const place = { kind: 'feeRule', id: rule.id, field: 'sizes' } as const;
  const tiers = sheet.rowsOf('sizeTier', 'ruleId', rule.id);
  const unknown = [...sides, weight].find((each) => !isWhole(each));
  if (unknown !== undefined)
    return missing(
      { ...called, unit: perUnit },
      unknown.gaps[0] ?? sellingGap('no-size', place, { fee: rule.name, subject: '' }),
      [unknown],
    );
  const limit = (tier: RowOf<'sizeTier'>, field: 'longest' | 'middle' | 'shortest' | 'upToKilograms', of: Unit) =>
    tier[field] === null
      ? null
      : sheet.input('sizeTier', tier, field, { name: tier.name, subject: rule.name, unit: of });
  const reached = tiers.find((tier) => {
    const limits = (['longest', 'middle', 'shortest'] as const).map((field) => limit(tier, field, unit('cm')));
    const heaviest = limit(tier, 'upToKilograms', weight.unit);
    const isLight = heaviest?.amount == null || weight.amount === null || compared(weight.amount, heaviest.amount) <= 0;
    return isLight && fitsWithin(sides, limits) === true;
  });
  if (reached === undefined)
    return missing(
      { ...called, unit: perUnit },
      sellingGap('no-size', place, { fee: rule.name, subject: product?.name ?? '' }),
      [...sides, weight],
    );
  const amount = sheet.input('sizeTier', reached, 'amount', {
    name: rule.name,
    subject: reached.name,
    unit: perUnit,
    whenEmpty: (at) => sellingGap('no-fee-yet', at, { fee: `${rule.name}, ${reached.name}` }),
  });
  return choice(called, amount, `it fits in "${reached.name}"`);
}

/** By bands of weight: the one that is reached, or each for the kilograms that lie in it. Gap: heavier than the last one. */
function byWeight(
  sheet: Sheet,
  rule: Rule,
  { channel, output }: FeeContext,
  bands: readonly RowOf<'feeBand'>[],
  weight: Figure,
): Figure {
  const perUnit = money(sheet).per(output);
  const called = { name: `${rule.name} per unit`, subject: channel.name };
  const place = { kind: 'feeRule', id: rule.id, field: 'bands' } as const;
  const beyond = sellingGap('beyond-last-band', place, { fee: rule.name });
  if (!isWhole(weight)) return missing({ ...called, unit: perUnit }, weight.gaps[0] ?? beyond, [weight]);
  const at = bands.findIndex(({ upTo }) => upTo === null || compared(weight.amount, decimal(upTo)) <= 0);
  const reached = bands[at];
  if (reached === undefined) return missing({ ...called, unit: perUnit }, beyond, [weight]);
  const ofBand = (row: RowOf<'feeBand'>, base: Figure): Figure[] => [
    ...(row.amount === null
      ? []
      : [sheet.input('feeBand', row, 'amount', { name: 'Amount', subject: rule.name, unit: perUnit })]),
    ...(row.perKilogram === null
      ? []
      : [
          multiplied(
            rule.name,
            sheet.input('feeBand', row, 'perKilogram', {
              name: 'Per kg',
              subject: rule.name,
              unit: money(sheet).per(KILOGRAM),
            }),
            base,
          ),
        ]),
  ];
  if (rule.bandRule === 'whole price') {
    const limit = reached.upTo === null ? 'the last band' : `the band up to ${reached.upTo} kg`;
    return choice(called, sum(called, perUnit, ofBand(reached, weight)), limit);
  }
  const kilograms = (row: RowOf<'feeBand'> | undefined) =>
    row === undefined
      ? constant('From the first kilogram', '0', weight.unit, 'definition')
      : sheet.input('feeBand', row, 'upTo', { name: 'Up to', subject: rule.name, unit: weight.unit });
  const slices = bands.slice(0, at + 1).flatMap((row, index) => {
    const to = row.upTo === null ? null : kilograms(row);
    return ofBand(row, sliceOf('Slice of the weight', weight, kilograms(bands[index - 1]), to));
  });
  return sum(called, perUnit, slices);
}
