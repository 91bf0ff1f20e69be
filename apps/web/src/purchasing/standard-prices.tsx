import type { StoredRow } from '@nuvar/book';
import { useMemo } from 'react';
import { today } from '../state/today.js';
import { useRowsOf, useSettings } from '../book/use-book.js';
import { fieldColumn } from '../controls/grid/field-column.js';
import { Grid } from '../controls/grid/grid.js';
import type { Column } from '../controls/grid/grid-model.js';
import { rowsWriter } from '../controls/grid/rows-writer.js';
import { dayText, unitWords } from '../figures/format.js';

type Row = StoredRow<'standardPrice'>;

/** The standard prices of a material: set by hand, each from a day on. */
export function StandardPrices({ material }: { readonly material: StoredRow<'material'> }) {
  const rows = useRowsOf('standardPrice', 'materialId', material.id);
  const { locale, currency } = useSettings();
  const columns = useMemo(
    (): Column<Row, Partial<Row>>[] => [
      { ...fieldColumn<Row>('standardPrice', 'validFrom', locale), blankText: dayText(today(), locale) },
      {
        ...fieldColumn<Row>('standardPrice', 'price', locale, {
          header: `${currency} per ${unitWords(material.baseUnit)}`,
          placeholder: 'a standard price',
        }),
        blankPlace: `${material.id}.price`,
      },
    ],
    [locale, currency, material],
  );
  const writer = useMemo(
    () =>
      rowsWriter<Row>('standardPrice', {
        needs: 'price',
        fixed: () => ({ materialId: material.id, validFrom: today() }),
      }),
    [material.id],
  );
  return (
    <Grid
      title="Standard prices"
      rows={rows}
      columns={columns}
      writer={writer}
      nameOf={({ validFrom }) => `standard price from ${validFrom}`}
    />
  );
}
