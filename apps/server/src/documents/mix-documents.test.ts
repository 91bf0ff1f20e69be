import { rowsByKind } from '@nuvar/book';
import { quillfernPottery, rowsOfFile } from '@nuvar/book/demo';
import { evaluate, readMixTable, VIEWS } from '@nuvar/core';
import ExcelJS from 'exceljs';
import { describe, expect, it } from 'vitest';
import { pdfText } from '../testing/pdf-text.js';
import { makeDocument } from './make-document.js';

const rows = rowsByKind(rowsOfFile(quillfernPottery()));
const evaluation = evaluate(rows, '2026-11-26');
const planId = (name: string) => rows.mixPlan.find((row) => row.name === name)?.id ?? '';
const made = (of: string, format: 'pdf' | 'xlsx' | 'csv', from = evaluation) =>
  makeDocument(from, { document: 'mix', of, format, by: 'Imogen Vale' });

describe('the report of a mix plan', () => {
  it('has the mix by hand, the best one, what is used, and why, as PDF', async () => {
    const text = (await pdfText(await made(planId('Short week before the fair'), 'pdf'))).replace(/\s+/g, ' ');
    for (const part of [
      'Product mix: Short week before the fair',
      'most profit after set-up',
      'Cane handle runs out first',
      'Large pieces that can be packed, at most',
      'Kiln: nothing to spare. One hour more is worth 7.65 EUR above the normal price of 3.75 EUR',
      'Breakfast bowl (Own web shop) is not made',
    ])
      expect(text).toContain(part);
    // By hand and best, as the screen shows them.
    const view = VIEWS.mix(evaluation, planId('Short week before the fair'));
    expect(text).toContain(Number(view.outcome.goal.amount).toFixed(2));
    expect(text).toContain('562.25');
  });

  it('says what more would bring where pieces are counted whole', async () => {
    const text = (await pdfText(await made(planId('Short week, whole pieces and set-ups'), 'pdf'))).replace(
      /\s+/g,
      ' ',
    );
    expect(text).toContain('was found by solving again');
    expect(text).toMatch(/Throwing wheel: .* to spare\. One hour more brings [\d.]+ EUR/);
  });

  it('names limits that contradict each other', async () => {
    const mixProduct = rows.mixProduct.map((row) => ({ ...row, minimum: '500', maximum: null }));
    const text = await pdfText(
      await made(planId('Short week before the fair'), 'pdf', evaluate({ ...rows, mixProduct }, '2026-11-26')),
    );
    expect(text).toContain('contradict each other');
    expect(text).toContain('at least 500');
  });

  it('can be read in again from its sheet of uses, as XLSX', async () => {
    const book = new ExcelJS.Workbook();
    await book.xlsx.load((await made(planId('Short week before the fair'), 'xlsx')) as never);
    const cells: string[][] = [];
    book
      .getWorksheet('Uses')
      ?.eachRow((row) => cells.push((row.values as unknown[]).slice(1).map((cell) => String(cell ?? ''))));
    const { model } = VIEWS.mixModel(evaluation, planId('Short week before the fair'));
    const read = readMixTable(cells, '.');
    expect(read.products.map(({ name }) => name)).toEqual(model.products.map(({ name }) => name));
    expect(read.resources.map(({ available }) => Number(available))).toEqual(
      model.resources.map(({ available }) => available),
    );
    expect(Number(read.products[0]?.uses[0])).toBeCloseTo(model.uses[0]?.perUnit ?? 0, 9);
  });

  it('is not made of what is no plan, nor as CSV', async () => {
    await expect(made(planId('Short week before the fair'), 'csv')).rejects.toThrow();
    await expect(made(rows.product[0]?.id ?? '', 'pdf')).rejects.toThrow();
  });
});
