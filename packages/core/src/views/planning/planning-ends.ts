import { decision, finishedStock as finishedStockOf, mixModel, productsOfMix } from '../../planning/index.js';
import type { Evaluation } from '../../sheet/index.js';
import type { AddGaps } from '../general/loose-end.js';

/** What mix plans, decisions and finished stock still ask for. */
export function planningEnds(evaluation: Evaluation, addGaps: AddGaps): void {
  const { sheet } = evaluation;
  for (const { id } of sheet.all('mixPlan'))
    addGaps(
      evaluation.read(mixModel, id).gaps,
      productsOfMix(sheet, id).flatMap(({ productId }) => productId ?? []),
    );
  for (const { id, finishedStock, finishedStockOn } of sheet.all('product'))
    if (finishedStock !== null && finishedStockOn === null)
      addGaps(evaluation.read(finishedStockOf, `${id}@${evaluation.asOf.slice(0, 7)}-01`).opening?.gaps ?? [], [id]);
  for (const { id, productId } of sheet.all('decision'))
    addGaps(evaluation.read(decision, id).advantage.gaps, [productId]);
}
