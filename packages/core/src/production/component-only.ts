import type { RowOf } from '@nuvar/book';

/**
 * True for a product that only goes into others: it is used in a bill, nobody has set a price for it, and none is planned
 * to be sold.
 */
export function isComponentOnly(
  planned: readonly Pick<RowOf<'plannedVolume'>, 'unitsPerMonth'>[],
  prices: readonly unknown[],
  usedIn: readonly unknown[],
): boolean {
  return (
    prices.length === 0 && usedIn.length > 0 && planned.every(({ unitsPerMonth }) => Number(unitsPerMonth ?? 0) === 0)
  );
}
