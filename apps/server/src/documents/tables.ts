import type { NumberedWorkings, StepPart, WorkingStep } from '@nuvar/core';
import type { Content, TableCell } from 'pdfmake/interfaces.js';
import type { Written } from './written.js';

const RULED = {
  hLineWidth: (row: number) => (row === 1 ? 0.8 : 0.3),
  vLineWidth: () => 0,
  hLineColor: () => '#8d8791',
};

export const head = (text: string, isNumber = true): TableCell => ({
  text,
  style: 'head',
  ...(isNumber ? { alignment: 'right' as const } : {}),
});

export const amount = (text: string, isTotal = false): TableCell => ({
  text,
  alignment: 'right',
  ...(isTotal ? { style: 'total' } : {}),
});

/** A ruled table whose first row stands on each page that it goes over. */
export function table(widths: readonly (string | number)[], body: TableCell[][]): Content {
  return { table: { headerRows: 1, dontBreakRows: true, widths: [...widths], body }, layout: RULED };
}

/** What a document still lacks, in sentences; nothing where it is complete. */
export const notComplete = (sentences: readonly string[]): Content[] =>
  sentences.length === 0
    ? []
    : [
        { text: 'Not complete yet', style: 'heading' },
        { ul: sentences.map((sentence) => `${sentence.charAt(0).toUpperCase()}${sentence.slice(1)}.`) },
      ];

/** Numbered workings, group by group: each step with how it was made, and the numbers of the steps that it refers to. */
export function workingsTables({ groups, isCut }: NumberedWorkings, written: Written): Content[] {
  const tables = groups
    .filter(({ steps }) => steps.length > 0)
    .flatMap(({ heading, steps }, place): Content[] => [
      { text: heading, style: 'heading', ...(place === 0 ? { pageBreak: 'before' as const } : {}) },
      stepsTable(steps, written),
    ]);
  const more = 'There are more workings than are printed: choose fewer products, or open a figure on screen.';
  return isCut ? [...tables, { text: more, margin: [0, 8, 0, 0] }] : tables;
}

function stepsTable(steps: readonly WorkingStep[], { number }: Written): Content {
  const said = (value: string | null, unit: string) => `${number(value, 6)} ${unit === '1' ? '' : unit}`.trim();
  const piece = (part: string | StepPart) =>
    typeof part === 'string'
      ? part
      : `${said(part.amount, part.unit === '%' ? '' : part.unit)}${part.step === null ? '' : ` (${part.step})`}`;
  return table(
    ['auto', 130, '*', 'auto'],
    [
      [head('Working', false), head('Figure', false), head('How it was worked out', false), head('Amount')],
      ...steps.map((step): TableCell[] => [
        String(step.step),
        step.subject === '' ? step.name : `${step.name}: ${step.subject}`,
        [step.formula.map(piece).join(''), step.note === '' ? '' : ` (${step.note})`].join(''),
        amount(said(step.amount, step.unit)),
      ]),
    ],
  );
}
