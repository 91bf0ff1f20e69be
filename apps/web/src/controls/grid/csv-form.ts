import { fixedDigits } from '@nuvar/core';
import { dayText, decimalSign, localeName, type Style } from '../../figures/format.js';
import { csvOf, harmless } from './csv.js';
import type { ExportedColumn, ExportedTable } from './export-table.js';

/** How the numbers and days of a CSV file are written, and what stands between its fields: one form for a whole file. */
export interface CsvForm {
  readonly id: 'country' | 'point' | 'comma';
  readonly label: string;
  readonly sign: '.' | ',';
  readonly dayOf: (day: string) => string;
}

/** The forms that are offered: that of the book's country comes first. */
export function csvForms(locale: string): readonly [CsvForm, ...CsvForm[]] {
  const asStored = (day: string) => day;
  return [
    {
      id: 'country',
      label: `As in ${localeName(locale)}`,
      sign: decimalSign(locale),
      dayOf: (day) => dayText(day, locale),
    },
    { id: 'point', label: 'Decimal point, for other programs', sign: '.', dayOf: asStored },
    { id: 'comma', label: 'Decimal comma, for other programs', sign: ',', dayOf: asStored },
  ];
}

/** A number and a day as a form writes them, to choose by. */
export const exampleOf = ({ sign, dayOf }: CsvForm) =>
  `1234${sign}50 · ${dayOf('2026-03-31')} · fields separated by ${delimiterOf(sign) === ';' ? 'semicolons' : 'commas'}`;

/** Where commas stand before decimals, spreadsheets expect semicolons between fields. */
const delimiterOf = (sign: '.' | ',') => (sign === ',' ? ';' : ',');

/** Writes a table as CSV in one form: figures with the digits that are shown, what was typed with those that were typed. */
export function csvFile(table: ExportedTable, form: CsvForm, { rounding }: Pick<Style, 'rounding'>): string {
  const written = table.map((column) => column.cells.map((cell) => cellText(column, cell, form, rounding)));
  const rows = Array.from({ length: table[0]?.cells.length ?? 0 }, (_none, index) =>
    written.map((cells) => cells[index] ?? ''),
  );
  return csvOf([table.map(({ header }) => harmless(header)), ...rows], delimiterOf(form.sign));
}

function cellText({ type, digits }: ExportedColumn, cell: string, form: CsvForm, rounding: Style['rounding']): string {
  if (cell === '') return '';
  switch (type) {
    case 'number':
      return (digits === null ? cell : fixedDigits(cell, digits, rounding)).replace('.', form.sign);
    case 'day':
      return form.dayOf(cell);
    case 'text':
      return harmless(cell);
  }
}
