import type { RowOf } from '@nuvar/book';
import { type Figure, multiplied } from '../../figure/index.js';
import { type Calculation, money } from '../../sheet/index.js';
import { type LedgerEntry, runLedger } from './ledger.js';
import { inLedgerOrder, movementsOf } from './movement.js';
import { type LedgerOf, ofLedger, type PeriodEntry, periodEntry, quantityUnit, standardEntry } from './period-entry.js';
import { type MethodOfPeriod, type PeriodMethod, periodMethods } from './period-methods.js';
import { stateOf } from './position.js';
import { standardPriceOn } from './standard-price.js';

export interface StockPeriod {
  readonly entries: readonly PeriodEntry[];
  readonly openingQuantity: Figure;
  readonly openingValue: Figure;
  readonly methods: Readonly<Record<PeriodMethod, MethodOfPeriod>> | null;
}

/**
 * The stock ledger of a material over a period, by the method of the book, entry by entry, and what each method of valuation makes of the same period (`periodMethods`). The id is "material@from@to", or with
 * a fourth day "material@from@to@begun" where the ledger has to be gone through from an earlier day; the movements from then
 * on and the position before have to be there ("material@begun" of `stockPosition`).
 */
export const stockPeriod: Calculation<StockPeriod> = {
  name: 'stockPeriod',
  meanings: {
    openingQuantity: 'How much was in stock before the first movement of the period.',
    openingValue: 'What the stock was worth before the first movement of the period.',
  },
  work(sheet, id) {
    const [materialId = '', from = '', to = '', begun = from] = id.split('@');
    const material = sheet.row('material', materialId);
    const rows = inLedgerOrder(
      sheet.rowsOf('stockMovement', 'materialId', materialId).filter(({ date }) => date >= begun && date <= to),
    ).filter(isWholeRow);
    const byId = new Map(rows.map((row) => [row.id, row]));
    const movements = movementsOf(rows);
    const before = sheet.row('stockPosition', `${materialId}@${begun}`) ?? null;
    const { stockMethod: method } = sheet.settings();
    const isFifo = method === 'first in, first out';
    const of: LedgerOf = { material, method };
    const standardOn = (day: string) => (material === undefined ? null : standardPriceOn(sheet, material, day));
    const { average, fifo } = stateOf(before);
    const holding = isFifo ? fifo : average;
    const entries: PeriodEntry[] = [];
    let [quantity, value] = [holding.quantity, holding.value];
    runLedger(holding, movements, (entry) => {
      const { id: movementId, date } = entry.movement;
      if (date < from) [quantity, value] = [entry.quantityAfter, entry.valueAfter];
      else entries.push(stepOf(byId.get(movementId) as RowOf<'stockMovement'>, entry));
    });
    return {
      entries,
      openingQuantity: ofLedger(sheet, of, 'Opening quantity', quantity, quantityUnit(of), from),
      openingValue: openingValue(),
      methods: material === undefined ? null : periodMethods(sheet, material, { movements, before, from, to }),
    };

    function stepOf(row: RowOf<'stockMovement'>, entry: LedgerEntry): PeriodEntry {
      const standard = method === 'standard' ? standardOn(row.date) : null;
      return standard === null ? periodEntry(sheet, of, row, entry) : standardEntry(sheet, of, row, entry, standard);
    }

    function openingValue(): Figure {
      const standard = method === 'standard' ? standardOn(from) : null;
      const opening = ofLedger(sheet, of, 'Opening quantity', quantity, quantityUnit(of), from);
      return standard === null
        ? ofLedger(sheet, of, 'Opening value', value, money(sheet), from)
        : multiplied({ name: 'Opening value', subject: material?.name ?? '' }, opening, standard);
    }
  },
};

/** The id of a period, and what stands behind it in the id of an entry or a method of it. */
function splitOff(id: string): readonly [periodId: string, last: string] {
  const at = id.lastIndexOf('@');
  return [id.slice(0, at), id.slice(at + 1)];
}

/** One entry of a period, so that its figures can be opened. The id is that of the period and of the movement, "period@movement". */
export const stockEntry: Calculation<PeriodEntry | Record<string, never>> = {
  name: 'stockEntry',
  meanings: {
    quantity: 'By how much the movement changed what is in stock.',
    value: 'By how much the movement changed the value of what is in stock.',
    truedUp: 'What went to cost of sales beside the cost of what left.',
    quantityAfter: 'What was in stock after the movement.',
    valueAfter: 'What the stock was worth after the movement.',
    perUnitAfter: 'What one base unit in stock was worth after the movement.',
  },
  work(sheet, id) {
    const [periodId, movementId] = splitOff(id);
    return sheet.read(stockPeriod, periodId).entries.find((entry) => entry.movementId === movementId) ?? {};
  },
};

/** What one method makes of a period, so that its figures can be opened. The id is that of the period and the method, "period@method". */
export const stockMethod: Calculation<MethodOfPeriod | Record<string, never>> = {
  name: 'stockMethod',
  meanings: {
    opening: 'What the stock was worth at the beginning of the period.',
    received: 'What came into stock in the period cost.',
    used: 'What was used of the stock in the period cost.',
    toSupplier: 'What went back to the supplier in the period cost.',
    writtenOff: 'What was written off in the period cost.',
    closing: 'What the stock was worth at the end of the period.',
    perUnit: 'What one base unit in stock was worth at the end of the period.',
    priceVariance: 'What was paid above the standard price (purchase price variance).',
    revaluation: 'What a new standard price changed of the value of what was there.',
  },
  work(sheet, id) {
    const [periodId, method] = splitOff(id);
    return sheet.read(stockPeriod, periodId).methods?.[method as PeriodMethod] ?? {};
  },
};

/** A movement that still lacks what its type needs is not counted until it has it. */
function isWholeRow({ type, quantity, cost }: RowOf<'stockMovement'>): boolean {
  if (type === 'late charge') return cost !== null;
  const needsCost = type === 'opening' || type === 'receipt';
  return quantity !== null && (!needsCost || cost !== null);
}
