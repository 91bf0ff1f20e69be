import { nameKey, type StoredRow } from '@nuvar/book';
import { isShortText } from '@nuvar/core';
import { fieldColumn } from '../controls/grid/field-column.js';
import type { Column } from '../controls/grid/grid-model.js';
import { isRefusal, readAnyQuantity, unitChoices } from '../controls/fields/read-field.js';
import { readUnit, unknownUnitSentence } from '../controls/fields/known-units.js';
import { typedText, unitWords } from '../figures/format.js';
import { isPriced } from '../purchasing/material-rows.js';
import { billOffers } from './bill-offers.js';
import { pointingTo, type Line, type LinePatch } from './bill-writer.js';
import { costPerBatchColumn } from './cost-per-batch-column.js';
import { unitsNear, type Item } from './line-items.js';

const BASIS_WORDS = { batch: 'batch', 'started unit': 'unit started', 'good unit': 'good unit' };

const isUnlinked = (line: Line | null) => line !== null && line.text !== '';

/** A small whole number without a unit, of something that nobody has measured yet: so many pieces. */
const isFew = (value: string) => /^\d{1,2}$/.test(value) && Number(value) <= 24;

/** Waste in percent: of the input, or as it is typed, "5 on top" of the net quantity. */
function lossColumn(locale: string): Column<Line, LinePatch> {
  const percent = fieldColumn<Line>('billLine', 'lossPercent', locale, { header: 'Waste %' });
  const shown = (text: string, basis: Line['lossBasis']) =>
    basis === 'on top' && text !== '0' ? `${text} on top` : text;
  return {
    ...percent,
    text: (line) => shown(percent.text(line), line.lossBasis),
    read: (text, line) => {
      const pattern = /^\s*(.*?)\s*%?\s*(on top|of the input)?\s*$/i;
      const [, typed = text, said] = (isShortText(text) ? pattern.exec(text) : null) ?? [];
      const reading = percent.read(typed, line);
      if (isRefusal(reading))
        return { refusal: `${reading.refusal} Add "on top" for waste on top of the net quantity.` };
      const basis = said?.toLowerCase() ?? line?.lossBasis;
      const lossBasis = basis === 'on top' ? 'on top' : 'of the input';
      return { patch: { ...reading.patch, lossBasis }, shown: shown(reading.shown, lossBasis) };
    },
  };
}

/** The columns of a bill: how each cell is read, and what it offers. */
export function billColumns(
  items: ReadonlyMap<string, Item>,
  { id: productId, name: ownName }: StoredRow<'product'>,
  locale: string,
  currency: string,
): Column<Line, LinePatch>[] {
  const all = [...items.values()].filter((item) => !item.archived);
  const itemOf = (line: Line) => items.get(line.materialId ?? line.componentId ?? '');
  const offered = all.map(({ id, label }) => ({ value: id, label }));
  const offers = billOffers(all);
  const basis = fieldColumn<Line>('billLine', 'basis', locale, { words: BASIS_WORDS });
  return [
    {
      id: 'item',
      header: 'Material or component',
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
        const found = all.find((item) => nameKey(item.label) === nameKey(typed));
        if (found !== undefined) return { patch: pointingTo(found), shown: found.label };
        if (nameKey(typed) === nameKey(ownName)) return { refusal: `${ownName} cannot contain itself.` };
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
      type: 'number',
      place: ({ id }) => `${id}.quantity`,
      text: (line) => (line.quantity === null ? '' : typedText(line.quantity, locale)),
      read: (text, line) => {
        if (text.trim() === '') return { patch: { quantity: null }, shown: '' };
        const isOpen = line?.materialId != null && !isPriced(line.materialId);
        const reading = readAnyQuantity(text, locale);
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
          ? { refusal: unknownUnitSentence(text.slice(0, 40)) }
          : { patch: { unit }, shown: unitWords(unit) };
      },
    },
    basis,
    lossColumn(locale),
    costPerBatchColumn(currency),
  ];
}
