import { isDay } from '@nuvar/book';
import {
  CAUSE_WORDS,
  MEASURE_WORDS,
  MEASURES,
  MONTH_WORDS,
  SIDE_VIEWS,
  SUBSTITUTIONS,
  type Measure,
  type SideCell,
} from '@nuvar/core';
import type { Content, TableCell } from 'pdfmake/interfaces.js';
import type { NamedSide } from './comparison-sides.js';
import { pdfOf } from './pdf.js';
import { amount, head, notComplete, table } from './tables.js';
import { writtenIn, type Written } from './written.js';

const MOST_ROWS = 400;

/** Sides beside each other as PDF: the month, one measure of every price, and the bridge from the first side to each other. */
export function comparisonPdf(sides: readonly NamedSide[], named: string): Promise<Buffer> {
  const [first] = sides;
  const { sheet } = (first as NamedSide).evaluation;
  const { locale, currency, name } = sheet.settings();
  const written = writtenIn(locale, currency);
  const measure: Measure = MEASURES.find((each) => each === named) ?? MEASURES[0];
  const evaluations = sides.map(({ evaluation }) => evaluation);
  const view = SIDE_VIEWS.sides(evaluations, measure);
  const labels = sides.map(({ label }) => (isDay(label) ? written.day(label) : label));
  const moved = view.rows.filter(({ cells }) =>
    cells.some(({ difference }) => difference !== null && Number(difference) !== 0),
  );
  const content: Content[] = [
    { text: `Side by side: ${labels.join(', ')}`, style: 'title' },
    {
      text: `${name}, as of ${written.day(sheet.asOf)}, in ${currency}. Differences are to the first side; ▲ is favourable, ▽ is adverse.`,
      style: 'soft',
    },
    { text: 'A month', style: 'heading' },
    sidesTable(
      labels,
      view.month.map(({ line, cells, unit }) => ({ label: MONTH_WORDS[line], cells, unit })),
      written,
    ),
    { text: `${MEASURE_WORDS[measure]}, what moves most first`, style: 'heading' },
    ...(moved.length === 0
      ? [{ text: 'The same for every price on all sides.' } as Content]
      : [
          sidesTable(
            labels,
            moved
              .slice(0, MOST_ROWS)
              .map(({ product, channel, cells, unit }) => ({ label: `${product}, ${channel}`, cells, unit })),
            written,
          ),
        ]),
    ...evaluations.slice(1).flatMap((_side, index) => bridgeContent(sides, index + 1, labels, written)),
  ];
  return pdfOf({ info: { title: `Side by side: ${labels.join(', ')}` }, content }, `${name}: ${labels.join(', ')}`);
}

interface Line {
  readonly label: string;
  readonly unit: string;
  readonly cells: readonly SideCell[];
}

function sidesTable(labels: readonly string[], lines: readonly Line[], written: Written): Content {
  return table(
    ['*', ...labels.map(() => 'auto')],
    [
      [head('', false), ...labels.map((label) => head(label))],
      ...lines.map(({ label, unit, cells }): TableCell[] => [
        label,
        ...cells.map((cell) => amount(cellText(cell, unit, written))),
      ]),
    ],
  );
}

const SIGNS = { favourable: '▲ ', adverse: '▽ ', neither: '' } as const;

/** The figure, and below it the difference with what it is for: better or worse. */
function cellText(
  { amount: value, gap, difference, percent, verdict }: SideCell,
  unit: string,
  written: Written,
): string {
  if (value === null) return gap === '' ? '–' : gap;
  const text = `${written.money(value)}${unit === '%' ? ' %' : ''}`;
  if (difference === null || Number(difference) === 0) return text;
  const sign = Number(difference) > 0 ? '+' : '';
  const share = unit === '%' ? ' points' : percent === null ? '' : ` (${sign}${written.decimals(percent, 1)} %)`;
  return `${text}\n${SIGNS[verdict ?? 'neither']}${sign}${written.money(difference)}${share}`;
}

function bridgeContent(
  sides: readonly NamedSide[],
  at: number,
  labels: readonly string[],
  written: Written,
): Content[] {
  const [one, other] = [sides[0] as NamedSide, sides[at] as NamedSide];
  const view = SIDE_VIEWS.bridge([one.evaluation, other.evaluation], `month@${SUBSTITUTIONS.join(',')}`);
  if (view === null || view.from === null || view.to === null) return notComplete(view?.gaps ?? []);
  const signed = (text: string) => `${Number(text) > 0 ? '+' : ''}${written.money(text)}`;
  return [
    { text: `Profit of the month: from ${labels[0] ?? ''} to ${labels[at] ?? ''}`, style: 'heading' },
    table(
      ['*', 'auto'],
      [
        [head('Caused by', false), head('Amount')],
        [labels[0] ?? '', amount(written.money(view.from), true)],
        ...view.parts.map(({ cause, amount: part }): TableCell[] => [CAUSE_WORDS[cause], amount(signed(part))]),
        [labels[at] ?? '', amount(written.money(view.to), true)],
      ],
    ),
  ];
}
