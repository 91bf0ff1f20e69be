import { fieldsOf, unitsThatFit, type StoredRow } from '@nuvar/book';
import { typedText, unitWords } from '../figures/format.js';
import { figureColumn, type Column } from '../controls/grid-model.js';
import { fieldColumn } from '../controls/field-column.js';
import { isRefusal, readAnyQuantity, readField, unitChoices } from '../controls/read-field.js';
import { priceText, readPriceText } from './price-text.js';
import { knownUnits } from '../controls/known-units.js';
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
    width: '5.6rem',
    words: { ingredient: 'ingredient', packaging: 'packaging', resale: 'for resale' },
  });
  const unit = (text: string) => readField(specOf('supplierPrice', 'packUnit'), text, locale);
  return [
    {
      id: 'name',
      header: 'Material',
      width: 'auto',
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
      width: '7.6rem',
      type: 'choice',
      place: ({ id }) => `${id}.kind`,
      options: () => kind.options?.(null) ?? [],
      text: ({ material }) => kind.text(material),
      read: (text) => kind.read(text, null),
    },
    {
      id: 'supplier',
      header: 'Supplier',
      width: '8.5rem',
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
      width: '4rem',
      type: 'number',
      place: ({ price }) => `${price?.id ?? ''}.packQuantity`,
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
      width: '4.8rem',
      type: 'choice',
      place: ({ price }) => `${price?.id ?? ''}.packUnit`,
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
      width: '6.4rem',
      type: 'number',
      place: ({ price }) => `${price?.id ?? ''}.price`,
      text: ({ price }) => (price === undefined ? '' : priceText(price, currency, locale)),
      read: (text) => readPriceText(text, locale),
    },
    {
      id: 'baseUnit',
      header: 'Costed by',
      width: '4.8rem',
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
      header: `${currency} a unit`,
      width: '5.4rem',
      view: 'material',
      of: ({ id }: MaterialRow) => id,
      pick: (view) => view.perBaseUnit,
      digits: 4,
    }),
  ];
}

/** What else is known of a material: it goes out with an export, and can be changed for many in one go. */
export function moreMaterialColumns(locale: string): Column<MaterialRow, MaterialPatch>[] {
  return (['category', 'tags', 'code', 'bufferPercent', 'landedAddOn', 'planningBasis', 'archived'] as const).map(
    (field) => {
      const column = fieldColumn<StoredRow<'material'>>('material', field, locale, { width: 'auto' });
      return {
        id: column.id,
        header: column.header,
        width: column.width,
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
