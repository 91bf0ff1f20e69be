import { newId, unitOfMeasure, unitsThatFit, type Operation, type StoredRow } from '@nuvar/book';
import { unitsWithin } from '@nuvar/core';
import { useMemo } from 'react';
import { createOf, madeWithin, nextPosition, updateOf } from '../book/operations.js';
import { model } from '../book/model.js';
import { useAll, useRowsOf, useSettings, useVersion } from '../book/use-book.js';
import { fieldColumn } from '../controls/field-column.js';
import { Grid } from '../controls/grid.js';
import { figureColumn, type Column, type GridWriter } from '../controls/grid-model.js';
import { isRefusal, readAnyQuantity, readQuantity, unitChoices } from '../controls/read-field.js';
import { knownUnits, readUnit } from '../controls/known-units.js';
import { copyInBook, removalInBook } from '../controls/rows-writer.js';
import { typedText, unitWords } from '../figures/format.js';
import { isPriced, measuredBy, newMaterial } from '../purchasing/material-rows.js';
import { billOffers } from './bill-offers.js';

type Line = StoredRow<'billLine'>;
/** What can be typed into a line: its fields, or the name of something that is not in the book yet. */
type LinePatch = Partial<Line> & { readonly newItem?: string };

/** What a line may point to, with the unit in which it is costed. */
interface Item {
  readonly id: string;
  readonly label: string;
  readonly unit: string;
  readonly field: 'materialId' | 'componentId';
  readonly archived: boolean;
  /** Other words by which it is found: code, category, suppliers. */
  readonly words: string;
  /** All units in which it can be stated, its own first. */
  readonly units: readonly string[];
}

const BASIS_WORDS = { batch: 'batch', 'started unit': 'unit started', 'good unit': 'good unit' };

interface BillGridProps {
  readonly product: StoredRow<'product'>;
}

/** The bill of materials of a product: materials, packaging, and other products as components. */
export function BillGrid({ product }: BillGridProps) {
  const lines = useRowsOf('billLine', 'productId', product.id);
  const items = useItems(product.id);
  const { locale, currency } = useSettings();
  const columns = useMemo(() => billColumns(items, product, locale, currency), [items, product, locale, currency]);
  const writer = useMemo(() => billWriter(product.id, items), [product.id, items]);
  const labelOf = (line: Line) => items.get(line.materialId ?? line.componentId ?? '')?.label ?? (line.text || 'line');
  return (
    <Grid
      title="What goes into it"
      rows={lines}
      columns={columns}
      writer={writer}
      nameOf={labelOf}
      empty="Type a material into the empty row, then how much of it goes in. What is not in the book yet can be added there, or stand as text until you link it."
    />
  );
}

/** The units that an item can be stated in, by standard factors and its own conversions; the one it is costed in first. */
function reachable(owner: 'materialId' | 'productId', id: string, unit: string): readonly string[] {
  const own = model.rows.rowsWith('itemConversion', owner, id);
  return own.length === 0 ? unitsNear(unit) : [unit, ...unitsWithin(unit, own)];
}

const suppliersOf = (materialId: string) =>
  model.rows
    .rowsWith('supplierPrice', 'materialId', materialId)
    .map(({ supplierId }) => model.rows.row('supplier', supplierId ?? '')?.name ?? '');

const NEAR = new Map<string, readonly string[]>();

/** The units that fit one by standard factors alone; the same list for all who ask. */
function unitsNear(unit: string): readonly string[] {
  const known = NEAR.get(unit);
  if (known !== undefined) return known;
  const made = [unit, ...unitsThatFit(unit).map(({ code }) => code)];
  NEAR.set(unit, made);
  return made;
}

function useItems(productId: string): ReadonlyMap<string, Item> {
  const materials = useAll('material');
  const products = useAll('product');
  const conversions = useVersion('itemConversion');
  return useMemo(() => {
    const names = new Set(materials.map((row) => row.name.toLowerCase()));
    const components = products
      .filter((row) => row.id !== productId)
      .map(({ id, name, outputUnit, archived }): Item => ({
        id,
        label: names.has(name.toLowerCase()) ? `${name} (product)` : name,
        unit: outputUnit,
        field: 'componentId',
        archived,
        words: '',
        units: reachable('productId', id, outputUnit),
      }));
    const bought = materials.map(({ id, name, baseUnit, code, category, archived }): Item => ({
      id,
      label: name,
      unit: baseUnit,
      field: 'materialId',
      archived,
      words: [code, category, ...suppliersOf(id)].join(' '),
      units: reachable('materialId', id, baseUnit),
    }));
    return new Map([...bought, ...components].map((item) => [item.id, item]));
    // eslint-disable-next-line react-hooks/exhaustive-deps -- the conversions are those of this version
  }, [materials, products, productId, conversions]);
}

function billColumns(
  items: ReadonlyMap<string, Item>,
  { id: productId, name: ownName }: StoredRow<'product'>,
  locale: string,
  currency: string,
): Column<Line, LinePatch>[] {
  const all = [...items.values()].filter((item) => !item.archived);
  const itemOf = (line: Line) => items.get(line.materialId ?? line.componentId ?? '');
  const offered = all.map(({ id, label }) => ({ value: id, label }));
  const offers = billOffers(all);
  const basis = fieldColumn<Line>('billLine', 'basis', locale, { width: '7rem', words: BASIS_WORDS });
  const loss = fieldColumn<Line>('billLine', 'lossPercent', locale, { width: '4rem', header: 'Loss, %' });
  return [
    {
      id: 'item',
      header: 'Material or component',
      width: 'auto',
      type: 'item',
      placeholder: 'Type a material',
      blankPlace: `${productId}.bill`,
      options: () => offered,
      offers: (typed, line) => offers(typed, isUnlinked(line)),
      awaitsPick: isUnlinked,
      place: ({ id }) => `${id}.text`,
      text: (line) => itemOf(line)?.label ?? line.text,
      read: (text) => {
        const typed = text.trim();
        const found = all.find((item) => item.label.toLowerCase() === typed.toLowerCase());
        if (found !== undefined) return { patch: pointingTo(found), shown: found.label };
        if (typed.toLowerCase() === ownName.toLowerCase()) return { refusal: `${ownName} cannot contain itself.` };
        if (typed.length > 121) return { refusal: 'Name can have at most 120 characters.' };
        if (typed === '' || typed === '+') return { refusal: 'A line needs a material or a component.' };
        if (typed.startsWith('+'))
          return { patch: { newItem: typed.slice(1).trim() }, shown: `${typed.slice(1).trim()} (new material)` };
        return { patch: { text: typed, materialId: null, componentId: null }, shown: `${typed} (not linked yet)` };
      },
    },
    {
      id: 'quantity',
      header: 'Quantity',
      width: '5.5rem',
      type: 'number',
      place: ({ id }) => `${id}.quantity`,
      text: (line) => (line.quantity === null ? '' : typedText(line.quantity, locale)),
      read: (text, line) => {
        if (text.trim() === '') return { patch: { quantity: null }, shown: '' };
        const item = line && itemOf(line);
        const isOpen = line?.materialId != null && !isPriced(line.materialId);
        const reading = isOpen
          ? readAnyQuantity(text, locale)
          : readQuantity(text, locale, item?.units ?? knownUnits());
        if (isRefusal(reading)) return reading;
        const { value } = reading;
        const unit = reading.unit ?? (isOpen && line.quantity === null && isFew(value) ? 'each' : null);
        return {
          patch: unit === null ? { quantity: value } : { quantity: value, unit },
          shown: `${typedText(value, locale)} ${unit ?? ''}`.trim(),
        };
      },
    },
    {
      id: 'unit',
      header: 'Unit',
      width: '5rem',
      type: 'choice',
      place: ({ id }) => `${id}.unit`,
      text: (line) => unitWords(line.unit),
      options: (line) => {
        const fitting = [...new Set((line && itemOf(line)?.units) ?? unitsNear('each'))];
        const kept = line !== null && !fitting.includes(line.unit) ? [line.unit, ...fitting] : fitting;
        return unitChoices(kept);
      },
      read: (text) => {
        const unit = readUnit(text);
        return unit === undefined
          ? { refusal: `"${text.slice(0, 40)}" is not a unit that is known here.` }
          : { patch: { unit }, shown: unitWords(unit) };
      },
    },
    basis,
    loss,
    figureColumn({
      id: 'cost',
      header: `${currency} per batch`,
      width: '6rem',
      view: 'card',
      of: (line: Line) => line.productId,
      pick: (card, line) => card.rowCosts[line.id],
      digits: 2,
    }),
  ];
}

const SMALL_UNITS: Readonly<Record<string, string>> = { kg: 'g', l: 'ml' };

const pointingTo = ({ id, field, unit }: Item): LinePatch => ({
  materialId: field === 'materialId' ? id : null,
  componentId: field === 'componentId' ? id : null,
  text: '',
  unit: SMALL_UNITS[unit] ?? unit,
});

const isUnlinked = (line: Line | null) => line !== null && line.text !== '';

/** The other lines of the book that say the same text: they are linked with the one that is. */
function alsoLinked(line: Line, materialId: string | null | undefined): Operation[] {
  if (line.text === '' || materialId == null) return [];
  return model.rows
    .rowsWith('billLine', 'text', line.text)
    .filter(({ id }) => id !== line.id)
    .flatMap((other) => updateOf('billLine', other, { materialId, text: '' }));
}

/** A small whole number without a unit, of something that nobody has measured yet: so many pieces. */
const isFew = (value: string) => /^\d{1,2}$/.test(value) && Number(value) <= 24;

/** Packaging counts by the good piece; what is mixed by measure is stated for a batch, and all else by the piece started. */
function usualBasis(productId: string, materialId: string | null | undefined): Line['basis'] {
  if (model.rows.row('material', materialId ?? '')?.kind === 'packaging') return 'good unit';
  const output = unitOfMeasure(model.rows.row('product', productId)?.outputUnit ?? 'each');
  return output === undefined || output.dimension === 'count' ? 'started unit' : 'batch';
}

function billWriter(productId: string, items: ReadonlyMap<string, Item>): GridWriter<Line, LinePatch> {
  /** A name that is not in the book yet becomes a material, in the same change. */
  const withItem = (
    { newItem, ...patch }: LinePatch,
    before: readonly Operation[],
  ): { made: Operation[]; fields: Partial<Line> } => {
    if (newItem === undefined) return { made: [], fields: patch };
    const made = madeWithin(before, 'material', newItem);
    if (made !== undefined) return { made: [], fields: { ...patch, materialId: made, componentId: null, text: '' } };
    const id = newId();
    const packUnit = patch.unit ?? 'kg';
    const baseUnit = Object.entries(SMALL_UNITS).find(([, small]) => small === packUnit)?.[0] ?? packUnit;
    return {
      made: newMaterial(id, { name: newItem, baseUnit }),
      fields: { unit: SMALL_UNITS[baseUnit] ?? baseUnit, ...patch, materialId: id, componentId: null, text: '' },
    };
  };
  return {
    update: (line, patch, before) => {
      const { made, fields } = withItem(patch, before);
      const fits = fields.unit === undefined || (items.get(line.materialId ?? '')?.units.includes(fields.unit) ?? true);
      const measured =
        fits || line.materialId === null || fields.unit === undefined ? [] : measuredBy(line.materialId, fields.unit);
      const item = items.get(fields.materialId ?? fields.componentId ?? '');
      // Another item may be measured otherwise: a unit that still fits stays.
      const keeps = item !== undefined && item.units.includes(line.unit);
      return [
        ...made,
        ...measured,
        ...updateOf('billLine', line, keeps ? { ...fields, unit: line.unit } : fields),
        ...alsoLinked(line, fields.materialId),
      ];
    },
    create: (id, patch, before) => {
      const { made, fields } = withItem(patch, before);
      if (!fields.materialId && !fields.componentId && !fields.text) return null;
      const lines = model.rows.rowsWith('billLine', 'productId', productId);
      const row = {
        productId,
        position: nextPosition('billLine', lines, before),
        unit: 'each',
        basis: usualBasis(productId, fields.materialId),
        ...fields,
      };
      return [...made, createOf('billLine', id, row)];
    },
    remove: ({ id }) => removalInBook('billLine', id),
    duplicate: (row) => copyInBook('billLine', row),
  };
}
