import fc from 'fast-check';
import { expect, it } from 'vitest';
import { constant } from '../../figure/index.js';
import { unit } from '../../quantity/index.js';
import { fitsWithin } from './parcel.js';

const lengths = fc.array(fc.integer({ min: 1, max: 9 }), { minLength: 3, maxLength: 3 });
const figures = (amounts: readonly number[]) =>
  amounts.map((amount) => constant('Length', String(amount), unit('cm'), 'an example'));

it('a parcel fits where it can be turned so that each side lies within a limit, in whatever order they are typed', () => {
  fc.assert(
    fc.property(lengths, lengths, (sides, limits) => {
      const [a = 0, b = 0, c = 0] = sides;
      const turned = [
        [a, b, c],
        [a, c, b],
        [b, a, c],
        [b, c, a],
        [c, a, b],
        [c, b, a],
      ];
      const fits = turned.some((way) => way.every((side, place) => side <= (limits[place] ?? 0)));
      expect(fitsWithin(figures(sides), figures(limits))).toBe(fits);
    }),
    { numRuns: 300 },
  );
});
