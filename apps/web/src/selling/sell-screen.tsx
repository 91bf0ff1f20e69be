import type { StoredRow } from '@nuvar/book';
import { useMemo } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { model } from '../book/model.js';
import { useUnarchived, useBookPath, useSettings, useVersion } from '../book/use-book.js';
import { FilterBox } from '../controls/filter-box.js';
import { Grid } from '../controls/grid.js';
import { useFilter, useKeptSearch } from '../controls/use-filter.js';
import { figureColumn, type Column } from '../controls/grid-model.js';
import { useView } from '../engine/use-view.js';
import { PriceStrip, scaleOf } from '../figures/price-strip.js';
import { PriceDetail } from './price-detail.js';

interface Row {
  readonly id: string;
  readonly product: StoredRow<'product'>;
  readonly pointId: string;
}

/** Sell: the price of each product and what is left of it. */
export function SellScreen() {
  const { productId } = useParams();
  const navigate = useNavigate();
  const search = useKeptSearch();
  const path = useBookPath();
  const [filter, setFilter] = useFilter();
  const rows = useSold(filter);
  const columns = useColumns();
  const shown = productId ?? rows[0]?.id;
  return (
    <div className="split split-sell">
      <Grid
        title="Prices"
        rows={rows}
        columns={columns}
        nameOf={({ product }) => product.name}
        selected={shown}
        onSelect={({ id }) => id !== productId && void navigate(`${path}/sell/${id}${search}`)}
        tools={
          <>
            <FilterBox label="Filter products" value={filter} onChange={setFilter} />
            <Link className="link" to={`${path}/sell/channels`}>
              Places to sell
            </Link>
          </>
        }
        empty="Nothing to sell yet. Add a product under Make first."
      />
      {shown !== undefined && <PriceDetail key={shown} productId={shown} />}
    </div>
  );
}

/** Products with a price first, in their order; those without after them. */
function useSold(filter: string): Row[] {
  const products = useUnarchived('product');
  const version = useVersion('pricePoint');
  return useMemo(() => {
    const rows = products
      .filter((product) => product.name.toLowerCase().includes(filter.trim().toLowerCase()))
      .map((product): Row => ({
        id: product.id,
        product,
        pointId: model.rows.rowsWith('pricePoint', 'productId', product.id)[0]?.id ?? '',
      }));
    return [...rows.filter((row) => row.pointId !== ''), ...rows.filter((row) => row.pointId === '')];
    // eslint-disable-next-line react-hooks/exhaustive-deps -- the prices are those of this version
  }, [products, version, filter]);
}

function useColumns(): Column<Row, object>[] {
  const path = useBookPath();
  const search = useKeptSearch();
  const { currency } = useSettings();
  return useMemo(
    () => [
      {
        id: 'name',
        header: 'Product',
        width: 'auto',
        type: 'shown',
        cell: ({ id, product }) => (
          <Link className="row-link" to={`${path}/sell/${id}${search}`}>
            {product.name}
          </Link>
        ),
      },
      figureColumn({
        id: 'price',
        header: `Price, ${currency}`,
        width: '5.5rem',
        view: 'price',
        of: ({ pointId }: Row) => pointId,
        pick: (view, row) => (row.pointId === '' ? undefined : view.price),
        digits: 2,
      }),
      {
        id: 'strip',
        header: 'Before tax, one scale',
        width: '10rem',
        type: 'shown',
        cell: (row) => <RowStrip row={row} />,
      },
      figureColumn({
        id: 'margin',
        header: 'Margin, %',
        width: '5.5rem',
        view: 'price',
        of: ({ pointId }: Row) => pointId,
        pick: (view, row) => (row.pointId === '' ? undefined : view.margin),
        digits: 1,
      }),
    ],
    [path, search, currency],
  );
}

/** The strips of a list stand on one scale: that of the dearest product. */
function RowStrip({ row }: { row: Row }) {
  const view = useView('product', row.id);
  const overview = useView('overview');
  if (view === undefined || overview === undefined) return null;
  return <PriceStrip strip={view.strip} scale={Math.max(scaleOf([view.strip]), Number(overview.scale))} height={14} />;
}
