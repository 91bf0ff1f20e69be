import { readBookFile, rowsByKind } from '@nuvar/book';
import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { DAY } from '../testing/evaluated.js';
import { evaluate } from './index.js';

const fixture = (name: string): unknown =>
  JSON.parse(readFileSync(new URL(`../testing/fixtures/${name}.json`, import.meta.url), 'utf8'));

/** An amount; an amount with the codes of what is missing from it; or the codes alone. */
type Told = string | readonly string[];

/** Amounts are compared by 28 digits: the last six of 34 hold what divisions leave over. */
const digits = (text: string) => (/^-?\d/.test(text) ? Number(text).toPrecision(14) : text);
const told = (each: Told): Told => (typeof each === 'string' ? digits(each) : each.map(digits));

const CAKE = '0192f000-0000-7000-8000-00000000001c';
const SIZE_OF_CAKE = '0192f000-0000-7000-8000-000000000035';

/**
 * What was wrong when the figures were written down, by the key of the figure: each with what it says now.
 */
const MENDED: Readonly<Record<string, Told>> = {
  // Scrap is recovered per batch: 1.80 of water less 0.4 kg of crumbs at 1.20, over 24 x 95 % good cakes.
  [`batchParts/${CAKE}/costPerBatch`]: '1.32',
  [`batchParts/${CAKE}/costPerUnit`]: '7.3361199437799',
  [`candidateBatch/${SIZE_OF_CAKE}/setUpPerUnit`]: '0.057894736842105',
  [`candidateBatch/${SIZE_OF_CAKE}/variableCost`]: '7.3940146806220',
  [`candidateBatch/${SIZE_OF_CAKE}/fullCost`]: '8.4086695242557',
};

/** Typed totals have no keys of their own any more: they are told by the product and its labour hours. */
const GONE = /^typedCosts\//;

/**
 * Since overhead that is not for production goes over the planned hours (185 a month over 92.295 h, and not over the 400 h of
 * normal capacity), the figures that hold it were written down anew; the rate itself stands with its method.
 */
describe('a book file of format 1', () => {
  const read = readBookFile(fixture('book-of-format-1'));
  const figures = Object.fromEntries(
    Object.entries(fixture('figures-of-format-1') as Record<string, Told>).filter(([key]) => !GONE.test(key)),
  );
  const evaluation = evaluate(read.ok ? rowsByKind(read.rows) : {}, DAY);

  it('opens, and its figures are those of the day on which it was written', () => {
    const now = Object.fromEntries(
      Object.keys(figures).map((key): [string, Told] => {
        const figure = evaluation.figure(key);
        const gaps = figure?.gaps.map(({ code }) => code) ?? ['no such figure'];
        const amount = figure?.amount?.toFixed();
        return [key, told(amount === undefined ? gaps : gaps.length === 0 ? amount : [amount, ...gaps])];
      }),
    );
    const then = Object.fromEntries(
      Object.entries({ ...figures, ...MENDED }).map(([key, each]): [string, Told] => [key, told(each)]),
    );
    expect(read).toMatchObject({ ok: true, format: 1 });
    expect(now).toEqual(then);
  });
});
