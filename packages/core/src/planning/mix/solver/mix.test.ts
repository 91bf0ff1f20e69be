import type { Highs } from 'highs';
import { beforeAll, describe, expect, it } from 'vitest';
import type { MixModel } from '../mix-model.js';
import {
  explainMix,
  findMix,
  gainCurve,
  mixFile,
  mixFileRefusal,
  type MixFindings,
  type MixProgress,
  rankedMixes,
  solveMix,
} from './index.js';
import { loadSolver } from '../highs/index.js';
import { exampleModel } from './mix-examples.js';

let highs: Highs;
beforeAll(async () => {
  highs = await loadSolver();
});

const best = (model: MixModel) => {
  const { status, goal, quantities } = solveMix(highs, model);
  return { status, goal, quantities };
};
const found = (model: MixModel): MixFindings => {
  const last = [...findMix(highs, model)].at(-1);
  if (last === undefined) throw new RangeError('a search always finds something to say');
  return last;
};
const explained = (model: MixModel) => {
  const explanation = explainMix(highs, model);
  if (explanation === null) throw new RangeError('a continuous model was meant');
  return explanation;
};

// Each by hand in the comment: which limits meet at the best mix, and what it brings.
describe('the best mix', () => {
  it('leaves committed wages out of what a unit brings: 100 vases and 70 mugs bring 3,380', () => {
    // 4 x 100 + 3 x 70 = 610 slots; 100 + 35 = 135 of 160 hours; 24 x 100 + 14 x 70 = 3,380.
    const committed = exampleModel(
      [
        { name: 'Vase', gain: 24, uses: [4, 1], most: 100 },
        { name: 'Mug', gain: 14, uses: [3, 0.5], most: 250 },
      ],
      [{ available: 610 }, { available: 160 }],
    );
    expect(best(committed)).toEqual({ status: 'best', goal: 3380, quantities: [100, 70] });
    // With wages of 18 an hour in it a vase brings 6 and a mug 5: another mix, which really brings 24 + 14 x 202 = 2,852.
    const careless = exampleModel(
      [
        { name: 'Vase', gain: 6, uses: [4, 1], most: 100, step: 1 },
        { name: 'Mug', gain: 5, uses: [3, 0.5], most: 250, step: 1 },
      ],
      [{ available: 610 }, { available: 160 }],
    );
    expect(best(careless).quantities).toEqual([1, 202]);
  });

  it('buys overtime at its premium over the wage that a unit holds: 400 becomes 425', () => {
    // A tray brings 12.50 - 0.5 h x 15 = 5; 40 h give 80 trays, 400; ten hours more give 20, less 10 x 7.50 = 25 more.
    const trays = (extra: number, premium: number) =>
      exampleModel([{ name: 'Tray', gain: 5, uses: [0.5] }], [{ available: 40, extra, premium, normalPrice: 15 }]);
    expect(best(trays(0, 0)).goal).toBe(400);
    expect(best(trays(10, 7.5)).goal).toBe(425);
    // Charged in full it is refused, and free of charge it promises too much.
    expect(best(trays(10, 22.5)).goal).toBe(400);
    expect(best(trays(10, 0)).goal).toBe(500);
    const [hours] = explained(trays(0, 0)).resources;
    expect(hours).toMatchObject({ up: 10, down: 10, mostToPay: 25, changes: [{ product: 0, by: 2, together: 10 }] });
  });

  it('pays a set-up only for what is made: the best per hour is left out, and 10 and 100 of the others bring 1,430', () => {
    const withSetUps = exampleModel(
      [
        { name: 'A', gain: 20, uses: [1], setUpCost: 600, setUpUses: [10], most: 60 },
        { name: 'B', gain: 18, uses: [1], setUpCost: 100, setUpUses: [5], most: 80 },
        { name: 'C', gain: 15, uses: [0.8], setUpCost: 150, setUpUses: [5], most: 100 },
      ],
      [{ available: 100 }],
    );
    expect(best(withSetUps)).toEqual({ status: 'best', goal: 1430, quantities: [0, 10, 100] });
    expect(explainMix(highs, withSetUps)).toBeNull();
  });

  it('counts whole units: 1 platter and 3 bowls bring 140 on 23 shelves, one shelf more 10, ten more 60', () => {
    const shelves = (step: number | null) =>
      exampleModel(
        [
          { name: 'Platter', gain: 50, uses: [8], step },
          { name: 'Bowl', gain: 30, uses: [5], step },
        ],
        [{ available: 23 }],
      );
    expect(best(shelves(1))).toEqual({ status: 'best', goal: 140, quantities: [1, 3] });
    expect(found(shelves(1)).gains).toMatchObject([{ of: 'resource', at: 0, left: 0, ofOne: 10, ofTen: 60 }]);
    // Of pieces that can be cut a shelf is worth 50 / 8.
    expect(explained(shelves(null)).resources[0]).toMatchObject({ up: 6.25 });
  });

  it('counts whole batches and minimum lots', () => {
    // Batches of 24 of which 50 fit: 48. A lot of 30 does not fit beside them, so none of the other is made.
    const batches = exampleModel(
      [
        { name: 'Tile', gain: 3, uses: [1], step: 24, least: 30 },
        { name: 'Jug', gain: 2, uses: [1], lot: 30 },
      ],
      [{ available: 50 }],
    );
    expect(best(batches)).toEqual({ status: 'best', goal: 144, quantities: [48, 0] });
  });

  it('holds totals over groups, and finds the least cost of a demand', () => {
    const [a, b] = [
      { name: 'A', gain: 4, uses: [1] },
      { name: 'B', gain: 6, uses: [3] },
    ];
    const demand = exampleModel([a, b], [{ available: 40 }], {
      goal: 'least cost',
      isLeast: true,
      totals: [
        {
          id: 't0',
          name: 'Both',
          rule: 'exactly',
          units: 20,
          stated: 20,
          measure: 'units',
          terms: [
            [0, 1],
            [1, 1],
          ],
        },
        { id: 't1', name: 'B alone', rule: 'at least', units: 5, stated: 5, measure: 'units', terms: [[1, 1]] },
      ],
    });
    // 15 x 4 + 5 x 6 = 90, and 15 + 15 = 30 of 40 used.
    expect(best(demand)).toEqual({ status: 'best', goal: 90, quantities: [15, 5] });
    // One more in all costs a further A; one more of B in place of an A costs 2.
    expect(explained(demand).totals.map(({ up, down }) => [up, down])).toEqual([
      [-4, -4],
      [-2, -2],
    ]);
  });
});

// Bread and cake: oven 2 and 4 of 400, hands 3 and 2 of 360. By hand: 2 x 80 + 4 x 60 = 400, 3 x 80 + 2 x 60 = 360; the duals
// solve 2u + 3v = 6 and 4u + 2v = 10: u = 2.25, v = 0.50. At 720 of the oven cake alone fills it, 4 x 180, and hands too.
const bakery = (oven = 400, gains: readonly [number, number] = [6, 10]) =>
  exampleModel(
    [
      { name: 'Bread', gain: gains[0], uses: [2, 3] },
      { name: 'Cake', gain: gains[1], uses: [4, 2] },
    ],
    [
      { name: 'Oven', available: oven },
      { name: 'Hands', available: 360 },
    ],
  );

describe('the explanation', () => {
  it('values each limit, and says for how much of it', () => {
    expect(best(bakery())).toEqual({ status: 'best', goal: 1080, quantities: [80, 60] });
    const { resources, products, asGood } = explained(bakery());
    expect(resources).toMatchObject([
      { up: 2.25, down: 2.25, ofTen: 22.5, isKink: false, from: 240, until: 720, left: 0 },
      { up: 0.5, down: 0.5, isKink: false, from: 200, until: 600, left: 0 },
    ]);
    // The answer stays while bread brings 5 to 15 and cake 4 to 12: where the two limits have the slope of the goal.
    expect(products.map(({ from, until }) => [from, until])).toEqual([
      [5, 15],
      [4, 12],
    ]);
    expect(asGood).toEqual([]);
    // One more of the oven: a quarter loaf less, three eighths of a cake more.
    expect(resources[0]?.changes).toEqual([
      { product: 0, by: -0.25, each: 6, together: -1.5 },
      { product: 1, by: 0.375, each: 10, together: 3.75 },
    ]);
  });

  it('gives the value up and the value down where the best mix stands at a kink', () => {
    const { resources, products } = explained(bakery(720));
    expect(resources[0]).toMatchObject({ up: 0, down: 2.25, isKink: true });
    expect(products[0]).toMatchObject({ quantity: 0, lacking: 9 });
  });

  it('says which other mixes are as good', () => {
    // Bread at 5 has the slope of the oven: from 80 and 60 to cake alone, 100, all bring 1,000.
    expect(explained(bakery(400, [5, 10])).asGood).toEqual([
      { at: 0, least: 0, most: 80 },
      { at: 1, least: 60, most: 100 },
    ]);
    const twins = exampleModel(
      [
        { name: 'One', gain: 7, uses: [1], step: 1 },
        { name: 'Other', gain: 7, uses: [1], step: 1 },
      ],
      [{ available: 3 }],
    );
    expect(found(twins).asGood).toEqual([
      { at: 0, least: 0, most: 3 },
      { at: 1, least: 0, most: 3 },
    ]);
  });

  it('draws the goal against a resource, kink by kink', () => {
    const points = gainCurve(highs, bakery(), 0);
    // Nothing without an oven; 3 an hour for bread's place up to 240, where hands run short; 2.25 up to 720; then nothing more.
    expect(points.slice(0, 3).map(({ at, value }) => [at, Math.round(value)])).toEqual([
      [0, 0],
      [240, 720],
      [720, 1800],
    ]);
    expect(points.map(({ slope }) => slope)).toEqual([3, 2.25, 0, 0]);
    expect(points.at(-1)?.value).toBe(1800);
  });

  it('values limits that are not used up at nothing, and a maximum at what one more would bring', () => {
    const capped = exampleModel(
      [
        { name: 'A', gain: 9, uses: [1], most: 10 },
        { name: 'B', gain: 4, uses: [1], least: 5 },
      ],
      [{ available: 40 }, { available: 99 }],
    );
    const { resources, products } = explained(capped);
    expect(resources[1]).toMatchObject({ up: 0, down: 0, left: 99 });
    expect(products[0]).toMatchObject({ maximum: { up: 5, down: 5 }, minimum: null });
    const forced = exampleModel(
      [
        { name: 'A', gain: 9, uses: [1] },
        { name: 'B', gain: 4, uses: [1], least: 5 },
      ],
      [{ available: 40 }],
    );
    expect(explained(forced).products[1]).toMatchObject({ maximum: null, minimum: { up: -5, down: -5 } });
  });

  it('ranks by one resource, which is not the best mix where another runs out', () => {
    // By the oven bread leads, 3 against 2.50: 120 loaves take all hands and bring 720. By hands cake leads: 100 bring 1,000.
    expect(rankedMixes(bakery())).toMatchObject([
      { quantities: [120, 0], goal: 720, ranOut: [1], broken: [] },
      { quantities: [0, 100], goal: 1000, ranOut: [0], broken: [] },
    ]);
  });
});

// Textbook problems, from memory; results recomputed from the inputs by hand.
describe('published problems', () => {
  // Hillier & Lieberman, Introduction to Operations Research (Wyndor Glass): doors 3, windows 5; plants 4, 12 and 18 hours.
  // 2 doors and 6 windows bring 36; plant 2 is worth 1.50 from 6 to 18 hours, plant 3 is worth 1 from 12 to 24, plant 1 nothing.
  it('of glass: optimum, shadow prices and both kinds of range', () => {
    const glass = exampleModel(
      [
        { name: 'Door', gain: 3, uses: [1, 0, 3] },
        { name: 'Window', gain: 5, uses: [0, 2, 2] },
      ],
      [{ available: 4 }, { available: 12 }, { available: 18 }],
    );
    expect(best(glass)).toEqual({ status: 'best', goal: 36, quantities: [2, 6] });
    const { resources, products } = explained(glass);
    expect(resources).toMatchObject([
      { up: 0, down: 0, left: 2 },
      { up: 1.5, down: 1.5, from: 6, until: 18 },
      { up: 1, down: 1, from: 12, until: 24 },
    ]);
    expect(products).toMatchObject([
      { from: 0, until: 7.5 },
      { from: 2, until: null },
    ]);
  });

  // Winston, Operations Research (Dakota Furniture): desk 60, table 30, chair 20; lumber 48, finishing 20, carpentry 8; at most 5
  // tables. 2 desks and 8 chairs bring 280; a table would have to bring 5 more; finishing and carpentry are worth 10 each.
  it('of furniture: a reduced cost beside the shadow prices', () => {
    const furniture = exampleModel(
      [
        { name: 'Desk', gain: 60, uses: [8, 4, 2] },
        { name: 'Table', gain: 30, uses: [6, 2, 1.5], most: 5 },
        { name: 'Chair', gain: 20, uses: [1, 1.5, 0.5] },
      ],
      [{ available: 48 }, { available: 20 }, { available: 8 }],
    );
    expect(best(furniture)).toEqual({ status: 'best', goal: 280, quantities: [2, 0, 8] });
    const { resources, products } = explained(furniture);
    expect(resources).toMatchObject([
      { up: 0, left: 24 },
      { up: 10, from: 16, until: 24 },
      { up: 10, from: 6.666666667, until: 10 },
    ]);
    expect(products).toMatchObject([
      { from: 56, until: 80 },
      { until: 35, lacking: 5 },
      { from: 15, until: 22.5 },
    ]);
  });
});

describe('where there is no best mix', () => {
  it('names a smallest set of limits that contradict each other', () => {
    const model = exampleModel(
      [
        { name: 'A', gain: 1, uses: [2], least: 10, most: 50 },
        { name: 'B', gain: 1, uses: [1], least: 5 },
        { name: 'C', gain: 1, uses: [0, 1], least: 1 },
      ],
      [{ available: 20 }, { available: 5 }],
    );
    const { status, contradiction } = solveMix(highs, model);
    expect(status).toBe('infeasible');
    // 2 x 10 + 5 = 25 of 20; the rest of the limits has no part in it.
    expect(contradiction).toEqual([
      { of: 'least', at: 0 },
      { of: 'least', at: 1 },
      { of: 'resource', at: 0 },
    ]);
  });

  it('names what whole batches contradict', () => {
    const model = exampleModel([{ name: 'A', gain: 1, uses: [], step: 24, least: 30, most: 40 }], []);
    const { status, contradiction } = solveMix(highs, model);
    expect(status).toBe('infeasible');
    expect(contradiction.map(({ of }) => of)).toEqual(['least', 'most', 'whole']);
  });

  it('names the products that nothing limits', () => {
    const model = exampleModel(
      [
        { name: 'A', gain: 1, uses: [] },
        { name: 'B', gain: 1, uses: [1] },
        { name: 'C', gain: -1, uses: [] },
      ],
      [{ available: 3 }],
    );
    expect(solveMix(highs, model)).toMatchObject({ status: 'unlimited', unlimited: [0] });
  });

  it('says that there is no product', () => {
    expect(solveMix(highs, exampleModel([], [{ available: 3 }])).status).toBe('no products');
  });

  it('makes nothing where nothing brings anything, or nothing is there', () => {
    expect(best(exampleModel([{ name: 'A', gain: 0, uses: [0] }], [{ available: 0 }]))).toMatchObject({
      status: 'best',
      goal: 0,
    });
    expect(best(exampleModel([{ name: 'A', gain: 5, uses: [1] }], [{ available: 0 }]))).toEqual({
      status: 'best',
      goal: 0,
      quantities: [0],
    });
  });

  it('takes coefficients from a billionth to a billion', () => {
    const model = exampleModel(
      [
        { name: 'Grain', gain: 1e-9, uses: [1e-9, 0], most: 1e9 },
        { name: 'Ship', gain: 1e9, uses: [0, 1e9] },
      ],
      [{ available: 0.5 }, { available: 2e9 }],
    );
    expect(best(model).quantities).toEqual([5e8, 2]);
  });
});

describe('the files of a model', () => {
  const model = exampleModel(
    [
      { name: 'Müsli, 500 g', gain: 3, uses: [2], step: 1, setUpCost: 4 },
      { name: 'Müsli: 500 g', gain: 2, uses: [1], lot: 2 },
      { name: '3 in 1', gain: 1, uses: [1] },
    ],
    [{ name: 'Hands', available: 9, extra: 2, premium: 0.5 }],
  );

  it('bear plain names of their own, with the true ones in comments', () => {
    const lp = mixFile(model, 'lp');
    expect(lp).toContain('\\ x1_Musli_500_g: quantity of Müsli, 500 g');
    expect(lp).toMatch(/ 2 x2_Musli_500_g|x1_Musli_500_g/);
    expect(lp).toContain('x3_3_in_1');
    const mps = mixFile(model, 'mps');
    expect(mps).not.toContain('OBJSENSE');
    expect(mps).toContain('* The least of the negative of the goal is looked for');
    for (const line of mps.split('\n').filter((each) => !each.startsWith('*'))) expect(line).toMatch(/^[ -~]{0,61}$/);
  });

  it('are refused with a sentence where there is no goal, no limit or no product', () => {
    const sentence = (refused: MixModel) => mixFileRefusal(refused) ?? '';
    expect(sentence(exampleModel([], [{ available: 1 }]))).toMatch(/no product/);
    expect(sentence(exampleModel([{ name: 'A', gain: 0, uses: [1] }], [{ available: 1 }]))).toMatch(/without a goal/);
    const unlimited = exampleModel([{ name: 'A', gain: 1, uses: [0], most: 4 }], [{ available: 1 }]);
    expect(sentence(unlimited)).toMatch(/Nothing runs short/);
    expect(() => mixFile(unlimited, 'lp')).toThrow(sentence(unlimited));
    expect(mixFileRefusal(model)).toBeNull();
  });
});

it('tells what it has found on the way, and what no mix can beat', () => {
  const model = exampleModel(
    Array.from({ length: 12 }, (_each, at) => ({
      name: `P${at}`,
      gain: 7 + ((at * 5) % 11),
      uses: [2 + (at % 3), 1 + (at % 4)],
      step: 1,
      setUpCost: 20 + at,
      most: 9,
    })),
    [{ available: 101 }, { available: 77 }],
  );
  const told: MixProgress[] = [];
  const { goal, status } = solveMix(highs, model, { onProgress: (progress) => told.push(progress) });
  expect(status).toBe('best');
  expect(told.length).toBeGreaterThan(0);
  for (const { goal: found, bound, quantities } of told) {
    expect(found ?? 0).toBeLessThanOrEqual(goal + 1e-6);
    expect(bound ?? Number.POSITIVE_INFINITY).toBeGreaterThanOrEqual(goal - 1e-6);
    expect(quantities).toHaveLength(12);
  }
  expect(told.at(-1)?.goal).toBeCloseTo(goal, 6);
});

describe('what more of a limit brings', () => {
  it('follows into the bounds of set-ups: one more hour brings 10, ten more 100', () => {
    // 20 h make 20: 200 less the set-up of 50; each hour makes one more.
    const one = exampleModel([{ name: 'A', gain: 10, uses: [1], setUpCost: 50 }], [{ available: 20 }]);
    expect(found(one)).toMatchObject({ answer: { goal: 150 }, gains: [{ left: 0, ofOne: 10, ofTen: 100 }] });
  });

  it('is solved again for a maximum: a bench more that has no oak brings nothing, one less costs 30', () => {
    // 80 oak make 40 benches of 2, and 40 is all that can be sold.
    const bench = exampleModel([{ name: 'Bench', gain: 30, uses: [2], most: 40 }], [{ name: 'Oak', available: 80 }]);
    const { products, resources } = explained(bench);
    expect(products[0]).toMatchObject({ maximum: { up: 0, down: 30, isKink: true } });
    expect(resources[0]).toMatchObject({ up: 0, down: 15 });
  });

  it('says that no mix fits with one less of what only just suffices', () => {
    const bound = exampleModel([{ name: 'A', gain: 4, uses: [2], least: 10 }], [{ available: 20 }]);
    const [hours] = explained(bound).resources;
    expect(hours).toMatchObject({ up: 2, down: null, fitsFrom: 20 });
    expect(explained(bound).products[0]).toMatchObject({ minimum: { up: null } });
  });

  it('has no end of its range where no mix fits beyond it, and is told near zero', () => {
    // 10 have to be made, of 2 h each: with less than 20 h none fit; up to 1,000 h another is worth 2 an hour.
    const from = exampleModel([{ name: 'A', gain: 4, uses: [2], least: 10, most: 500 }], [{ available: 40 }]);
    expect(explained(from).resources[0]).toMatchObject({ from: null, fitsFrom: 20, until: 1000, fitsUntil: null });
    const small = exampleModel([{ name: 'A', gain: 1, uses: [1e-6], most: 3 }], [{ available: 2e-6 }]);
    expect(explained(small).resources[0]).toMatchObject({ up: 1e6, down: 1e6, until: 3e-6, left: 0 });
  });

  it('is told of a total of exactly so many, where that is all there is', () => {
    const exactly = exampleModel(
      [
        { name: 'A', gain: 4, uses: [], step: 1 },
        { name: 'B', gain: 3, uses: [], step: 1 },
      ],
      [],
      {
        totals: [
          {
            ...{ id: 't', name: 'Both', rule: 'exactly', units: 5, stated: 5, measure: 'units' },
            terms: [
              [0, 1],
              [1, 1],
            ],
          },
        ],
      },
    );
    expect(found(exactly)).toMatchObject({ answer: { goal: 20 }, gains: [{ of: 'total', ofOne: 4, ofTen: null }] });
  });

  it('is not known where the best is not proven, and is never noise', () => {
    const rough = exampleModel(
      Array.from({ length: 30 }, (_each, at) => ({
        name: `P${at}`,
        gain: 11 + ((at * 7) % 13),
        uses: [3 + (at % 5), 2 + (at % 7)],
        step: 1,
        most: 9,
        setUpCost: 31 + at,
      })),
      [{ available: 301 }, { available: 277 }],
      { gapPercent: 5 },
    );
    const { answer, gains } = found(rough);
    const exact = solveMix(highs, { ...rough, gapPercent: 0 });
    expect(answer.goal).toBeLessThanOrEqual(exact.goal + 1e-6);
    for (const { of, at, ofOne } of gains) {
      if (of !== 'resource' || ofOne === 'not known') continue;
      const eased = rough.resources.map((each, index) =>
        index === at ? { ...each, available: each.available + 1 } : each,
      );
      expect(ofOne).toBeCloseTo(solveMix(highs, { ...rough, gapPercent: 0, resources: eased }).goal - exact.goal, 4);
    }
  });
});

describe('extra and totals', () => {
  it('uses extra that is cheaper than the normal supply first, and only what is used', () => {
    // A tray takes 1 h and brings 5; 10 h are there, 4 more are cheaper by 2: 14 x 5 + 4 x 2.
    const cheap = (most: number | null) =>
      exampleModel([{ name: 'Tray', gain: 5, uses: [1], most }], [{ available: 10, extra: 4, premium: -2 }]);
    expect(best(cheap(null))).toEqual({ status: 'best', goal: 78, quantities: [14] });
    // Of 3 trays only 3 h are had: not all the four that are cheaper.
    expect(best(cheap(3))).toEqual({ status: 'best', goal: 21, quantities: [3] });
  });

  it('takes fixed costs off the goal', () => {
    const fixed = exampleModel([{ name: 'A', gain: 5, uses: [1] }], [{ available: 10 }], { fixed: 20 });
    expect(best(fixed).goal).toBe(30);
    expect(explained(fixed)).toMatchObject({ resources: [{ up: 5, ofTen: 50 }] });
  });

  it('counts one product against another: as many cups as saucers, and at most 40 % of all', () => {
    const set = (terms: readonly (readonly [number, number])[], rule: 'at most' | 'at least') =>
      exampleModel(
        [
          { name: 'Cup', gain: 6, uses: [1] },
          { name: 'Saucer', gain: 2, uses: [1] },
        ],
        [{ available: 30 }],
        { totals: [{ id: 't', name: 'T', rule, units: 0, stated: 0, measure: 'units', terms }] },
      );
    // Saucers less cups at least 0: 15 of each.
    const asMany = set(
      [
        [1, 1],
        [0, -1],
      ],
      'at least',
    );
    expect(best(asMany)).toEqual({ status: 'best', goal: 120, quantities: [15, 15] });
    // 0.6 of a cup less 0.4 of a saucer at most 0: 12 of 30.
    const share = set(
      [
        [0, 0.6],
        [1, -0.4],
      ],
      'at most',
    );
    expect(best(share)).toEqual({ status: 'best', goal: expect.closeTo(108, 9) as number, quantities: [12, 18] });
    // Cups use nothing: saucers are what limits them.
    const free = exampleModel(
      [
        { name: 'Cup', gain: 6, uses: [0] },
        { name: 'Saucer', gain: 2, uses: [1] },
      ],
      [{ available: 30 }],
      { totals: asMany.totals },
    );
    expect(best(free)).toEqual({ status: 'best', goal: 240, quantities: [30, 30] });
  });

  it('says of a plan in which nothing fits also what nothing limits', () => {
    const both = exampleModel(
      [
        { name: 'A', gain: 1, uses: [0] },
        { name: 'B', gain: 1, uses: [2], least: 10 },
      ],
      [{ available: 5 }],
    );
    expect(solveMix(highs, both)).toMatchObject({
      status: 'infeasible',
      unlimited: [0],
      contradiction: [
        { of: 'least', at: 1 },
        { of: 'resource', at: 0 },
      ],
    });
  });
});

it('makes components of components, and knows what limits them', () => {
  // A box takes a lid, a lid a knob, a knob an hour: 2 lids and 1 knob are there, and 10 h: 13 boxes.
  const nested = exampleModel(
    [{ name: 'Box', gain: 1, uses: [1, 0, 0] }],
    [
      { name: 'Lid', available: 2, making: [{ resource: 1, perUnit: 1 }] },
      { name: 'Knob', available: 1, making: [{ resource: 2, perUnit: 1 }] },
      { name: 'Hours', available: 10 },
    ],
  );
  expect(best(nested)).toEqual({ status: 'best', goal: 13, quantities: [13] });
  expect(rankedMixes(nested)[0]).toMatchObject({ quantities: [expect.closeTo(13, 6)], broken: [] });
});

describe('the ranking', () => {
  it('makes whole lots and what totals ask for, and says which limits it cannot keep to', () => {
    const lots = exampleModel(
      [
        { name: 'A', gain: 9, uses: [1], lot: 8, most: 20, step: 1 },
        { name: 'B', gain: 5, uses: [1], least: 3 },
      ],
      [{ available: 10 }],
      { totals: [{ id: 't', name: 'Both', rule: 'at least', units: 6, stated: 6, measure: 'units', terms: [[1, 1]] }] },
    );
    // 6 of B by the total; 4 h left are less than the lot of A.
    expect(rankedMixes(lots)).toMatchObject([{ quantities: [0, 10], goal: 50, broken: [] }]);
    const tight = { ...lots, resources: lots.resources.map((each) => ({ ...each, available: 5 })) };
    expect(rankedMixes(tight)[0]?.broken).toEqual([{ of: 'total', at: 0 }]);
  });

  it('makes nothing whose set-up it does not earn, and buys no extra above what it brings', () => {
    const dear = exampleModel(
      [
        { name: 'A', gain: 2, uses: [1], setUpCost: 30 },
        { name: 'B', gain: 1, uses: [1] },
      ],
      [{ available: 10, extra: 5, premium: 3 }],
    );
    expect(rankedMixes(dear)).toMatchObject([{ quantities: [0, 10], goal: 10 }]);
  });
});
