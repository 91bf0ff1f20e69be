import { batchParts, candidateBatch, fullCost, overheadParts } from '../../costing/index.js';
import { isWhole } from '../../figure/index.js';
import { batch } from '../../production/index.js';
import type { Evaluation } from '../../sheet/index.js';
import { type FigureView, shown, shownAll } from '../general/figure-view.js';

type SizeFigures = Readonly<Record<'variableCost' | 'fullCost' | 'setUpPerUnit', FigureView>>;

/** The cost of one unit at several batch sizes, and the curve through them. */
export interface BatchSizesView {
  /** By the id of the row of the batch size. */
  readonly sizes: Readonly<Record<string, SizeFigures>>;
  readonly started: FigureView;
  readonly fullCost: FigureView;
  /** Cost of any unit and of any batch: what the size cannot move, and what it spreads. */
  readonly costPerUnit: FigureView;
  readonly costPerBatch: FigureView;
  /** Points of the full cost by units started, for a chart; none while something is missing. */
  readonly curve: readonly { readonly size: number; readonly cost: number }[];
}

const POINTS = 60;

/** Compares batch sizes of a product. */
export function batchSizesView(evaluation: Evaluation, productId: string): BatchSizesView {
  const { sheet } = evaluation;
  const rows = sheet.rowsOf('candidateBatch', 'productId', productId);
  return {
    sizes: Object.fromEntries(
      rows.map(({ id }) => [
        id,
        shownAll(evaluation, candidateBatch, id, ['variableCost', 'fullCost', 'setUpPerUnit']),
      ]),
    ),
    started: shown(evaluation, batch, productId, 'started'),
    fullCost: shown(evaluation, fullCost, productId, 'fullCost'),
    costPerUnit: shown(evaluation, batchParts, productId, 'costPerUnit'),
    costPerBatch: shown(evaluation, batchParts, productId, 'costPerBatch'),
    curve: curveOf(
      evaluation,
      productId,
      rows.map(({ batchSize }) => Number(batchSize ?? 0)),
    ),
  };
}

/** Full cost by batch size: cost and overhead of any unit + cost and overhead of any batch / good units. */
function curveOf(evaluation: Evaluation, productId: string, sizes: readonly number[]): BatchSizesView['curve'] {
  const parts = evaluation.read(batchParts, productId);
  const shares = evaluation.read(overheadParts, productId);
  const { started, good } = evaluation.read(batch, productId);
  const all = [parts.costPerUnit, shares.perUnit, parts.costPerBatch, shares.perBatch, started, good];
  if (!all.every(isWhole)) return [];
  const [unitCost = 0, unitShare = 0, batchCost = 0, batchShare = 0, now = 1, goodNow = 1] = all.map((figure) =>
    Number(figure.amount),
  );
  const [perUnit, perBatch] = [unitCost + unitShare, batchCost + batchShare];
  const most = Math.max(now, ...sizes) * 1.1;
  return Array.from({ length: POINTS }, (_each, index) => {
    // Closer together where the curve bends.
    const size = Math.max(1, most * ((index + 1) / POINTS) ** 2);
    return { size, cost: perUnit + perBatch / (size * (goodNow / now)) };
  });
}
