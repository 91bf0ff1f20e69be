import { UNITS, unitOfMeasure, type Dimension } from '@nuvar/book';

/** A conversion of an item's own, as far as finding a way needs it: which two units it joins. */
export interface OwnConversion {
  readonly unit: string;
  readonly equalUnit: string;
}

/** One own conversion on a way, and in which direction it is gone: from its unit to its equal, or back. */
export interface WayStep<Conversion extends OwnConversion> {
  readonly conversion: Conversion;
  readonly isForward: boolean;
}

const dimensionOf = (unit: string): Dimension | undefined => unitOfMeasure(unit)?.dimension;

/**
 * The shortest way from one unit to another through an item's own conversions, with standard factors between units of
 * one dimension: none are needed within a dimension, and null says that there is no way. Of ways of the same length the
 * one through earlier conversions.
 */
export function ownWay<Conversion extends OwnConversion>(
  from: string,
  to: string,
  own: readonly Conversion[],
): readonly WayStep<Conversion>[] | null {
  const [start, goal] = [dimensionOf(from), dimensionOf(to)];
  if (start === undefined || goal === undefined) return null;
  const ways = new Map<Dimension, readonly WayStep<Conversion>[]>([[start, []]]);
  const open: Dimension[] = [start];
  for (let at = open.shift(); at !== undefined && !ways.has(goal); at = open.shift()) {
    for (const step of stepsFrom(at, own)) {
      const next = dimensionOf(step.isForward ? step.conversion.equalUnit : step.conversion.unit);
      if (next === undefined || ways.has(next)) continue;
      ways.set(next, [...(ways.get(at) ?? []), step]);
      open.push(next);
    }
  }
  return ways.get(goal) ?? null;
}

function stepsFrom<Conversion extends OwnConversion>(
  dimension: Dimension,
  own: readonly Conversion[],
): WayStep<Conversion>[] {
  return own.flatMap((conversion): WayStep<Conversion>[] => {
    if (dimensionOf(conversion.unit) === dimension) return [{ conversion, isForward: true }];
    return dimensionOf(conversion.equalUnit) === dimension ? [{ conversion, isForward: false }] : [];
  });
}

/** The codes of all units that can be reached from one, by standard factors and an item's own conversions. */
export function unitsWithin(unit: string, own: readonly OwnConversion[]): string[] {
  return UNITS.map(({ code }) => code).filter((code) => ownWay(unit, code, own) !== null);
}
