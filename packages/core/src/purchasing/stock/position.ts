import type { RowOf } from '@nuvar/book';
import { type Decimal, decimal, ZERO } from '../../number/index.js';
import type { DayState } from '../../sheet/index.js';
import { FirstInFirstOut, type Layer } from './first-in-first-out.js';
import type { Holding } from './holding.js';
import { MovingAverage } from './moving-average.js';
import { walkLedger } from './ledger.js';
import { inMonthOrder, month } from './month-order.js';
import type { Movement } from './movement.js';

/** What the ledger of a material has come to, by both methods that follow the movements, and by those that value whole months. */
export interface StockState {
  readonly average: MovingAverage;
  readonly fifo: FirstInFirstOut;
  readonly monthAverage: MovingAverage;
  readonly monthFifo: FirstInFirstOut;
}

/** A stock position as it is kept: the figures of `StockPosition`, unrounded, and the open layers. */
export type KeptPosition = Omit<RowOf<'stockPosition'>, 'id' | 'materialId' | 'unit' | 'day'>;

/** The open layers of a holding, as they are kept: of each the movement that opened it, what is left, and its cost. */
type KeptLayers = readonly (readonly [string, string, string])[];

/** What is kept of the methods that value whole months. */
interface KeptOfMonths {
  readonly averageValue: string;
  readonly averageCost: string | null;
  readonly lastCost: string | null;
  readonly layers: KeptLayers;
}

/** Reads what was kept of a material; null is nothing yet. Where months were not kept, they begin as the movements left it. */
export function stateOf(kept: KeptPosition | null): StockState {
  if (kept === null)
    return {
      average: new MovingAverage(),
      fifo: new FirstInFirstOut(),
      monthAverage: new MovingAverage(),
      monthFifo: new FirstInFirstOut(),
    };
  const quantity = decimal(kept.quantity);
  const layers = JSON.parse(kept.layers === '' ? '[]' : kept.layers) as KeptLayers;
  const { averageValue, averageCost, lastCost } = kept;
  const byMovement = { averageValue, averageCost, lastCost, layers };
  const byMonth = kept.byMonth === '' ? byMovement : (JSON.parse(kept.byMonth) as KeptOfMonths);
  return {
    average: averageOf(quantity, byMovement),
    fifo: fifoOf(quantity, byMovement),
    monthAverage: averageOf(quantity, byMonth),
    monthFifo: fifoOf(quantity, byMonth),
  };
}

const known = (text: string | null) => (text === null ? null : decimal(text));

const averageOf = (quantity: Decimal, { averageValue, averageCost }: KeptOfMonths): MovingAverage =>
  new MovingAverage(quantity, decimal(averageValue), known(averageCost));

const fifoOf = (quantity: Decimal, { layers, lastCost }: KeptOfMonths): FirstInFirstOut =>
  new FirstInFirstOut(
    layers.map(([id, left, cost]): Layer => ({ id, quantity: decimal(left), cost: decimal(cost) })),
    quantity.isNegative() ? quantity.negated() : ZERO,
    known(lastCost),
  );

const textOf = (amount: Decimal | null) => (amount === null ? null : amount.toFixed());

const layersOf = (fifo: FirstInFirstOut): KeptLayers =>
  fifo.open.map(({ id, quantity, cost }) => [id, quantity.toFixed(), cost.toFixed()]);

/** What is kept of a material at the end of a day; what whole months come to at the end of the last day of a month. */
export function keptOf(
  { average, fifo }: Pick<StockState, 'average' | 'fifo'>,
  months: Pick<StockState, 'monthAverage' | 'monthFifo'> | null,
): KeptPosition {
  return {
    quantity: average.quantity.toFixed(),
    averageValue: average.value.toFixed(),
    averageCost: textOf(average.nextCost),
    fifoValue: fifo.value.toFixed(),
    oldestCost: textOf(fifo.nextCost),
    lastCost: textOf(fifo.last),
    layers: JSON.stringify(layersOf(fifo)),
    byMonth: months === null ? '' : JSON.stringify(keptOfMonths(months)),
  };
}

const keptOfMonths = ({
  monthAverage: average,
  monthFifo: fifo,
}: Pick<StockState, 'monthAverage' | 'monthFifo'>): KeptOfMonths => ({
  averageValue: average.value.toFixed(),
  averageCost: textOf(average.nextCost),
  lastCost: textOf(fifo.last),
  layers: layersOf(fifo),
});

/**
 * What the ledger comes to at the end of each day on which something moved, from what was kept of the days before: these
 * have to end with a month, for a month is valued as one. Movements as `movementsOf` gives them. Late charges change the
 * days from their own date on, never those before.
 */
export function positionsByDay(before: KeptPosition | null, movements: readonly Movement[]): DayState<KeptPosition>[] {
  const { average, fifo, monthAverage, monthFifo } = stateOf(before);
  const next = (index: number) => movements[index + 1]?.date ?? '';
  const endsOfDays = new Set(movements.filter(({ date }, index) => next(index) !== date));
  const endsOfMonths = new Set(movements.filter(({ date }, index) => month(next(index)) !== month(date)));
  const inMonths = inMonthOrder(movements, average);
  const monthAverages = endsOfEachMonth(monthAverage, inMonths, endsOfMonths);
  const monthFifos = endsOfEachMonth(monthFifo, inMonths, endsOfMonths);
  const averages: MovingAverage[] = [];
  walkLedger(average, movements, (movement, holding) => {
    if (endsOfDays.has(movement)) averages.push(holding.copy());
  });
  const days: DayState<KeptPosition>[] = [];
  walkLedger(fifo, movements, (ended, holding) => {
    const atEnd = averages[days.length];
    if (!endsOfDays.has(ended) || atEnd === undefined) return;
    const [ofAverage, ofFifo] = [monthAverages.get(ended), monthFifos.get(ended)];
    const months = ofAverage && ofFifo ? { monthAverage: ofAverage, monthFifo: ofFifo } : null;
    days.push({ day: ended.date, kept: keptOf({ average: atEnd, fifo: holding }, months) });
  });
  return days;
}

/** What a holding is after each month, by the last movement of the month; a month in which nothing changed leaves it as it was. */
function endsOfEachMonth<Held extends Holding>(
  from: Held,
  inMonths: readonly Movement[],
  endsOfMonths: ReadonlySet<Movement>,
): Map<Movement, Held> {
  const byMonth = new Map<string, Held>();
  let last = from.copy() as Held;
  walkLedger(from, inMonths, ({ date }, holding, _truedUp, index) => {
    if (month(inMonths[index + 1]?.date ?? '') !== month(date)) byMonth.set(month(date), holding.copy() as Held);
  });
  return new Map(
    [...endsOfMonths].map((ended) => {
      last = byMonth.get(month(ended.date)) ?? last;
      return [ended, last];
    }),
  );
}

/** The first day on which a ledger falls below zero, with what it falls to; null where it never does. */
export function firstBelowZero(
  days: readonly DayState<KeptPosition>[],
): { readonly day: string; readonly quantity: string } | null {
  const below = days.find(({ kept }) => kept.quantity.startsWith('-'));
  return below === undefined ? null : { day: below.day, quantity: below.kept.quantity };
}
