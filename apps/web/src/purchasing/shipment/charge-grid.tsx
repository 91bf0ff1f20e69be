import { fieldsOf, type FieldSpec, type StoredRow } from '@nuvar/book';
import { useMemo } from 'react';
import { updateOf } from '../../book/operations.js';
import { useRowsOf, useSettings } from '../../book/use-book.js';
import { fieldColumn } from '../../controls/grid/field-column.js';
import { Grid } from '../../controls/grid/grid.js';
import { figureColumn, type Column, type GridWriter, type InputColumn } from '../../controls/grid/grid-model.js';
import { copyInBook, removalInBook } from '../../controls/grid/rows-writer.js';
import { typedText } from '../../figures/format.js';
import { currencyUnit, readMoneyText } from '../price-text.js';
import { newCharge } from './new-charge.js';
import { BASIS_WORDS, CHARGE_LABELS, RATE_WORDS } from './shipment-words.js';

export type Charge = StoredRow<'shipmentCharge'>;
type Patch = Partial<Charge>;

interface ChargeGridProps {
  readonly shipment: StoredRow<'shipment'>;
  readonly selected: string | undefined;
  readonly onSelect: (charge: Charge) => void;
}

/** The charges on a shipment as a whole, each with its own currency and the basis by which the lines share it. */
export function ChargeGrid({ shipment: { id: shipmentId, state }, selected, onSelect }: ChargeGridProps) {
  const isSettled = state === 'settled';
  const rows = useRowsOf('shipmentCharge', 'shipmentId', shipmentId);
  const { locale, currency } = useSettings();
  const columns = useMemo(() => chargeColumns(locale, currency), [locale, currency]);
  const moreColumns = useMemo(
    () => (['remark', 'account'] as const).map((field) => fieldColumn<Charge>('shipmentCharge', field, locale)),
    [locale],
  );
  const writer = useMemo(() => chargeWriter(shipmentId, currency), [shipmentId, currency]);
  return (
    <Grid
      title="Charges"
      rows={rows}
      columns={columns}
      moreColumns={moreColumns}
      {...(isSettled ? {} : { writer })}
      nameOf={({ type }) => CHARGE_LABELS[type] ?? type}
      selected={selected}
      onSelect={onSelect}
      empty="What it costs to bring the goods here: freight, insurance, port, customs, trucking. Choose the first one in the empty row."
    />
  );
}

const TREATMENTS = {
  'stock value': 'stock value',
  expense: 'expense',
  recovered: 'recovered',
  'in the price': "seller's price",
};

/** True while the rule that gave a charge says how much it is. */
export const isByRule = ({ ruleId, amount }: Charge) => ruleId !== null && amount === null;

const specOf = (field: string): FieldSpec => {
  const spec = fieldsOf('shipmentCharge').find(({ name }) => name === field);
  if (spec === undefined) throw new RangeError(`A charge has no field "${field}".`);
  return spec;
};

function chargeColumns(locale: string, currency: string): Column<Charge, Patch>[] {
  const choice = (field: 'type' | 'per' | 'basis', words: Readonly<Record<string, string>>) =>
    fieldColumn<Charge>('shipmentCharge', field, locale, { words });
  const money = (field: 'amount' | 'billed', header: string): InputColumn<Charge, Patch> => ({
    id: field,
    header,
    type: 'number',
    place: ({ id }) => `${id}.${field}`,
    stored: (row) => row[field] ?? '',
    text: (row) => typedText(row[field] ?? '', locale),
    emptyText: (row) => (field === 'amount' && isByRule(row) ? 'by rule' : ''),
    unit: {
      ...currencyUnit(currency, (row: Charge) => row, header),
      of: (row) => (field === 'amount' && row.per === 'percent of value' ? '%' : row.currency),
    },
    read: (text, row) => {
      const isPercent = /%\s*$/.test(text);
      const reading = readMoneyText(specOf(field), text.replace(/%\s*$/, ''), locale, row?.currency ?? currency);
      if ('refusal' in reading) return reading;
      const { value, currency: typed, shown } = reading;
      const percent = isPercent && field === 'amount' ? { per: 'percent of value' as const } : {};
      return {
        patch: { [field]: value, ...(typed === undefined ? {} : { currency: typed }), ...percent },
        shown: isPercent ? `${shown} %` : shown,
      };
    },
  });
  return [
    { ...choice('type', CHARGE_LABELS), header: 'Charge' },
    money('amount', `Estimate, ${currency}`),
    { ...choice('per', RATE_WORDS), applies: (row) => row === null || !isByRule(row) },
    money('billed', `Bill, ${currency}`),
    choice('basis', BASIS_WORDS),
    {
      id: 'treatment',
      header: 'Goes to',
      type: 'choice',
      place: ({ id }) => `${id}.treatment`,
      options: () => Object.values(TREATMENTS).map((label) => ({ value: label, label })),
      text: ({ inPrice, treatment }) => TREATMENTS[inPrice ? 'in the price' : treatment],
      read: (text) => {
        const found = (Object.keys(TREATMENTS) as (keyof typeof TREATMENTS)[]).find(
          (each) => TREATMENTS[each] === text.trim().toLowerCase(),
        );
        if (found === undefined) return { refusal: `Goes to is one of: ${Object.values(TREATMENTS).join(', ')}.` };
        return {
          patch: found === 'in the price' ? { inPrice: true } : { inPrice: false, treatment: found },
          shown: TREATMENTS[found],
        };
      },
    },
    figureColumn({
      id: 'counted',
      header: `Counts, ${currency}`,
      view: 'shipmentCharge',
      of: ({ id }: Charge) => id,
      pick: (view) => view.amount,
      digits: 2,
    }),
  ];
}

const chargeWriter = (shipmentId: string, currency: string): GridWriter<Charge, Patch> => ({
  update: (row, patch) => updateOf('shipmentCharge', row, patch),
  create: (id, patch, before) =>
    patch.type === undefined && patch.amount == null
      ? null
      : [newCharge(id, shipmentId, currency, { ...patch, type: patch.type ?? 'other' }, before)],
  remove: ({ id }) => removalInBook('shipmentCharge', id),
  duplicate: (row) => copyInBook('shipmentCharge', row),
});
