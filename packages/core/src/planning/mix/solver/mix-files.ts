import type { MixModel } from '../mix-model.js';
import { mixProgram, type MixProgram, type ProgramColumn, type ProgramRow } from './program.js';

/** A mix model as files that any solver reads. */
export const MIX_FILE_FORMATS = ['lp', 'mps'] as const;
export type MixFileFormat = (typeof MIX_FILE_FORMATS)[number];

/** Why a model cannot be written as a file, in a sentence; null where it can. */
export function mixFileRefusal(model: MixModel): string | null {
  if (model.products.length === 0)
    return 'There is no product of which everything is known, so there is nothing to write.';
  const { columns, rows } = mixProgram(model);
  if (columns.every(({ cost }) => cost === 0))
    return 'No product brings anything to the goal, so there is nothing to write: solvers do not read a model without a goal.';
  if (rows.every(({ columns: of }) => of.length === 0))
    return 'Nothing runs short in this plan, so there is nothing to write: solvers do not read a model without a limit. Add what runs short, or a total.';
  return null;
}

/**
 * Writes a mix model as an LP file (CPLEX LP format) or as an MPS file. Names are plain and each is there once: what it is, its
 * number, and its name in letters and digits; the true names stand in comments. An MPS file knows no direction: it holds the least
 * of the negative where the most is meant, and says so. Its numbers are rounded to the twelve places that the format has. Throws a
 * RangeError with the sentence of `mixFileRefusal` where there is nothing to write.
 */
export function mixFile(model: MixModel, format: MixFileFormat): string {
  const refused = mixFileRefusal(model);
  if (refused !== null) throw new RangeError(refused);
  const written = writtenProgram(model, format);
  return `${(format === 'lp' ? lpLines(written) : mpsLines(written)).join('\n')}\n`;
}

interface WrittenColumn extends Pick<ProgramColumn, 'cost' | 'lower' | 'upper' | 'isWhole'> {
  readonly name: string;
  readonly meaning: string;
}

interface WrittenRow {
  readonly name: string;
  readonly meaning: string;
  readonly sense: '<=' | '>=' | '=';
  readonly limit: number;
  readonly terms: readonly (readonly [column: number, value: number])[];
}

/** A program with names, its rows as people know them and not scaled, each with one sense. */
interface WrittenProgram {
  readonly name: string;
  readonly isLeast: boolean;
  readonly columns: readonly WrittenColumn[];
  readonly rows: readonly WrittenRow[];
}

const COLUMN_WORDS = {
  quantity: ['x', 'quantity of'],
  made: ['y', 'one where any is made of'],
  extra: ['e', 'extra used of'],
  component: ['m', 'made beyond the stock of'],
  batches: ['n', 'batches of'],
} as const;
const ROW_WORDS = {
  resource: ['r', 'what there is of'],
  total: ['t', 'total'],
  'set-up': ['s', 'set up where it is made:'],
  lot: ['l', 'minimum lot of'],
  batch: ['w', 'whole batches of'],
} as const;

function writtenProgram(model: MixModel, format: MixFileFormat): WrittenProgram {
  const program = mixProgram(model);
  // Names of an MPS file have eight letters at most.
  const named = (letter: string, number: number, name: string) =>
    format === 'mps' ? `${letter}${number}` : [`${letter}${number}`, plainName(name)].filter(Boolean).join('_');
  const columns = program.columns.map((column, index): WrittenColumn => {
    const [letter, words] = COLUMN_WORDS[column.of];
    const { name } = (column.of === 'extra' || column.of === 'component' ? model.resources : model.products)[
      column.at
    ] ?? { name: '' };
    const steps = column.isWhole && column.step !== 1 ? ` in steps of ${column.step}:` : '';
    return {
      ...asPeopleCount(program, column),
      isWhole: column.isWhole,
      name: named(letter, index + 1, name),
      meaning: `${words}${steps} ${oneLine(name)}`,
    };
  });
  const rows = program.rows.flatMap((row, index) =>
    writtenRows(program, row, (letter, name) => named(letter, index + 1, name)),
  );
  const fixed: WrittenColumn[] =
    program.offset === 0
      ? []
      : [
          {
            name: 'fixed',
            meaning: 'what is taken off whatever is made',
            cost: program.offset * program.worth,
            lower: 1,
            upper: 1,
            isWhole: false,
          },
        ];
  return {
    name: oneLine(model.name),
    isLeast: model.isLeast,
    columns: [...columns.map(withoutCrossedBounds), ...fixed],
    rows: [...rows, ...columns.flatMap(crossedBound)],
  };
}

/** Bounds that contradict each other are refused by some readers: what there is to be at least is said by a row of its own then. */
const withoutCrossedBounds = (column: WrittenColumn): WrittenColumn =>
  column.lower > column.upper ? { ...column, lower: Math.min(0, column.upper) } : column;

const crossedBound = ({ name, meaning, lower, upper }: WrittenColumn, index: number): WrittenRow[] =>
  lower > upper
    ? [
        {
          name: `b${index + 1}`,
          meaning: `least of ${name}, ${meaning}`,
          sense: '>=',
          limit: lower,
          terms: [[index, 1]],
        },
      ]
    : [];

/** What a column adds and where it ends, in units of it as people count them; what is counted whole in its steps. */
function asPeopleCount(
  { worth }: MixProgram,
  { cost, lower, upper, step, isWhole }: ProgramColumn,
): Pick<WrittenColumn, 'cost' | 'lower' | 'upper'> {
  const size = isWhole ? 1 : step;
  return { cost: (cost * worth) / size, lower: lower * size, upper: upper * size };
}

function writtenRows(
  { model, columns: all }: MixProgram,
  { of, at, lower, upper, scale, columns, values }: ProgramRow,
  named: (letter: string, name: string) => string,
): WrittenRow[] {
  // A row of nothing, which always holds, is no row to other solvers.
  if (columns.length === 0) return [];
  const [letter, words] = ROW_WORDS[of];
  const { name } = (of === 'resource' ? model.resources : of === 'total' ? model.totals : model.products)[at] ?? {
    name: '',
  };
  const sizeOf = ({ isWhole, step }: ProgramColumn) => (isWhole ? 1 : step);
  const terms = columns.map(
    (column, index) => [column, ((values[index] ?? 0) * scale) / sizeOf(all[column] as ProgramColumn)] as const,
  );
  const row = (sense: WrittenRow['sense'], limit: number, before = ''): WrittenRow => ({
    name: named(`${before}${letter}`, name),
    meaning: `${words} ${oneLine(name)}`,
    sense,
    limit: limit * scale,
    terms,
  });
  if (lower === upper) return [row('=', lower)];
  return [
    ...(Number.isFinite(upper) ? [row('<=', upper)] : []),
    ...(Number.isFinite(lower) ? [row('>=', lower, Number.isFinite(upper) ? 'n' : '')] : []),
  ];
}

const oneLine = (name: string): string => name.replace(/\s+/g, ' ').trim();

/** The letters and digits of a name, as the files allow them. */
const plainName = (name: string): string =>
  name
    .normalize('NFKD')
    .replace(/\p{M}/gu, '')
    .replace(/[^A-Za-z0-9]+/g, '_')
    .replace(/^_+|_+$/g, '')
    .slice(0, 40);

const meanings = (mark: string, { columns, rows }: WrittenProgram): string[] =>
  [...columns, ...rows].map(({ name, meaning }) => `${mark} ${name}: ${meaning}`);

const TERMS_A_LINE = 6;

/** Terms in lines of a length that every reader takes. */
function sumLines(label: string, terms: readonly (readonly [name: string, value: number])[], end: string): string[] {
  const parts = terms.map(([name, value]) => `${value < 0 ? '-' : '+'} ${Math.abs(value)} ${name}`);
  const lines: string[] = [];
  for (let from = 0; from < parts.length; from += TERMS_A_LINE)
    lines.push(`${from === 0 ? ` ${label}:` : '  '} ${parts.slice(from, from + TERMS_A_LINE).join(' ')}`);
  lines[lines.length - 1] += end;
  return lines;
}

function lpLines(program: WrittenProgram): string[] {
  const { name, isLeast, columns, rows } = program;
  const nameOf = (column: number) => columns[column]?.name ?? '';
  const goal = columns.map((column) => [column.name, column.cost] as const);
  const whole = columns.filter(({ isWhole }) => isWhole);
  return [
    `\\ Mix plan: ${name}`,
    ...meanings('\\', program),
    isLeast ? 'Minimize' : 'Maximize',
    ...sumLines('goal', goal, ''),
    'Subject To',
    ...rows.flatMap((row) =>
      sumLines(
        row.name,
        row.terms.map(([column, value]) => [nameOf(column), value] as const),
        ` ${row.sense} ${row.limit}`,
      ),
    ),
    'Bounds',
    ...columns.map(({ name: column, lower, upper }) =>
      Number.isFinite(upper) ? ` ${lower} <= ${column} <= ${upper}` : ` ${column} >= ${lower}`,
    ),
    ...(whole.length === 0 ? [] : ['Generals', ...whole.map((column) => ` ${column.name}`)]),
    'End',
  ];
}

const PLACES = 12;

/** A number in the twelve places that a fixed MPS file has for it, with as many digits as they hold. */
function inPlaces(value: number): string {
  const plain = String(value);
  if (plain.length <= PLACES) return plain;
  for (let digits = PLACES; digits > 1; digits -= 1) {
    const text = String(Number(value.toPrecision(digits)));
    if (text.length <= PLACES) return text;
  }
  return value.toExponential(1);
}

const SENSES = { '<=': 'L', '>=': 'G', '=': 'E' } as const;
const entry = (one: string, other: string, value: number) =>
  `    ${one.padEnd(10)}${other.padEnd(10)}${inPlaces(value).padStart(PLACES)}`;

/** In the columns of the fixed format, which readers of the free one take too. */
function mpsLines(program: WrittenProgram): string[] {
  const { name, isLeast, columns, rows } = program;
  const turn = isLeast ? 1 : -1;
  const termsOf = columns.map((): [row: string, value: number][] => []);
  for (const { name: row, terms } of rows) for (const [column, value] of terms) termsOf[column]?.push([row, value]);
  const columnLines = columns.flatMap((column, index) => {
    const lines = [
      entry(column.name, 'goal', turn * column.cost),
      ...(termsOf[index] ?? []).map(([row, value]) => entry(column.name, row, value)),
    ];
    const marker = (end: string) => `    ${'mark'.padEnd(10)}'MARKER'                 '${end}'`;
    return column.isWhole ? [marker('INTORG'), ...lines, marker('INTEND')] : lines;
  });
  const bound = (kind: string, column: string, value?: number) =>
    ` ${kind} ${'bound'.padEnd(10)}${column.padEnd(10)}${value === undefined ? '' : inPlaces(value).padStart(PLACES)}`;
  return [
    `* Mix plan: ${name}`,
    isLeast
      ? '* The least of the goal is looked for.'
      : '* The least of the negative of the goal is looked for: that is the most of it.',
    ...meanings('*', program),
    'NAME          mix',
    'ROWS',
    ' N  goal',
    ...rows.map((row) => ` ${SENSES[row.sense]}  ${row.name}`),
    'COLUMNS',
    ...columnLines,
    'RHS',
    ...rows.filter(({ limit }) => limit !== 0).map((row) => entry('limit', row.name, row.limit)),
    'BOUNDS',
    ...columns.flatMap((column) =>
      column.lower === column.upper
        ? [bound('FX', column.name, column.lower)]
        : [
            ...(column.lower === 0 ? [] : [bound('LO', column.name, column.lower)]),
            Number.isFinite(column.upper) ? bound('UP', column.name, column.upper) : bound('PL', column.name),
          ],
    ),
    'ENDATA',
  ];
}
