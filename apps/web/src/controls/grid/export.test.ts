// @vitest-environment jsdom
import { newId } from '@nuvar/book';
import ExcelJS from 'exceljs';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { model } from '../../book/model.js';
import { createOf } from '../../book/operations.js';
import { readFile } from '../../purchasing/import/read-file.js';
import { materialColumns } from '../../purchasing/material-columns.js';
import { pricesShown, type MaterialRow } from '../../purchasing/material-rows.js';
import { leaveBook, openBook } from '../../testing/in-book.js';
import { changed, named } from '../../testing/open-demo.js';
import { csvFile, csvForms } from './csv-form.js';
import { copiedCells, exportedTable, type ExportedTable } from './export-table.js';
import { workbookOf } from './xlsx.js';

const STYLE = { locale: 'en-IE', currency: 'EUR', rounding: 'half-away-from-zero' } as const;

beforeEach(() => openBook());
afterEach(leaveBook);

const rowOf = (name: string): MaterialRow => {
  const material = named('material', name);
  return { id: material.id, material, ...pricesShown(material, '2026-11-26', {}), supplier: 'Harrowmere' };
};
const columnsIn = (locale: string) => materialColumns(locale, 'EUR', []);
const namesIn = (table: ExportedTable) => table.map(({ header }) => header);
const cellsOf = (table: ExportedTable, header: string) => table.find((each) => each.header === header)?.cells;

describe('a grid that is exported', () => {
  it('says the unit of its figures in the header where they have one, else in a column beside', async () => {
    const clay = rowOf('White stoneware clay');
    const one = await exportedTable(columnsIn('en-IE'), [clay], STYLE);
    expect(namesIn(one)).toContain('Price, EUR');
    expect(namesIn(one).at(-1)).toMatch(/, EUR per kg$/);
    const box = rowOf('Cork trivet, round');
    const two = await exportedTable(columnsIn('en-IE'), [clay, box], STYLE);
    expect(two.at(-1)).toMatchObject({ type: 'text', cells: ['EUR per kg', 'EUR per piece'] });
  });

  it('gives currencies a column where prices have several', async () => {
    const clay = rowOf('White stoneware clay');
    expect(clay.price?.price).toBe('13.75');
    const abroad = { ...clay, price: clay.price && { ...clay.price, price: '12.5', currency: 'USD' } };
    const table = await exportedTable(columnsIn('de-DE'), [clay, abroad], { ...STYLE, locale: 'de-DE' });
    expect(cellsOf(table, 'Price')).toEqual(['13.75', '12.5']);
    expect(cellsOf(table, 'Currency')).toEqual(['EUR', 'USD']);
    const copied = await copiedCells(columnsIn('de-DE'), [clay, abroad], { ...STYLE, locale: 'de-DE' });
    expect(copied.map((cells) => cells[5])).toEqual(['Price, EUR', '13,75', '12,5 USD']);
  });

  it('shows a third of something with the digits of the screen', async () => {
    const id = newId();
    const pack = { packQuantity: '3', packUnit: 'kg', currency: 'EUR', price: '1', validFrom: '2026-01-01' };
    changed([
      createOf('material', id, { name: 'Grog', baseUnit: 'kg' }),
      createOf('supplierPrice', newId(), { materialId: id, ...pack }),
    ]);
    const table = await exportedTable(columnsIn('en-IE'), [rowOf('Grog')], STYLE);
    expect(table.at(-1)?.cells[0]).toMatch(/^0\.3{20,}/);
    expect(csvFile(table, csvForms('en-IE')[0], STYLE)).toMatch(/,0\.3333\r\n$/);
    const workbook = new ExcelJS.Workbook();
    await workbook.xlsx.load(await (await workbookOf('Materials', table, 'en-IE')).arrayBuffer());
    const cell = workbook.worksheets[0]?.getRow(2).getCell(table.length);
    expect([cell?.value, cell?.numFmt]).toEqual([0.3333333333, '#,##0.0000']);
    expect(model.rows.row('material', id)?.name).toBe('Grog');
  });
});

/** A table with all that is hard to write. */
const TABLE: ExportedTable = [
  { header: 'Material', type: 'text', digits: null, cells: ['Clay, "white"', '=HYPERLINK("x")', '+49 351 1'] },
  { header: 'Price, EUR', type: 'number', digits: null, cells: ['1.1', '-0.5', '12345678901234567.89'] },
  { header: 'Cost', type: 'number', digits: 2, cells: ['1234.565', '', '-2'] },
  { header: 'From', type: 'day', digits: null, cells: ['2026-03-31', '', '2026-12-01'] },
];

describe('a CSV file', () => {
  it('is quoted as RFC 4180 asks, in one form throughout, and without formulas', () => {
    const [ireland, point] = csvForms('en-IE');
    expect(csvFile(TABLE, ireland, STYLE)).toBe(
      '\ufeffMaterial,"Price, EUR",Cost,From\r\n"Clay, ""white""",1.1,1234.57,31/03/2026\r\n' +
        '"\'=HYPERLINK(""x"")",-0.5,,\r\n\'+49 351 1,12345678901234567.89,-2.00,01/12/2026\r\n',
    );
    expect(point && csvFile(TABLE, point, STYLE)).toContain(',2026-03-31\r\n');
    const [germany] = csvForms('de-DE');
    const [, clay] = csvFile(TABLE, germany, STYLE).split('\r\n');
    expect(clay).toBe('"Clay, ""white""";1,1;1234,57;31.03.2026');
  });

  it.each(['en-IE', 'en-US', 'de-DE', 'fr-FR'])('is read back by the import, in the form of %s', async (locale) => {
    const [form] = csvForms(locale);
    const { tables } = await readFile(new File([csvFile(TABLE, form, STYLE)], 'all.csv'));
    expect(tables[0]?.table.slice(0, 2)).toEqual([
      ['Material', 'Price, EUR', 'Cost', 'From'],
      ['Clay, "white"', `1${form.sign}1`, `1234${form.sign}57`, form.dayOf('2026-03-31')],
    ]);
  });
});

describe('an XLSX workbook', () => {
  it('is read by another library: numbers and days as such, formulas as text', async () => {
    const workbook = new ExcelJS.Workbook();
    await workbook.xlsx.load(await (await workbookOf('Materials: all', TABLE, 'en-IE')).arrayBuffer());
    const [sheet] = workbook.worksheets;
    const cell = (place: string) => sheet?.getCell(place);
    expect(sheet?.name).toBe('Materials  all');
    expect(['A1', 'A2', 'A3', 'A4'].map((place) => cell(place)?.value)).toEqual([
      'Material',
      'Clay, "white"',
      `'=HYPERLINK("x")`,
      `'+49 351 1`,
    ]);
    // More digits than a workbook holds stay exact, as text.
    expect(['B2', 'B3', 'B4'].map((place) => cell(place)?.value)).toEqual([1.1, -0.5, '12345678901234567.89']);
    expect(['C2', 'C3', 'C4'].map((place) => cell(place)?.value)).toEqual([1234.565, null, -2]);
    expect([cell('C2')?.numFmt, cell('D2')?.numFmt]).toEqual(['#,##0.00', 'dd/mm/yyyy']);
    expect(cell('D2')?.value).toEqual(new Date('2026-03-31T00:00:00Z'));
  });
});
