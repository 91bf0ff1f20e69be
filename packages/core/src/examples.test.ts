import { readdirSync, readFileSync } from 'node:fs';
import { expect, it } from 'vitest';
import * as calendar from './calendar/index.js';
import * as money from './money/index.js';
import * as number from './number/index.js';
import * as quantity from './quantity/index.js';

/** What an example may call. */
const SCOPE: Readonly<Record<string, unknown>> = { ...number, ...quantity, ...money, ...calendar };

/** The examples in docstrings: `@example call(...) → what it gives, as JSON`; decimals are written as texts. */
const EXAMPLES = ['number', 'quantity', 'money', 'calendar'].flatMap((room) =>
  readdirSync(new URL(room, import.meta.url)).flatMap((file) =>
    [
      ...readFileSync(new URL(`${room}/${file}`, import.meta.url), 'utf8').matchAll(/^ \* @example (.+?) → (.+)$/gm),
    ].map(([, call = '', given = '']) => [call, given] as const),
  ),
);

const plain = (value: unknown): unknown => {
  if (number.Decimal.isDecimal(value)) return (value as number.Decimal).toFixed();
  return Array.isArray(value) ? value.map(plain) : value;
};

it.each(EXAMPLES)('%s gives %s', (call, given) => {
  const run = new Function(...Object.keys(SCOPE), `return ${call};`) as (...scope: unknown[]) => unknown;
  expect(plain(run(...Object.values(SCOPE)))).toEqual(JSON.parse(given));
});

it('there are examples of the functions that are used most', () => {
  expect(EXAMPLES.length).toBeGreaterThan(11);
});
