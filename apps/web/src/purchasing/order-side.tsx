import type { StoredRow } from '@nuvar/book';
import type { OrderOptionView } from '@nuvar/core';
import { useMemo } from 'react';
import { useRowsOf, useSettings } from '../book/use-book.js';
import { fieldColumn } from '../controls/grid/field-column.js';
import { Fields } from '../controls/fields/fields.js';
import { Grid } from '../controls/grid/grid.js';
import { RowField } from '../controls/fields/row-field.js';
import { rowsWriter } from '../controls/grid/rows-writer.js';
import { useView } from '../engine/use-view.js';
import { Amount } from '../figures/amount.js';
import { DetailHeading } from '../figures/detail-heading.js';
import { GapList } from '../figures/gap-list.js';
import { typedText, unitWords } from '../figures/format.js';

/** How much of a material to order each time, and when: what a year costs at each quantity that is worth a look. */
export function OrderSide({ material }: { readonly material: StoredRow<'material'> }) {
  const view = useView('orderQuantities', material.id);
  const settings = useSettings();
  const unit = unitWords(material.baseUnit);
  const { id } = material;
  return (
    <>
      <Fields>
        <RowField kind="material" id={id} field="reorderLevel" suffix={unit} placeholder="none" />
        <RowField
          kind="material"
          id={id}
          field="yearlyNeed"
          suffix={unit}
          placeholder={view?.need.amount == null ? 'not known' : 'as planned'}
        />
        <RowField kind="settings" id={settings.id} field="costPerOrder" suffix={settings.currency} />
        <RowField
          kind="settings"
          id={settings.id}
          field="holdingPercent"
          label="Cost of holding stock"
          suffix="% a year"
        />
      </Fields>
      {view && (
        <p className="text-soft mt-1.5">
          Needed in a year: <Amount figure={view.need} digits={0} /> {unit}.
        </p>
      )}
      {view && <GapList gaps={view.need.gaps} />}
      {view && view.options.length > 0 && <Options options={view.options} material={material} />}
      <PriceBreaks material={material} />
    </>
  );
}

/** What purchases, ordering and holding make of a year stands in the working of its total. */
const COLUMNS = [
  ['perBaseUnit', 'Price', 4],
  ['ordersPerYear', 'Orders a year', 1],
  ['total', 'A year costs', 2],
  ['tiedUp', 'Tied up', 2],
] as const;

function Options({
  options,
  material,
}: {
  readonly options: readonly OrderOptionView[];
  readonly material: StoredRow<'material'>;
}) {
  const { currency, locale } = useSettings();
  const isOfSeveral = new Set(options.map(({ supplier }) => supplier)).size > 1;
  return (
    <section aria-label="Order quantities" className="mt-3">
      <DetailHeading>{`What a year costs, ${currency}`}</DetailHeading>
      <div className="overflow-x-auto">
        <table className="table mt-1.5">
          <thead>
            <tr>
              <th scope="col">Order</th>
              <th scope="col" className="text-right">
                Packs
              </th>
              <th scope="col" className="text-right">
                {unitWords(material.baseUnit)}
              </th>
              {COLUMNS.map(([member, label]) => (
                <th key={member} scope="col" className="text-right">
                  {label}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {options.map((option) => (
              <tr key={`${option.supplier}/${option.packs}`} className={option.isCheapest ? 'font-bold' : ''}>
                <th scope="row" className={option.isCheapest ? '' : 'font-normal'}>
                  {isOfSeveral && option.supplier !== '' && `${option.supplier}: `}
                  {option.why}
                  {option.isCheapest && ' (cheapest)'}
                </th>
                <td className="text-right">{typedText(option.packs, locale)}</td>
                <td className="text-right">
                  <Amount figure={option.quantity} digits={0} />
                </td>
                {COLUMNS.map(([member, , digits]) => (
                  <td key={member} className="text-right">
                    <Amount figure={option[member]} digits={digits} />
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </section>
  );
}

/** Lower prices for larger orders, of the price in force. */
function PriceBreaks({ material }: { readonly material: StoredRow<'material'> }) {
  const priceId = useView('material', material.id)?.priceInForce ?? null;
  const rows = useRowsOf('priceBreak', 'priceId', priceId ?? '');
  const { locale, currency } = useSettings();
  const sorted = useMemo(() => [...rows].sort((one, other) => Number(one.fromPacks) - Number(other.fromPacks)), [rows]);
  const columns = useMemo(
    () => [
      fieldColumn<StoredRow<'priceBreak'>>('priceBreak', 'fromPacks', locale),
      fieldColumn<StoredRow<'priceBreak'>>('priceBreak', 'price', locale, { header: `Pack price, ${currency}` }),
    ],
    [locale, currency],
  );
  const writer = useMemo(
    () => rowsWriter<StoredRow<'priceBreak'>>('priceBreak', { needs: 'fromPacks', fixed: () => ({ priceId }) }),
    [priceId],
  );
  if (priceId === null) return null;
  return (
    <div className="mt-4 max-w-md">
      <Grid
        title="Price breaks"
        rows={sorted}
        columns={columns}
        writer={writer}
        nameOf={({ fromPacks }) => `price from ${typedText(fromPacks, locale)} packs`}
        empty="Does a pack cost less when more is ordered? From how many packs, and how much then?"
      />
    </div>
  );
}
