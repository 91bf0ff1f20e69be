import type { RowOf, Override } from '@nuvar/book';
import { fulfillerOf, isOfFulfilment, pricePoint } from '../../selling/index.js';
import type { Evaluation, Sheet } from '../../sheet/index.js';
import { addMonths, dayAfter } from '../../calendar/index.js';

/** What a product leaves before and after a change of fees. */
export interface ComingFeeRow {
  readonly pointId: string;
  readonly product: string;
  /** Contribution of a sale as decimals; null while it is not known. */
  readonly before: string | null;
  readonly after: string | null;
}

/** A day on which the fees of a channel change, and what that does to each product. */
export interface ComingFees {
  readonly day: string;
  readonly fees: readonly string[];
  readonly rows: readonly ComingFeeRow[];
}

/** The days to come on which fees of a channel begin or end, each with what every product there leaves from then on. */
export function comingFeesView(evaluation: Evaluation, channelId: string): ComingFees[] {
  const { sheet } = evaluation;
  const rules = rulesOf(sheet, channelId);
  const changes = rules.flatMap(({ startsOn, endsOn, name }) => [
    ...(startsOn !== null && startsOn > sheet.asOf ? [{ day: startsOn, name }] : []),
    ...(endsOn !== null && endsOn >= sheet.asOf ? [{ day: dayAfter(endsOn), name }] : []),
  ]);
  const days = [...new Set(changes.map(({ day }) => day))].sort();
  return days.map((day) => ({
    day,
    fees: [...new Set(changes.filter((change) => change.day === day).map(({ name }) => name))],
    rows: rowsOn(evaluation, channelId, day),
  }));
}

/** The fees of a channel, and those for fulfilment of the channel that fulfils its orders. */
function rulesOf(sheet: Sheet, channelId: string): readonly RowOf<'feeRule'>[] {
  const own = sheet.rowsOf('feeRule', 'channelId', channelId);
  const channel = sheet.row('channel', channelId);
  const fulfiller = channel && fulfillerOf(sheet, channel);
  if (fulfiller === undefined || fulfiller.id === channelId) return own;
  return [...own, ...sheet.rowsOf('feeRule', 'channelId', fulfiller.id).filter(isOfFulfilment)];
}

/** As if a day had come: fees that have begun by then are in force, those that have ended are not. */
function rowsOn(evaluation: Evaluation, channelId: string, day: string): ComingFeeRow[] {
  const { sheet } = evaluation;
  const overrides = rulesOf(sheet, channelId).flatMap(({ id, startsOn, endsOn }): Override[] => {
    const at = { kind: 'feeRule', id } as const;
    return [
      ...(startsOn !== null && startsOn > sheet.asOf && startsOn <= day
        ? [{ ...at, field: 'startsOn', how: 'set' as const, value: sheet.asOf }]
        : []),
      ...(endsOn !== null && endsOn >= sheet.asOf && endsOn < day
        ? [{ ...at, field: 'endsOn', how: 'set' as const, value: addMonths(sheet.asOf, -1) }]
        : []),
    ];
  });
  const fork = evaluation.fork(overrides);
  try {
    return sheet.rowsOf('pricePoint', 'channelId', channelId).flatMap(({ id, productId }) => {
      const product = sheet.row('product', productId);
      if (product === undefined || product.archived) return [];
      const left = (of: Pick<Evaluation, 'read'>) => of.read(pricePoint, id).contribution.amount?.toFixed() ?? null;
      return [{ pointId: id, product: product.name, before: left(evaluation), after: left(fork) }];
    });
  } finally {
    fork.end();
  }
}
