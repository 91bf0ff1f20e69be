import fc from 'fast-check';
import { expect, it } from 'vitest';
import { Decimal, decimal } from './decimal.js';

it('a text gives the decimal that it says, the same one each time, also when more texts have come than are remembered', () => {
  const texts = fc.array(fc.bigInt({ min: -(10n ** 20n), max: 10n ** 20n }), { minLength: 1, maxLength: 50 });
  const read = (text: string) => {
    expect(decimal(text).eq(new Decimal(text))).toBe(true);
    expect(decimal(text)).toBe(decimal(text));
  };
  read('12.50');
  for (let number = 0; number < 45_000; number += 1) decimal(`${number}.125`);
  read('12.50');
  expect(decimal('44999.125').toFixed()).toBe('44999.125');
  fc.assert(fc.property(texts, (numbers) => numbers.forEach((each) => read(`${each}.5`))));
});
