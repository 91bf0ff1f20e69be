import { uniformFloat64 } from 'pure-rand/distribution/uniformFloat64';
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';
import { errorFunction, mean, quantileSorted, sampleCorrelation, sampleStandardDeviation } from 'simple-statistics';
import { CHANCE_FACTORS, type ChanceFactor, type ChanceRange, type ChanceRanges } from './ranges.js';

/** A stretch of the fees in plain numbers. */
export interface ChanceFee {
  readonly upTo: number | null;
  readonly slope: number;
  readonly level: number;
}

/** A product in a channel as a simulation needs it: in plain numbers, for one unit, money in that of the book. */
export interface ChanceModel {
  /** As the customer sees it. */
  readonly price: number;
  readonly keptAfterDiscount: number;
  readonly coupon: number;
  /** By what the price seen is divided to be without tax. */
  readonly taxTimes: number;
  readonly fees: readonly ChanceFee[];
  /** What of a price before tax counts, after refunds. */
  readonly keptAfterReturns: number;
  /** Packing, postage and handling of a unit. */
  readonly dispatch: number;
  /** Postage that is charged and kept. */
  readonly postageBrought: number;
  /** What of the variable cost is spent, less what comes back as new. */
  readonly spent: number;
  readonly materials: readonly { readonly supplier: string; readonly amount: number }[];
  readonly labour: number;
  readonly otherVariable: number;
  /** The share of the variable cost that grows as the yield falls. */
  readonly byYield: number;
  /** By how much the yield can rise at most: to its bound of 100 %. */
  readonly mostYield: number;
  readonly unitsPerMonth: number;
  readonly fixedPerMonth: number;
}

export interface SimulationInput {
  readonly model: ChanceModel;
  readonly ranges: ChanceRanges;
  /** How strongly the prices of one supplier move together, from 0 to 1. */
  readonly together: number;
  readonly seed: number;
  readonly draws: number;
}

export interface Spread {
  readonly mean: number;
  readonly deviation: number;
  /** The values below which 5, 25, 50, 75 and 95 of a hundred draws lie. */
  readonly percentiles: Readonly<Record<'p5' | 'p25' | 'p50' | 'p75' | 'p95', number>>;
}

export interface SimulationResult {
  readonly draws: number;
  readonly seed: number;
  /** The share of draws in which the month loses money, from 0 to 1. */
  readonly chanceOfLoss: number;
  /** What a month leaves after the fixed costs that these units carry. */
  readonly profit: Spread;
  /** Profit in percent of the net revenue. */
  readonly margin: Spread;
  readonly bins: readonly { readonly from: number; readonly to: number; readonly share: number }[];
  /** The share of the variation of profit that goes along with each factor, the largest first; they sum to one. */
  readonly explains: readonly { readonly factor: ChanceFactor; readonly share: number }[];
}

const BINS = 40;
/** Nine in ten of a normal range lie between its ends: they are 1.645 standard deviations from its middle. */
const NINE_IN_TEN = 1.6448536269514722;

/** The normal distribution function. */
const normalBelow = (z: number): number => 0.5 * (1 + errorFunction(z / Math.SQRT2));

/** What a range comes to at a place z of the standard normal distribution, as a factor of one. */
export function drawn({ low, high, shape }: ChanceRange, z: number): number {
  if (high <= low) return 1 + low / 100;
  if (shape === 'normal') return 1 + ((low + high) / 2 + (z * (high - low)) / (2 * NINE_IN_TEN)) / 100;
  const u = normalBelow(z);
  if (shape === 'uniform') return 1 + (low + u * (high - low)) / 100;
  // The mode is at no change, or at the end that is nearest to it.
  const mode = Math.min(high, Math.max(low, 0));
  const turn = (mode - low) / (high - low);
  const percent =
    u < turn
      ? low + Math.sqrt(u * (high - low) * (mode - low))
      : high - Math.sqrt((1 - u) * (high - low) * (high - mode));
  return 1 + percent / 100;
}

/** Standard normal draws of a seed, two at a time (Box and Muller, 1958). */
function normalDraws(seed: number): () => number {
  const generator = xoroshiro128plus(seed);
  let spare: number | null = null;
  return () => {
    if (spare !== null) {
      const kept = spare;
      spare = null;
      return kept;
    }
    const radius = Math.sqrt(-2 * Math.log(1 - uniformFloat64(generator)));
    const angle = 2 * Math.PI * uniformFloat64(generator);
    spare = radius * Math.sin(angle);
    return radius * Math.cos(angle);
  };
}

function feesAt(fees: readonly ChanceFee[], price: number): number {
  const found = fees.find(({ upTo }) => upTo === null || price <= upTo) ?? fees.at(-1);
  return found === undefined ? 0 : found.level + found.slope * price;
}

/** How the materials of a model move: those of one supplier together, by a factor that they share. */
function materialDraws(model: ChanceModel, range: ChanceRange, together: number, next: () => number): () => number {
  const suppliers = [...new Set(model.materials.map(({ supplier }) => supplier))];
  const [shared, own] = [Math.sqrt(together), Math.sqrt(1 - together)];
  return () => {
    const bySupplier = new Map(suppliers.map((supplier) => [supplier, next()]));
    return model.materials.reduce(
      (so, { supplier, amount }) => so + amount * drawn(range, shared * (bySupplier.get(supplier) ?? 0) + own * next()),
      0,
    );
  };
}

/**
 * Draws months at random: price, units sold, material prices, yield, time and fees, each by its range and shape, apart from each
 * other but for the prices of one supplier. Profit of a month = units x (net revenue - fees - dispatch - variable cost) - fixed
 * cost. The same seed gives the same result. Pure numbers: what may happen needs no exact decimals.
 */
export function simulate({ model, ranges, together, seed, draws }: SimulationInput): SimulationResult {
  const next = normalDraws(seed);
  const materialsDrawn = materialDraws(model, ranges.materials, Math.min(1, Math.max(0, together)), next);
  const planned = model.materials.reduce((so, { amount }) => so + amount, 0);
  const profits = new Float64Array(draws);
  const margins = new Float64Array(draws);
  const factors = Object.fromEntries(CHANCE_FACTORS.map((factor) => [factor, new Float64Array(draws)])) as Record<
    ChanceFactor,
    Float64Array
  >;
  for (let draw = 0; draw < draws; draw += 1) {
    const of = (factor: Exclude<ChanceFactor, 'materials'>) =>
      (factors[factor][draw] = Math.max(0, drawn(ranges[factor], next())));
    const [price, volume, goodShare, time, fee] = [of('price'), of('volume'), of('yield'), of('time'), of('fees')];
    const materials = materialsDrawn();
    factors.materials[draw] = planned === 0 ? 1 : materials / planned;
    const seen = model.price * price * model.keptAfterDiscount - model.coupon;
    const beforeTax = seen / model.taxTimes;
    const netRevenue = beforeTax * model.keptAfterReturns + model.postageBrought;
    const yielded = Math.min(model.mostYield, Math.max(0.01, goodShare));
    const made = materials + model.labour * time + model.otherVariable;
    const cost = made * (1 - model.byYield + model.byYield / yielded) * model.spent;
    const left = netRevenue - feesAt(model.fees, beforeTax) * fee - model.dispatch - cost;
    const units = model.unitsPerMonth * volume;
    profits[draw] = units * left - model.fixedPerMonth;
    margins[draw] = units * netRevenue === 0 ? 0 : ((profits[draw] ?? 0) / (units * netRevenue)) * 100;
  }
  return summed({ profits, margins, factors, seed });
}

interface Drawn {
  readonly profits: Float64Array;
  readonly margins: Float64Array;
  readonly factors: Readonly<Record<ChanceFactor, Float64Array>>;
  readonly seed: number;
}

function summed({ profits, margins, factors, seed }: Drawn): SimulationResult {
  const draws = profits.length;
  const sorted = [...profits].sort((one, other) => one - other);
  const losses = sorted.findIndex((profit) => profit >= 0);
  return {
    draws,
    seed,
    chanceOfLoss: (losses < 0 ? draws : losses) / draws,
    profit: spreadOf(sorted),
    margin: spreadOf([...margins].sort((one, other) => one - other)),
    bins: binsOf(sorted),
    explains: explained(profits, factors),
  };
}

function spreadOf(sorted: number[]): Spread {
  const at = (share: number) => quantileSorted(sorted, share);
  return {
    mean: mean(sorted),
    deviation: sorted.length < 2 ? 0 : sampleStandardDeviation(sorted),
    percentiles: { p5: at(0.05), p25: at(0.25), p50: at(0.5), p75: at(0.75), p95: at(0.95) },
  };
}

function binsOf(sorted: readonly number[]): SimulationResult['bins'] {
  const [low, high] = [sorted[0] ?? 0, sorted.at(-1) ?? 0];
  const width = (high - low) / BINS;
  if (width === 0) return [{ from: low, to: high, share: 1 }];
  const counts = new Array<number>(BINS).fill(0);
  for (const value of sorted) {
    const bin = Math.min(BINS - 1, Math.floor((value - low) / width));
    counts[bin] = (counts[bin] ?? 0) + 1;
  }
  return counts.map((count, bin) => ({
    from: low + bin * width,
    to: low + (bin + 1) * width,
    share: count / sorted.length,
  }));
}

/** The square of the correlation of each factor with profit, brought to a sum of one. */
function explained(
  profits: Float64Array,
  factors: Readonly<Record<ChanceFactor, Float64Array>>,
): SimulationResult['explains'] {
  const squares = CHANCE_FACTORS.map((factor) => {
    const moved = factors[factor];
    const isStill = moved.every((value) => value === moved[0]);
    const correlation = isStill || profits.length < 2 ? 0 : sampleCorrelation([...moved], [...profits]);
    return { factor, square: Number.isFinite(correlation) ? correlation ** 2 : 0 };
  });
  const all = squares.reduce((so, { square }) => so + square, 0);
  return squares
    .map(({ factor, square }) => ({ factor, share: all === 0 ? 0 : square / all }))
    .sort((one, other) => other.share - one.share);
}
