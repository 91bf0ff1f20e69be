import { completeRow, rowsByKind } from '@nuvar/book';
import { quillfernPottery, rowsOfFile } from '@nuvar/book/demo';
import { evaluate, type PriceListView, VIEWS } from '@nuvar/core';
import ExcelJS from 'exceljs';
import Papa from 'papaparse';
import { describe, expect, it } from 'vitest';
import { pdfText } from '../testing/pdf-text.js';
import { makeDocument } from './make-document.js';

const rows = rowsByKind(rowsOfFile(quillfernPottery()));
const evaluation = evaluate(rows, '2026-11-26');
const channel = (name: string) => rows.channel.find((row) => row.name === name)?.id ?? '';
const listOf = (name: string) => VIEWS.priceList(evaluation, channel(name)) as PriceListView;
const made = (document: 'price list' | 'quote', of: string, format: 'pdf' | 'xlsx' | 'csv') =>
  makeDocument(evaluation, { document, of, format, by: 'Imogen Vale' });

describe('a price list', () => {
  it('holds every price of its channel and none of another, as PDF under the letterhead', async () => {
    const text = await pdfText(await made('price list', channel('Homeware shops'), 'pdf'));
    for (const part of [
      'The Old Dairy, Fernhollow Lane',
      'Price list: Homeware shops',
      'Everyday mug',
      '11.90',
      'from 48: 11.60',
    ])
      expect(text).toContain(part);
    // What the shop pays is before tax; with 20 % it is 14.28.
    expect(text).toContain('14.28');
    expect(text).not.toContain('Serving platter');
  });

  it('has today, larger orders and coming prices on lines of their own, as CSV', async () => {
    const text = (await made('price list', channel('Own web shop'), 'csv')).toString('utf8').replace('\ufeff', '');
    const { data } = Papa.parse<Record<string, string>>(text.trim(), { header: true });
    const mug = data.filter(({ product }) => product === 'Everyday mug');
    expect(mug.map((line) => [line['price before tax'], line['valid from']])).toEqual([
      ['16.25', '2026-11-26'],
      ['20.50', '2027-02-01'],
    ]);
    expect(new Set(data.map(({ product }) => product)).size).toBe(listOf('Own web shop').rows.length);
  });

  it('makes a product name that looks like a formula harmless', async () => {
    const product = rows.product.map((row) => (row.name === 'Soap dish' ? { ...row, name: '=1+1' } : row));
    const of = channel('Own web shop');
    const csv = await makeDocument(evaluate({ ...rows, product }, '2026-11-26'), {
      document: 'price list',
      of,
      format: 'csv',
      by: 'Imogen Vale',
    });
    expect(csv.toString('utf8')).toContain("'=1+1");
  });

  it('has numbers as numbers, as XLSX', async () => {
    const book = new ExcelJS.Workbook();
    const file = await made('price list', channel('Weekend market'), 'xlsx');
    await book.xlsx.load(file as never);
    const sheet = book.getWorksheet('Price list');
    expect(sheet?.getRow(1).getCell(6).value).toBe('price before tax');
    const price = sheet?.getRow(2).getCell(8).value;
    expect(typeof price).toBe('number');
  });
});

describe('a quote', () => {
  const quote = rows.quote[0]?.id ?? '';

  it('shows the customer prices and no cost', async () => {
    const text = await pdfText(await made('quote', quote, 'pdf'));
    const views = VIEWS.quote(evaluation, quote);
    const money = (amount: string | null | undefined) =>
      new Intl.NumberFormat('en-IE', { minimumFractionDigits: 2, maximumFractionDigits: 2 }).format(Number(amount));
    for (const { price, paid, cost } of views) {
      expect(text).toContain(money(price.amount));
      expect(text).toContain(money(paid.amount));
      expect(text).not.toContain(money(cost.amount));
    }
    for (const part of [
      'The Harbour Room',
      'Valid until: 31/12/2026',
      'Thank you for your enquiry',
      '26 cm, porcelain',
    ])
      expect(text).toContain(part);
  });

  it('names the tax where there is one, and no tax where the business is not registered', async () => {
    expect(await pdfText(await made('quote', quote, 'pdf'))).toContain('With tax');
    const registration = completeRow('taxRegistration', { id: 'none', validFrom: '2026-01-01', registered: false });
    const taxRegistration = [{ ...registration, version: 1 }];
    const textOf = async (state: 'draft' | 'sent') => {
      const quotes = rows.quote.map((row) => ({ ...row, state }));
      const book = evaluate({ ...rows, quote: quotes, taxRegistration }, '2026-11-26');
      const wanted = { document: 'quote', of: quote, format: 'pdf', by: 'Imogen Vale' } as const;
      return pdfText(await makeDocument(book, wanted));
    };
    expect(await textOf('draft')).toContain('In all');
    expect(await textOf('draft')).not.toMatch(/tax/i);
    // What was sent while the business was registered stays as it was sent.
    expect(await textOf('sent')).toContain('With tax');
  });

  it('is a PDF and nothing else, and not there where nothing is of that id', async () => {
    await expect(made('quote', quote, 'csv')).rejects.toThrow();
    await expect(made('quote', channel('Own web shop'), 'pdf')).rejects.toThrow();
    await expect(made('price list', quote, 'pdf')).rejects.toThrow();
  });
});
