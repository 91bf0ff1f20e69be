import { useMemo } from 'react';
import { useSettings } from '../book/use-book.js';
import { figureColumn } from '../controls/grid-model.js';
import { PricedProducts, type PricedProduct } from '../selling/priced-products.js';
import { BreakEvenDetail } from './break-even-detail.js';

/** Plan: how many units have to be sold before the first is earned. */
export function PlanScreen() {
  const { currency } = useSettings();
  const columns = useMemo(
    () => [
      figureColumn({
        id: 'contribution',
        header: `Each sale leaves, ${currency}`,
        view: 'price',
        of: ({ pointId }: PricedProduct) => pointId,
        pick: (view, row) => (row.pointId === '' ? undefined : view.contribution),
        digits: 2,
      }),
    ],
    [currency],
  );
  return (
    <PricedProducts
      screen="plan"
      title="Break-even"
      columns={columns}
      narrow="21rem"
      empty="Nothing to plan yet. Add a product under Make first."
      detail={(id) => <BreakEvenDetail key={id} productId={id} />}
    />
  );
}
