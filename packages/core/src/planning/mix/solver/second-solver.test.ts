import { execFileSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import fc from 'fast-check';
import type { Highs } from 'highs';
import { afterAll, beforeAll, expect, it } from 'vitest';
import type { MixModel } from '../mix-model.js';
import { explainMix, mixFile, solveMix } from './index.js';
import { loadSolver } from '../highs/index.js';
import { exampleModel } from './mix-examples.js';

// The second solver is GLPK's glpsol, from Debian's packages; it reads the LP file that a person would export.
let highs: Highs;
let folder: string;
beforeAll(async () => {
  highs = await loadSolver();
  folder = mkdtempSync(join(tmpdir(), 'mix-'));
});
afterAll(() => rmSync(folder, { recursive: true }));

/** What glpsol finds for the LP file of a model; null where it says that nothing fits. */
function bySecondSolver(model: MixModel): number | null {
  const [lp, out] = [join(folder, 'model.lp'), join(folder, 'model.out')];
  writeFileSync(lp, mixFile(highs, model, 'lp'));
  execFileSync('glpsol', ['--lp', lp, '--output', out, '--mipgap', '0'], { stdio: 'pipe' });
  const report = readFileSync(out, 'utf8');
  if (/Status:\s+(INTEGER )?(EMPTY|UNDEFINED|INFEASIBLE)/.test(report)) return null;
  return Number(/Objective:.*?=\s*(\S+)/.exec(report)?.[1]);
}

const tenths = (least: number, most: number) =>
  fc.integer({ min: least * 10, max: most * 10 }).map((each) => each / 10);

/** Products with limits, and resources that mostly run short; with set-ups and whole numbers, or without. */
const models = (isWhole: boolean) =>
  fc
    .record({
      products: fc.array(
        fc.record({
          gain: tenths(-2, 30),
          uses: fc.array(fc.oneof(fc.constant(0), tenths(0, 8)), { minLength: 4, maxLength: 4 }),
          most: fc.option(fc.integer({ min: 1, max: 40 }), { freq: 4 }),
          least: fc.oneof(
            { weight: 4, arbitrary: fc.constant(0) },
            { weight: 1, arbitrary: fc.integer({ min: 1, max: 4 }) },
          ),
          step: fc.constantFrom(null, 1, 6),
          setUpCost: fc.constantFrom(0, 0, 15, 60),
          setUpUse: fc.constantFrom(0, 0, 5),
          lot: fc.constantFrom(null, null, null, 8),
          isSoldToo: fc.boolean(),
        }),
        { minLength: 1, maxLength: 7 },
      ),
      available: fc.array(tenths(20, 200), { minLength: 1, maxLength: 4 }),
      extra: fc.constantFrom(0, 0, 10),
      premium: tenths(0, 5),
      total: fc.option(
        fc.record({ rule: fc.constantFrom('at most', 'at least', 'exactly'), units: fc.integer({ min: 1, max: 30 }) }),
      ),
      isLeast: fc.boolean(),
    })
    .map(({ products, available, extra, premium, total, isLeast }) =>
      exampleModel(
        products.map(({ setUpUse, uses, least, most, isSoldToo, ...product }, index) => ({
          ...product,
          name: `P${index}`,
          uses,
          most,
          least: most === null ? least : Math.min(least, most),
          ...(isWhole
            ? index > 0 && isSoldToo
              ? // Sold in another channel too: set up with the first of all.
                { setUpWith: 0, lot: null, setUpCost: 0 }
              : { setUpUses: [setUpUse] }
            : { step: null, lot: null, setUpCost: 0 }),
          ...(isLeast ? { gain: Math.abs(product.gain) } : {}),
        })),
        available.map((each, index) => ({ available: each, extra: index === 0 ? extra : 0, premium })),
        {
          isLeast,
          totals:
            total === null
              ? []
              : [
                  {
                    id: 't',
                    name: 'T',
                    rule: total.rule as 'at most',
                    units: total.units,
                    products: products.map((_, at) => at),
                  },
                ],
        },
      ),
    );

it.each([
  ['continuous', false],
  ['whole, with set-ups', true],
])('finds what a second solver finds, of 100 random models that are %s', (_kind, isWhole) => {
  fc.assert(
    fc.property(models(isWhole), (model) => {
      // glpsol takes neither a goal of nothing nor a row of nothing.
      fc.pre(model.products.some(({ gain }) => gain !== 0) && model.uses.length > 0);
      const { status, goal } = solveMix(highs, model);
      if (status === 'unlimited') return;
      const second = bySecondSolver(model);
      if (status === 'infeasible') expect(second).toBeNull();
      else expect(goal).toBeCloseTo(second ?? Number.NaN, 4);
    }),
    { numRuns: 100 },
  );
});

it('never reaches less with more of a resource, and gains what one more was said to be worth', () => {
  fc.assert(
    fc.property(models(false), fc.nat(3), (model, which) => {
      const explanation = explainMix(highs, model);
      if (explanation === null || solveMix(highs, model).status !== 'best') return;
      const at = which % model.resources.length;
      const turn = model.isLeast ? -1 : 1;
      const reached = (more: number) =>
        turn *
        solveMix(highs, {
          ...model,
          resources: model.resources.map((each, index) =>
            index === at ? { ...each, available: each.available + more } : each,
          ),
        }).goal;
      const [now, worth] = [reached(0), explanation.resources[at]];
      expect(reached(1)).toBeGreaterThanOrEqual(now - 1e-6);
      if (worth === undefined) throw new RangeError('every resource has a worth');
      const there = model.resources[at]?.available ?? 0;
      const more = Math.min(1, ((worth.until ?? there + 2) - there) / 2);
      if (more > 1e-3) expect((reached(more) - now) / more).toBeCloseTo(worth.up, 3);
      const less = Math.min(1, (there - (worth.from ?? 0)) / 2);
      if (less > 1e-3) expect((now - reached(-less)) / less).toBeCloseTo(worth.down, 3);
    }),
    { numRuns: 60 },
  );
});
