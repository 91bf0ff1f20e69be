import { useMemo } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { model } from '../book/model.js';
import { useAll, useBookPath, useSettings, useVersion } from '../book/use-book.js';
import { FilterBox } from '../controls/filter-box.js';
import { Grid } from '../controls/grid.js';
import { matches } from '../controls/matches.js';
import { useFilter, useKeptSearch } from '../controls/use-filter.js';
import { materialColumns, moreMaterialColumns } from './material-columns.js';
import { MaterialDetail } from './material-detail.js';
import { materialWriter, shownPrice, type MaterialRow } from './material-rows.js';

/** Buy: what everything costs that is bought, and what one unit of it costs. */
export function BuyScreen() {
  const { materialId } = useParams();
  const navigate = useNavigate();
  const search = useKeptSearch();
  const path = useBookPath();
  const { locale, currency } = useSettings();
  const suppliers = useAll('supplier');
  const [filter, setFilter] = useFilter();
  const rows = useMaterialRows(filter);
  const columns = useMemo(
    () =>
      materialColumns(
        locale,
        currency,
        suppliers.map((each) => each.name),
      ),
    [locale, currency, suppliers],
  );
  const moreColumns = useMemo(() => moreMaterialColumns(locale), [locale]);
  return (
    <div className="split split-buy">
      <Grid
        title="Materials"
        rows={rows}
        columns={columns}
        moreColumns={moreColumns}
        writer={materialWriter}
        nameOf={({ material }) => material.name}
        selected={materialId}
        onSelect={({ id }) =>
          id !== materialId && void navigate(`${path}/buy/${id}${search}`, { replace: materialId !== undefined })
        }
        onCreate={(id) => void navigate(`${path}/buy/${id}${search}`, { replace: materialId !== undefined })}
        tools={
          <>
            <FilterBox label="Filter materials" value={filter} onChange={setFilter} />
            <Link className="link" to={`${path}/buy/import`}>
              Take in a price list
            </Link>
          </>
        }
        empty="Everything that you buy belongs here: ingredients, components, packaging, goods that you sell on. Type the first one into the empty row: its name, what a pack holds and what it costs."
      />
      {materialId !== undefined && <MaterialDetail key={materialId} id={materialId} />}
    </div>
  );
}

function useMaterialRows(filter: string): MaterialRow[] {
  const materials = useAll('material');
  const version = useVersion('supplierPrice', 'supplier');
  return useMemo(() => {
    const rows = materials.map((material): MaterialRow => {
      const price = shownPrice(model.rows.rowsWith('supplierPrice', 'materialId', material.id));
      return {
        id: material.id,
        material,
        price,
        supplier: model.rows.row('supplier', price?.supplierId ?? '')?.name ?? '',
      };
    });
    return rows.filter(({ material, supplier }) => matches(material, filter, supplier, material.kind));
    // eslint-disable-next-line react-hooks/exhaustive-deps -- prices and suppliers are those of this version
  }, [materials, version, filter]);
}
