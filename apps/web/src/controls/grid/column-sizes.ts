import { isInput, shownText, type Column } from './grid-model.js';

/** What a column would take, and how much of that it can do without. All in pixels. */
export interface ColumnSize {
  readonly id: string;
  /** So wide that nothing in it is cut. */
  readonly natural: number;
  /** So wide at least: texts can be cut, choices shrink to what is chosen, and figures stay as they are. */
  readonly least: number;
  /** Texts take what room is over. */
  readonly grows: boolean;
}

/** Figures without a text beside them grow no further than this: they are to be read across. */
const MOST_GROWN = 1.5;

/**
 * Shares the room of a table out over its columns: what is over goes to the texts in proportion to their width, or to all
 * columns, within limits, where there is no text; what is lacking is given by the choices, and then by the texts, in
 * proportion to what each can give. Where even that is too little the table is wider than its room.
 */
export function sharedOut(columns: readonly ColumnSize[], room: number): Readonly<Record<string, number>> {
  const sum = (of: (column: ColumnSize) => number) => columns.reduce((total, column) => total + of(column), 0);
  const natural = sum((column) => column.natural);
  const over = room - natural;
  const hasText = columns.some(({ grows }) => grows);
  const taken = hasText ? over : Math.min(over, natural * (MOST_GROWN - 1));
  const takes = (column: ColumnSize) => (column.grows || !hasText ? column.natural : 0);
  const giving = (column: ColumnSize, texts: boolean) => (column.grows === texts ? column.natural - column.least : 0);
  const [byChoices, byTexts] = [sum((column) => giving(column, false)), sum((column) => giving(column, true))];
  const givenByChoices = Math.min(-over, byChoices);
  const givenByTexts = Math.min(-over - givenByChoices, byTexts);
  const share = (amount: number, part: number, whole: number) => (whole === 0 ? 0 : (amount * part) / whole);
  const width = (column: ColumnSize) =>
    over >= 0
      ? column.natural + share(taken, takes(column), sum(takes))
      : column.natural -
        share(givenByChoices, giving(column, false), byChoices) -
        share(givenByTexts, giving(column, true), byTexts);
  return Object.fromEntries(columns.map((column) => [column.id, width(column)]));
}

/** What stands around a text in its cell. */
const PADDING = 17;
const LEAST = 34;
const WIDEST = 420;
/** What stands beside a text in its field: the mark of a choice, the calendar of a day. */
const BESIDE = { choice: 14, day: 22 } as const;
/** A mark that stands before what is in a cell. */
const MARK = 30;
/** A text is cut no further than this. */
const MOST_CUT = 110;
/** Of longer lists only every so many a row is measured. */
const MOST_MEASURED = 400;

/** What the columns of a grid would take, by the longest text of each, header included. */
export function measured<Row, Patch>(
  columns: readonly Column<Row, Patch>[],
  rows: readonly Row[],
  widthOf: (text: string) => number,
  wholeDigits: Readonly<Record<string, number>> = {},
): ColumnSize[] {
  const step = Math.max(1, Math.ceil(rows.length / MOST_MEASURED));
  const sample = rows.filter((_row, index) => index % step === 0);
  return columns.map((column) => {
    const header = headerWidth(column.header, widthOf);
    const content = contentWidth(column, sample, widthOf, wholeDigits[column.id]);
    const extra =
      (column.type === 'day' || column.type === 'choice' ? BESIDE[column.type] : 0) +
      (column.beside === undefined ? 0 : MARK);
    const width = (least: number) => Math.min(WIDEST, Math.max(LEAST, header, least + extra) + PADDING);
    const grows = column.type === 'text' || column.type === 'item' || (column.type === 'shown' && !column.width);
    const options = column.type === 'choice' ? widthOf(longestOf(column.options?.(null) ?? [])) : 0;
    const natural = width(Math.max(content, options));
    return { id: column.id, natural, least: Math.min(natural, grows ? MOST_CUT : width(content)), grows };
  });
}

/** A header may stand in two lines. */
function headerWidth(header: string, widthOf: (text: string) => number): number {
  const words = header.split(' ').map(widthOf);
  return Math.max(...words, widthOf(header) / 2 + 12);
}

/** Digits before the point for which a column of figures has room before any was seen. */
export const USUAL_WHOLE_DIGITS = 4;

/** As wide a figure as a column has to hold; large amounts go without the digits that small ones need, and leave their room. */
function figureSample(digits: number, wholeDigits: number): string {
  const shown = digits > 2 ? Math.max(3, wholeDigits - 1) : wholeDigits;
  return `${'9'.repeat(shown).replace(/\B(?=(\d{3})+$)/g, ',')}.${'0'.repeat(digits)}`;
}

function contentWidth<Row, Patch>(
  column: Column<Row, Patch>,
  rows: readonly Row[],
  widthOf: (text: string) => number,
  wholeDigits = USUAL_WHOLE_DIGITS,
): number {
  if (column.type === 'figure')
    return widthOf(`${figureSample(column.digits ?? 2, wholeDigits)}${column.withUnit ? ' EUR' : ''}`);
  if (column.type === 'shown' && column.width !== undefined) return column.width;
  // What the empty row shows has to have room in an empty grid too.
  const { placeholder = '', blankText = '' } = isInput(column) ? column : {};
  let longest = placeholder.length > blankText.length ? placeholder : blankText;
  for (const row of rows) {
    const text = (isInput(column) ? shownText(column, row) : column.text?.(row)) ?? '';
    if (text.length > longest.length) longest = text;
  }
  return widthOf(longest);
}

const longestOf = (options: readonly { readonly label: string }[]) =>
  options.reduce((longest, { label }) => (label.length > longest.length ? label : longest), '');
