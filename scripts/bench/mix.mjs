import { execFileSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { explainMix, findMix, mixFile, solveMix } from '@nuvar/core';
import { loadSolver, warmSolver } from '@nuvar/core/solver';
import { ensureReferenceSolvers } from '../setup/reference-solvers.mjs';
import { median, timed } from './measure.mjs';

/** The product mix: HiGHS as the page runs it, in WebAssembly, against two native solvers of Debian's packages on the same models. */
export async function benchMixRows() {
  ensureReferenceSolvers();
  const [large, whole, many, small, wide] = [
    mixModel({ products: 200, resources: 60 }),
    mixModel({ products: 200, resources: 60, setUps: 60, gapPercent: 1 }),
    mixModel({ products: 200, resources: 60, setUps: 200 }),
    mixModel({ products: 20, resources: 8 }),
    mixModel({ products: 300, resources: 80 }),
  ];
  const highs = warmSolver(await loadSolver());
  // As the first search of a page: the solver has only been warmed.
  const cold = await timed(() => solveMix(highs, whole));
  const continuous = await median(9, () => timed(() => solveMix(highs, large)));
  const toOnePercent = await median(5, () => timed(() => solveMix(highs, whole)));
  let answer;
  const longest = await timed(() => {
    answer = solveMix(highs, many);
  });
  const explained = await median(9, () =>
    timed(() => {
      solveMix(highs, small);
      explainMix(highs, small);
    }),
  );
  const explainedLarge = await median(3, () => timed(() => [...findMix(highs, large)]));
  const explainedWide = await timed(() => [...findMix(highs, wide)]);
  const native = bySecond();
  return [
    ['mix of 200 products and 60 resources, continuous (median of 9)', continuous, '150 ms'],
    ['the same by glpsol, with reading its file', native.glpsol(large), ''],
    ['the same by cbc, with reading its file', native.cbc(large), ''],
    ['the same found and explained: worths, ranges, rankings, other mixes as good', explainedLarge, '700 ms'],
    ['mix of 300 products and 80 resources, found and explained', explainedWide, '3,000 ms'],
    ['200 whole products with 60 set-ups to a gap of 1 %, the first search of a page', cold, '1,000 ms'],
    ['the same again (median of 5)', toOnePercent, '400 ms'],
    ['the same by cbc', native.cbc(whole, 0.01), ''],
    ['the same by glpsol, 60 s at most', native.glpsol(whole, 0.01), ''],
    ['200 whole products with 200 set-ups, until the time limit or proven', longest, '10,000 ms'],
    ['its proven gap', answer.gapPercent, 'small', '%'],
    ['by how much less cbc reaches in as long', native.lessByCbc(many, answer.goal), '', '%'],
    ['mix of 20 products and 8 resources, with its explanation (median of 9)', explained, '300 ms'],
  ];
}

/** A model of so many products, of which a third takes each resource; the same at every run. */
function mixModel({ products, resources, setUps = 0, gapPercent = 0 }) {
  const random = sequence();
  const uses = [];
  const list = Array.from({ length: products }, (_each, place) => {
    for (let resource = 0; resource < resources; resource += 1)
      if (random() < 0.33)
        uses.push({
          product: place,
          resource,
          perUnit: round(0.1 + 4 * random()),
          forSetUp: place < setUps ? round(5 * random()) : 0,
        });
    const gain = round(5 + 40 * random());
    return {
      id: `p${place}`,
      name: `Product ${place}`,
      unit: 'each',
      place,
      gain,
      contribution: gain,
      setUpWith: place,
      least: 0,
      most: Math.round(20 + 80 * random()),
      lot: null,
      batch: null,
      useful: null,
      isCost: false,
      step: setUps > 0 ? 1 : null,
      setUpCost: place < setUps ? round(50 + 400 * random()) : 0,
    };
  });
  return {
    name: 'Bench',
    goal: 'profit after set-up',
    isLeast: false,
    secondsAtMost: 10,
    gapPercent,
    fixed: 0,
    isInPeriods: false,
    totals: [],
    uses,
    products: list,
    resources: Array.from({ length: resources }, (_each, at) => ({
      id: `r${at}`,
      name: `Resource ${at}`,
      unit: 'h',
      extra: 0,
      premium: 0,
      normalPrice: 0,
      making: null,
      isStock: false,
      available: Math.round(products * (4 + 8 * random())),
    })),
  };
}

const round = (value) => Math.round(value * 100) / 100;

/** Numbers between 0 and 1 that are the same at every run (Park and Miller, 1988). */
function sequence() {
  let seed = 20261127;
  return () => {
    seed = (seed * 48271) % 2147483647;
    return seed / 2147483647;
  };
}

/** The native solvers, by the file that a person would export. */
function bySecond() {
  const fileOf = (model, work) => {
    const folder = mkdtempSync(join(tmpdir(), 'bench-mix-'));
    try {
      const path = join(folder, 'model.lp');
      writeFileSync(path, mixFile(model, 'lp'));
      return work(path, folder);
    } finally {
      rmSync(folder, { recursive: true });
    }
  };
  const runFor = (model, command, optionsOf) =>
    fileOf(model, (path, folder) => {
      const begun = performance.now();
      execFileSync(command, optionsOf(path, folder), { stdio: 'pipe' });
      return performance.now() - begun;
    });
  return {
    glpsol: (model, gap) =>
      runFor(model, 'glpsol', (path) => ['--lp', path, '--tmlim', '60', ...(gap ? ['--mipgap', String(gap)] : [])]),
    cbc: (model, gap) =>
      runFor(model, 'cbc', (path) => [path, ...(gap ? ['ratioGap', String(gap)] : []), 'sec', '60', 'solve', 'quit']),
    lessByCbc: (model, best) =>
      fileOf(model, (path, folder) => {
        const out = join(folder, 'out');
        execFileSync('cbc', [path, 'sec', '10', 'solve', 'solution', out, 'quit'], { stdio: 'pipe' });
        const goal = Math.abs(Number(/objective value\s+(\S+)/.exec(readFileSync(out, 'utf8'))?.[1]));
        return ((best - goal) / best) * 100;
      }),
  };
}
