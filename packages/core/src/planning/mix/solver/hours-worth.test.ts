import fc from 'fast-check';
import type { Highs } from 'highs';
import { beforeAll, describe, expect, it } from 'vitest';
import { loadSolver } from '../highs/index.js';
import { exampleModel } from './mix-examples.js';
import { worthOfHours } from './index.js';

let highs: Highs;
beforeAll(async () => {
  highs = await loadSolver();
});

const worth = (...[model, at, hours]: [Parameters<typeof worthOfHours>[1], number, number]) =>
  worthOfHours(highs, model, at, hours);

describe('what hours are worth in a best mix', () => {
  // 10 a unit, an hour each, a set-up of 50.00, 20 h: each hour more brings 10.
  const bench = exampleModel([{ name: 'Mug', gain: 10, uses: [1], setUpCost: 50 }], [{ available: 20 }]);

  it('is found with them and without them, set-ups included', () => {
    expect(worth(bench, 0, 10)).toEqual({ said: 'worth', change: 100, perHour: '10' });
    expect(worth(bench, 0, -4)).toEqual({ said: 'worth', change: -40, perHour: '10' });
    // Without 18 h the set-up does not pay any more: 150 are lost, and no more.
    expect(worth(bench, 0, -18)).toEqual({ said: 'worth', change: -150, perHour: '8.3333' });
    expect(worth(bench, 0, 0)).toEqual({ said: 'worth', change: 0, perHour: '0' });
  });

  it('is nothing where hours are to spare', () => {
    const spare = exampleModel([{ name: 'Mug', gain: 10, uses: [1], most: 8 }], [{ available: 20 }]);
    expect(worth(spare, 0, 5)).toEqual({ said: 'worth', change: 0, perHour: '0' });
    expect(worth(spare, 0, -14)).toEqual({ said: 'worth', change: -20, perHour: '1.4286' });
  });

  it('has no price where nothing fits without them, or the goal is no money', () => {
    const least = exampleModel([{ name: 'Mug', gain: 10, uses: [1], least: 18 }], [{ available: 20 }]);
    expect(worth(least, 0, -3)).toEqual({ said: 'nothing fits' });
    expect(worth(bench, 0, -21)).toEqual({ said: 'nothing fits' });
    expect(worth({ ...bench, goal: 'units' }, 0, 1)).toEqual({ said: 'no money' });
    expect(worth({ ...bench, goal: 'revenue' }, 0, 1)).toEqual({ said: 'no money' });
  });

  it('is proven, whatever gap the plan allows', () => {
    expect(worth({ ...bench, gapPercent: 60 }, 0, 1)).toEqual({ said: 'worth', change: 10, perHour: '10' });
  });

  it('is what counting all whole mixes says', () => {
    const product = fc.record({
      gain: fc.integer({ min: -3, max: 12 }),
      use: fc.integer({ min: 1, max: 5 }),
      most: fc.integer({ min: 0, max: 5 }),
      setUpCost: fc.constantFrom(0, 4, 15),
    });
    const hours = fc.integer({ min: -15, max: 15 });
    fc.assert(
      fc.property(
        fc.array(product, { minLength: 1, maxLength: 3 }),
        fc.nat({ max: 25 }),
        hours,
        (made, available, more) => {
          const model = exampleModel(
            made.map(({ use, ...each }, index) => ({ ...each, name: `P${index}`, uses: [use], step: 1 })),
            [{ available }],
          );
          const best = (limit: number) => {
            let most = Number.NEGATIVE_INFINITY;
            const count = (at: number, used: number, gain: number): void => {
              const each = made[at];
              if (used > limit) return;
              if (each === undefined) most = Math.max(most, gain);
              else
                for (let units = 0; units <= each.most; units += 1)
                  count(at + 1, used + units * each.use, gain + units * each.gain - (units > 0 ? each.setUpCost : 0));
            };
            count(0, 0, 0);
            return most;
          };
          const found = worth(model, 0, more);
          if (available + more < 0) expect(found).toEqual({ said: 'nothing fits' });
          else expect(found).toMatchObject({ said: 'worth', change: best(available + more) - best(available) });
        },
      ),
      { numRuns: 60 },
    );
  });
});
