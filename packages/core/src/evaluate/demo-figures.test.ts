import { expect, it } from 'vitest';
import { type Figure, isFigure } from '../figure/index.js';
import type { Calculation, Evaluation } from '../sheet/index.js';
import { WHOLE_BOOK } from '../sheet/index.js';
import { demoRows, evaluated } from '../testing/evaluated.js';
import { everyFigure } from '../testing/every-figure.js';
import { CALCULATIONS } from './index.js';

/** The ids for which each calculation is worked out in a book, by what its views show and what stands in their workings. */
function idsByCalculation(evaluation: Evaluation): ReadonlyMap<string, readonly string[]> {
  const ids = new Map<string, Set<string>>();
  const seen = new Set<Figure>();
  const look = (figure: Figure): void => {
    if (seen.has(figure)) return;
    seen.add(figure);
    const { publishedOf } = figure;
    if (publishedOf?.calculation) {
      const known = ids.get(publishedOf.calculation.name) ?? new Set();
      ids.set(publishedOf.calculation.name, known.add(publishedOf.id));
    }
    figure.parts.forEach(look);
  };
  for (const { key } of everyFigure(evaluation)) {
    const figure = evaluation.figure(key);
    if (figure !== null) look(figure);
  }
  return new Map([...ids].map(([name, found]) => [name, [...found].sort()]));
}

const figuresOf = (calculation: Calculation<unknown>, evaluation: Evaluation, id: string) =>
  Object.entries(evaluation.read(calculation, id) as object).filter((entry): entry is [string, Figure] =>
    isFigure(entry[1]),
  );

/** The names of the rows stand in place of their ids, which are others in each book. */
function named(evaluation: Evaluation, id: string): string {
  const { sheet } = evaluation;
  const nameOf = (part: string) => [sheet.row('product', part), sheet.row('material', part)].find(Boolean)?.name;
  return id.replace(/[0-9a-f-]{36}/g, (part) => nameOf(part) ?? '…');
}

const told = ({ name, subject, amount, unit, gaps, note }: Figure) =>
  [
    [name, subject].filter(Boolean).join(' of '),
    `${amount?.toSignificantDigits(12).toString() ?? 'none'} ${unit.text}`,
    ...gaps.map(({ code }) => `gap ${code}`),
    ...(note === '' ? [] : [`note ${note}`]),
  ].join(', ');

const workingOf = (figure: Figure): string[] => [
  `  ${figure.operation}: ${told(figure)}`,
  ...figure.parts.slice(0, 6).map((part) => `    ${part.operation}: ${told(part)}`),
];

it('every figure of the demo book is as it is on record, with its name and its working', async () => {
  const evaluation = evaluated(demoRows());
  const ids = idsByCalculation(evaluation);
  const lines = CALCULATIONS.flatMap((calculation) =>
    (ids.get(calculation.name) ?? [])
      .slice(0, 1)
      .flatMap((id) => [
        `${calculation.name} ${named(evaluation, id)}`,
        ...figuresOf(calculation, evaluation, id).flatMap(([member, figure]) => [
          ` ${member}: ${calculation.meanings[member] ?? ''}`,
          ...workingOf(figure),
        ]),
      ]),
  );
  await expect(`${lines.join('\n')}\n`).toMatchFileSnapshot('demo-figures.txt');
});

const NOWHERE = '00000000-0000-7000-8000-000000000000';

/** The id with each of its rows in turn not there. */
const rowsGone = (id: string): string[] =>
  [...id.matchAll(/[0-9a-f-]{36}/g)].map(({ index }) => `${id.slice(0, index)}${NOWHERE}${id.slice(index + 36)}`);

it('every figure of rows that are gone is as it is on record: a name, and what is missing where there is no amount', async () => {
  const evaluation = evaluated(demoRows());
  const ids = idsByCalculation(evaluation);
  const figures = CALCULATIONS.flatMap((calculation) => {
    const known = ids.get(calculation.name)?.find((id) => id !== WHOLE_BOOK && /[0-9a-f-]{36}/.test(id)) ?? '';
    return rowsGone(known).flatMap((lost) =>
      figuresOf(calculation, evaluation, lost).map(([member, figure]) => ({
        key: `${calculation.name} ${named(evaluation, lost)} ${member}`,
        figure,
      })),
    );
  });
  const unsaid = figures.filter(({ figure: { name, amount, gaps } }) => name === '' || (amount === null && !gaps[0]));
  expect(unsaid).toEqual([]);
  const lines = figures.map(({ key, figure }) => `${key}: ${told(figure)}`);
  await expect(`${lines.join('\n')}\n`).toMatchFileSnapshot('gone-figures.txt');
});
