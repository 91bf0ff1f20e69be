import { nameKey, newId, type Operation, type StoredRow } from '@nuvar/book';
import { useMemo } from 'react';
import { createOf, madeWithin, nextPosition, updateOf } from '../../book/operations.js';
import { model } from '../../book/model.js';
import { useRowsOf, useSettings, useUnarchived } from '../../book/use-book.js';
import { fieldColumn } from '../../controls/field-column.js';
import { Grid } from '../../controls/grid.js';
import { figureColumn, type Column, type GridWriter } from '../../controls/grid-model.js';
import { knownUnits, readUnit, unknownUnitSentence } from '../../controls/known-units.js';
import { isRefusal, readAnyQuantity, unitChoices } from '../../controls/read-field.js';
import { copyInBook, removalInBook } from '../../controls/rows-writer.js';
import { typedText, unitWords } from '../../figures/format.js';
import { firstCharges } from './charges-by-rules.js';
import { newMaterial } from '../material-rows.js';
import { DUTY_FORM_WORDS } from './shipment-words.js';

export type Line = StoredRow<'shipmentLine'>;
type Shipment = StoredRow<'shipment'>;
type Patch = Partial<Line> & { readonly newMaterial?: string };

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
      {...(isSettled ? {} : { writer })}
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
  return [columns, [...(isAtCustoms ? [] : customs), forms, ...more]];
}

/** Writes the lines of a shipment, each with its material where that is new. */
function lineWriter(shipment: Shipment): GridWriter<Line, Patch> {
  const withMaterial = ({ newMaterial: name, ...fields }: Patch, before: readonly Operation[]) => {
    if (name === undefined) return { made: [], fields };
    const known = madeWithin(before, 'material', name);
    if (known !== undefined) return { made: [], fields: { ...fields, materialId: known } };
    const id = newId();
    const baseUnit = fields.unit ?? 'each';
    return { made: newMaterial(id, { name, baseUnit }), fields: { unit: baseUnit, ...fields, materialId: id } };
  };
  return {
    update: (row, patch, before) => {
      const { made, fields } = withMaterial(patch, before);
      return [...made, ...updateOf('shipmentLine', row, fields)];
    },
    create: (id, patch, before) => {
      const { made, fields } = withMaterial(patch, before);
      if (fields.materialId === undefined) return null;
      const position = nextPosition(
        'shipmentLine',
        model.rows.rowsWith('shipmentLine', 'shipmentId', shipment.id),
        before,
      );
      const usual = {
        ...{ shipmentId: shipment.id, position, unit: usualUnit(fields.materialId) },
        ...asLastDeclared(fields.materialId),
      };
      const line = { origin: '', ...usual, ...fields, materialId: fields.materialId };
      const charges = firstCharges(shipment, [{ ...line, id }], before);
      return [...made, createOf('shipmentLine', id, { ...usual, ...fields }), ...charges];
    },
    remove: ({ id }) => removalInBook('shipmentLine', id),
    duplicate: (row) => copyInBook('shipmentLine', row),
  };
}

/** The unit in which a material is bought: that of its newest pack, else the one by which it is costed. */
function usualUnit(materialId: string): string {
  const packs = model.rows.rowsWith('supplierPrice', 'materialId', materialId);
  return packs.at(-1)?.packUnit ?? model.rows.row('material', materialId)?.baseUnit ?? 'each';
}

/** How goods of a material were declared last: they are so again unless it is said otherwise. */
function asLastDeclared(materialId: string): Partial<Line> {
  const lines = model.rows.rowsWith('shipmentLine', 'materialId', materialId);
  const [first] = lines;
  if (first === undefined) return {};
  // Ids are made in the order of time.
  const last = lines.reduce((latest, each) => (each.id > latest.id ? each : latest), first);
  const { dutyPercent, dutyForm, specificDuty, specificPer, antiDumpingPercent, hsCode, origin } = last;
  return { dutyPercent, dutyForm, specificDuty, specificPer, antiDumpingPercent, hsCode, origin };
}
