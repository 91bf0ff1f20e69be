import { useMemo } from 'react';
import { useSettings } from '../book/use-book.js';
import { figureColumn, type Column } from '../controls/grid/grid-model.js';
import { useView } from '../engine/use-view.js';
import { NoProducts } from '../figures/no-products.js';
import { PriceStrip, scaleOf } from '../figures/price-strip.js';
import { PriceDetail } from './price/price-detail.js';
import { SellPage } from './sell-page.js';
import { PricedSales, type PricedSale } from './price/priced-sales.js';

/** Sell: the price of each product and what is left of it. */
export function SellScreen() {
  const { currency } = useSettings();
  const columns = useMemo(() => columnsOf(currency), [currency]);
  return (
    <SellPage>
      <PricedSales
        screen="sell"
        title="Prices"
        columns={columns}
        narrow="38rem"
        empty={<NoProducts to="sell" />}
        detail={(sale) => <PriceDetail key={sale.id} sale={sale} />}
      />
    </SellPage>
  );
}

function columnsOf(currency: string): Column<PricedSale, object>[] {
  const figure = (id: 'price' | 'margin', header: string, digits: number) =>
    figureColumn({
      id,
      header,
      view: 'price',
      of: ({ pointId }: PricedSale) => pointId,
      pick: (view, row) => (row.pointId === '' ? undefined : view[id]),
      digits,
    });
  return [
    figure('price', `Price, ${currency}`, 2),
    {
      id: 'strip',
      header: 'Before tax, one scale',
      width: 110,
      type: 'shown',
      cell: (row) => <RowStrip row={row} />,
    },
    figure('margin', 'Margin, %', 1),
  ];
}

/** The strips of a list stand on one scale: that of the dearest product. */
function RowStrip({ row }: { row: PricedSale }) {
  const strip = useView('strip', row.pointId);
  const overview = useView('overview');
  if (row.pointId === '' || strip == null || overview === undefined) return null;
  return <PriceStrip strip={strip} scale={Math.max(scaleOf([strip]), Number(overview.scale))} height={14} />;
}
