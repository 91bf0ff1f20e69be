import { MONTH_FIELDS, type StoredRow } from '@nuvar/book';
import { VOLUME_DRIVERS_SHOWN } from '@nuvar/core';
import { useMemo } from 'react';
import { useAll, useSettings, useUnarchived, useVersion } from '../book/use-book.js';
import { fieldColumn } from '../controls/grid/field-column.js';
import { Fields } from '../controls/fields/fields.js';
import { Grid } from '../controls/grid/grid.js';
import { RowField } from '../controls/fields/row-field.js';
import { rowsWriter } from '../controls/grid/rows-writer.js';
import { useView } from '../engine/use-view.js';
import { Amount } from '../figures/amount.js';
import { DetailHeading } from '../figures/detail-heading.js';
import { useFirstRows } from '../figures/first-rows.js';
import { unitWords } from '../figures/format.js';
import { ScreenLink } from '../figures/screen-link.js';
import { useStyle } from '../figures/use-style.js';
import { tableOfFile } from '../purchasing/import/table-of-file.js';
import { monthOfYear } from './month-words.js';
import { RunPage } from './run-page.js';
import { moreVolumeColumns, volumeColumns, volumeWriter, type Volume } from './volume-rows.js';

type Season = StoredRow<'season'>;

/** A product has a plan in each of its channels: the channel tells them apart. */
const nameOf =
  (products: readonly StoredRow<'product'>[], channels: readonly StoredRow<'channel'>[]) =>
  ({ productId, channelId }: Volume) => {
    const product = products.find(({ id }) => id === productId)?.name ?? 'a product';
    const channel = channels.find(({ id }) => id === channelId)?.name;
    return `the plan of ${product}${channel === undefined ? '' : ` in ${channel}`}`;
  };

const EMPTY =
  'How many of each product you mean to sell in an average month, and where. Hours, batches, orders and materials follow from it.';

/** Run: what is planned to be sold of each product, where and in which month, and the work that follows from it. */
export function VolumesScreen() {
  const volumes = useAll('plannedVolume');
  const products = useUnarchived('product');
  const channels = useAll('channel');
  const seasons = useAll('season');
  const months = useVersion('plannedMonth');
  const view = useView('volumes', 'book');
  const style = useStyle();
  const columns = useMemo(
    () => volumeColumns({ products, channels, seasons }, view, style),
    // eslint-disable-next-line react-hooks/exhaustive-deps -- the typed months are those of this version
    [products, channels, seasons, view, style, months],
  );
  return (
    <RunPage>
      <div className="h-full space-y-6 overflow-auto">
        <Grid
          title="Planned volumes"
          rows={volumes}
          columns={columns}
          moreColumns={moreVolumeColumns}
          writer={volumeWriter}
          fromFile={tableOfFile}
          nameOf={nameOf(products, channels)}
          empty={
            products.length === 0 ? (
              <>
                Enter your products under <ScreenLink to="make">Make</ScreenLink> first; then plan here how many of each
                you mean to sell.
              </>
            ) : (
              EMPTY
            )
          }
        />
        <Seasons />
        <div className="flex flex-wrap items-start gap-x-12 gap-y-6">
          <Needs />
          <Materials />
        </div>
      </div>
    </RunPage>
  );
}

const HEADERS: Readonly<Record<(typeof VOLUME_DRIVERS_SHOWN)[number], string>> = {
  'labour hours': 'Labour h',
  'machine hours': 'Machine h',
  batches: 'Batches',
  orders: 'Orders',
  'bill lines': 'Bill lines',
};

/** What the plan needs in an average month. */
function Needs() {
  const view = useView('volumes', 'book');
  const settings = useSettings();
  const { rows: products, more } = useFirstRows(view?.products ?? []);
  if (view === undefined || view.products.length === 0) return <section aria-label="What the plan needs" />;
  return (
    <section aria-label="What the plan needs">
      <DetailHeading as="h2">What the plan needs in an average month</DetailHeading>
      <table className="table mt-1 w-auto">
        <thead>
          <tr>
            <th scope="col">Of a unit</th>
            <th scope="col" className="text-right">
              Made
            </th>
            <th scope="col" className="text-right">
              In batches
            </th>
            {VOLUME_DRIVERS_SHOWN.map((driver) => (
              <th key={driver} scope="col" className="text-right">
                {HEADERS[driver]}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {products.map((product) => (
            <tr key={product.id}>
              <th scope="row" className="font-normal">
                <ScreenLink to="make" row={product.id}>
                  {product.name}
                </ScreenLink>
              </th>
              <td className="text-right">
                <Amount figure={product.output} digits={0} />
              </td>
              <td className="text-right">
                <Amount figure={product.batches} digits={2} />
              </td>
              {VOLUME_DRIVERS_SHOWN.map((driver) => (
                <td key={driver} className="text-right">
                  <Amount figure={product.drivers[driver]} digits={3} />
                </td>
              ))}
            </tr>
          ))}
          <tr className="font-semibold">
            <th scope="row">All planned units</th>
            <td />
            <td />
            {VOLUME_DRIVERS_SHOWN.map((driver) => (
              <td key={driver} className="text-right">
                <Amount figure={view.drivers[driver]} digits={1} />
              </td>
            ))}
          </tr>
        </tbody>
      </table>
      {more}
      <p className="mt-1 text-soft">Made is what the plan needs, with what goes into other products.</p>
      <Fields>
        <RowField kind="settings" id={settings.id} field="wholeBatches" />
      </Fields>
    </section>
  );
}

/** How much of each material the plan needs in an average month. */
function Materials() {
  const needed = useView('neededMaterials', 'book');
  const { rows, more } = useFirstRows(needed ?? []);
  if (rows.length === 0) return null;
  return (
    <section aria-label="Materials that the plan needs">
      <DetailHeading as="h2">Materials that the plan needs in an average month</DetailHeading>
      <table className="table mt-1 w-auto">
        <tbody>
          {rows.map(({ id, name, perMonth }) => (
            <tr key={id}>
              <th scope="row" className="font-normal">
                <ScreenLink to="buy" row={id} search="?side=order">
                  {name}
                </ScreenLink>
              </th>
              <td className="text-right">
                <Amount figure={perMonth} digits={2} />
              </td>
              <td className="text-soft">{unitWords(perMonth.unit.replace(/ per month$/, ''))}</td>
            </tr>
          ))}
        </tbody>
      </table>
      {more}
    </section>
  );
}

const seasonWriter = rowsWriter<Season>('season', { needs: 'name' });

/** The shapes of a year: how strong each month is against the others. */
function Seasons() {
  const rows = useAll('season');
  const { locale } = useSettings();
  const columns = useMemo(
    () => [
      fieldColumn<Season>('season', 'name', locale, { placeholder: 'Summer trade' }),
      ...MONTH_FIELDS.map((month, index) =>
        fieldColumn<Season>('season', month, locale, { header: monthOfYear(index + 1, locale) }),
      ),
    ],
    [locale],
  );
  return (
    <div>
      <Grid
        title="Seasons of sales"
        rows={rows}
        columns={columns}
        writer={seasonWriter}
        nameOf={({ name }) => name}
        empty="How strong each month is against the others: 2 in December and 0.5 in January. Only the proportion counts."
      />
    </div>
  );
}
