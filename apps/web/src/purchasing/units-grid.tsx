import type { StoredRow } from '@nuvar/book';
import { useMemo } from 'react';
import { useAll, useSettings } from '../book/use-book.js';
import { fieldColumn } from '../controls/grid/field-column.js';
import { Grid } from '../controls/grid/grid.js';
import type { Column } from '../controls/grid/grid-model.js';
import { rowsWriter } from '../controls/grid/rows-writer.js';

type Row = StoredRow<'bookUnit'>;

const writer = rowsWriter<Row>('bookUnit', { needs: 'name' });

/** The units of the book's own: trays, bundles, sacks. How much one is, each item says for itself. */
export function UnitsGrid() {
  const rows = useAll('bookUnit');
  const { locale } = useSettings();
  const columns = useMemo(
    (): Column<Row, Partial<Row>>[] => [
      fieldColumn<Row>('bookUnit', 'name', locale, { placeholder: 'tray, bundle, sack' }),
    ],
    [locale],
  );
  return (
    <Grid
      title="Own units"
      rows={rows}
      columns={columns}
      writer={writer}
      nameOf={({ name }) => name}
      empty="For things that come by the tray or the bundle. How many pieces or grams one holds is set for each material under Units."
    />
  );
}
