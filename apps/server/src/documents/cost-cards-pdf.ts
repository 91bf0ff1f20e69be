import type { CostCardSheetView, SheetCard, SheetMethod } from '@nuvar/core';
import type { Content, TableCell } from 'pdfmake/interfaces.js';
import { pdfOf } from './pdf.js';
import { amount, head, notComplete, table, workingsTables } from './tables.js';
import { writtenIn, type Written } from './written.js';

/**
 * Cost cards as PDF: what each product costs under each method, what the methods share out and what they leave, and the
 * workings, numbered. `by` is the name of whoever made it.
 */
export function costCardsPdf(sheet: CostCardSheetView, by: string): Promise<Buffer> {
  const written = writtenIn(sheet.locale, sheet.currency);
  const methods = sheet.methods.map(({ name }) => name).join(', ');
  const content: Content[] = [
    { text: 'Cost cards', style: 'title' },
    { text: sheet.book, style: 'soft' },
    {
      text: `As of ${written.day(sheet.asOf)}   Method: ${methods}   Made by: ${by}`,
      margin: [0, 6, 0, 0],
    },
    ...sheet.cards.flatMap((card) => cardTable(card, sheet, written)),
    ...sheet.methods.flatMap((method) => methodTables(method, sheet.currency, written)),
    ...workingsTables(sheet.workings, written),
  ];
  const foot = `${sheet.book}, cost cards as of ${written.day(sheet.asOf)}, ${methods}, made by ${by}`;
  return pdfOf({ info: { title: `Cost cards: ${sheet.book}` }, content }, foot);
}

function cardTable(
  { product, unit, lines, missing }: SheetCard,
  sheet: CostCardSheetView,
  { unitCost }: Written,
): Content[] {
  const word = unit === 'each' ? 'piece' : unit;
  return [
    { text: `${product}, ${sheet.currency} a ${word}`, style: 'heading' },
    table(
      ['*', ...sheet.methods.map(() => 'auto')],
      [
        [head('', false), ...sheet.methods.map(({ name }) => head(name))],
        ...lines.map(({ label, isTotal, amounts }): TableCell[] => [
          { text: label, ...(isTotal ? { style: 'total' } : {}) },
          ...amounts.map((each) => amount(unitCost(each), isTotal)),
        ]),
      ],
    ),
    ...notComplete(missing),
  ];
}

function methodTables({ name, rates, notSharedOut }: SheetMethod, currency: string, written: Written): Content[] {
  const { money, unitCost, number } = written;
  return [
    { text: `Overhead: ${name}`, style: 'heading' },
    table(
      ['*', 'auto', 'auto', 'auto', 'auto'],
      [
        [
          head('Rate', false),
          head(`Cost a month, ${currency}`),
          head('Shared over'),
          head('of', false),
          head(`Rate, ${currency}`),
        ],
        ...rates.map(({ label, cost, basis, basisUnit, rate, note }): TableCell[] => [
          note === '' ? label : `${label} (over ${note})`,
          amount(money(cost)),
          amount(number(basis, 2)),
          basisUnit.replace(/ per month$/, ''),
          amount(unitCost(rate)),
        ]),
        ...notSharedOut.map(({ label, cost, why }): TableCell[] => [
          `${label}: ${why}`,
          amount(money(cost)),
          amount(''),
          'not shared out',
          amount(''),
        ]),
      ],
    ),
  ];
}
