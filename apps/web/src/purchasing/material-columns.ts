import { fieldsOf, unitsThatFit, type StoredRow } from '@nuvar/book';
import { dayText, typedText, unitWords } from '../figures/format.js';
import { figureColumn, type Column } from '../controls/grid/grid-model.js';
import { fieldColumn } from '../controls/grid/field-column.js';
import { isRefusal, readAnyQuantity, readField, unitChoices } from '../controls/fields/read-field.js';
import { priceText, priceUnit, readPriceText } from './price-text.js';
import { knownUnits } from '../controls/fields/known-units.js';
import type { MaterialPatch, MaterialRow } from './material-rows.js';

export const MATERIAL_KIND_WORDS = {
  ingredient: 'ingredient or part',
  packaging: 'packaging',
  resale: 'goods for resale',
};

const specOf = (kind: 'material' | 'supplierPrice', field: string) => {
  const spec = fieldsOf(kind).find((each) => each.name === field);
  if (spec === undefined) throw new RangeError(`A ${kind} has no field "${field}".`);
  return spec;
};

/** The columns of the grid of materials: what was paid for a pack, and what one base unit costs. */
export function materialColumns(
  locale: string,
  currency: string,
  suppliers: readonly string[],
): Column<MaterialRow, MaterialPatch>[] {
  const kind = fieldColumn<StoredRow<'material'>>('material', 'kind', locale, {
    words: { ingredient: 'ingredient', packaging: 'packaging', resale: 'for resale' },
  });
  const unit = (text: string) => readField(specOf('supplierPrice', 'packUnit'), text, locale);
  return [
    {
      id: 'name',
      header: 'Material',
      type: 'text',
      placeholder: 'Type a new material here',
      place: ({ id }) => `${id}.name`,
      text: ({ material }) => material.name,
      read: (text) =>
        text.trim() === ''
          ? { refusal: 'Name cannot be empty.' }
          : { patch: { name: text.trim() }, shown: text.trim() },
    },
    {
      id: 'kind',
      header: 'Kind',
      type: 'choice',
      place: ({ id }) => `${id}.kind`,
      options: () => kind.options?.(null) ?? [],
      text: ({ material }) => kind.text(material),
      read: (text) => kind.read(text, null),
    },
    {
      id: 'supplier',
      header: 'Supplier',
      type: 'text',
      suggestions: suppliers,
      text: ({ supplier }) => supplier,
      read: (text) =>
        text.trim().length > 120
          ? { refusal: 'Supplier can have at most 120 characters.' }
          : { patch: { supplier: text.trim() }, shown: text.trim() },
    },
    {
      id: 'packQuantity',
      header: 'Pack',
      type: 'number',
      place: ({ id, price }) => `${price?.id ?? id}.packQuantity`,
      text: ({ price }) => (price === undefined ? '' : typedText(price.packQuantity, locale)),
      read: (text) => {
        const quantity = readAnyQuantity(text, locale);
        return 'refusal' in quantity
          ? quantity
          : {
              patch: { packQuantity: quantity.value, ...(quantity.unit === null ? {} : { packUnit: quantity.unit }) },
              shown: `${typedText(quantity.value, locale)} ${quantity.unit ?? ''}`.trim(),
            };
      },
    },
    {
      id: 'packUnit',
      header: 'Unit',
      type: 'choice',
      place: ({ id, price }) => `${price?.id ?? id}.packUnit`,
      text: ({ price, material }) => unitWords(price?.packUnit ?? material.baseUnit),
      options: () => unitChoices(knownUnits()),
      read: (text) => {
        const reading = unit(text);
        return isRefusal(reading) ? reading : { patch: { packUnit: String(reading.value) }, shown: reading.shown };
      },
    },
    {
      id: 'price',
      header: `Price, ${currency}`,
      type: 'number',
      place: ({ id, price }) => `${price?.id ?? id}.price`,
      text: ({ price }) => typedText(price?.price ?? '', locale),
      unit: priceUnit(currency, ({ price }: MaterialRow) => price),
      stored: ({ price }) => price?.price ?? '',
      read: (text, row) => readPriceText(text, locale, row?.price?.currency ?? currency),
    },
    {
      id: 'baseUnit',
      header: 'Costed by',
      type: 'choice',
      place: ({ id }) => `${id}.baseUnit`,
      text: ({ material }) => unitWords(material.baseUnit),
      options: (row) =>
        unitChoices(
          row?.price?.price == null ? knownUnits() : unitsThatFit(row.material.baseUnit).map(({ code }) => code),
        ),
      read: (text) => {
        const reading = unit(text);
        return isRefusal(reading) ? reading : { patch: { baseUnit: String(reading.value) }, shown: reading.shown };
      },
    },
    figureColumn({
      id: 'perBaseUnit',
      header: `Unit cost, ${currency}`,
      view: 'material',
      of: ({ id }: MaterialRow) => id,
      pick: (view) => view.perBaseUnit,
      digits: 4,
    }),
  ];
}

/** What a pack will cost, and from when: beside the prices in force where some material has such a price. */
export function priceToCome(locale: string, currency: string): Column<MaterialRow, MaterialPatch> {
  const text = ({ toCome }: MaterialRow) =>
    toCome === undefined ? '' : `${priceText(toCome, currency, locale)} from ${dayText(toCome.validFrom, locale)}`;
  return { id: 'toCome', header: 'Next price', type: 'shown', text, cell: text };
}

/** What else is known of a material: it goes out with an export, and can be changed for many in one go. */
export function moreMaterialColumns(locale: string): Column<MaterialRow, MaterialPatch>[] {
  return (['category', 'tags', 'code', 'bufferPercent', 'landedAddOn', 'planningBasis', 'archived'] as const).map(
    (field) => {
      const column = fieldColumn<StoredRow<'material'>>('material', field, locale, {});
      return {
        id: column.id,
        header: column.header,
        type: column.type,
        options: () => column.options?.(null) ?? [],
        text: ({ material }) => column.text(material),
        read: (text, row) => {
          const reading = column.read(text, row?.material ?? null);
          return 'refusal' in reading ? reading : { patch: { about: reading.patch }, shown: reading.shown };
        },
      };
    },
  );
}
