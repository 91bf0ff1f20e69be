import type { LandedSheetView } from '@nuvar/core';
import type { Content } from 'pdfmake/interfaces.js';
import { pdfOf } from './pdf.js';
import { amount, head, notComplete, table, workingsTables } from './tables.js';
import { writtenIn, type Written } from './written.js';

/** Columns of shares that stand beside each other on a page; more of them go into tables of their own. */
const SHARES_ABREAST = 6;

/** A landed cost sheet as PDF: what each line costs at the door, what it bears of each charge, and the workings, numbered. */
export function landedPdf(sheet: LandedSheetView): Promise<Buffer> {
  const written = writtenIn(sheet.locale, sheet.currency);
  const content: Content[] = [
    { text: sheet.name, style: 'title' },
    { text: `Landed cost sheet, ${sheet.book}`, style: 'soft' },
    about(sheet, written),
    ...notComplete(sheet.missing),
    { text: `Landed cost, ${sheet.currency}`, style: 'heading' },
    landedTable(sheet, written),
    { text: 'Charges', style: 'heading' },
    chargesTable(sheet, written),
    ...sharesTables(sheet, written),
    ...workingsTables(sheet.workings, written),
  ];
  const foot = `${sheet.name}, as of ${written.day(sheet.asOf)}`;
  return pdfOf({ info: { title: `Landed cost: ${sheet.name}` }, pageOrientation: 'landscape', content }, foot);
}

function about(sheet: LandedSheetView, { day, number }: Written): Content {
  const said: readonly (readonly [string, string])[] = [
    ['State', sheet.state],
    ['Supplier', sheet.supplier],
    ['Delivery term', sheet.deliveryTerm],
    ['From', sheet.origin],
    ['To', sheet.destination],
    ['Date', day(sheet.date)],
    ['Buying currency', sheet.buyingCurrency],
    ['Exchange rate', sheet.rate === '1' ? '' : `${number(sheet.rate, 6)} ${sheet.currency} for one`],
  ];
  return {
    text: said
      .filter(([, value]) => value !== '')
      .map(([label, value]) => `${label}: ${value}`)
      .join('   '),
    margin: [0, 6, 0, 0],
  };
}

function landedTable(sheet: LandedSheetView, { money, unitCost, number }: Written): Content {
  const heads = ['Quantity', 'Unit', `Price, ${sheet.buyingCurrency}`, 'Goods', 'On top', 'Landed', 'per unit'];
  const { goods, onTop, landed } = sheet.totals;
  const isTotal = true;
  return table(
    ['*', ...heads.map(() => 'auto')],
    [
      [head('Material', false), ...heads.map((each) => head(each))],
      ...sheet.lines.map((line) => [
        line.material,
        amount(number(line.quantity, 4)),
        amount(line.unit),
        amount(number(line.price, 4)),
        amount(money(line.goods)),
        amount(money(line.onTop)),
        amount(money(line.landed)),
        amount(unitCost(line.perUnit)),
      ]),
      [
        { text: 'Together', style: 'total' },
        ...['', '', ''].map((each) => amount(each)),
        ...[goods, onTop, landed].map((each) => amount(money(each), isTotal)),
        amount(''),
      ],
    ],
  );
}

function chargesTable(sheet: LandedSheetView, { money, number }: Written): Content {
  const heads = ['Amount', 'Currency', 'Rate', sheet.currency];
  return table(
    ['*', ...heads.map(() => 'auto'), 'auto', 'auto', 'auto'],
    [
      [
        head('Charge', false),
        ...heads.map((each) => head(each)),
        head('Shared by', false),
        head('Goes to', false),
        head('State', false),
      ],
      ...sheet.charges.map((charge) => [
        charge.label,
        amount(number(charge.amount, 2)),
        amount(charge.currency),
        amount(charge.rate === '1' ? '' : number(charge.rate, 6)),
        amount(money(charge.inBookCurrency)),
        charge.basis,
        charge.treatment,
        charge.isBilled ? 'billed' : 'estimate',
      ]),
    ],
  );
}

/** What each line bears of each charge, so many charges to a table. */
function sharesTables(sheet: LandedSheetView, { money }: Written): Content[] {
  const columns = [...sheet.charges, ...sheet.customs];
  const tables: Content[] = [];
  for (let at = 0; at < columns.length; at += SHARES_ABREAST) {
    const some = columns.slice(at, at + SHARES_ABREAST);
    tables.push(
      {
        text: at === 0 ? `What each line bears, ${sheet.currency}` : 'What each line bears, continued',
        style: 'heading',
      },
      table(
        ['*', ...some.map(() => 'auto')],
        [
          [head('Material', false), ...some.map(({ label }) => head(label))],
          ...sheet.lines.map(({ id, material }) => [
            material,
            ...some.map(({ shares }) => amount(shares[id] === undefined ? '' : money(shares[id]))),
          ]),
        ],
      ),
    );
  }
  return tables;
}
