import type { StoredRow } from '@nuvar/book';
import { newId } from '@nuvar/book';
import { useMemo, useState } from 'react';
import { model } from '../../book/model.js';
import { createOf, nextPosition } from '../../book/operations.js';
import { useAll, useEdit, useMayEdit, useRowsOf, useSettings, useUnarchived, useVersion } from '../../book/use-book.js';
import { fieldColumn } from '../../controls/grid/field-column.js';
import { Grid } from '../../controls/grid/grid.js';
import { removalInBook, rowsWriter } from '../../controls/grid/rows-writer.js';
import { DetailHeading } from '../../figures/detail-heading.js';
import { Fields } from '../../controls/fields/fields.js';
import { RowField } from '../../controls/fields/row-field.js';
import { nameOfMixProduct, productColumns, productsWriter } from './mix-rows.js';

type Total = StoredRow<'mixTotal'>;

/** The products of a plan with what each leaves, its limits, and the limits on several of them together. */
export function MixLimits({ planId }: { readonly planId: string }) {
  const rows = useRowsOf('mixProduct', 'planId', planId);
  const products = useUnarchived('product');
  const channels = useAll('channel');
  const { locale, currency } = useSettings();
  const { columns, more } = useMemo(
    () => productColumns(planId, products, channels, locale, currency),
    [planId, products, channels, locale, currency],
  );
  const writer = useMemo(() => productsWriter(planId), [planId]);
  return (
    <>
      <div data-place={`${planId}.products`} tabIndex={-1}>
        <Grid
          title="Products"
          rows={rows}
          columns={columns}
          moreColumns={more}
          writer={writer}
          nameOf={nameOfMixProduct}
          empty="Which products compete for what runs short? Type the name of one, and choose where it is sold: its price there says what it leaves."
        />
      </div>
      <Totals planId={planId} />
      <DetailHeading>Search</DetailHeading>
      <Fields inTwo>
        <RowField kind="mixPlan" id={planId} field="secondsAtMost" label="Time limit" suffix="seconds" />
        <RowField kind="mixPlan" id={planId} field="gapPercent" label="Gap allowed" suffix="% of the goal" />
      </Fields>
    </>
  );
}

function Totals({ planId }: { readonly planId: string }) {
  const totals = useRowsOf('mixTotal', 'planId', planId);
  const { locale } = useSettings();
  const [chosen, choose] = useState<string | null>(null);
  const columns = useMemo(
    () => [
      fieldColumn<Total>('mixTotal', 'name', locale, { placeholder: 'Tableware on the stall' }),
      fieldColumn<Total>('mixTotal', 'rule', locale),
      fieldColumn<Total>('mixTotal', 'units', locale),
      fieldColumn<Total>('mixTotal', 'measure', locale, { header: 'of', words: MEASURE_WORDS }),
    ],
    [locale],
  );
  const writer = useMemo(
    () =>
      rowsWriter<Total>('mixTotal', {
        needs: 'name',
        fixed: (before) => ({
          planId,
          position: nextPosition('mixTotal', model.rows.rowsWith('mixTotal', 'planId', planId), before),
        }),
      }),
    [planId],
  );
  const shown = totals.find(({ id }) => id === chosen) ?? totals[0];
  return (
    <div className="mt-6 grid items-start gap-6 desk:grid-cols-2">
      <Grid
        title="Totals"
        rows={totals}
        columns={columns}
        writer={writer}
        nameOf={({ name }) => name}
        selected={shown?.id}
        onSelect={({ id }) => choose(id)}
        onCreate={choose}
        empty="A limit on several products together: at most so many pieces on a stall, at least so many for a customer, as many cups as saucers, at most 40 % of all."
      />
      {shown && <TotalProducts key={shown.id} total={shown} />}
    </div>
  );
}

const MEASURE_WORDS: Readonly<Record<Total['measure'], string>> = {
  units: 'units together',
  difference: 'difference',
  'share of all': '% of all units',
};
const SIDE_WORDS: Readonly<Record<StoredRow<'mixTotalProduct'>['side'], string>> = {
  counted: 'counted',
  against: 'counted against',
};

/** Which products count in a total; of a difference also on which side. */
function TotalProducts({ total: { id, name, planId, measure } }: { readonly total: Total }) {
  const rows = useRowsOf('mixProduct', 'planId', planId);
  const members = useRowsOf('mixTotalProduct', 'totalId', id);
  const edit = useEdit();
  const mayEdit = useMayEdit();
  useVersion('product', 'channel');
  return (
    <fieldset className="fieldset">
      <legend className="fieldset-legend text-soft">Counted in {name}</legend>
      {rows.map((row) => {
        const member = members.find(({ mixProductId }) => mixProductId === row.id);
        return (
          <label key={row.id} className="flex items-center gap-2">
            <input
              type="checkbox"
              className="checkbox checkbox-xs"
              checked={member !== undefined}
              disabled={!mayEdit}
              onChange={() =>
                edit(
                  member === undefined
                    ? [createOf('mixTotalProduct', newId(), { totalId: id, mixProductId: row.id })]
                    : removalInBook('mixTotalProduct', member.id),
                )
              }
            />
            {nameOfMixProduct(row)}
            {measure === 'difference' && member !== undefined && (
              <span className="w-40">
                <RowField
                  kind="mixTotalProduct"
                  id={member.id}
                  field="side"
                  label={`Side of ${nameOfMixProduct(row)}`}
                  words={SIDE_WORDS}
                  isNameless
                />
              </span>
            )}
          </label>
        );
      })}
    </fieldset>
  );
}
