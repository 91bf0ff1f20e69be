import { useMemo } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import type { StoredRow } from '@nuvar/book';
import { model } from '../book/model.js';
import { useUnarchived, useBookPath, useSettings, useVersion } from '../book/use-book.js';
import { FilterBox } from '../controls/filter-box.js';
import { Grid } from '../controls/grid.js';
import { useFilter, useKeptSearch } from '../controls/use-filter.js';
import { figureColumn, type Column } from '../controls/grid-model.js';
import { BreakEvenDetail } from './break-even-detail.js';

interface Row {
  readonly id: string;
  readonly product: StoredRow<'product'>;
  readonly pointId: string;
}

/** Plan: how many units have to be sold before the first is earned. */
export function PlanScreen() {
  const { productId } = useParams();
  const navigate = useNavigate();
  const search = useKeptSearch();
  const path = useBookPath();
  const products = useUnarchived('product');
  const version = useVersion('pricePoint');
  const { currency } = useSettings();
  const [filter, setFilter] = useFilter();
  const rows = useMemo(() => {
    const all = products
      .filter(({ name }) => name.toLowerCase().includes(filter.trim().toLowerCase()))
      .map((product): Row => ({
        id: product.id,
        product,
        pointId: model.rows.rowsWith('pricePoint', 'productId', product.id)[0]?.id ?? '',
      }));
    return [...all.filter((row) => row.pointId !== ''), ...all.filter((row) => row.pointId === '')];
    // eslint-disable-next-line react-hooks/exhaustive-deps -- the prices are those of this version
  }, [products, version, filter]);
  const columns = useMemo(
    (): Column<Row, object>[] => [
      {
        id: 'name',
        header: 'Product',
        width: 'auto',
        type: 'shown',
        cell: ({ id, product }) => (
          <Link className="row-link" to={`${path}/plan/${id}${search}`}>
            {product.name}
          </Link>
        ),
      },
      figureColumn({
        id: 'contribution',
        header: `Each sale leaves, ${currency}`,
        width: '7rem',
        view: 'price',
        of: ({ pointId }: Row) => pointId,
        pick: (view, row) => (row.pointId === '' ? undefined : view.contribution),
        digits: 2,
      }),
    ],
    [path, search, currency],
  );
  const shown = productId ?? rows[0]?.id;
  return (
    <div className="split split-plan">
      <Grid
        title="Break-even of"
        rows={rows}
        columns={columns}
        nameOf={({ product }) => product.name}
        selected={shown}
        onSelect={({ id }) => id !== productId && void navigate(`${path}/plan/${id}${search}`)}
        tools={<FilterBox label="Filter products" value={filter} onChange={setFilter} />}
        empty="Nothing to plan yet. Add a product under Make first."
      />
      {shown !== undefined && <BreakEvenDetail key={shown} productId={shown} />}
    </div>
  );
}
