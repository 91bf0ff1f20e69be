import { useMemo } from 'react';
import { model } from '../book/model.js';
import { useAll, useSettings, useVersion } from '../book/use-book.js';
import { Grid } from '../controls/grid/grid.js';
import { ListAndDetail } from '../controls/layout/list-and-detail.js';
import { matches } from '../controls/grid/matches.js';
import { useChosenRow } from '../controls/layout/use-chosen-row.js';
import { useListFilter } from '../controls/grid/use-filter.js';
import { useView } from '../engine/use-view.js';
import { ScreenLink } from '../figures/screen-link.js';
import { useShownDay } from '../state/store.js';
import { materialColumns, moreMaterialColumns, priceToCome } from './material-columns.js';
import { MaterialDetail } from './material-detail.js';
import { materialWriter, pricesShown, type MaterialRow } from './material-rows.js';
import { BuyPage } from './buy-page.js';

const nameOf = ({ material }: MaterialRow) => material.name;
const matchesMaterial = ({ material, supplier }: MaterialRow, words: string) =>
  matches(material, words, supplier, material.kind);

const NONE_TIED: Readonly<Record<string, string>> = {};

/** Buy: what everything costs that is bought, and what one unit of it costs. */
export function BuyScreen() {
  const { chosen, choose, chooseById } = useChosenRow('buy');
  const { locale, currency } = useSettings();
  const suppliers = useAll('supplier');
  const rows = useMaterialRows();
  const filter = useListFilter('Filter materials', matchesMaterial);
  const isAnyToCome = rows.some(({ toCome }) => toCome !== undefined);
  const columns = useMemo(() => {
    const inForce = materialColumns(
      locale,
      currency,
      suppliers.map(({ name }) => name),
    );
    return isAnyToCome ? [...inForce, priceToCome(locale, currency)] : inForce;
  }, [locale, currency, suppliers, isAnyToCome]);
  const moreColumns = useMemo(() => moreMaterialColumns(locale), [locale]);
  return (
    <BuyPage>
      <ListAndDetail
        wide="list"
        narrow="27.5rem"
        list={
          <Grid
            title="Materials"
            rows={rows}
            columns={columns}
            moreColumns={moreColumns}
            writer={materialWriter}
            nameOf={nameOf}
            selected={chosen}
            onSelect={choose}
            onCreate={chooseById}
            filter={filter}
            tools={<ScreenLink to="import">Import a price list</ScreenLink>}
            empty="Everything that you buy: ingredients, components, packaging, goods for resale. Type the first one into the empty row: its name, what a pack holds and what it costs."
          />
        }
        detail={chosen === undefined ? null : <MaterialDetail key={chosen} id={chosen} />}
      />
    </BuyPage>
  );
}

function useMaterialRows(): readonly MaterialRow[] {
  const materials = useAll('material');
  const version = useVersion('supplierPrice', 'supplier');
  const day = useShownDay();
  const tied = useView('tiedPrices') ?? NONE_TIED;
  return useMemo(
    () =>
      materials.map((material): MaterialRow => {
        const shown = pricesShown(material, day, tied);
        const supplier = model.rows.row('supplier', shown.price?.supplierId ?? '')?.name ?? '';
        return { id: material.id, material, ...shown, supplier };
      }),
    // eslint-disable-next-line react-hooks/exhaustive-deps -- prices and suppliers are those of this version
    [materials, version, day, tied],
  );
}
