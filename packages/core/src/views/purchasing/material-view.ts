import { listedPrice, materialPrice, priceInForce, pricesByDay, priceInUnits } from '../../purchasing/index.js';
import type { Evaluation } from '../../sheet/index.js';
import { type FigureView, shown, shownAll } from '../general/figure-view.js';
import { type UsedInView, usedInView } from '../production/uses-view.js';

export interface MaterialView {
  readonly perBaseUnit: FigureView;
  /** What it costs to get a base unit here, where something is said of that. */
  readonly landed: FigureView | null;
  /** The same price in the other units that fit, by the code of the unit. */
  readonly perOtherUnit: Readonly<Record<string, FigureView>>;
  /** The id of the supplier price that is in force on the day; null where none has begun yet. */
  readonly priceInForce: string | null;
  readonly usedIn: readonly UsedInView[];
}

/** All that the screen of a material shows of it. */
export function materialView(evaluation: Evaluation, materialId: string): MaterialView {
  const { landed } = evaluation.read(materialPrice, materialId);
  const units = evaluation.read(priceInUnits, materialId);
  return {
    perBaseUnit: shown(evaluation, materialPrice, materialId, 'perBaseUnit'),
    landed: landed && shown(evaluation, materialPrice, materialId, 'landed'),
    perOtherUnit: shownAll(evaluation, priceInUnits, materialId, Object.keys(units)),
    priceInForce: evaluation.read(priceInForce, materialId).priceId,
    usedIn: usedInView(evaluation.sheet, 'materialId', materialId),
  };
}

/** One listed price: what a base unit costs at it, and what has to be spent at least. */
export interface ListedPriceView {
  readonly perBaseUnit: FigureView;
  readonly smallestOrder: FigureView | null;
}

/** A supplier price by the base unit. */
export function listedPriceView(evaluation: Evaluation, priceId: string): ListedPriceView {
  const { smallestOrder } = evaluation.read(listedPrice, priceId);
  return {
    perBaseUnit: shown(evaluation, listedPrice, priceId, 'perBaseUnit'),
    smallestOrder: smallestOrder && shown(evaluation, listedPrice, priceId, 'smallestOrder'),
  };
}

/** What a supplier asked for a base unit from a day on. */
export interface PriceHistoryPoint {
  readonly priceId: string;
  readonly day: string;
  readonly supplier: string;
  readonly perBaseUnit: FigureView;
}

/** The listed prices of a material by day, oldest first, each brought to the base unit so that packs can be compared. */
export function priceHistoryView(evaluation: Evaluation, materialId: string): PriceHistoryPoint[] {
  const { sheet } = evaluation;
  return sheet
    .rowsOf('supplierPrice', 'materialId', materialId)
    .map((row) => ({
      priceId: row.id,
      day: row.validFrom,
      supplier: row.supplierId === null ? '' : (sheet.row('supplier', row.supplierId)?.name ?? ''),
      perBaseUnit: shown(evaluation, listedPrice, row.id, 'perBaseUnit'),
    }))
    .sort((one, other) => (one.day < other.day ? -1 : 1));
}

/**
 * Which supplier price is in force, by the id of the material, where the rows alone do not say it: several suppliers
 * have prices from the same day.
 */
export function tiedPricesView({ sheet, read }: Evaluation): Readonly<Record<string, string>> {
  const tied: Record<string, string> = {};
  for (const { id, preferredSupplierId } of sheet.all('material')) {
    const prices = sheet.rowsOf('supplierPrice', 'materialId', id);
    if (prices.length < 2 || pricesByDay(prices, sheet.asOf, preferredSupplierId).inForce.length < 2) continue;
    const { priceId } = read(priceInForce, id);
    if (priceId !== null) tied[id] = priceId;
  }
  return tied;
}
