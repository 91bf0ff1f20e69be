import ExcelJS from 'exceljs';
import { zipSync } from 'fflate';
import { describe, expect, it } from 'vitest';
import { readFile, readPasted } from './read-file.js';

const file = (name: string, content: BlobPart) => new File([content], name);
const table = async (name: string, content: BlobPart) => (await readFile(file(name, content))).tables[0]?.table ?? [];

describe('what suppliers send', () => {
  it('is read in the encodings and with the separators in which it comes', async () => {
    const semicolons = 'Größe;Preis\r\n"5 kg";"1.234,50"\r\n';
    expect(await table('utf8.csv', `\ufeff${semicolons}`)).toEqual([['Größe', 'Preis'], ['5 kg', '1.234,50'], ['']]);
    const latin = Uint8Array.from([...semicolons].map((letter) => letter.charCodeAt(0)));
    const read = await readFile(file('old.csv', latin));
    expect(read.said).toContain('Windows-1252');
    expect(read.tables[0]?.table[0]).toEqual(['Größe', 'Preis']);
    const wide = new Uint8Array([
      0xff,
      0xfe,
      ...[...semicolons].flatMap((letter) => [letter.charCodeAt(0) & 255, letter.charCodeAt(0) >> 8]),
    ]);
    expect((await table('wide.txt', wide))[1]).toEqual(['5 kg', '1.234,50']);
    expect(readPasted('a\tb\n1\t2').tables[0]?.table).toEqual([
      ['a', 'b'],
      ['1', '2'],
    ]);
  });

  it('is read from a workbook that another library wrote: days as days, numbers without grown digits', async () => {
    const workbook = new ExcelJS.Workbook();
    workbook.addWorksheet('Empty');
    const sheet = workbook.addWorksheet('Prices');
    sheet.addRow(['Name', 'Price', 'From']);
    sheet.addRow(['Clay', 0.1 + 0.2, new Date(Date.UTC(2026, 2, 31))]);
    sheet.addRow(['Sum', { formula: 'B2*2', result: 0.6 }, null]);
    const read = await readFile(file('list.xlsx', (await workbook.xlsx.writeBuffer()) as ArrayBuffer));
    expect(read.tables).toEqual([
      {
        name: 'Prices',
        table: [
          ['Name', 'Price', 'From'],
          ['Clay', '0.3', '2026-03-31'],
          ['Sum', '0.6', ''],
        ],
      },
    ]);
  });

  it.each([
    ['an empty file', 'empty.csv', new Uint8Array(), /is empty/],
    ['what is no text', 'photo.csv', Uint8Array.from([0x89, 0, 1, 2, 0]), /neither text nor an XLSX workbook/],
    ['a broken workbook', 'broken.xlsx', Uint8Array.from([0x50, 0x4b, 3, 4, 9, 9, 9]), /not an XLSX workbook/],
    [
      'a workbook that unpacks to far more than it is',
      'bomb.xlsx',
      zipSync({ 'xl/worksheets/sheet1.xml': new Uint8Array(130 * 1024 * 1024) }, { level: 9 }),
      /would unpack to 130 MB/,
    ],
    [
      'XML with entities',
      'invoice.xml',
      '<?xml version="1.0"?><!DOCTYPE x [<!ENTITY e SYSTEM "file:///etc/passwd">]><Invoice/>',
      /declares entities/,
    ],
    ['XML that is no invoice', 'order.xml', '<?xml version="1.0"?><Order/>', /not a UBL invoice/],
    ['broken XML', 'invoice.xml', '<?xml version="1.0"?><Invoice><InvoiceLine></Invoice>', /could not be read/],
  ])('is refused in a sentence: %s', async (_what, name, content, sentence) => {
    await expect(readFile(file(name, content as BlobPart))).rejects.toThrow(sentence);
  });

  it.each(['XFD1048576', 'XFD1', 'A1048576', 'A100001', 'IW1'])(
    'is not laid out where a single cell stands far out: %s',
    async (place) => {
      const workbook = new ExcelJS.Workbook();
      const sheet = workbook.addWorksheet('Prices');
      sheet.addRow(['Name', 'Price']);
      sheet.getCell(place).value = 1;
      const bytes = (await workbook.xlsx.writeBuffer()) as ArrayBuffer;
      expect(bytes.byteLength).toBeLessThan(10_000);
      await expect(readFile(file('far.xlsx', bytes))).rejects.toThrow(/reaches over [\d,]+ rows and [\d,]+ columns/);
    },
  );

  it('is not laid out where its text has more columns than any list', async () => {
    await expect(readFile(file('wide.csv', 'a,'.repeat(300_000)))).rejects.toThrow('300,001 columns');
    await expect(readFile(file('long.csv', 'a\n'.repeat(200_000)))).rejects.toThrow('200,001 rows');
  });

  it('is not opened at all beyond 20 MB', async () => {
    const large = { name: 'large.csv', size: 200 * 1024 * 1024 } as File;
    await expect(readFile(large)).rejects.toThrow('large.csv has 200 MB; at most 20 MB are opened.');
  });
});

/** Written for this test after the schema of UBL 2.1 (OASIS, 2013): the order of the elements is that of its sequences. */
const INVOICE = `<?xml version="1.0" encoding="UTF-8"?>
<Invoice xmlns="urn:oasis:names:specification:ubl:schema:xsd:Invoice-2"
  xmlns:cac="urn:oasis:names:specification:ubl:schema:xsd:CommonAggregateComponents-2"
  xmlns:cbc="urn:oasis:names:specification:ubl:schema:xsd:CommonBasicComponents-2">
  <cbc:UBLVersionID>2.1</cbc:UBLVersionID>
  <cbc:ID>R-1007</cbc:ID>
  <cbc:IssueDate>2026-07-01</cbc:IssueDate>
  <cbc:DocumentCurrencyCode>EUR</cbc:DocumentCurrencyCode>
  <cac:AccountingSupplierParty><cac:Party>
    <cac:PartyName><cbc:Name>Claypit &amp; Daughters</cbc:Name></cac:PartyName>
  </cac:Party></cac:AccountingSupplierParty>
  <cac:InvoiceLine>
    <cbc:ID>1</cbc:ID>
    <cbc:InvoicedQuantity unitCode="KGM">250</cbc:InvoicedQuantity>
    <cbc:LineExtensionAmount currencyID="EUR">330.00</cbc:LineExtensionAmount>
    <cac:Item>
      <cbc:Name>White clay</cbc:Name>
      <cac:SellersItemIdentification><cbc:ID>WC-10</cbc:ID></cac:SellersItemIdentification>
    </cac:Item>
    <cac:Price>
      <cbc:PriceAmount currencyID="EUR">33.00</cbc:PriceAmount>
      <cbc:BaseQuantity unitCode="KGM">25</cbc:BaseQuantity>
    </cac:Price>
  </cac:InvoiceLine>
  <cac:InvoiceLine>
    <cbc:ID>2</cbc:ID>
    <cbc:InvoicedQuantity unitCode="C62">12</cbc:InvoicedQuantity>
    <cbc:LineExtensionAmount currencyID="USD">9.60</cbc:LineExtensionAmount>
    <cac:Item><cbc:Name>Handle</cbc:Name></cac:Item>
    <cac:Price><cbc:PriceAmount currencyID="USD">0.80</cbc:PriceAmount></cac:Price>
  </cac:InvoiceLine>
</Invoice>`;

it('a UBL 2.1 invoice is laid out as a table: price by its base quantity, ordered packs, supplier, day', async () => {
  const [headings, ...lines] = await table('R-1007.xml', INVOICE);
  expect(headings?.slice(0, 3)).toEqual(['Name', 'Code', 'Supplier']);
  expect(lines).toEqual([
    ['White clay', 'WC-10', 'Claypit & Daughters', '25', 'kg', '33.00', 'EUR', '2026-07-01', '10'],
    ['Handle', '', 'Claypit & Daughters', '1', 'each', '0.80', 'USD', '2026-07-01', '12'],
  ]);
});
