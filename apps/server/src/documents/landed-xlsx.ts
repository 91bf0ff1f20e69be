import type { LandedSheetView } from '@nuvar/core';
import { minorDigits } from '@nuvar/core';
import writeExcelFile, { type Cell } from 'write-excel-file/node';

/** The rows and columns of the sheets, counted from 1 as a formula counts them. */
const FIRST = 2;

/** The letters of a column, counted from 1: A, B, ... Z, AA. */
function letters(column: number): string {
  const rest = (column - 1) % 26;
  const before = Math.floor((column - 1) / 26);
  return `${before === 0 ? '' : letters(before)}${String.fromCharCode(65 + rest)}`;
}

const bold = (value: string): Cell => ({ value, type: String, fontWeight: 'bold' });
const text = (value: string): Cell => ({ value, type: String });
const formula = (value: string, format: string): Cell => ({ type: 'Formula', value, format });
const number = (value: string | null, format: string): Cell =>
  value === null ? null : { value: Number(value), type: Number, format };

const PLAIN = '#,##0.######';

/**
 * A landed cost sheet as XLSX (ECMA-376) with live formulas: change a quantity, a price, a rate or a charge, and every share
 * and unit cost follows. Shares are worked out as the book does it, by the largest remainder, so that they add up to the cent.
 * What the customs profile says of duty and import tax stands there as amounts.
 */
export async function landedXlsx(sheet: LandedSheetView): Promise<Buffer> {
  const digits = minorDigits(sheet.currency);
  const money = digits === 0 ? '#,##0' : `#,##0.${'0'.repeat(digits)}`;
  const layout = layoutOf(sheet, digits, money);
  const sheets = [
    { sheet: 'Landed cost', data: landedRows(layout), stickyRowsCount: 1, columns: [{ width: 28 }] },
    { sheet: 'Charges', data: chargeRows(layout), stickyRowsCount: 1, columns: [{ width: 28 }] },
    { sheet: 'Shares', data: shareRows(layout), stickyRowsCount: 2, columns: [{ width: 28 }] },
  ];
  return writeExcelFile(sheets).toBuffer();
}

interface Layout {
  readonly sheet: LandedSheetView;
  readonly money: string;
  readonly unitCost: string;
  readonly digits: number;
  readonly last: number;
}

const layoutOf = (sheet: LandedSheetView, digits: number, money: string): Layout => ({
  sheet,
  digits,
  money,
  unitCost: `#,##0.${'0'.repeat(digits + 2)}`,
  last: FIRST + sheet.lines.length - 1,
});

/** The columns of a charge in the sheet of shares: basis, exact share, whole minor units of it, remainder, and the share. */
const BLOCK = 5;
const blockOf = (charge: number) => 2 + charge * BLOCK;

const rowOfLine = (index: number) => FIRST + index;

/** Columns of the first sheet: material, quantity, unit, price, value, goods, then charges and customs, then the totals. */
function landedRows({ sheet, money, unitCost, last }: Layout): Cell[][] {
  const parts = [...sheet.charges, ...sheet.customs];
  const firstPart = 7;
  const afterParts = firstPart + parts.length;
  const [onTop, landed] = [letters(afterParts), letters(afterParts + 1)];
  const heads = [
    ...[
      'Material',
      'Quantity',
      'Unit',
      `Price, ${sheet.buyingCurrency}`,
      `Value, ${sheet.buyingCurrency}`,
      `Goods, ${sheet.currency}`,
    ],
    ...parts.map(({ label, treatment }) => (treatment === 'stock value' ? label : `${label} (${treatment})`)),
    ...[`On top, ${sheet.currency}`, `Landed, ${sheet.currency}`, 'per unit', 'On top, %'],
  ];
  const inStock = parts.flatMap(({ treatment }, index) =>
    treatment === 'stock value' ? [letters(firstPart + index)] : [],
  );
  const rows = sheet.lines.map((line, index): Cell[] => {
    const row = rowOfLine(index);
    const shares = parts.map(({ shares: of }, part): Cell => {
      if (of[line.id] === undefined) return null;
      return part < sheet.charges.length
        ? formula(`Shares!${letters(blockOf(part) + 4)}${row + 1}`, money)
        : number(of[line.id] ?? null, money);
    });
    return [
      text(line.material),
      number(line.quantity, PLAIN),
      text(line.unit),
      number(line.price, PLAIN),
      formula(`B${row}*D${row}`, money),
      formula(`E${row}*Charges!$C$${FIRST}`, money),
      ...shares,
      formula(inStock.length === 0 ? '0' : inStock.map((column) => `${column}${row}`).join('+'), money),
      formula(`F${row}+${onTop}${row}`, money),
      formula(`${landed}${row}/B${row}`, unitCost),
      formula(`${onTop}${row}/F${row}*100`, '0.0'),
    ];
  });
  const sum = (column: string) => formula(`SUM(${column}${FIRST}:${column}${last})`, money);
  const totals: Cell[] = [
    bold('Together'),
    ...[null, null, null],
    ...['E', 'F', ...parts.map((_part, index) => letters(firstPart + index)), onTop, landed].map(sum),
    null,
    formula(`${onTop}${last + 1}/F${last + 1}*100`, '0.0'),
  ];
  return [heads.map(bold), ...rows, totals];
}

/** The rate of the goods, and then the charges: amount in their currency x rate, rounded to minor units. */
function chargeRows({ sheet, digits, money }: Layout): Cell[][] {
  const heads = ['Charge', 'Amount', 'Rate', 'Currency', `Amount, ${sheet.currency}`, 'Shared by', 'Goes to'];
  const goods: Cell[] = [text('Goods'), null, number(sheet.rate, PLAIN), text(sheet.buyingCurrency), null, null, null];
  const charges = sheet.charges.map((charge, index): Cell[] => {
    const row = FIRST + 1 + index;
    return [
      text(charge.label),
      number(charge.amount, PLAIN),
      number(charge.rate, PLAIN),
      text(charge.currency),
      formula(`ROUND(B${row}*C${row},${digits})`, money),
      text(charge.basis),
      text(charge.treatment),
    ];
  });
  return [heads.map(bold), goods, ...charges];
}

type Quad = [string, string, string, string];

/**
 * Shares by the largest remainder, each row a line: basis, exact share in minor units, the whole ones of it, what is left,
 * and the share. Missing minor units go to the largest remainders; ties go to the earlier line.
 */
function shareRows({ sheet, digits, money, last }: Layout): Cell[][] {
  const top: Cell[] = [null, ...sheet.charges.flatMap(({ label }) => [bold(label), null, null, null, null])];
  const heads: Cell[] = [
    bold('Material'),
    ...sheet.charges.flatMap(() => ['Basis', 'Exact, minor units', 'Whole', 'Remainder x 10^8', 'Share'].map(bold)),
  ];
  const [from, to] = [FIRST + 1, last + 1];
  const step = 10 ** digits;
  const rows = sheet.lines.map((line, index): Cell[] => {
    const row = rowOfLine(index) + 1;
    const blocks = sheet.charges.flatMap(({ bases }, charge): Cell[] => {
      if (bases[line.id] === undefined) return [null, null, null, null, null];
      const [basis, exact, whole, rest] = [0, 1, 2, 3].map((each) => letters(blockOf(charge) + each)) as Quad;
      const amount = `Charges!$E$${FIRST + 1 + charge}`;
      const all = (column: string) => `${column}$${from}:${column}$${to}`;
      const missing = `ROUND(ABS(${amount})*${step},0)-SUM(${all(whole)})`;
      const before = index === 0 ? '0' : `COUNTIF(${rest}$${from}:${rest}${row - 1},${rest}${row})`;
      const rank = `COUNTIF(${all(rest)},">"&${rest}${row})+${before}+1`;
      return [
        number(bases[line.id] ?? null, PLAIN),
        formula(`ROUND(ABS(${amount})*${step}*${basis}${row}/SUM(${all(basis)}),8)`, '0.00000000'),
        formula(`INT(${exact}${row})`, '0'),
        formula(`ROUND((${exact}${row}-${whole}${row})*10^8,0)`, '0'),
        formula(`SIGN(${amount})*(${whole}${row}+IF(${rank}<=${missing},1,0))/${step}`, money),
      ];
    });
    return [text(line.material), ...blocks];
  });
  return [top, heads, ...rows];
}
