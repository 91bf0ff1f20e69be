import { rowsByKind, type RowOf } from '@nuvar/book';
import { bookBuilder, quillfernPottery, rowsOfFile } from '@nuvar/book/demo';
import { evaluate, VIEWS, type LandedSheetView } from '@nuvar/core';
import ExcelJS from 'exceljs';
import fc from 'fast-check';
import { HyperFormula } from 'hyperformula';
import { describe, expect, it } from 'vitest';
import { pdfText } from '../testing/pdf-text.js';
import { landedPdf } from './landed-pdf.js';
import { landedXlsx } from './landed-xlsx.js';

const DAY = '2026-11-26';

function sheetsOfDemo(): LandedSheetView[] {
  const rows = rowsByKind(rowsOfFile(quillfernPottery()));
  const evaluation = evaluate(rows, DAY);
  return rows.shipment.map(({ id }) => VIEWS.landedSheet(evaluation, id) as LandedSheetView);
}

/** The first sheet of a workbook as an engine that knows nothing of this one works it out: by row and column, from 0. */
async function recalculated(workbook: Buffer): Promise<unknown[][]> {
  const read = new ExcelJS.Workbook();
  await read.xlsx.load(workbook as unknown as ArrayBuffer);
  const sheets = Object.fromEntries(
    read.worksheets.map((sheet) => [
      sheet.name,
      Array.from({ length: sheet.rowCount }, (_none, row) =>
        Array.from({ length: sheet.columnCount }, (_each, column) => {
          const { value } = sheet.getCell(row + 1, column + 1);
          return typeof value === 'object' && value !== null && 'formula' in value
            ? `=${value.formula}`
            : (value as string);
        }),
      ),
    ]),
  );
  const engine = HyperFormula.buildFromSheets(sheets, { licenseKey: 'gpl-v3' });
  const values = engine.getSheetValues(engine.getSheetId('Landed cost') as number);
  engine.destroy();
  return values;
}

/** Holds what a workbook comes to against the figures of the core. */
async function expectSame(sheet: LandedSheetView): Promise<void> {
  const [heads = [], ...rows] = await recalculated(await landedXlsx(sheet));
  const at = (header: string) => heads.findIndex((each) => String(each).startsWith(header));
  sheet.lines.forEach((line, index) => {
    const row = rows[index] as unknown[];
    sheet.charges.forEach((charge, place) => {
      const share = charge.shares[line.id];
      if (share !== undefined)
        expect(row[6 + place], `${charge.label} of ${line.material}`).toBeCloseTo(Number(share), 9);
    });
    for (const [header, amount] of [
      ['Goods', line.goods],
      ['On top,', line.onTop],
      ['Landed', line.landed],
      ['per unit', line.perUnit],
    ] as const)
      expect(row[at(header)], `${header} of ${line.material}`).toBeCloseTo(Number(amount), 7);
  });
  const together = rows[sheet.lines.length] as unknown[];
  expect(together[at('Landed')]).toBeCloseTo(Number(sheet.totals.landed), 7);
}

describe('a landed cost sheet as XLSX', () => {
  it('comes to the figures of the book when another engine works its formulas out', async () => {
    for (const sheet of sheetsOfDemo()) await expectSame(sheet);
  });

  it('shares as the book does, whatever the lines and charges are, credits included', async () => {
    const line = fc.record({
      quantity: fc.integer({ min: 1, max: 900 }),
      price: fc.integer({ min: -300, max: 5_000 }).map((cents) => (cents / 100).toFixed(2)),
      weight: fc.integer({ min: 1, max: 9_000 }),
    });
    const charge = fc.record({
      amount: fc.integer({ min: -9_000, max: 90_000 }).map((cents) => (cents / 100).toFixed(2)),
      basis: fc.constantFrom('weight', 'quantity', 'equal'),
    });
    await fc.assert(
      fc.asyncProperty(
        fc.array(line, { minLength: 1, maxLength: 7 }),
        fc.array(charge, { minLength: 1, maxLength: 4 }),
        async (lines, charges) => {
          const book = bookBuilder();
          book.add('settings', { name: 'Any', currency: 'EUR' });
          const shipmentId = book.add('shipment', { name: 'Any', date: DAY, currency: 'EUR' });
          lines.forEach(({ quantity, price, weight }, position) => {
            const materialId = book.add('material', { name: `Thing ${position}`, baseUnit: 'each' });
            const text = { quantity: String(quantity), price: price.replace(/^-0\.00$/, '0'), weight: String(weight) };
            book.add('shipmentLine', { shipmentId, position, materialId, unit: 'each', ...text });
          });
          charges.forEach(({ amount, basis }, position) => {
            const text = amount.replace(/^-0\.00$/, '0');
            book.add('shipmentCharge', { shipmentId, position, type: 'other', amount: text, currency: 'EUR', basis });
          });
          const sheet = VIEWS.landedSheet(evaluate(rowsByKind(rowsOfFile(book.file())), DAY), shipmentId);
          await expectSame(sheet as LandedSheetView);
        },
      ),
      { numRuns: 25 },
    );
  }, 300_000);
});

describe('a landed cost sheet as PDF', () => {
  it('says what the screen says: lines, charges, shares, and how each unit cost was worked out', async () => {
    const sheet = sheetsOfDemo()[1] as LandedSheetView;
    const text = await pdfText(await landedPdf(sheet));
    for (const said of [
      'Cork trivets, new lot',
      'Cork trivet, round',
      'freight',
      '1,185.40',
      '4.9392',
      'Workings',
      '734.98',
    ])
      expect(text).toContain(said);
  });

  it('writes numbers and days as the country of the book does, and says what is missing', async () => {
    const rows = rowsByKind(rowsOfFile(quillfernPottery()));
    const settings = rows.settings.map((row) => ({ ...row, locale: 'de-DE' }));
    const shipmentLine = rows.shipmentLine.map((row, index) => (index === 1 ? { ...row, price: null } : row));
    const evaluation = evaluate({ ...rows, settings, shipmentLine } as typeof rows, DAY);
    const [spring, autumn] = rows.shipment as readonly RowOf<'shipment'>[];
    const first = await pdfText(await landedPdf(VIEWS.landedSheet(evaluation, spring?.id ?? '') as LandedSheetView));
    expect(first).toContain('916,32');
    expect(first).toContain('20.03.2026');
    const second = await pdfText(await landedPdf(VIEWS.landedSheet(evaluation, autumn?.id ?? '') as LandedSheetView));
    expect(second).toContain('Not complete yet');
    expect(second).toMatch(/No price yet for Cork trivet, round/);
  });
});
