import { LIKE_A_FORMULA } from '@nuvar/book';
import type { PriceListView } from '@nuvar/core';
import Papa from 'papaparse';
import type { Content } from 'pdfmake/interfaces.js';
import writeExcelFile, { type Cell } from 'write-excel-file/node';
import { letterhead } from './letterhead.js';
import { pdfOf } from './pdf.js';
import { amount, head, table } from './tables.js';
import { writtenIn } from './written.js';

type Row = PriceListView['rows'][number];

/** The price list of a channel as PDF, by category, with prices for larger orders and those to come. */
export function priceListPdf(list: PriceListView): Promise<Buffer> {
  const { money, number, day } = writtenIn(list.locale, list.currency);
  const unitOf = ({ unit }: Row) => (unit === 'each' ? 'piece' : unit);
  const more = ({ breaks, coming }: Row) =>
    [
      ...breaks.map(({ from, price }) => `from ${number(from, 3)}: ${money(price)}`),
      ...coming.map(({ from, price }) => `from ${day(from)}: ${money(price)}`),
    ].join('\n');
  const groups = [...new Set(list.rows.map(({ category }) => category))];
  const content: Content[] = [
    ...letterhead(list.letterhead),
    { text: `Price list: ${list.channel}`, style: 'title' },
    { text: `${list.book}, as of ${day(list.asOf)}, in ${list.currency}`, style: 'soft' },
    ...(list.rows.length === 0
      ? [{ text: 'Nothing has a price in this channel yet.', margin: [0, 12, 0, 0] } as Content]
      : []),
    ...groups.flatMap((category): Content[] => [
      { text: category === '' ? 'Products' : category, style: 'heading' },
      table(
        ['auto', '*', 'auto', 'auto', 'auto', 'auto', 'auto'],
        [
          [
            ...[head('Code', false), head('Product', false), head('Unit', false), head('Before tax')],
            ...[head('Tax, %'), head('Price'), head('Other prices', false)],
          ],
          ...list.rows
            .filter((row) => row.category === category)
            .map((row) => [
              ...[row.code, row.product, unitOf(row), amount(money(row.beforeTax)), amount(number(row.taxPercent, 2))],
              ...[amount(money(row.paid)), more(row)],
            ]),
        ],
      ),
    ]),
  ];
  return pdfOf({ info: { title: `Price list: ${list.channel}` }, content }, `${list.channel}, as of ${day(list.asOf)}`);
}

const HEADINGS = [
  'product',
  'code',
  'gtin',
  'category',
  'unit',
  'price before tax',
  'sales tax %',
  'price with tax',
  'currency',
  'from units',
  'valid from',
];

/** Each price on a line of its own: that of today, those of larger orders, and those to come. */
function lines({ rows, currency, asOf }: PriceListView): string[][] {
  return rows.flatMap((row) => {
    const about = [row.product, row.code, row.gtin, row.category, row.unit];
    const other = (price: string, from: string, day: string) => [
      ...about,
      price,
      row.taxPercent,
      '',
      currency,
      from,
      day,
    ];
    return [
      [...about, row.beforeTax, row.taxPercent, row.paid, currency, '1', asOf],
      ...row.breaks.map(({ from, price }) => other(price, from, asOf)),
      ...row.coming.map(({ from, price }) => other(price, '1', from)),
    ];
  });
}

/** The same as CSV (RFC 4180): decimals with a point, days as 2026-03-31. A text that looks like a formula is made harmless. */
export function priceListCsv(list: PriceListView): Buffer {
  const text = Papa.unparse([HEADINGS, ...lines(list)], {
    newline: '\r\n',
    escapeFormulae: LIKE_A_FORMULA,
  });
  return Buffer.from(`\ufeff${text}\r\n`);
}

const NUMBERS = new Set([5, 6, 7, 9]);

/** The same as XLSX (ECMA-376), numbers as numbers. */
export async function priceListXlsx(list: PriceListView): Promise<Buffer> {
  const heads = HEADINGS.map((value): Cell => ({ value, type: String, fontWeight: 'bold' }));
  const data = lines(list).map((line) =>
    line.map((value, column): Cell =>
      NUMBERS.has(column) && value !== ''
        ? { value: Number(value), type: Number, format: '#,##0.00##' }
        : { value, type: String },
    ),
  );
  return writeExcelFile([
    { sheet: 'Price list', data: [heads, ...data], stickyRowsCount: 1, columns: [{ width: 30 }] },
  ]).toBuffer();
}
