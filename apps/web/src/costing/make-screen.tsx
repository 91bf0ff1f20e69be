import type { StoredRow } from '@nuvar/book';
import { useMemo } from 'react';
import { useAll, useSettings } from '../book/use-book.js';
import { fieldColumn } from '../controls/grid/field-column.js';
import { Grid } from '../controls/grid/grid.js';
import { figureColumn, type Column, type GridWriter } from '../controls/grid/grid-model.js';
import { ListAndDetail } from '../controls/layout/list-and-detail.js';
import { matches } from '../controls/grid/matches.js';
import { rowsWriter } from '../controls/grid/rows-writer.js';
import { useChosenRow } from '../controls/layout/use-chosen-row.js';
import { useListFilter } from '../controls/grid/use-filter.js';
import { ProductDetail } from './product-detail.js';
import { MakePage } from '../production/make-page.js';

type Row = StoredRow<'product'>;

const productWriter: GridWriter<Row, Partial<Row>> = rowsWriter<Row>('product', { needs: 'name' });
const nameOf = ({ name }: Row) => name;

/** Make: what goes into each product, and its cost card. */
export function MakeScreen() {
  const { chosen, choose, chooseById } = useChosenRow('make');
  const { locale, currency } = useSettings();
  const products = useAll('product');
  const filter = useListFilter<Row>('Filter products', matches);
  const columns = useMemo(
    (): Column<Row, Partial<Row>>[] => [
      fieldColumn<Row>('product', 'name', locale, { header: 'Product', placeholder: 'New product' }),
      figureColumn({
        id: 'fullCost',
        header: `Full cost, ${currency}`,
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
      (['category', 'tags', 'code', 'batchSize', 'yieldPercent', 'madePerMonth', 'archived'] as const).map((field) =>
        fieldColumn<Row>('product', field, locale),
      ),
    [locale],
  );
  const shown = chosen ?? products.find(({ archived }) => !archived)?.id;
  return (
    <MakePage>
      <ListAndDetail
        wide="detail"
        narrow="17rem"
        list={
          <Grid
            title="Products"
            rows={products}
            columns={columns}
            moreColumns={moreColumns}
            writer={productWriter}
            nameOf={nameOf}
            selected={shown}
            onSelect={choose}
            onCreate={chooseById}
            filter={filter}
            empty="Everything that you sell: what you make, bundles, goods for resale, services. Type the name of the first one into the empty row."
          />
        }
        detail={shown === undefined ? null : <ProductDetail key={shown} id={shown} />}
      />
    </MakePage>
  );
}
