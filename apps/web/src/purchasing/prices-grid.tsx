import type { StoredRow } from '@nuvar/book';
import { useMemo, useState } from 'react';
import { today } from '../state/today.js';
import { createOf, updateOf } from '../book/operations.js';
import { useAll, useRowsOf, useSettings } from '../book/use-book.js';
import { fieldColumn } from '../controls/grid/field-column.js';
import { Grid } from '../controls/grid/grid.js';
import { figureColumn, type Column, type GridWriter } from '../controls/grid/grid-model.js';
import { isRefusal, readAnyQuantity } from '../controls/fields/read-field.js';
import { copyInBook, removalInBook } from '../controls/grid/rows-writer.js';
import { useView } from '../engine/use-view.js';
import { Amount } from '../figures/amount.js';
import { dayText, typedText, unitWords } from '../figures/format.js';
import { RowField } from '../controls/fields/row-field.js';
import { supplierOf } from './material-rows.js';
import { priceUnit, readPriceText } from './price-text.js';
import { Fields } from '../controls/fields/fields.js';

type Row = StoredRow<'supplierPrice'>;
type Patch = Partial<Row> & { readonly supplier?: string };

/** All supplier prices of a material, newest first: who asks how much for which pack, and from when. */
export function PricesGrid({ material }: { material: StoredRow<'material'> }) {
  const prices = useRowsOf('supplierPrice', 'materialId', material.id);
  const suppliers = useAll('supplier');
  const { locale, currency } = useSettings();
  const rows = useMemo(() => [...prices].sort((one, other) => (one.validFrom < other.validFrom ? 1 : -1)), [prices]);
  const inForce = useView('material', material.id)?.priceInForce ?? null;
  const usual = rows.find(({ id }) => id === inForce) ?? rows[0];
  const columns = useMemo(() => priceColumns(locale, currency, suppliers, usual), [locale, currency, suppliers, usual]);
  const writer = useMemo(() => priceWriter(material, currency, usual), [material, currency, usual]);
  const [selected, setSelected] = useState<string | undefined>();
  const shown = rows.find(({ id }) => id === (selected ?? inForce)) ?? rows[0];
  return (
    <>
      <Grid
        title="Prices"
        rows={rows}
        columns={columns}
        writer={writer}
        nameOf={({ validFrom }) => `price from ${dayText(validFrom, locale)}`}
        selected={shown?.id}
        onSelect={({ id }) => setSelected(id)}
      />
      {shown && (
        <Fields label={`More of the price from ${dayText(shown.validFrom, locale)}`}>
          <RowField kind="supplierPrice" id={shown.id} field="minimumOrder" label="Smallest order" suffix="packs" />
          <SmallestOrder priceId={shown.id} />
          <RowField kind="supplierPrice" id={shown.id} field="orderedPacks" label="Ordered at it" suffix="packs" />
          <RowField kind="supplierPrice" id={shown.id} field="supplierCode" />
          <RowField
            kind="supplierPrice"
            id={shown.id}
            field="taxPercent"
            label="Sales tax"
            suffix="%"
            placeholder="none"
          />
          {shown.taxPercent !== null && <RowField kind="supplierPrice" id={shown.id} field="taxInside" />}
        </Fields>
      )}
    </>
  );
}

/** What has to be spent at least to get that price. */
function SmallestOrder({ priceId }: { readonly priceId: string }) {
  const view = useView('listedPrice', priceId);
  if (!view?.smallestOrder) return null;
  return (
    <p className="text-soft">
      That is <Amount figure={view.smallestOrder} digits={2} withUnit /> at least.
    </p>
  );
}

function priceColumns(
  locale: string,
  currency: string,
  suppliers: readonly StoredRow<'supplier'>[],
  usual: Row | undefined,
): Column<Row, Patch>[] {
  const packText = ({ packQuantity, packUnit }: Row) => `${typedText(packQuantity, locale)} ${unitWords(packUnit)}`;
  const nameOf = (id: string | null) => suppliers.find((each) => each.id === id)?.name ?? '';
  return [
    {
      ...fieldColumn<Row>('supplierPrice', 'validFrom', locale, { header: 'From' }),
      blankText: dayText(today(), locale),
    },
    {
      id: 'supplier',
      header: 'Supplier',
      type: 'item',
      placeholder: 'supplier',
      place: ({ id }) => `${id}.supplierId`,
      options: () => suppliers.map(({ id, name }) => ({ value: id, label: name })),
      blankText: nameOf(usual?.supplierId ?? null),
      text: ({ supplierId }) => nameOf(supplierId),
      read: (text) =>
        text.trim().length > 120
          ? { refusal: 'Supplier can have at most 120 characters.' }
          : { patch: { supplier: text.trim() }, shown: text.trim() },
    },
    {
      id: 'pack',
      header: 'Pack',
      type: 'number',
      place: ({ id }) => `${id}.packQuantity`,
      blankText: usual === undefined ? '' : packText(usual),
      text: packText,
      read: (text) => {
        const reading = readAnyQuantity(text, locale);
        if (isRefusal(reading)) return reading;
        const { value, unit } = reading;
        return {
          patch: unit === null ? { packQuantity: value } : { packQuantity: value, packUnit: unit },
          shown: `${typedText(value, locale)} ${unitWords(unit ?? '')}`.trim(),
        };
      },
    },
    {
      id: 'price',
      header: `Price, ${currency}`,
      type: 'number',
      placeholder: 'price',
      place: ({ id }) => `${id}.price`,
      text: ({ price }) => typedText(price ?? '', locale),
      unit: priceUnit(currency, (row: Row) => row),
      read: (text, row) => readPriceText(text, locale, row?.currency ?? currency),
    },
    figureColumn({
      id: 'perUnit',
      header: `Unit cost, ${currency}`,
      view: 'listedPrice',
      of: ({ id }: Row) => id,
      pick: (view) => view.perBaseUnit,
      digits: 4,
    }),
  ];
}

/** Writes prices. A new one is for the pack of the price in force, at its supplier, unless it says otherwise. */
function priceWriter(
  material: StoredRow<'material'>,
  currency: string,
  inForce: Row | undefined,
): GridWriter<Row, Patch> {
  return {
    update: (row, { supplier, ...fields }, before) => {
      const found = supplier === undefined ? undefined : supplierOf(supplier, before);
      const all = found === undefined ? fields : { ...fields, supplierId: found.id };
      return [...(found?.made ?? []), ...updateOf('supplierPrice', row, all)];
    },
    create: (id, { supplier, ...fields }, before) => {
      if (fields.price == null) return null;
      const found = supplier === undefined ? undefined : supplierOf(supplier, before);
      const usual = {
        materialId: material.id,
        packQuantity: inForce?.packQuantity ?? '1',
        packUnit: inForce?.packUnit ?? material.baseUnit,
        currency,
        validFrom: today(),
        taxPercent: inForce?.taxPercent ?? null,
        taxInside: inForce?.taxInside ?? false,
        supplierId: found === undefined ? (inForce?.supplierId ?? null) : found.id,
      };
      return [...(found?.made ?? []), createOf('supplierPrice', id, { ...usual, ...fields })];
    },
    remove: ({ id }) => removalInBook('supplierPrice', id),
    duplicate: (row) => copyInBook('supplierPrice', row),
  };
}
