import { type FigureView, minorDigits, MIX_GOAL_WORDS, MIX_OUTCOME_WORDS, totalRule } from '@nuvar/core';
import type { Content } from 'pdfmake/interfaces.js';
import writeExcelFile, { type Cell } from 'write-excel-file/node';
import type { MixReport } from './mix-report.js';
import { scheduleLines } from './mix-schedule.js';
import { pdfOf } from './pdf.js';
import { amount, head, notComplete, table } from './tables.js';
import { writtenIn } from './written.js';

/** The goal first, then all that a mix comes to in money; holding only where stock is carried over. */
const linesOf = ({ view: { schedule } }: MixReport) =>
  [
    ['goal', 'Goal'],
    ...MIX_OUTCOME_WORDS.filter(([id]) => id !== 'units' && (id !== 'holding' || schedule !== null)),
  ] as const;

const unitWord = (unit: string) => (unit === 'each' ? 'piece' : unit);

/** The report of a mix plan as PDF: by hand and at its best, what is used, and why. */
export function mixPdf(report: MixReport): Promise<Buffer> {
  const { money, number, day } = writtenIn(report.locale, report.currency);
  const { view, best } = report;
  const isUnits = report.goal === 'units';
  const of = (figure: FigureView | undefined, isCount = false) =>
    amount(figure === undefined ? '' : isCount ? number(figure.amount, 2) : money(figure.amount));
  const title = `Product mix: ${report.plan}`;
  const content: Content[] = [
    { text: title, style: 'title' },
    {
      text: `${report.book}, as of ${day(report.asOf)}, in ${report.currency}. Goal: ${MIX_GOAL_WORDS[report.goal]}.`,
      style: 'soft',
    },
    ...notComplete(report.modelView.gaps.map(({ sentence }) => sentence)),
    { text: 'Result', style: 'heading' },
    table(
      ['*', 'auto', 'auto', 'auto'],
      [
        [head('', false), head('Planned'), head('By hand'), head('Best')],
        ...linesOf(report).map(([id, label]) => [
          label,
          of(view.planned?.[id], id === 'goal' && isUnits),
          of(view.outcome[id], id === 'goal' && isUnits),
          of(best?.outcome[id], id === 'goal' && isUnits),
        ]),
      ],
    ),
    ...report.sentences.map((text): Content => ({ text, margin: [0, 4, 0, 0] })),
    ...(view.schedule === null ? quantitiesContent(report) : scheduleContent(report)),
    { text: 'Resources', style: 'heading' },
    table(
      ['*', 'auto', 'auto', 'auto', 'auto', 'auto'],
      [
        [
          head('Resource', false),
          head('Available'),
          head('Extra'),
          head('By hand'),
          head('Best'),
          head('Left at best'),
        ],
        ...view.resources.map((resource, index) => [
          `${resource.name}, ${unitWord(resource.unit)}`,
          amount(number(resource.available.amount, 2)),
          amount(resource.extra === null ? '' : number(resource.extra.amount, 2)),
          amount(number(resource.used.amount, 2)),
          of(best?.resources[index]?.used, true),
          of(best?.resources[index]?.left, true),
        ]),
        ...view.totals.map((total, index) => [
          `${total.name}, ${totalRule({ ...total, stated: Number(total.stated.amount ?? 0) }, (value) => number(String(value), 2))}`,
          amount(number(total.limit.amount, 2)),
          '',
          amount(number(total.units.amount, 2)),
          of(best?.totals[index]?.units, true),
          '',
        ]),
      ],
    ),
    ...(report.reasons.length === 0
      ? []
      : [{ text: 'Why this mix', style: 'heading' } as Content, { ul: [...report.reasons] } as Content]),
  ];
  return pdfOf({ info: { title }, content }, `${title}, ${report.book}, ${day(report.asOf)}`);
}

/** The quantities of a plan of one period. */
function quantitiesContent({ view, quantities, locale, currency }: MixReport): Content[] {
  const { money, number } = writtenIn(locale, currency);
  return [
    { text: 'Quantities', style: 'heading' },
    table(
      ['*', 'auto', 'auto', 'auto', 'auto', 'auto', 'auto'],
      [
        [
          head('Product', false),
          head('Leaves'),
          head('At least'),
          head('At most'),
          ...['Planned', 'By hand', 'Best'].map((each) => head(each)),
        ],
        ...view.products.map((product, index) => [
          product.name,
          amount(money(product.contribution.amount)),
          amount(number(product.least.amount, 2)),
          amount(product.most === null ? '' : number(product.most.amount, 2)),
          amount(product.planned === null ? '' : number(product.planned.amount, 2)),
          amount(number(product.quantity, 2)),
          amount(quantities[index] === undefined ? '' : number(quantities[index], 2), true),
        ]),
      ],
    ),
  ];
}

/** What is made, sold and in stock in each period: at its best, else as tried by hand. */
function scheduleContent({ view, best, locale, currency }: MixReport): Content[] {
  const { number } = writtenIn(locale, currency);
  const schedules = [
    ['Schedule by hand', view.schedule],
    ['Best schedule', best?.schedule ?? null],
  ] as const;
  return schedules.flatMap(([title, schedule]): Content[] =>
    schedule === null
      ? []
      : [
          { text: title, style: 'heading' },
          table(
            ['*', ...schedule.periods.map(() => 'auto'), 'auto'],
            [
              [head('', false), ...schedule.periods.map(({ name }) => head(name)), head('Together')],
              ...scheduleLines(schedule).map(({ name, amounts, total }) => [
                name,
                ...amounts.map((each) => amount(number(each, 2))),
                amount(total === null ? '' : number(total, 2), true),
              ]),
            ],
          ),
        ],
  );
}

const bold = (value: string): Cell => ({ value, type: String, fontWeight: 'bold' });
const text = (value: string): Cell => ({ value, type: String });
const figure = (value: string | null | undefined, format: string): Cell =>
  value == null ? null : { value: Number(value), type: Number, format };

const PLAIN = '#,##0.######';

/** The same as XLSX: result, quantities, resources, the use of each resource by a unit of each product, and the reasons. */
export async function mixXlsx(report: MixReport): Promise<Buffer> {
  const { view, best } = report;
  const digits = minorDigits(report.currency);
  const money = digits === 0 ? '#,##0' : `#,##0.${'0'.repeat(digits)}`;
  const result: Cell[][] = [
    [bold(report.plan), bold('Planned'), bold('By hand'), bold('Best')],
    ...linesOf(report).map(([id, label]) => [
      text(label),
      ...[view.planned?.[id], view.outcome[id], best?.outcome[id]].map((each) => figure(each?.amount, money)),
    ]),
    ...[...report.sentences, ...report.reasons].map((sentence): Cell[] => [text(sentence)]),
  ];
  const products = view.schedule === null ? quantitiesOf(report, money) : schedulesOf(report);
  const resources: Cell[][] = [
    ['Resource', 'Unit', 'Available', 'Extra', 'By hand', 'Best', 'Left at best'].map(bold),
    ...view.resources.map((resource, index) => [
      ...[text(resource.name), text(unitWord(resource.unit))],
      ...[resource.available, resource.extra, resource.used].map((each) => figure(each?.amount, PLAIN)),
      ...[best?.resources[index]?.used, best?.resources[index]?.left].map((each) => figure(each?.amount, PLAIN)),
    ]),
  ];
  return writeExcelFile([
    { sheet: 'Result', data: result, columns: [{ width: 40 }] },
    { sheet: 'Quantities', data: products, stickyRowsCount: 1, columns: [{ width: 34 }] },
    { sheet: 'Resources', data: resources, stickyRowsCount: 1, columns: [{ width: 28 }] },
    { sheet: 'Uses', data: usesOf(report), stickyRowsCount: 1, columns: [{ width: 34 }] },
  ]).toBuffer();
}

function quantitiesOf({ view, quantities }: MixReport, money: string): Cell[][] {
  return [
    ['Product', 'Leaves', 'At least', 'At most', 'Planned', 'By hand', 'Best'].map(bold),
    ...view.products.map((product, index) => [
      text(product.name),
      figure(product.contribution.amount, money),
      ...[product.least, product.most, product.planned].map((each) => figure(each?.amount, PLAIN)),
      ...[product.quantity, quantities[index]].map((each) => figure(each, PLAIN)),
    ]),
  ];
}

/** Each schedule with a line for what is made, sold and in stock. */
function schedulesOf({ view, best }: MixReport): Cell[][] {
  const schedules = [
    ['Schedule by hand', view.schedule],
    ['Best schedule', best?.schedule ?? null],
  ] as const;
  return schedules.flatMap(([title, schedule]): Cell[][] =>
    schedule === null
      ? []
      : [
          [bold(title), ...schedule.periods.map(({ name }) => bold(name)), bold('Together')],
          ...scheduleLines(schedule).map(({ name, amounts, total }) => [
            text(name),
            ...[...amounts, total].map((each) => figure(each, PLAIN)),
          ]),
        ],
  );
}

/** Products against resources: what a unit takes; it can be read in again as a mix. */
function usesOf({ modelView: { model } }: MixReport): Cell[][] {
  return [
    [bold('Product'), bold('Contribution'), ...model.resources.map(({ name }) => bold(name))],
    ...model.products.map((product, at) => [
      text(product.name),
      figure(String(product.contribution), PLAIN),
      ...model.resources.map((_resource, index) => {
        const use = model.uses.find((each) => each.product === at && each.resource === index);
        return figure(String(use?.perUnit ?? 0), PLAIN);
      }),
    ]),
    [text('Available'), null, ...model.resources.map(({ available }) => figure(String(available), PLAIN))],
  ];
}
