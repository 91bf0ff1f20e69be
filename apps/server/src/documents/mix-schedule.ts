import type { MixScheduleView } from '@nuvar/core';

/** A line of a schedule as a document has it: what it is, an amount for each period, and for all together. */
export interface ScheduleLine {
  readonly name: string;
  /** By period, as decimals; null for what is not known. */
  readonly amounts: readonly (string | null)[];
  /** Empty for a stock, which is no sum. */
  readonly total: string | null;
}

/** What is made, sold and in stock at the end of each period, line by line. */
export function scheduleLines({ products, components }: MixScheduleView): ScheduleLine[] {
  const stock = (name: string, figures: readonly { readonly amount: string | null }[]): ScheduleLine => ({
    name: `${name}: in stock at the end`,
    amounts: figures.map((figure) => figure.amount),
    total: null,
  });
  return [
    ...products.flatMap(({ name, made, madeInAll, lines, closing }) => [
      { name: `${name}: made`, amounts: made, total: madeInAll },
      ...lines.map((line) => ({ name: `${line.name}: sold`, amounts: line.sold, total: line.soldInAll })),
      stock(name, closing),
    ]),
    ...components.flatMap(({ name, made, madeInAll, left }) => [
      { name: `${name}: made`, amounts: made, total: madeInAll },
      stock(name, left),
    ]),
  ];
}
