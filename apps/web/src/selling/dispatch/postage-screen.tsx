import type { StoredRow } from '@nuvar/book';
import { useMemo } from 'react';
import { useAll, useRow, useRowsOf, useSettings } from '../../book/use-book.js';
import { fieldColumn } from '../../controls/grid/field-column.js';
import { Grid } from '../../controls/grid/grid.js';
import { NamedList } from '../../controls/grid/named-list.js';
import { rowsWriter } from '../../controls/grid/rows-writer.js';
import { DetailHeading } from '../../figures/detail-heading.js';
import { typedText } from '../../figures/format.js';
import { tableOfFile } from '../../purchasing/import/table-of-file.js';
import { SellPage } from '../sell-page.js';

type Table = StoredRow<'carrierTable'>;
type Rate = StoredRow<'carrierRate'>;

const writer = rowsWriter<Table>('carrierTable', { needs: 'name' });

/** Carrier tables: what a parcel costs by zone and weight. */
export function PostageScreen() {
  const tables = useAll('carrierTable');
  const { locale } = useSettings();
  const columns = useMemo(
    () => [
      fieldColumn<Table>('carrierTable', 'name', locale, { placeholder: 'Parcel post' }),
      fieldColumn<Table>('carrierTable', 'volumeDivisor', locale, { header: 'cm³ per kg' }),
      fieldColumn<Table>('carrierTable', 'taxPercent', locale, { header: 'Tax on it, %' }),
    ],
    [locale],
  );
  return (
    <SellPage>
      <NamedList
        screen="postage"
        title="Carrier tables"
        rows={tables}
        columns={columns}
        writer={writer}
        narrow="30rem"
        empty="What does a parcel cost? Type the name of a carrier or a service; its rates by zone and weight come beside it."
        detail={(id) => <Rates key={id} id={id} />}
      />
    </SellPage>
  );
}

function Rates({ id }: { readonly id: string }) {
  const table = useRow('carrierTable', id);
  const rates = useRowsOf('carrierRate', 'tableId', id);
  const { locale, currency } = useSettings();
  const sorted = useMemo(
    () =>
      [...rates].sort(
        (one, other) => one.zone.localeCompare(other.zone) || Number(one.upToKilograms) - Number(other.upToKilograms),
      ),
    [rates],
  );
  const columns = useMemo(
    () => [
      fieldColumn<Rate>('carrierRate', 'zone', locale, { placeholder: 'home, abroad' }),
      fieldColumn<Rate>('carrierRate', 'upToKilograms', locale, { header: 'Weight up to, kg' }),
      fieldColumn<Rate>('carrierRate', 'amount', locale, { header: `Postage, ${currency}` }),
    ],
    [locale, currency],
  );
  const rateWriter = useMemo(
    () => rowsWriter<Rate>('carrierRate', { needs: ['upToKilograms', 'amount'], fixed: () => ({ tableId: id }) }),
    [id],
  );
  if (table === undefined) return null;
  return (
    <section aria-label={table.name}>
      <DetailHeading>{table.name}</DetailHeading>
      <div className="mt-3 max-w-xl" data-place={`${id}.rates`} tabIndex={-1}>
        <Grid
          title="Rates"
          rows={sorted}
          columns={columns}
          writer={rateWriter}
          fromFile={tableOfFile}
          nameOf={({ zone, upToKilograms }) => `${zone} up to ${typedText(upToKilograms, locale)} kg`}
          empty="Type a zone, a weight and its postage, or paste a table of the three. A parcel takes the first weight that it does not exceed; above the last one there is no postage, and prices say so."
        />
      </div>
    </section>
  );
}
