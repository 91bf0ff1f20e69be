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

  it('is what counting all whole mixes says, with products that share a set-up', () => {
    const product = fc.record({
      gain: fc.integer({ min: -3, max: 12 }),
      use: fc.integer({ min: 1, max: 5 }),
      most: fc.integer({ min: 0, max: 5 }),
      setUpCost: fc.constantFrom(0, 4, 15),
      setUpUse: fc.constantFrom(0, 0, 3),
      isWithFirst: fc.boolean(),
    });
    const hours = fc.integer({ min: -15, max: 15 });
    fc.assert(
      fc.property(
        fc.array(product, { minLength: 1, maxLength: 3 }),
        fc.nat({ max: 25 }),
        hours,
        (made, available, more) => {
          const headOf = (index: number) => (made[index]?.isWithFirst === true ? 0 : index);
          const model = exampleModel(
            made.map(({ use, setUpUse, setUpCost, gain, most }, index) => ({
              name: `P${index}`,
              gain,
              most,
              uses: [use],
              step: 1,
              setUpWith: headOf(index),
              ...(headOf(index) === index ? { setUpCost, setUpUses: [setUpUse] } : {}),
            })),
            [{ available }],
          );
          const best = (limit: number) => {
            let most = Number.NEGATIVE_INFINITY;
            const judge = (quantities: readonly number[]): void => {
              const heads = new Set(quantities.flatMap((units, index) => (units > 0 ? [headOf(index)] : [])));
              const over = (of: (index: number) => number) => [...heads].reduce((so, head) => so + of(head), 0);
              const used = quantities.reduce((so, units, index) => so + units * (made[index]?.use ?? 0), 0);
              const gained = quantities.reduce((so, units, index) => so + units * (made[index]?.gain ?? 0), 0);
              if (used + over((head) => made[head]?.setUpUse ?? 0) > limit) return;
              most = Math.max(most, gained - over((head) => made[head]?.setUpCost ?? 0));
            };
            const count = (quantities: readonly number[]): void => {
              const each = made[quantities.length];
              if (each === undefined) return judge(quantities);
              for (let units = 0; units <= each.most; units += 1) count([...quantities, units]);
            };
            count([]);
            return most;
          };
          const found = worth(model, 0, more);
          if (available + more < 0) expect(found).toEqual({ said: 'nothing fits' });
          else expect(found).toMatchObject({ said: 'worth', change: best(available + more) - best(available) });
        },
      ),
      { numRuns: 80 },
    );
  });
});
