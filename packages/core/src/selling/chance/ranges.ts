import { type RangeShape, RANGE_SHAPES, type RowOf } from '@nuvar/book';

/** The groups of inputs that vary in a simulation. */
export const CHANCE_FACTORS = ['price', 'volume', 'materials', 'yield', 'time', 'fees'] as const;
export type ChanceFactor = (typeof CHANCE_FACTORS)[number];

/** How far a factor may lie from what it is thought to be, in percent; binary floats are right for chance. */
export interface ChanceRange {
  readonly low: number;
  readonly high: number;
  readonly shape: RangeShape;
}

export type ChanceRanges = Readonly<Record<ChanceFactor, ChanceRange>>;

const triangular = (low: number, high: number): ChanceRange => ({ low, high, shape: 'triangular' });

/** What is taken until another range is typed: sales vary most, and costs come out above the plan more often than below. */
export const USUAL_RANGES: ChanceRanges = {
  price: triangular(-5, 5),
  volume: triangular(-25, 20),
  materials: triangular(-8, 15),
  yield: triangular(-6, 3),
  time: triangular(-10, 20),
  fees: triangular(0, 10),
};

/** How an input range names a factor. */
export const factorInput = (factor: ChanceFactor): string => `factor:${factor}`;

/** The typed ranges of a price, and the usual ones for the rest. */
export function rangesOf(rows: readonly RowOf<'inputRange'>[]): ChanceRanges {
  const typed = (factor: ChanceFactor): ChanceRange => {
    const row = rows.find(({ input }) => input === factorInput(factor));
    if (row === undefined || !RANGE_SHAPES.includes(row.shape)) return USUAL_RANGES[factor];
    return { low: Number(row.lowPercent), high: Number(row.highPercent), shape: row.shape };
  };
  return Object.fromEntries(CHANCE_FACTORS.map((factor) => [factor, typed(factor)])) as ChanceRanges;
}
