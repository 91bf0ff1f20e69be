import type { RowOf } from '@nuvar/book';
import { compared, ZERO } from '../../number/index.js';
import { jointBatch, jointPart, jointShare, netRealisableValue, outputsOf } from '../../production/index.js';
import type { Evaluation } from '../../sheet/index.js';
import type { Add, AddGaps } from '../general/loose-end.js';

/** What joint batches lack, and what in them makes no sense: outputs that lose money, by-products worth more than the batch. */
export function jointEnds(evaluation: Evaluation, add: Add, addGaps: AddGaps): void {
  const { sheet, read } = evaluation;
  for (const process of sheet.all('jointProcess')) {
    const touched = outputsOf(sheet, process.id).flatMap(({ productId }) => productId ?? []);
    for (const output of outputsOf(sheet, process.id)) {
      addGaps(read(jointShare, output.id).share.gaps, output.productId === null ? [] : [output.productId]);
      if (process.method === 'net realisable value') belowZeroEnd(evaluation, process, output, touched, add);
    }
    const { toSplit } = read(jointBatch, process.id);
    if (toSplit.amount !== null && compared(toSplit.amount, ZERO) < 0)
      add(
        'by-products-above-joint-cost',
        `the by-products of ${process.name} bring more than the joint cost: is one of them a main product?`,
        { kind: 'jointProcess', id: process.id, field: 'byProducts' },
        touched,
      );
  }
}

/** A main product that costs more from split-off on than it sells for bears nothing of the joint cost. */
function belowZeroEnd(
  { sheet, read }: Evaluation,
  process: RowOf<'jointProcess'>,
  output: RowOf<'jointOutput'>,
  touched: readonly string[],
  add: Add,
): void {
  if (output.isByProduct) return;
  const { amount } = netRealisableValue(sheet, process, output);
  if (amount === null || compared(amount, ZERO) >= 0 || read(jointPart, output.id).basis.amount === null) return;
  add(
    'joint-value-below-zero',
    `${output.name} of ${process.name} sells for less than its further costs: it counts as none in the split`,
    { kind: 'jointOutput', id: output.id, field: 'furtherCost' },
    touched,
  );
}
