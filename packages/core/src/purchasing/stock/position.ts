import type { RowOf } from '@nuvar/book';
import { type Decimal, decimal, ZERO } from '../../number/index.js';
import { FirstInFirstOut, type Layer } from './first-in-first-out.js';
import { MovingAverage } from './moving-average.js';
import { walkLedger } from './ledger.js';
import type { Movement } from './movement.js';

/** What the ledger of a material has come to, by both methods that follow the movements. */
export interface StockState {
  readonly average: MovingAverage;
  readonly fifo: FirstInFirstOut;
}

/** A stock position as it is kept: the figures of `StockPosition`, unrounded, and the open layers. */
export type KeptPosition = Omit<RowOf<'stockPosition'>, 'id' | 'materialId' | 'unit' | 'day'>;

/** Reads what was kept of a material; null is nothing yet. */
export function stateOf(kept: KeptPosition | null): StockState {
  if (kept === null) return { average: new MovingAverage(), fifo: new FirstInFirstOut() };
  const quantity = decimal(kept.quantity);
  const known = (text: string | null) => (text === null ? null : decimal(text));
  const layers = JSON.parse(kept.layers === '' ? '[]' : kept.layers) as [string, string, string][];
  return {
    average: new MovingAverage(quantity, decimal(kept.averageValue), known(kept.averageCost)),
    fifo: new FirstInFirstOut(
      layers.map(([id, left, cost]): Layer => ({ id, quantity: decimal(left), cost: decimal(cost) })),
      quantity.isNegative() ? quantity.negated() : ZERO,
      known(kept.lastCost),
    ),
  };
}

/** What is kept of a material. */
export function keptOf({ average, fifo }: StockState): KeptPosition {
  const text = (amount: Decimal | null) => (amount === null ? null : amount.toFixed());
  return {
    quantity: average.quantity.toFixed(),
    averageValue: average.value.toFixed(),
    averageCost: text(average.nextCost),
    fifoValue: fifo.value.toFixed(),
    oldestCost: text(fifo.nextCost),
    lastCost: text(fifo.last),
    layers: JSON.stringify(fifo.open.map(({ id, quantity, cost }) => [id, quantity.toFixed(), cost.toFixed()])),
  };
}

/** What the ledger of a material came to at the end of a day. */
export interface PositionOfDay {
  readonly day: string;
  readonly kept: KeptPosition;
}

/**
 * What the ledger comes to at the end of each day on which something moved, from what was kept of the days before.
 * Movements as `movementsOf` gives them. Late charges change the days from their own date on, never those before.
 */
export function positionsByDay(before: KeptPosition | null, movements: readonly Movement[]): PositionOfDay[] {
  const { average, fifo } = stateOf(before);
  const endsOfDays = new Set(movements.filter(({ date }, index) => movements[index + 1]?.date !== date));
  const averages: MovingAverage[] = [];
  walkLedger(average, movements, (movement, holding) => {
    if (endsOfDays.has(movement)) averages.push(holding.copy());
  });
  const days: PositionOfDay[] = [];
  walkLedger(fifo, movements, (ended, holding) => {
    const atEnd = averages[days.length];
    if (endsOfDays.has(ended) && atEnd !== undefined)
      days.push({ day: ended.date, kept: keptOf({ average: atEnd, fifo: holding }) });
  });
  return days;
}

/** The first day on which a ledger falls below zero, with what it falls to; null where it never does. */
export function firstBelowZero(
  days: readonly PositionOfDay[],
): { readonly day: string; readonly quantity: string } | null {
  const below = days.find(({ kept }) => kept.quantity.startsWith('-'));
  return below === undefined ? null : { day: below.day, quantity: below.kept.quantity };
}
