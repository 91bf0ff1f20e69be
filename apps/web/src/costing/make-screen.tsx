import type { StoredRow } from '@nuvar/book';
import { useMemo } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { useAll, useBookPath, useSettings } from '../book/use-book.js';
import { fieldColumn } from '../controls/field-column.js';
import { FilterBox } from '../controls/filter-box.js';
import { Grid } from '../controls/grid.js';
import { matches } from '../controls/matches.js';
import { useFilter, useKeptSearch } from '../controls/use-filter.js';
import { figureColumn, type Column, type GridWriter } from '../controls/grid-model.js';
import { rowsWriter } from '../controls/rows-writer.js';
import { ProductDetail } from './product-detail.js';

type Row = StoredRow<'product'>;

const productWriter: GridWriter<Row, Partial<Row>> = rowsWriter<Row>('product', { needs: 'name' });

/** Make: what goes into each product, and its cost card. */
export function MakeScreen() {
  const { productId } = useParams();
  const navigate = useNavigate();
  const search = useKeptSearch();
  const path = useBookPath();
  const { locale, currency } = useSettings();
  const products = useAll('product');
  const [filter, setFilter] = useFilter();
  const rows = useMemo(() => products.filter((row) => matches(row, filter)), [products, filter]);
  const columns = useMemo(
    (): Column<Row, Partial<Row>>[] => [
      fieldColumn<Row>('product', 'name', locale, {
        width: 'auto',
        header: 'Product',
        placeholder: 'New product',
      }),
      figureColumn({
        id: 'fullCost',
        header: `Full cost, ${currency}`,
        width: '6.5rem',
        view: 'product',
        of: ({ id }: Row) => id,
        pick: (view) => view.fullCost,
        digits: 2,
      }),
    ],
    [locale, currency],
  );
  const moreColumns = useMemo(
    () =>
      (['category', 'tags', 'code', 'batchSize', 'yieldPercent', 'plannedUnitsPerMonth', 'archived'] as const).map(
        (field) => fieldColumn<Row>('product', field, locale, { width: 'auto' }),
      ),
    [locale],
  );
  const shown = productId ?? rows[0]?.id;
  return (
    <div className="split split-make">
      <Grid
        title="Products"
        rows={rows}
        columns={columns}
        moreColumns={moreColumns}
        writer={productWriter}
        nameOf={({ name }) => name}
        selected={shown}
        onSelect={({ id }) => id !== productId && void navigate(`${path}/make/${id}${search}`)}
        onCreate={(id) => void navigate(`${path}/make/${id}${search}`)}
        tools={
          <>
            <FilterBox label="Filter products" value={filter} onChange={setFilter} />
            <Link className="link" to={`${path}/make/grades`}>
              Labour grades
            </Link>
            <Link className="link" to={`${path}/make/equipment`}>
              Equipment
            </Link>
            <Link className="link" to={`${path}/make/guide`}>
              Guide
            </Link>
          </>
        }
        empty="What you make, bundle, sell on or do for others belongs here. Type the name of the first one into the empty row."
      />
      {shown !== undefined && <ProductDetail key={shown} id={shown} />}
    </div>
  );
}
