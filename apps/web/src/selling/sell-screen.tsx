import { useMemo } from 'react';
import { useSettings } from '../book/use-book.js';
import { figureColumn, type Column } from '../controls/grid-model.js';
import { useView } from '../engine/use-view.js';
import { PriceStrip, scaleOf } from '../figures/price-strip.js';
import { ScreenLink } from '../figures/screen-link.js';
import { PriceDetail } from './price-detail.js';
import { PricedProducts, type PricedProduct } from './priced-products.js';

/** Sell: the price of each product and what is left of it. */
export function SellScreen() {
  const { currency } = useSettings();
  const columns = useMemo(() => columnsOf(currency), [currency]);
  return (
    <PricedProducts
      screen="sell"
      title="Prices"
      columns={columns}
      narrow="33rem"
      tools={<ScreenLink to="channels">Sales channels</ScreenLink>}
      empty="Nothing to sell yet. Add a product under Make first."
      detail={(id) => <PriceDetail key={id} productId={id} />}
    />
  );
}

function columnsOf(currency: string): Column<PricedProduct, object>[] {
  const figure = (id: 'price' | 'margin', header: string, digits: number) =>
    figureColumn({
      id,
      header,
      view: 'price',
      of: ({ pointId }: PricedProduct) => pointId,
      pick: (view, row) => (row.pointId === '' ? undefined : view[id]),
      digits,
    });
  return [
    figure('price', `Price, ${currency}`, 2),
    {
      id: 'strip',
      header: 'Before tax, one scale',
      width: 150,
      type: 'shown',
      cell: (row) => <RowStrip row={row} />,
    },
    figure('margin', 'Margin, %', 1),
  ];
}

/** The strips of a list stand on one scale: that of the dearest product. */
function RowStrip({ row }: { row: PricedProduct }) {
  const view = useView('product', row.id);
  const overview = useView('overview');
  if (view === undefined || overview === undefined) return null;
  return <PriceStrip strip={view.strip} scale={Math.max(scaleOf([view.strip]), Number(overview.scale))} height={14} />;
}
