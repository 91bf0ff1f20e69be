import type { Kind, StoredRow } from '@nuvar/book';
import { unitsWithin } from '@nuvar/core';
import { useMemo } from 'react';
import { createOf, updateOf } from '../book/operations.js';
import { model } from '../book/model.js';
import { useRowsOf, useSettings, useVersion } from '../book/use-book.js';
import { Grid } from '../controls/grid/grid.js';
import type { Column, GridWriter, InputColumn } from '../controls/grid/grid-model.js';
import { isRefusal, readAnyQuantity, unitChoices } from '../controls/fields/read-field.js';
import { knownUnits, readUnit, unknownUnitSentence } from '../controls/fields/known-units.js';
import { removalInBook } from '../controls/grid/rows-writer.js';
import { typedText, unitWords } from '../figures/format.js';

type Row = StoredRow<'itemConversion'>;
type Patch = Partial<Row>;
type Owner = 'materialId' | 'productId';

interface ConversionsGridProps {
  readonly of: Extract<Kind, 'material' | 'product'>;
  readonly id: string;
  /** The unit in which the item is costed. */
  readonly baseUnit: string;
}

/** How one item is measured in other ways: "1 piece is 58 g". Stated once, it serves everywhere. */
export function ConversionsGrid({ of, id, baseUnit }: ConversionsGridProps) {
  const owner = of === 'material' ? 'materialId' : 'productId';
  const rows = useRowsOf('itemConversion', owner, id);
  const { locale } = useSettings();
  const version = useVersion('itemConversion', 'supplierPrice', 'billLine');
  // eslint-disable-next-line react-hooks/exhaustive-deps -- the rows are those of this version
  const usual = useMemo(() => missingUnits(owner, id, baseUnit), [owner, id, baseUnit, version]);
  const columns = useMemo(() => conversionColumns(locale, usual, id), [locale, usual, id]);
  const writer = useMemo(() => conversionWriter(owner, id, usual), [owner, id, usual]);
  return (
    <Grid
      title="Unit conversions"
      rows={rows}
      columns={columns}
      writer={writer}
      nameOf={({ unit }) => `conversion of ${unitWords(unit)}`}
      empty="How much one unit is in another, such as 1 piece = 58 g."
    />
  );
}

/**
 * What has to be stated next: a unit in which the item is bought or used and which cannot be converted yet, in the unit by
 * which it is costed. Where none is missing, no unit is guessed.
 */
function missingUnits(owner: Owner, id: string, baseUnit: string): Partial<Pick<Row, 'unit' | 'equalUnit'>> {
  const [missing] = unitsWithoutWay(owner, id, baseUnit);
  return missing === undefined ? { equalUnit: baseUnit } : { unit: missing, equalUnit: baseUnit };
}

/** The units in which an item is bought or used, and that cannot be converted to the one by which it is costed. */
export function unitsWithoutWay(owner: Owner, id: string, baseUnit: string): string[] {
  const within = new Set([baseUnit, ...unitsWithin(baseUnit, model.rows.rowsWith('itemConversion', owner, id))]);
  return [...new Set(unitsInUse(owner, id))].filter((each) => !within.has(each));
}

function unitsInUse(owner: Owner, id: string): string[] {
  const lines = model.rows.rowsWith('billLine', owner === 'materialId' ? 'materialId' : 'componentId', id);
  const packs = owner === 'materialId' ? model.rows.rowsWith('supplierPrice', 'materialId', id) : [];
  return [...packs.map(({ packUnit }) => packUnit), ...lines.map(({ unit }) => unit)];
}

function conversionColumns(
  locale: string,
  usual: Partial<Pick<Row, 'unit' | 'equalUnit'>>,
  itemId: string,
): Column<Row, Patch>[] {
  const amount = (
    id: 'quantity' | 'equalQuantity',
    unitField: 'unit' | 'equalUnit',
    header: string,
  ): InputColumn<Row, Patch> => ({
    id,
    header,
    type: 'number',
    ...(id === 'equalQuantity' ? { placeholder: 'how many', blankPlace: `${itemId}.conversions` } : { blankText: '1' }),
    place: (row) => `${row.id}.${id}`,
    text: (row) => (row[id] === null ? '' : typedText(row[id], locale)),
    read: (text) => {
      const reading = readAnyQuantity(text, locale);
      if (isRefusal(reading)) return reading;
      const { value, unit } = reading;
      return {
        patch: unit === null ? { [id]: value } : { [id]: value, [unitField]: unit },
        shown: `${typedText(value, locale)} ${unit ?? ''}`.trim(),
      };
    },
  });
  const unit = (id: 'unit' | 'equalUnit', header: string): InputColumn<Row, Patch> => ({
    id,
    header,
    type: 'choice',
    blankText: unitWords(usual[id] ?? ''),
    place: (row) => `${row.id}.${id}`,
    options: () => unitChoices(knownUnits()),
    text: (row) => unitWords(row[id]),
    read: (text) => {
      const found = readUnit(text);
      return found === undefined
        ? { refusal: unknownUnitSentence(text.slice(0, 40)) }
        : { patch: { [id]: found }, shown: unitWords(found) };
    },
  });
  return [
    amount('quantity', 'unit', 'Quantity'),
    unit('unit', 'Unit'),
    amount('equalQuantity', 'equalUnit', 'equals'),
    unit('equalUnit', 'of unit'),
  ];
}

function conversionWriter(
  owner: Owner,
  id: string,
  usual: Partial<Pick<Row, 'unit' | 'equalUnit'>>,
): GridWriter<Row, Patch> {
  return {
    update: (row, patch) => updateOf('itemConversion', row, patch),
    create: (rowId, patch) =>
      patch.equalQuantity && (patch.unit ?? usual.unit)
        ? [createOf('itemConversion', rowId, { [owner]: id, ...usual, ...patch })]
        : null,
    remove: (row) => removalInBook('itemConversion', row.id),
  };
}
