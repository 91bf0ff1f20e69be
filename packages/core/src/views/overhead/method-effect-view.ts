import type { Override } from '@nuvar/book';
import { fullCost, overheadPerMonth } from '../../costing/index.js';
import { productOverhead } from '../../overhead/index.js';
import { plannedSales } from '../../production/index.js';
import { priceLimits, pricePoint, priceRatios } from '../../selling/index.js';
import type { Evaluation } from '../../sheet/index.js';

/** A price before and after something else is tried; exact decimals, null where one is not known whole. */
export interface PriceEffect {
  readonly productId: string;
  readonly product: string;
  readonly channel: string;
  readonly fullCost: readonly [before: string | null, after: string | null];
  readonly profit: readonly [before: string | null, after: string | null];
  readonly margin: readonly [before: string | null, after: string | null];
  readonly suggested: readonly [before: string | null, after: string | null];
}

/** What every price would leave if a method were that of the book; the id is that of the method. */
export function methodEffectView(evaluation: Evaluation, methodId: string): PriceEffect[] {
  const { sheet } = evaluation;
  const role = { kind: 'costingMethod', field: 'role', how: 'set' } as const;
  const overrides = sheet
    .all('costingMethod')
    .filter(({ id, role: now }) => id === methodId || now === 'book')
    .map(({ id }): Override => ({ ...role, id, value: id === methodId ? 'book' : 'comparison' }));
  const fork = evaluation.fork(overrides);
  const effects = sheet
    .all('pricePoint')
    .filter(({ price }) => price !== null)
    .map(({ id, productId, channelId }): PriceEffect => {
      const both = (
        of: (state: Evaluation) => { readonly amount: { toFixed(): string } | null; readonly gaps: readonly unknown[] },
      ) => [wholeText(of(evaluation)), wholeText(of(fork))] as const;
      return {
        productId,
        product: sheet.row('product', productId)?.name ?? '',
        channel: sheet.row('channel', channelId)?.name ?? '',
        fullCost: both(({ read }) => read(fullCost, productId).fullCost),
        profit: both(({ read }) => read(pricePoint, id).profit),
        margin: both(({ read }) => read(priceRatios, id).margin),
        suggested: both(({ read }) => read(priceLimits, id).suggested),
      };
    });
  fork.end();
  return effects;
}

const wholeText = ({
  amount,
  gaps,
}: {
  readonly amount: { toFixed(): string } | null;
  readonly gaps: readonly unknown[];
}) => (amount === null || gaps.length > 0 ? null : amount.toFixed());

/** What falls on the other products, and on nobody, when one is no longer made. */
export interface DroppedView {
  readonly product: string;
  /** What its planned units carry of the overhead in a month; null where that is not known. */
  readonly carried: string | null;
  readonly others: readonly {
    readonly id: string;
    readonly name: string;
    readonly overhead: readonly [before: string | null, after: string | null];
  }[];
}

/** The overhead in a unit of every other product, with one product planned and without it. */
export function droppedView(evaluation: Evaluation, productId: string): DroppedView {
  const { sheet } = evaluation;
  const volumes = sheet.rowsOf('plannedVolume', 'productId', productId);
  const none = { how: 'set', value: '0' } as const;
  const overrides = volumes.flatMap(({ id }): Override[] => [
    { kind: 'plannedVolume', id, field: 'unitsPerMonth', ...none },
    ...sheet
      .rowsOf('plannedMonth', 'volumeId', id)
      .map((month): Override => ({ kind: 'plannedMonth', id: month.id, field: 'units', ...none })),
  ]);
  const fork = evaluation.fork(overrides);
  const others = sheet
    .all('product')
    .filter(({ id, archived }) => id !== productId && !archived && plannedSales(sheet, id).length > 0)
    .map(({ id, name }) => ({
      id,
      name,
      overhead: [
        wholeText(evaluation.read(productOverhead, id).total),
        wholeText(fork.read(productOverhead, id).total),
      ] as const,
    }));
  fork.end();
  return {
    product: sheet.row('product', productId)?.name ?? '',
    carried: wholeText(evaluation.read(overheadPerMonth, productId).carried),
    others,
  };
}
