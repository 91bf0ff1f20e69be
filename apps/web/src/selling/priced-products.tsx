import type { StoredRow } from '@nuvar/book';
import { isComponentOnly } from '@nuvar/core';
import { useMemo, type ReactNode } from 'react';
import { useSearchParams } from 'react-router';
import { model } from '../book/model.js';
import type { ScreenId } from '../book/screens.js';
import { useSettings, useUnarchived, useVersion } from '../book/use-book.js';
import { Grid } from '../controls/grid.js';
import type { Column, ShownColumn } from '../controls/grid-model.js';
import { ListAndDetail } from '../controls/list-and-detail.js';
import { matches } from '../controls/matches.js';
import { useChosenRow } from '../controls/use-chosen-row.js';
import { useKeptSearch, useListFilter } from '../controls/use-filter.js';
import { counted } from '../figures/format.js';
import { ScreenLink } from '../figures/screen-link.js';

/** A product with the price that it has in the first place to sell; no price is the empty text. */
export interface PricedProduct {
  readonly id: string;
  readonly product: StoredRow<'product'>;
  readonly pointId: string;
}

const matchesProduct = ({ product }: PricedProduct, words: string) => matches(product, words);
const nameOfProduct = ({ product }: PricedProduct) => product.name;

interface PricedProductsProps {
  readonly screen: ScreenId;
  readonly title: string;
  /** What the list says of each product, after its name. */
  readonly columns: readonly Column<PricedProduct, object>[];
  /** How wide the list is. */
  readonly narrow: string;
  readonly tools?: ReactNode;
  readonly empty: string;
  readonly detail: (productId: string) => ReactNode;
}

/** The products with what their prices come to, and the detail of the one that is chosen, else of the first. */
export function PricedProducts(props: PricedProductsProps) {
  const { screen, title, columns, narrow, tools, empty, detail } = props;
  const { chosen, choose } = useChosenRow(screen);
  const { rows, components, areShown, toggle } = usePricedProducts(chosen);
  const { locale } = useSettings();
  const filter = useListFilter('Filter products', matchesProduct);
  const name = useNameColumn(screen);
  const all = useMemo(() => [name, ...columns], [name, columns]);
  const shown = chosen ?? rows[0]?.id;
  return (
    <ListAndDetail
      wide="detail"
      narrow={narrow}
      list={
        <Grid
          title={title}
          rows={rows}
          columns={all}
          nameOf={nameOfProduct}
          selected={shown}
          onSelect={choose}
          filter={filter}
          tools={
            <>
              {tools}
              {components > 0 && (
                <label className="flex items-center gap-1.5 text-soft">
                  <input type="checkbox" className="checkbox checkbox-xs" checked={areShown} onChange={toggle} />
                  Show {counted(components, 'component', locale)}
                </label>
              )}
            </>
          }
          empty={empty}
        />
      }
      detail={shown === undefined ? null : detail(shown)}
    />
  );
}

/**
 * Products with a price first, in their order; those without after them. What only goes into others is left out, unless it
 * is asked for or is the one that is chosen.
 */
function usePricedProducts(chosen: string | undefined) {
  const products = useUnarchived('product');
  const version = useVersion('pricePoint', 'billLine', 'plannedVolume');
  const [parameters, setParameters] = useSearchParams();
  const areShown = parameters.has('components');
  const { sold, components } = useMemo(() => {
    const all = products.map((product) => {
      const prices = model.rows.rowsWith('pricePoint', 'productId', product.id);
      const usedIn = model.rows.rowsWith('billLine', 'componentId', product.id);
      const row: PricedProduct = { id: product.id, product, pointId: prices[0]?.id ?? '' };
      const planned = model.rows.rowsWith('plannedVolume', 'productId', product.id);
      return { row, isComponent: isComponentOnly(planned, prices, usedIn) };
    });
    const rowsOf = (isComponent: boolean) =>
      all.filter((each) => each.isComponent === isComponent).map(({ row }) => row);
    return { sold: rowsOf(false), components: rowsOf(true) };
    // eslint-disable-next-line react-hooks/exhaustive-deps -- the prices and bills are those of this version
  }, [products, version]);
  const rows = useMemo(
    () => [
      ...sold.filter((row) => row.pointId !== ''),
      ...sold.filter((row) => row.pointId === ''),
      ...components.filter(({ id }) => areShown || id === chosen),
    ],
    [sold, components, areShown, chosen],
  );
  const toggle = () =>
    setParameters(
      (known) => {
        if (areShown) known.delete('components');
        else known.set('components', 'shown');
        return known;
      },
      { replace: true },
    );
  return { rows, components: components.length, areShown, toggle };
}

/** The column of names, each of which leads to the detail of its product on a screen. */
function useNameColumn(screen: ScreenId): ShownColumn<PricedProduct> {
  const search = useKeptSearch();
  return useMemo(
    () => ({
      id: 'name',
      header: 'Product',
      type: 'shown',
      text: nameOfProduct,
      cell: ({ id, product }) => (
        <ScreenLink to={screen} row={id} search={search} className="block truncate hover:underline">
          {product.name}
        </ScreenLink>
      ),
    }),
    [screen, search],
  );
}
