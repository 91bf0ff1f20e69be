import { setPrice } from '../../selling/index.js';
import { HUNDRED, ZERO } from '../../number/index.js';
import { type Evaluation, numberIn } from '../../sheet/index.js';
import type { Add } from '../general/loose-end.js';

/** What is to be settled of the places where products are sold: orders that go nowhere, and fees that leave nothing of a price. */
export function channelEnds(evaluation: Evaluation, add: Add): void {
  const { sheet } = evaluation;
  for (const channel of sheet.all('channel')) {
    const shares = sheet.rowsOf('postageShare', 'channelId', channel.id);
    const sent = shares.reduce((so, { percent }) => so.plus(percent), ZERO);
    const points = sheet.rowsOf('pricePoint', 'channelId', channel.id);
    const sold = points.map(({ productId }) => productId);
    if (shares.length > 0 && !sent.eq(HUNDRED))
      add(
        'postage-not-whole',
        `The orders of ${channel.name} go out to ${numberIn(sheet, sent.toFixed())} %, not to 100 %`,
        { kind: 'channel', id: channel.id, field: 'postageShares' },
        sold,
      );
    const eaten = points.filter(({ id }) => leavesNothing(evaluation, id));
    if (eaten.length > 0)
      add(
        'fees-take-all',
        `The fees of ${channel.name} take the whole price or more`,
        { kind: 'channel', id: channel.id, field: 'name' },
        eaten.map(({ productId }) => productId),
      );
  }
}

/** True where the fees of a price are as much as the price before tax: no price could leave anything. */
function leavesNothing(evaluation: Evaluation, pricePointId: string): boolean {
  const { beforeTax, fees } = evaluation.read(setPrice, pricePointId);
  return (
    beforeTax.amount !== null && fees.amount !== null && !beforeTax.amount.isZero() && fees.amount.gte(beforeTax.amount)
  );
}
