import { unitNamed } from '@nuvar/book';
import { describe, expect, it } from 'vitest';
import { readPower } from './read-power.js';
import { readQuantity } from './read-quantity.js';

const inUS = (word: string) => (word === 'slices' ? 'slices' : unitNamed(word, 'US'));

describe('a quantity', () => {
  it.each([
    ['450 g', '450', 'g'],
    ['12 x 500 ml', '6000', 'ml'],
    ['3/4 cup', '0.75', 'US cup'],
    ['1 3/4 cup', '1.75', 'US cup'],
    ['2½ cup', '2.5', 'US cup'],
    ['2-1/2 cup', '2.5', 'US cup'],
    ['1,5 KG', '1.5', 'kg'],
    ['2 slices', '2', 'slices'],
    ['1 h 30', '90', 'min'],
    ['1 200', '1200', null],
    ['15 %', '15', null],
    ['12 EUR', '12', null],
  ])('%s is %s, in %s', (typed, value, unit) => {
    expect(readQuantity(typed, '.', inUS)).toEqual({ value, unit });
  });

  it('gives a word back that names no unit, and is none where there is no number', () => {
    expect(readQuantity('3 big trays', '.', inUS)).toEqual({ value: '3', unknownUnit: 'big trays' });
    for (const text of ['', 'slices', 'a few slices', '1.2.3 g', '/ g'])
      expect(readQuantity(text, '.', inUS)).toBeNull();
  });
});

describe('a power', () => {
  // 1 hp = 745.6999 W and 1 metric hp = 735.4988 W: NIST SP 811 (2008), appendix B.8.
  it.each([
    ['115 W', '0.115'],
    ['1.5', '1.5'],
    ['2 kw', '2'],
    ['3/4 hp', '0.559274903687'],
    ['1 PS', '0.73549875'],
  ])('of %s is %s kW', (typed, kilowatts) => {
    expect(readPower(typed, '.')).toBe(kilowatts);
  });

  it('is none in another unit, or without a number', () => {
    for (const text of ['115 V', '5 kg', 'W', '', '10 %']) expect(readPower(text, '.')).toBeNull();
  });
});
