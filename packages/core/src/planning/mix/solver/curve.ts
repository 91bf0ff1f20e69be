/** A point of a curve, with a slope of it there: at a kink, any between those on its two sides. */
export interface CurvePoint {
  readonly at: number;
  readonly value: number;
  readonly slope: number;
}

/** Works the curve out at a place; null where there is nothing. */
export type PointAt = (at: number) => CurvePoint | null;

const NEAR = 1e-7;
const size = (value: number) => Math.max(1, Math.abs(value));
const areEqual = (one: number, other: number, scale = size(one)) => Math.abs(one - other) <= NEAR * scale;

/** The slope of the straight line between two points. */
export const chordOf = (left: CurvePoint, right: CurvePoint) => (right.value - left.value) / (right.at - left.at);

/** Where the tangents of two points of a concave curve meet. */
function meetingOf(left: CurvePoint, right: CurvePoint): number {
  const at = (right.value - left.value + left.slope * left.at - right.slope * right.at) / (left.slope - right.slope);
  return Math.min(right.at, Math.max(left.at, at));
}

/**
 * The kinks of a concave, piecewise-linear curve between two of its points, ends included: where two tangents meet, the curve is
 * either on both, and has its kink there, or lies below, and is looked at on both sides. Exact but for the noise of floats.
 */
export function kinksBetween(pointAt: PointAt, left: CurvePoint, right: CurvePoint): CurvePoint[] {
  const between = [left, ...innerKinks(pointAt, left, right, 40), right];
  return between.filter((point, index) => {
    const [before, after] = [between[index - 1], between[index + 1]];
    return before === undefined || after === undefined || !areEqual(chordOf(before, point), chordOf(point, after));
  });
}

function innerKinks(pointAt: PointAt, left: CurvePoint, right: CurvePoint, depth: number): CurvePoint[] {
  const isDone = depth === 0 || right.at - left.at <= NEAR * size(right.at);
  if (isDone || isStraight(left, right)) return [];
  const meeting = areEqual(left.slope, right.slope) ? null : meetingOf(left, right);
  // Where the tangents meet at an end, one of them is not that of the curve there: the middle tells more.
  const isInside = meeting !== null && !areEqual(meeting, left.at) && !areEqual(meeting, right.at);
  const point = pointAt(isInside ? meeting : (left.at + right.at) / 2);
  if (point === null) return [];
  if (isInside ? isOnTangent(left, point) : isOnChord(left, right, point)) return isInside ? [point] : [];
  return [...innerKinks(pointAt, left, point, depth - 1), point, ...innerKinks(pointAt, point, right, depth - 1)];
}

function isStraight(left: CurvePoint, right: CurvePoint): boolean {
  const chord = chordOf(left, right);
  return areEqual(left.slope, chord) && areEqual(right.slope, chord);
}

const isOnChord = (left: CurvePoint, right: CurvePoint, point: CurvePoint) =>
  isOnTangent({ ...left, slope: chordOf(left, right) }, point);

/**
 * The slope of a concave, piecewise-linear curve from a point towards another: the far point is taken nearer until its tangent
 * passes through the near one.
 */
export function slopeTowards(pointAt: PointAt, near: CurvePoint, far: CurvePoint): number {
  let end = far;
  for (let turn = 0; turn < TURNS; turn += 1) {
    const chord = chordOf(near, end);
    if (areEqual(end.slope, chord)) return chord;
    const at = near.at < end.at ? meetingOf(near, end) : meetingOf(end, near);
    if (areEqual(at, end.at)) return chord;
    const point = areEqual(at, near.at) ? pointAt((near.at + end.at) / 2) : pointAt(at);
    if (point === null) return chord;
    if (isOnTangent(near, point)) return near.slope;
    end = point;
  }
  return chordOf(near, end);
}

/** Until where the curve keeps to the tangent of a point, towards another; null where it does so as far as that. */
export function keepsUntil(pointAt: PointAt, near: CurvePoint, far: CurvePoint): number | null {
  let end = far;
  for (let turn = 0; turn < TURNS; turn += 1) {
    if (isOnTangent(near, end)) return end === far ? null : end.at;
    const at = near.at < end.at ? meetingOf(near, end) : meetingOf(end, near);
    if (areEqual(at, near.at)) return near.at;
    const point = pointAt(at);
    if (point === null || areEqual(at, end.at)) return at;
    if (isOnTangent(near, point)) return at;
    end = point;
  }
  return end.at;
}

const TURNS = 50;
const isOnTangent = (of: CurvePoint, point: CurvePoint) =>
  areEqual(point.value, of.value + of.slope * (point.at - of.at), size(point.value));
