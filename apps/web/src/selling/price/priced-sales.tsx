import type { StoredRow } from '@nuvar/book';
import { isComponentOnly } from '@nuvar/core';
import { useMemo, type ReactNode } from 'react';
import { useSearchParams } from 'react-router';
import { model } from '../../book/model.js';
import type { ScreenId } from '../../book/screens.js';
import { useSettings, useUnarchived, useVersion } from '../../book/use-book.js';
import { Grid } from '../../controls/grid/grid.js';
import type { Column, ShownColumn } from '../../controls/grid/grid-model.js';
import { ListAndDetail } from '../../controls/layout/list-and-detail.js';
import { matches } from '../../controls/grid/matches.js';
import { useChosenRow } from '../../controls/layout/use-chosen-row.js';
import { useKeptSearch, useListFilter } from '../../controls/grid/use-filter.js';
import { counted } from '../../figures/format.js';
import { ScreenLink } from '../../figures/screen-link.js';

/** A product in a channel where it has a price; of a product without a price, the product alone. */
export interface PricedSale {
  /** The id of the price, else of the product. */
  readonly id: string;
  readonly product: StoredRow<'product'>;
  /** Empty where there is no price. */
  readonly pointId: string;
  readonly channel: string;
}

const matchesSale = ({ product, channel }: PricedSale, words: string) =>
  matches({ ...product, tags: `${product.tags} ${channel}` }, words);
const nameOfSale = ({ product, channel }: PricedSale) =>
  channel === '' ? product.name : `${product.name}, ${channel}`;
const nameOfProduct = ({ product }: PricedSale) => product.name;
const nameOfChannel = ({ channel }: PricedSale) => channel;

interface PricedSalesProps {
  readonly screen: ScreenId;
  readonly title: string;
  /** What the list says of each product, after its name. */
  readonly columns: readonly Column<PricedSale, object>[];
  /** How wide the list is. */
  readonly narrow: string;
  readonly tools?: ReactNode;
  readonly empty: ReactNode;
  /** The detail of a sale; of a product without a price, that of the product. */
  readonly detail: (sale: PricedSale) => ReactNode;
}

/** The products in their channels with what their prices come to, and the detail of the one that is chosen. */
export function PricedSales(props: PricedSalesProps) {
  const { screen, title, columns, narrow, tools, empty, detail } = props;
  const { chosen, choose } = useChosenRow(screen);
  const { rows, components, areShown, toggle } = usePricedSales(chosen);
  const { locale } = useSettings();
  const filter = useListFilter('Filter products', matchesSale);
  const name = useNameColumn(screen);
  const all = useMemo(() => [name, CHANNEL, ...columns], [name, columns]);
  const shown = rows.find(({ id }) => id === chosen) ?? rows.find(({ product }) => product.id === chosen) ?? rows[0];
  return (
    <ListAndDetail
      wide="detail"
      narrow={narrow}
      list={
        <Grid
          title={title}
          rows={rows}
          columns={all}
          nameOf={nameOfSale}
          selected={shown?.id}
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
function usePricedSales(chosen: string | undefined) {
  const products = useUnarchived('product');
  const version = useVersion('pricePoint', 'billLine', 'plannedVolume', 'channel');
  const [parameters, setParameters] = useSearchParams();
  const areShown = parameters.has('components');
  const { sold, components } = useMemo(() => {
    const all = products.map((product) => {
      // In the order of the channels, which ids keep: that of an index changes with each edit.
      const prices = [...model.rows.rowsWith('pricePoint', 'productId', product.id)].sort((one, other) =>
        one.channelId < other.channelId ? -1 : 1,
      );
      const usedIn = model.rows.rowsWith('billLine', 'componentId', product.id);
      const sales = prices.map(({ id, channelId }): PricedSale => ({
        id,
        product,
        pointId: id,
        channel: model.rows.row('channel', channelId)?.name ?? '',
      }));
      const unpriced: PricedSale = { id: product.id, product, pointId: '', channel: '' };
      const planned = model.rows.rowsWith('plannedVolume', 'productId', product.id);
      return { rows: sales.length === 0 ? [unpriced] : sales, isComponent: isComponentOnly(planned, prices, usedIn) };
    });
    const rowsOf = (isComponent: boolean) =>
      all.filter((each) => each.isComponent === isComponent).flatMap(({ rows }) => rows);
    return { sold: rowsOf(false), components: rowsOf(true) };
    // eslint-disable-next-line react-hooks/exhaustive-deps -- the prices and bills are those of this version
  }, [products, version]);
  const rows = useMemo(
    () => [
      ...sold.filter((row) => row.pointId !== ''),
      ...sold.filter((row) => row.pointId === ''),
      ...components.filter(({ id, product }) => areShown || id === chosen || product.id === chosen),
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

const CHANNEL: ShownColumn<PricedSale> = {
  id: 'channel',
  header: 'Channel',
  type: 'shown',
  text: nameOfChannel,
  cell: ({ channel }) => <span className="block truncate">{channel}</span>,
};

/** The column of names, each of which leads to the detail of its product on a screen. */
function useNameColumn(screen: ScreenId): ShownColumn<PricedSale> {
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
