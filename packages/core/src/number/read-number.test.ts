import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { type DecimalSign, readNumber } from './read-number.js';

describe('readNumber', () => {
  it.each<[typed: string, sign: DecimalSign, value: string, unit?: string]>([
    ['12,50', '.', '12.50'],
    ['12.50', ',', '12.50'],
    ['1 200', '.', '1200'],
    ["1'200.75", '.', '1200.75'],
    ['1.234,56', ',', '1234.56'],
    ['1,234.56', ',', '1234.56'],
    ['1,234', '.', '1234'],
    ['1,234', ',', '1.234'],
    ['1.234.567', ',', '1234567'],
    ['0,1255', '.', '0.1255'],
    ['.5', '.', '0.5'],
    ['-3', '.', '-3'],
    ['3/4', '.', '0.75'],
    ['18.90/24', '.', '0.7875'],
    ['3 x 0.5', '.', '1.5'],
    ['1/3', '.', '0.333333333333'],
    ['2 1/2', '.', '2.5'],
    ['2-1/2', '.', '2.5'],
    ['2½', '.', '2.5'],
    ['½', ',', '0.5'],
    ['-2 1/2', '.', '-2.5'],
    ['€ 2 1/2', '.', '2.5'],
    ['2 1/8', ',', '2.125'],
    ['1 1/3', '.', '1.333333333333'],
    ['1 3/4 kg', '.', '1.75', 'kg'],
    ['1⅛ kg', ',', '1.125', 'kg'],
    ['10 11/16', '.', '10.6875'],
    ['1 200/24', '.', '50'],
    ['1 200 / 24', '.', '50'],
    ['12 500 000,75', ',', '12500000.75'],
    ['€ 12', '.', '12'],
    ['15%', '.', '15'],
    ['450 g', '.', '450', 'g'],
    ['2 kilos', '.', '2', 'kg'],
    ['2 h 30', '.', '150', 'min'],
    ['1:45', '.', '105', 'min'],
    ['1,5 h', ',', '90', 'min'],
    ['90 s', '.', '1.5', 'min'],
    ['45 sec', '.', '0.75', 'min'],
    ['2 min 30 s', '.', '2.5', 'min'],
    ['2 min 30', '.', '2.5', 'min'],
    ['7,5 seconds', ',', '0.125', 'min'],
  ])('reads %s (decimal sign %s) as %s', (typed, sign, value, unit) => {
    expect(readNumber(typed, sign)).toMatchObject({ value, unit: unit ?? null });
  });

  it.each([
    '',
    'abc',
    '1.2.3',
    '1.2,3.4',
    '12,34,5',
    '1/0',
    '--2',
    '5 furlongs',
    '1e5',
    'NaN',
    'Infinity',
    '-',
    '.',
    '1 2',
    '12 34',
    '1200 000',
    '1 23 456',
    '2 5/4',
    '2 1/0',
    '1 2 3/4',
    "1'2",
  ])('refuses %s', (typed) => {
    expect(readNumber(typed, '.')).toBeNull();
  });

  it('reads back whatever a country writes, grouped or not', () => {
    const locales: [string, DecimalSign][] = [
      ['en-IE', '.'],
      ['de-DE', ','],
      ['fr-FR', ','],
      ['de-CH', '.'],
    ];
    fc.assert(
      fc.property(
        fc.integer({ min: -99_999_999, max: 99_999_999 }),
        fc.constantFrom(...locales),
        fc.boolean(),
        (cents, [locale, sign], useGrouping) => {
          const written = new Intl.NumberFormat(locale, { minimumFractionDigits: 2, useGrouping }).format(cents / 100);
          expect(Number(readNumber(written.replace('’', "'"), sign)?.value)).toBe(cents / 100);
        },
      ),
    );
  });
});
