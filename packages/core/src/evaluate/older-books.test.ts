import { readFileSync } from 'node:fs';
import { readBookFile, rowsByKind, type BookRows } from '@nuvar/book';
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

/**
 * What was wrong when the figures were written down, by the key of the figure: each with what it says now.
 */
const MENDED: Readonly<Record<string, Told>> = {};

describe('a book file of format 1', () => {
  const rows = readBookFile(fixture('book-of-format-1')) as BookRows;
  const figures = fixture('figures-of-format-1') as Record<string, Told>;
  const evaluation = evaluate(rowsByKind(rows), DAY);

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
    expect(now).toEqual(then);
  });
});
