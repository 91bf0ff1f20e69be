import type { StoredRow } from '@nuvar/book';
import { useMemo } from 'react';
import { useAll, useSettings, useUnarchived } from '../../book/use-book.js';
import { Grid } from '../../controls/grid/grid.js';
import { figureColumn, type Column } from '../../controls/grid/grid-model.js';
import { ListAndDetail } from '../../controls/layout/list-and-detail.js';
import { useChosenRow } from '../../controls/layout/use-chosen-row.js';
import { useListFilter } from '../../controls/grid/use-filter.js';
import { holdsAll, wordsOf } from '../../controls/fields/words.js';
import { useView } from '../../engine/use-view.js';
import { Amount } from '../../figures/amount.js';
import { unitWords } from '../../figures/format.js';
import { ScreenLink } from '../../figures/screen-link.js';
import { STOCK_WORDS } from '../planning-words.js';
import { StockDetail } from './stock-detail.js';
import { StockFile } from './stock-file.js';
import { BuyPage } from '../buy-page.js';

type Material = StoredRow<'material'>;

const nameOf = ({ name }: Material) => name;
const matches = ({ name, category, code }: Material, words: string) =>
  holdsAll(`${name} ${category} ${code}`, wordsOf(words));

/** Buy: what is in stock of each material, what it is worth, and the ledger behind it. */
export function StockScreen() {
  const { chosen, choose } = useChosenRow('stock');
  const all = useUnarchived('material');
  const positions = useAll('stockPosition');
  const materials = useMemo(() => stockedFirst(all, positions), [all, positions]);
  const { currency, stockMethod } = useSettings();
  const total = useView('stockTotal', 'book');
  const filter = useListFilter('Filter materials', matches);
  const columns = useMemo(() => stockColumns(currency), [currency]);
  const shown = chosen ?? materials[0]?.id;
  return (
    <BuyPage>
      <ListAndDetail
        wide="detail"
        narrow="26rem"
        list={
          <Grid
            title="Stock"
            rows={materials}
            columns={columns}
            nameOf={nameOf}
            selected={shown}
            onSelect={choose}
            filter={filter}
            tools={
              <>
                <span className="text-soft">
                  <Amount figure={total} digits={2} withUnit />, {STOCK_WORDS[stockMethod]}
                </span>
                <StockFile />
              </>
            }
            empty="No materials yet. What is bought under Buy can be kept in stock here."
          />
        }
        detail={shown === undefined ? null : <StockDetail key={shown} id={shown} />}
      />
    </BuyPage>
  );
}

/** What the ledger knows of stands before what was never in stock. */
function stockedFirst(
  materials: readonly Material[],
  positions: readonly StoredRow<'stockPosition'>[],
): readonly Material[] {
  const stocked = new Set(positions.map(({ materialId }) => materialId));
  return [...materials.filter(({ id }) => stocked.has(id)), ...materials.filter(({ id }) => !stocked.has(id))];
}

function stockColumns(currency: string): Column<Material, object>[] {
  const figure = (member: 'quantity' | 'value' | 'perBaseUnit', header: string, digits: number) =>
    figureColumn({
      id: member,
      header,
      view: 'stockRow',
      of: ({ id }: Material) => id,
      pick: (view) => view[member] ?? undefined,
      digits,
    });
  return [
    {
      id: 'name',
      header: 'Material',
      type: 'shown',
      text: nameOf,
      cell: ({ id, name }) => (
        <ScreenLink to="stock" row={id}>
          {name}
        </ScreenLink>
      ),
    },
    figure('quantity', 'In stock', 2),
    {
      id: 'unit',
      header: 'Unit',
      type: 'shown',
      text: ({ baseUnit }) => unitWords(baseUnit),
      cell: ({ baseUnit }) => unitWords(baseUnit),
    },
    figure('value', `Value, ${currency}`, 2),
    figure('perBaseUnit', 'per unit', 4),
  ];
}
