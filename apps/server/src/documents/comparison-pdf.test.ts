import { columnsOfRows, newId, rowsByKind } from '@nuvar/book';
import { quillfernBudget, quillfernPottery, rowsOfFile } from '@nuvar/book/demo';
import { evaluate, SIDE_VIEWS } from '@nuvar/core';
import { describe, expect, it } from 'vitest';
import { pdfText } from '../testing/pdf-text.js';
import { sidesOf, type SideSources } from './comparison-sides.js';
import { makeDocument } from './make-document.js';

const DAY = '2026-11-26';
const rows = rowsByKind(rowsOfFile(quillfernPottery()));
const book = evaluate(rows, DAY);
const budget = columnsOfRows(rowsByKind(rowsOfFile(quillfernBudget())));
const sources: SideSources = {
  frozen: (id) =>
    id === 'kept'
      ? Promise.resolve({ name: 'Budget', asOf: DAY, rows: budget })
      : Promise.reject(new Error('not found')),
  statesOn: () => Promise.resolve({ stockPosition: [] }),
};
const whatIf = (name: string) => rows.whatIf.find((row) => row.name === name)?.id ?? '';
const made = async (of: string, format: 'pdf' | 'xlsx' = 'pdf') => {
  const asked = { document: 'comparison', of, format, by: 'Imogen Vale' } as const;
  return makeDocument(book, asked, await sidesOf(book, of, sources));
};

describe('a comparison as PDF', () => {
  it('has the month and a measure on every side, and the bridge to each from the first', async () => {
    const dearer = whatIf('Clay costs 8 % more');
    const text = (await pdfText(await made(`frozen/kept,baseline,whatIf/${dearer},day/2027-03-01@margin`))).replace(
      /\s+/g,
      ' ',
    );
    for (const part of [
      'Side by side: Budget (frozen), The book, Clay costs 8 % more',
      'Margin, what moves most first',
      'Material price',
      'Overhead',
      '-30.00',
      'Fixed costs covered',
      'points',
    ])
      expect(text).toContain(part);
    const [month] = SIDE_VIEWS.sides([book, book.fork([])], 'margin').month;
    expect(text).toContain(
      new Intl.NumberFormat('en-IE', { minimumFractionDigits: 2, maximumFractionDigits: 2 }).format(
        Number(month?.cells[0]?.amount),
      ),
    );
  });

  it('says so where nothing differs, and is not made of one side, of what is gone, or as a workbook', async () => {
    const text = await pdfText(await made('baseline,baseline'));
    expect(text.replace(/\s+/g, ' ')).toContain('The same for every price on all sides.');
    await expect(made('baseline')).rejects.toThrow();
    await expect(made(`baseline,whatIf/${newId()}`)).rejects.toThrow();
    await expect(made('baseline,frozen/gone')).rejects.toThrow();
    await expect(made('baseline,day/2027-01-01', 'xlsx')).rejects.toThrow();
  });
});
