/** How far apart the marks of an axis may be, as multiples of a power of ten. */
const STEPS = [1, 2, 2.5, 5, 10];

/** The digits after the point with which all marks of an axis are written. */
export const tickDigits = (marks: readonly number[]): number =>
  Math.max(0, ...marks.map((mark) => String(mark).split('.')[1]?.length ?? 0));

/**
 * The marks of an axis from zero to just beyond a value, at round distances: for 83 they are 0, 25, 50, 75 and 100. Chart
 * geometry only: binary floats serve.
 */
export function roundTicks(most: number, marks = 4): number[] {
  if (!(most > 0)) return [0, 1];
  const rough = most / marks;
  const power = 10 ** Math.floor(Math.log10(rough));
  const step = power * (STEPS.find((each) => each * power >= rough * 0.999_999) ?? 10);
  const count = Math.ceil(most / step - 1e-9);
  // Of a step such as 0.1, sums would leave noise.
  return Array.from({ length: count + 1 }, (_none, index) => Number((index * step).toPrecision(12)));
}
