import { isComponentOnly } from '@nuvar/core';
import { useMemo, useState } from 'react';
import { model } from '../book/model.js';
import { useAll, useMayEdit, useSettings, useUnarchived, useVersion } from '../book/use-book.js';
import { Grid } from '../controls/grid/grid.js';
import { matches } from '../controls/grid/matches.js';
import { useListFilter } from '../controls/grid/use-filter.js';
import { useView } from '../engine/use-view.js';
import { NoProducts } from '../figures/no-products.js';
import { StripLegend } from '../figures/price-strip.js';
import { BOARD_SHOWS, type BoardShow, boardColumns, boardWriter, STANDING_SIGNS } from './board-rows.js';
import { ChangePrices } from './change-prices.js';
import { PriceLists } from './price-lists.js';
import { SellPage } from './sell-page.js';

/** The price board: every product in every channel, by price, by what is left, or as strips on one scale. */
export function BoardScreen() {
  const [show, setShow] = useState<BoardShow>('price');
  const [isChanging, setChanging] = useState(false);
  const products = useSoldProducts();
  const channels = useAll('channel');
  const prices = useVersion('pricePoint');
  const { locale, currency, pricesIncludeTax } = useSettings();
  const overview = useView('overview');
  const mayEdit = useMayEdit();
  const scale = Number(overview?.scale ?? 1) || 1;
  const filter = useListFilter('Filter products', matches);
  const columns = useMemo(
    () => boardColumns(channels, { show, locale, scale }),
    // eslint-disable-next-line react-hooks/exhaustive-deps -- prices are read when a cell is drawn, by this version
    [channels, show, locale, scale, prices],
  );
  const writer = useMemo(() => boardWriter(pricesIncludeTax), [pricesIncludeTax]);
  const listed = useMemo(
    () => (filter.words === '' ? products : products.filter((product) => filter.matches(product, filter.words))),
    [products, filter],
  );
  const unit = show === 'margin' ? '%' : show === 'price' ? `${currency}, as customers see it` : currency;
  return (
    <SellPage>
      <Grid
        title={`Price board, ${unit}`}
        rows={products}
        columns={columns}
        writer={writer}
        hasNewRow={false}
        canRemove={false}
        nameOf={({ name }) => name}
        filter={filter}
        tools={
          <>
            <fieldset className="flex flex-wrap items-center gap-3">
              <legend className="sr-only">Show</legend>
              {(Object.keys(BOARD_SHOWS) as BoardShow[]).map((each) => (
                <label key={each} className="flex items-center gap-1.5">
                  <input
                    type="radio"
                    className="radio radio-xs"
                    name="board"
                    checked={show === each}
                    onChange={() => setShow(each)}
                  />
                  {BOARD_SHOWS[each]}
                </label>
              ))}
            </fieldset>
            {mayEdit && (
              <button type="button" className="btn" onClick={() => setChanging(true)}>
                Change prices
              </button>
            )}
            <PriceLists />
          </>
        }
        empty={<NoProducts to="sell" />}
      />
      <p className="flex flex-wrap gap-4 text-note text-soft">
        {Object.entries(STANDING_SIGNS).map(([standing, sign]) => (
          <span key={standing}>
            <span className="text-error">{sign}</span> {standing}
          </span>
        ))}
      </p>
      {show === 'strip' && <StripLegend />}
      {isChanging && <ChangePrices products={listed} channels={channels} onClose={() => setChanging(false)} />}
    </SellPage>
  );
}

/** The products that are sold: all that are in use, but for what only goes into others. */
function useSoldProducts() {
  const products = useUnarchived('product');
  const version = useVersion('pricePoint', 'billLine', 'plannedVolume');
  return useMemo(
    () =>
      products.filter(({ id }) => {
        const prices = model.rows.rowsWith('pricePoint', 'productId', id);
        const usedIn = model.rows.rowsWith('billLine', 'componentId', id);
        return !isComponentOnly(model.rows.rowsWith('plannedVolume', 'productId', id), prices, usedIn);
      }),
    // eslint-disable-next-line react-hooks/exhaustive-deps -- the prices and bills are those of this version
    [products, version],
  );
}
