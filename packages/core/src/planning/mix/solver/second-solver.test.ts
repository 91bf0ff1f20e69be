import { execFileSync, spawnSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import fc from 'fast-check';
import type { Highs } from 'highs';
import { afterAll, beforeAll, expect, it } from 'vitest';
import type { MixModel } from '../mix-model.js';
import { explainMix, findMix, limitsByProduct, mixFile, mixFileRefusal, solveMix } from './index.js';
import { rankedMixes } from './ranked-mix.js';
import { loadSolver } from '../highs/index.js';
import { models } from '../../../testing/random-models.js';

// The second solver is GLPK's glpsol, from Debian's packages; it reads the LP file that a person would export.
let highs: Highs;
let folder: string;
beforeAll(async () => {
  folder = mkdtempSync(join(tmpdir(), 'mix-'));
  for (const program of ['glpsol', 'cbc'])
    if (spawnSync(program, { stdio: 'ignore' }).error !== undefined)
      throw new Error(`${program} is missing: \`npm test\` installs it from Debian's packages.`);
  highs = await loadSolver();
});
afterAll(() => rmSync(folder, { recursive: true }));

/** What a native solver finds for a file of a model, and whether that has fits; null where it says that nothing fits. */
type Reader = (path: string) => number | null;

const glpsol =
  (option: '--lp' | '--mps'): Reader =>
  (path) => {
    const out = join(folder, 'model.out');
    execFileSync('glpsol', [option, path, '--output', out, '--mipgap', '0'], { stdio: 'pipe' });
    const report = readFileSync(out, 'utf8');
    if (/Status:\s+(INTEGER )?(EMPTY|UNDEFINED|INFEASIBLE)/.test(report)) return null;
    return Number(/Objective:.*?=\s*(\S+)/.exec(report)?.[1]);
  };

const cbc: Reader = (path) => {
  const out = join(folder, 'model.sol');
  execFileSync('cbc', [path, 'ratioGap', '0', 'solve', 'solution', out, 'quit'], { stdio: 'pipe' });
  const report = readFileSync(out, 'utf8');
  if (/infeasible/i.test(report.split('\n')[0] ?? '')) return null;
  return Number(/objective value\s+(\S+)/.exec(report)?.[1]);
};

const byHighs =
  (format: 'lp' | 'mps'): Reader =>
  (path) =>
    highs.withModel({ format, data: readFileSync(path, 'utf8') }, (solver) => {
      solver.options.set({ output_flag: false, mip_rel_gap: 0 });
      solver.run();
      const { infeasible, unboundedOrInfeasible } = highs.constants.modelStatus;
      const status = solver.getModelStatus();
      return status === infeasible || status === unboundedOrInfeasible ? null : solver.getObjectiveValue();
    });

function fileOf(model: MixModel, format: 'lp' | 'mps'): string {
  const path = join(folder, `model.${format}`);
  writeFileSync(path, mixFile(model, format));
  return path;
}

const bySecondSolver = (model: MixModel): number | null => glpsol('--lp')(fileOf(model, 'lp'));

it.each([
  ['continuous', false],
  ['whole, with set-ups', true],
])('finds what a second solver finds, of 100 random models that are %s', (_kind, isWhole) => {
  fc.assert(
    fc.property(models(isWhole), (model) => {
      // glpsol takes neither a goal of nothing nor a row of nothing.
      fc.pre(mixFileRefusal(model) === null);
      const { status, goal } = solveMix(highs, model);
      if (status === 'unlimited') return;
      const second = bySecondSolver(model);
      if (status === 'infeasible') expect(second).toBeNull();
      else expect(goal).toBeCloseTo(second ?? Number.NaN, 4);
    }),
    { numRuns: 100 },
  );
});

/** Null where no mix fits with the limit moved. */
const isWorth = (moved: number, said: number | null) => {
  if (said === null) expect(moved).toBeNaN();
  else expect(moved).toBeCloseTo(said, 3);
};

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
      if (more > 1e-3) isWorth((reached(more) - now) / more, worth.up);
      const less = Math.min(1, (there - (worth.from ?? 0)) / 2);
      if (less > 1e-3) isWorth((now - reached(-less)) / less, worth.down);
    }),
    { numRuns: 60 },
  );
});

it('writes files that three solvers read to the same optimum, of 200 random models', () => {
  const words = ['free', 'st', 'End', 'inf', 'bounds', 'Größe, 3 €', 'e1', '*', 'x'.repeat(300)];
  fc.assert(
    fc.property(fc.boolean().chain(models), (drawn) => {
      const model: MixModel = {
        ...drawn,
        products: drawn.products.map((each, at) => ({ ...each, name: words[at % words.length] ?? '' })),
        resources: drawn.resources.map((each, at) => ({ ...each, name: words[(at + 3) % words.length] ?? '' })),
      };
      fc.pre(mixFileRefusal(model) === null);
      const { status, goal } = solveMix(highs, model);
      if (status !== 'best' && status !== 'infeasible') return;
      const wanted = status === 'infeasible' ? null : goal;
      const [lp, mps] = [fileOf(model, 'lp'), fileOf(model, 'mps')];
      // An MPS file holds the least of the negative of what is looked for at most; cbc turns a maximum so too.
      const turn = model.isLeast ? 1 : -1;
      const found = [glpsol('--lp')(lp), byHighs('lp')(lp), cbc(lp)].map((each) =>
        each === null ? null : Math.abs(each),
      );
      const foundMps = [glpsol('--mps')(mps), byHighs('mps')(mps), cbc(mps)].map((each) => each && each * turn);
      for (const each of found) expectGoal(each, wanted === null ? null : Math.abs(wanted));
      for (const each of foundMps) expectGoal(each, wanted);
    }),
    { numRuns: 200 },
  );
}, 300_000);

function expectGoal(found: number | null, wanted: number | null): void {
  if (wanted === null) expect(found).toBeNull();
  else expect(found).toBeCloseTo(wanted, 4);
}

const eased = (model: MixModel, of: 'resource' | 'most' | 'least' | 'total', at: number, by: number): MixModel => {
  const moved = <Row>(rows: readonly Row[], kind: typeof of | 'product', change: (row: Row) => Row) =>
    rows.map((row, index) => (index === at && kind === of ? change(row) : row));
  return {
    ...model,
    gapPercent: 0,
    resources: moved(model.resources, 'resource', (row) => ({ ...row, available: row.available + by })),
    totals: moved(model.totals, 'total', (row) => ({ ...row, units: row.units + by })),
    products: moved(
      moved(model.products, 'most', (row) => ({ ...row, most: (row.most ?? 0) + by })),
      'least',
      (row) => ({ ...row, least: row.least + by }),
    ),
  };
};

it('says of whole plans what solving afresh finds, and ranks never above the best, of 60 random models', () => {
  fc.assert(
    fc.property(models(true), fc.constantFrom(0, 10), (drawn, gapPercent) => {
      const model = { ...drawn, gapPercent };
      const findings = [...findMix(highs, model)].at(-1);
      if (findings?.answer.status !== 'best') return;
      const exact = solveMix(highs, { ...model, gapPercent: 0 });
      const turn = model.isLeast ? -1 : 1;
      for (const { of, at, step, ofOne, ofTen } of findings.gains) {
        const asked = [ofOne, ...(ofTen === null ? [] : [ofTen])];
        asked.forEach((said, index) => {
          const then = solveMix(highs, eased(model, of, at, index === 0 ? step : 10));
          if (then.status === 'infeasible') expect(said).toBe('no mix fits');
          else expect(said).toBeCloseTo(turn * (then.goal - exact.goal), 3);
        });
      }
      expect(findings.gains).toHaveLength(new Set(findings.gains.map(({ of, at }) => `${of}.${at}`)).size);
      for (const { goal, broken } of rankedMixes(model))
        if (broken.length === 0) expect(turn * (exact.goal - goal)).toBeGreaterThanOrEqual(-1e-6);
    }),
    { numRuns: 60 },
  );
}, 300_000);

it('values the own limits of products by what solving afresh finds, of 100 random models', () => {
  fc.assert(
    fc.property(models(false), (model) => {
      const explanation = explainMix(highs, model);
      if (explanation === null) return;
      const turn = model.isLeast ? -1 : 1;
      const goalAt = (of: 'most' | 'least', at: number, by: number) => {
        const { status, goal } = solveMix(highs, eased(model, of, at, by));
        return status === 'infeasible' ? null : turn * goal;
      };
      for (const { at, maximum, minimum } of explanation.products)
        for (const worth of [maximum, minimum]) {
          if (worth === null) continue;
          const of = worth.of as 'most' | 'least';
          const now = goalAt(of, at, 0) ?? Number.NaN;
          const by = 1e-3;
          const [more, less] = [goalAt(of, at, by), goalAt(of, at, -by)];
          // Within so small a step there may be a turning point: one is between the slopes on its two sides.
          if (worth.up === null) expect(more).toBeNull();
          else expect(((more ?? Number.NaN) - now) / by).toBeLessThanOrEqual(worth.up + 0.01);
          if (worth.down === null) expect(less).toBeNull();
          else expect((now - (less ?? Number.NaN)) / by).toBeGreaterThanOrEqual(worth.down - 0.01);
          if (more !== null && less !== null && Math.abs(more + less - 2 * now) < 1e-7)
            expect([worth.up, worth.down]).toEqual([
              expect.closeTo((more - now) / by, 2),
              expect.closeTo((now - less) / by, 2),
            ]);
        }
      for (const { goal, broken } of rankedMixes(model))
        if (broken.length === 0) expect(turn * (solveMix(highs, model).goal - goal)).toBeGreaterThanOrEqual(-1e-6);
    }),
    { numRuns: 100 },
  );
}, 300_000);

it('explains by the ranges of the solver what it explains by solving again, of 150 random models', () => {
  const areAlike = (one: unknown, other: unknown): boolean => {
    if (typeof one === 'number' && typeof other === 'number')
      return Math.abs(one - other) <= 1e-4 * Math.max(0.1, Math.abs(one));
    if (typeof one !== 'object' || typeof other !== 'object' || one === null || other === null) return one === other;
    const [fields, others] = [Object.entries(one), Object.values(other)];
    return fields.length === others.length && fields.every(([, each], index) => areAlike(each, others[index]));
  };
  fc.assert(
    fc.property(models(false), (model) => {
      // Of what nothing limits no optimum is left as soon as it brings anything: there solving again finds no end.
      fc.pre(limitsByProduct(model).every(Number.isFinite));
      const [told, solved] = [explainMix(highs, model), explainMix(highs, model, true)];
      if (!areAlike(told, solved)) expect(told).toEqual(solved);
    }),
    { numRuns: 150 },
  );
}, 300_000);
