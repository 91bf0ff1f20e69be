import type { MixModel } from './mix-model.js';

type Corner = readonly [x: number, y: number];

/** A straight limit of two products: a x + b y <= c. */
interface HalfPlane {
  readonly a: number;
  readonly b: number;
  readonly c: number;
}

const FAR = 1e6;
const NEAR = 1e-9;

/**
 * The corners, in order, of all mixes of two products that fit the limits of a model: resources with their extra, totals, and
 * their own limits. Set-ups, minimum lots and whole numbers are left aside. None where nothing fits, or the model has not two
 * products. In binary floats, for a picture.
 */
export function feasibleArea(model: MixModel): Corner[] {
  if (model.products.length !== 2) return [];
  return halfPlanesOf(model).reduce<Corner[]>(clipped, [
    [0, 0],
    [FAR, 0],
    [FAR, FAR],
    [0, FAR],
  ]);
}

function halfPlanesOf({ products, resources, uses, totals }: MixModel): HalfPlane[] {
  const useOf = (product: number, resource: number) =>
    uses.find((use) => use.product === product && use.resource === resource)?.perUnit ?? 0;
  const ofResources = resources.map(({ available, extra }, at) => ({
    a: useOf(0, at),
    b: useOf(1, at),
    c: available + extra,
  }));
  const ofTotals = totals.flatMap(({ rule, units, terms }): HalfPlane[] => {
    const counts = new Map(terms);
    const [a, b] = [counts.get(0) ?? 0, counts.get(1) ?? 0];
    const most = { a, b, c: units };
    const least = { a: -a, b: -b, c: -units };
    return rule === 'at most' ? [most] : rule === 'at least' ? [least] : [most, least];
  });
  const ofProducts = products.flatMap(({ least, most }, at): HalfPlane[] => {
    const along = (sign: number, c: number) => (at === 0 ? { a: sign, b: 0, c } : { a: 0, b: sign, c });
    return [along(-1, -least), ...(most === null ? [] : [along(1, most)])];
  });
  return [...ofResources, ...ofTotals, ...ofProducts];
}

/** What of an area lies within a limit (Sutherland and Hodgman, 1974). */
function clipped(corners: Corner[], { a, b, c }: HalfPlane): Corner[] {
  const beyond = ([x, y]: Corner) => a * x + b * y - c;
  return corners.flatMap((corner, index) => {
    const before = corners.at(index - 1) as Corner;
    const [here, there] = [beyond(corner), beyond(before)];
    const crosses = here > NEAR !== there > NEAR;
    const share = there / (there - here);
    const crossing: Corner[] = crosses
      ? [[before[0] + share * (corner[0] - before[0]), before[1] + share * (corner[1] - before[1])]]
      : [];
    return here > NEAR ? crossing : [...crossing, corner];
  });
}
