import { nameKey, type StoredRow } from '@nuvar/book';
import { useMemo } from 'react';
import { model } from '../../book/model.js';
import { useRowsOf, useSettings, useUnarchived } from '../../book/use-book.js';
import { fieldColumn } from '../../controls/grid/field-column.js';
import { Grid } from '../../controls/grid/grid.js';
import { figureColumn, type Column } from '../../controls/grid/grid-model.js';
import { knownUnits, readUnit, unknownUnitSentence } from '../../controls/fields/known-units.js';
import { isRefusal, readAnyQuantity, unitChoices } from '../../controls/fields/read-field.js';
import { typedText, unitWords } from '../../figures/format.js';
import { LinesToOrder } from './lines-to-order.js';
import { lineWriter, type LinePatch as Patch } from './line-writer.js';
import { DUTY_FORM_WORDS } from './shipment-words.js';
import { tableOfFile } from '../import/table-of-file.js';

type Line = StoredRow<'shipmentLine'>;
type Shipment = StoredRow<'shipment'>;
interface LineGridProps {
  readonly shipment: Shipment;
}

/** The lines of a shipment: typed, or pasted from a proforma. A material that the book does not have is made. */
export function LineGrid({ shipment }: LineGridProps) {
  const rows = useRowsOf('shipmentLine', 'shipmentId', shipment.id);
  const materials = useUnarchived('material');
  const { locale, currency } = useSettings();
  const isAtCustoms = shipment.customsProfileId !== null;
  const isSettled = shipment.state === 'settled';
  const [columns, moreColumns] = useMemo(
    () => lineColumns(shipment, materials, locale, currency, isAtCustoms),
    [shipment, materials, locale, currency, isAtCustoms],
  );
  const writer = useMemo(() => lineWriter(shipment), [shipment]);
  return (
    <Grid
      title="Lines"
      rows={rows}
      columns={columns}
      moreColumns={moreColumns}
      fromFile={tableOfFile}
      {...(isSettled ? {} : { writer })}
      tools={isSettled ? null : <LinesToOrder shipment={shipment} />}
      nameOf={({ materialId }) => materialName(materialId)}
      empty="What is bought: type or paste the lines of a proforma. Weight and volume are those of the whole line, packed."
    />
  );
}

export const materialName = (materialId: string) => model.rows.row('material', materialId)?.name ?? 'material';

function lineColumns(
  shipment: Shipment,
  materials: readonly StoredRow<'material'>[],
  locale: string,
  currency: string,
  isAtCustoms: boolean,
): [Column<Line, Patch>[], Column<Line, Patch>[]] {
  const own = (field: keyof Line & string, header?: string) =>
    fieldColumn<Line>('shipmentLine', field, locale, header === undefined ? {} : { header });
  const landed = (member: 'landed' | 'perUnit', header: string, digits: number) =>
    figureColumn({
      id: member,
      header,
      view: 'shipmentLine',
      of: ({ id }: Line) => id,
      pick: (view) => view[member],
      digits,
    });
  const customs = [own('dutyPercent')];
  const columns: Column<Line, Patch>[] = [
    {
      id: 'material',
      header: 'Material',
      type: 'item',
      placeholder: 'Type a material',
      blankPlace: `${shipment.id}.lines`,
      place: ({ id }) => `${id}.materialId`,
      options: () => materials.map(({ id, name }) => ({ value: id, label: name })),
      text: ({ materialId }) => materialName(materialId),
      read: (text) => {
        const typed = text.trim();
        if (typed === '') return { refusal: 'A line needs a material.' };
        if (typed.length > 120) return { refusal: 'Name can have at most 120 characters.' };
        const known = materials.find(({ name }) => nameKey(name) === nameKey(typed));
        return known === undefined
          ? { patch: { newMaterial: typed }, shown: `${typed} (new material)` }
          : { patch: { materialId: known.id }, shown: known.name };
      },
    },
    {
      id: 'quantity',
      header: 'Quantity',
      type: 'number',
      place: ({ id }) => `${id}.quantity`,
      stored: ({ quantity }) => quantity ?? '',
      text: ({ quantity }) => typedText(quantity ?? '', locale),
      read: (text) => {
        if (text.trim() === '') return { patch: { quantity: null }, shown: '' };
        const reading = readAnyQuantity(text, locale);
        if (isRefusal(reading)) return reading;
        const { value, unit } = reading;
        return {
          patch: unit === null ? { quantity: value } : { quantity: value, unit },
          shown: `${typedText(value, locale)} ${unit ?? ''}`.trim(),
        };
      },
    },
    {
      id: 'unit',
      header: 'Unit',
      type: 'choice',
      place: ({ id }) => `${id}.unit`,
      text: ({ unit }) => unitWords(unit),
      options: () => unitChoices(knownUnits()),
      read: (text) => {
        const unit = readUnit(text);
        return unit === undefined
          ? { refusal: unknownUnitSentence(text.slice(0, 40)) }
          : { patch: { unit }, shown: unitWords(unit) };
      },
    },
    own('price', `Price, ${shipment.currency}`),
    own('weight'),
    own('volume'),
    ...(isAtCustoms ? customs : []),
    landed('landed', `Landed, ${currency}`, 2),
    landed('perUnit', `Unit cost, ${currency}`, 4),
  ];
  const forms = fieldColumn<Line>('shipmentLine', 'dutyForm', locale, { words: DUTY_FORM_WORDS });
  const more = (
    [
      'specificDuty',
      'specificPer',
      'antiDumpingPercent',
      'preferencePercent',
      'hasProofOfOrigin',
      'hsCode',
      'origin',
    ] as const
  ).map((field) => own(field));
  const tax = [own('taxPercent'), own('taxInside')];
  return [columns, [...tax, ...(isAtCustoms ? [] : customs), forms, ...more]];
}
