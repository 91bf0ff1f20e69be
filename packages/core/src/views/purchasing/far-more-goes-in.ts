import { type RowOf, unitOfMeasure } from '@nuvar/book';
import { type Decimal, decimal, ZERO } from '../../number/index.js';
import { batch, type Taking, takings } from '../../production/index.js';
import { convert } from '../../quantity/index.js';
import type { Evaluation } from '../../sheet/index.js';

/** From how many times as much going in as comes out it is taken for a mistake. Drying and boiling down stay well below. */
const FAR_MORE = decimal(10);

/**
 * How much goes into one unit of a product that is measured as its inputs are, where it is so much that the quantities of
 * a batch were likely stated per unit; null otherwise. Only what is measured in the same dimension is counted.
 */
export function farMoreGoesIn(evaluation: Evaluation, { id, outputUnit }: RowOf<'product'>): Decimal | null {
  const dimension = unitOfMeasure(outputUnit)?.dimension;
  if (dimension !== 'mass' && dimension !== 'volume') return null;
  const { good } = evaluation.read(batch, id);
  if (good.amount === null || good.amount.lte(0)) return null;
  const goesIn = evaluation.read(takings, id).reduce((total, { of, quantity: { amount } }) => {
    const unit = of && unitOf(evaluation, of);
    return total.plus((unit && amount && convert(amount.toFixed(), unit, outputUnit)) ?? ZERO);
  }, ZERO);
  const perUnit = goesIn.div(good.amount);
  return perUnit.gte(FAR_MORE) ? perUnit : null;
}

/** The unit in which a material or a component is counted; null for what is neither. */
function unitOf({ sheet }: Evaluation, { kind, id }: NonNullable<Taking['of']>): string | null {
  if (kind === 'material') return sheet.row('material', id)?.baseUnit ?? null;
  return kind === 'product' ? (sheet.row('product', id)?.outputUnit ?? null) : null;
}
