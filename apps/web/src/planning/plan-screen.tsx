import { NoProducts } from '../figures/no-products.js';
import { useMemo } from 'react';
import { useSettings } from '../book/use-book.js';
import { figureColumn } from '../controls/grid/grid-model.js';
import { PricedSales, type PricedSale } from '../selling/price/priced-sales.js';
import { BreakEvenDetail } from './break-even-detail.js';
import { PlanPage } from './plan-page.js';

/** Plan: how many units have to be sold before the first is earned. */
export function PlanScreen() {
  const { currency } = useSettings();
  const columns = useMemo(
    () => [
      figureColumn({
        id: 'contribution',
        header: `Each sale leaves, ${currency}`,
        view: 'price',
        of: ({ pointId }: PricedSale) => pointId,
        pick: (view, row) => (row.pointId === '' ? undefined : view.contribution),
        digits: 2,
      }),
    ],
    [currency],
  );
  return (
    <PlanPage>
      <PricedSales
        screen="plan"
        title="Break-even"
        columns={columns}
        narrow="27rem"
        empty={<NoProducts to="plan" />}
        detail={(sale) => <BreakEvenDetail key={sale.id} sale={sale} />}
      />
    </PlanPage>
  );
}
